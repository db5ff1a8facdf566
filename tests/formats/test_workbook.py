"""The spreadsheet: its formulas, computed by a spreadsheet library, give the same numbers."""

import json
from io import BytesIO
from pathlib import Path
from typing import Any

import formulas
import pytest
from openpyxl import load_workbook

from metrion.core.exact.units import parse_unit
from metrion.core.logbook import Logbook, reduce_logbook
from metrion.demo import demo_file
from metrion.formats.logbook import parse_logbook, read_logbook
from metrion.formats.workbook import workbook_file

# The library that computes them has warnings of its own.
pytestmark = pytest.mark.filterwarnings("ignore")

REFERENCE = Path(__file__).parents[1] / "reference"
LABELS = {"mean": "mean", "uncertainty": "uncertainty", "zero error": "zero"}


def computed(content: bytes, folder: Path) -> dict[str, dict[str, float]]:
    """What the formulas of each page come to, by the label in the first column."""
    path = folder / "book.xlsx"
    path.write_bytes(content)
    model = formulas.ExcelModel().loads(str(path)).finish()
    solution = model.calculate()
    values = {
        str(key).upper(): cell.value[0, 0] for key, cell in solution.items()
        if hasattr(cell, "value") and ":" not in str(key)
    }  # fmt: skip
    found: dict[str, dict[str, float]] = {}
    for page in load_workbook(BytesIO(content)).worksheets:
        cells = found.setdefault(page.title, {})
        for row in range(1, page.max_row + 1):
            text = str(page.cell(row, 1).value)
            label = text if text.startswith("mean in ") else LABELS.get(text)
            if label:
                key = f"'[BOOK.XLSX]{page.title.upper()}'!B{row}"
                cells[label] = float(values.get(key, page.cell(row, 2).value))
    return found


def check(logbook: Logbook, folder: Path) -> None:
    pages = list(computed(workbook_file(logbook.measurements), folder).values())
    for reviewed, page in zip(reduce_logbook(logbook).measurements, pages, strict=True):
        result = reviewed.result
        if result.mean is None or result.uncertainty is None:
            assert "mean" not in page
            continue
        assert page["zero"] == pytest.approx(float(result.measurement.zero_error), abs=1e-12)
        assert page["mean"] == pytest.approx(float(result.mean), rel=1e-9, abs=1e-12)
        assert page["uncertainty"] == pytest.approx(float(result.uncertainty.size), rel=1e-6)
        own = parse_unit(result.measurement.instrument.unit).factor
        for unit in result.measurement.also_in:
            there = float(result.mean) * float(own) / float(unit.factor)
            assert page[f"mean in {unit.text}"] == pytest.approx(there, rel=1e-9)


@pytest.mark.parametrize(
    "name", ["case-005", "case-020", "case-030", "case-050", "case-061", "case-063", "case-065"]
)
def test_formulas_give_the_numbers_of_the_reference(name: str, tmp_path: Path) -> None:
    check(read_logbook((REFERENCE / f"{name}.json").read_bytes()), tmp_path)


OWN = {
    "id": "own", "family": "limit", "reading_limit": "1/2", "zero_look": True, "digits": 1,
    "spread": "mean-deviation", "combine": "quadrature",
}  # fmt: skip


@pytest.mark.parametrize("convention", ["whole-division", "half-division", "standard-95", "own"])
def test_every_convention_is_a_formula(convention: str, tmp_path: Path) -> None:
    document = json.loads(demo_file("spare-parts"))
    document["conventions"] = [OWN]
    for measurement in document["measurements"]:
        measurement |= {"convention": convention, "items": 4}
    document["measurements"][0]["observations"][3]["excluded"] = "misread"
    check(parse_logbook(document), tmp_path)


def pages(**changes: Any) -> Any:
    document = json.loads(demo_file("spare-parts"))
    document["measurements"][0] |= changes
    content = workbook_file(parse_logbook(document).measurements)
    return load_workbook(BytesIO(content)).worksheets


def test_what_was_read_stands_in_cells_and_the_rest_are_formulas() -> None:
    page = pages()[0]
    (row,) = [r for r in page.iter_rows(values_only=True) if r[0] == "middle"]
    assert row[1:3] == (6, 4)
    assert all(str(value).startswith("=") for value in row[3:6])


def test_titles_of_pages_are_such_as_a_spreadsheet_takes_and_differ() -> None:
    titles = [page.title for page in pages(name="Ferrule: [outside]/" * 4)]
    assert titles[0] == "Ferrule   outside  Ferrule   ou"
    assert [page.title for page in pages(name="ferrule, OUTSIDE")] == [
        "ferrule, OUTSIDE", "Ferrule, outside 2",
    ]  # fmt: skip


def test_text_that_would_run_is_made_harmless_and_nothing_makes_one_page() -> None:
    assert pages(name="=1+1")[0]["A1"].value == "'=1+1"
    (page,) = load_workbook(BytesIO(workbook_file([]))).worksheets
    assert page.title == "No quantity yet"
