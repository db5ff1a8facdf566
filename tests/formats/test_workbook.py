"""The spreadsheet: its formulas, computed by a spreadsheet library, give the same numbers."""

import json
from fractions import Fraction
from io import BytesIO
from pathlib import Path
from typing import Any

import formulas
import pytest
from hypothesis import given
from hypothesis import strategies as st
from openpyxl import load_workbook

from metrion.core.conventions.convention import Digits
from metrion.core.conventions.rounding import round_result
from metrion.core.formula.units import parse_unit
from metrion.core.logbook import Logbook, reduce_logbook
from metrion.demo import demo_file
from metrion.formats.logbook import parse_logbook, read_logbook
from metrion.formats.workbook import workbook, xlsx_file
from metrion.formats.workbook.stating import decimals, first_place, sentence
from tests.formats.test_derived_of_derived import NESTED_AND_FLAT
from tests.formats.test_derived_of_derived import sheet as sheet_of

# The library that computes them has warnings of its own.
pytestmark = pytest.mark.filterwarnings("ignore")

REFERENCE = Path(__file__).parents[1] / "reference"
LABELS = {"mean": "mean", "value": "mean", "uncertainty": "uncertainty", "zero error": "zero"}


def workbook_file(logbook: Logbook) -> bytes:
    return xlsx_file(workbook(reduce_logbook(logbook)))


def computed(content: bytes, folder: Path) -> list[dict[str, float]]:
    """What the formulas of each page but the first come to, by the label in the first column."""
    path = folder / "book.xlsx"
    path.write_bytes(content)
    model = formulas.ExcelModel().loads(str(path)).finish()
    solution = model.calculate()
    values = {
        str(key).upper(): cell.value[0, 0] for key, cell in solution.items()
        if hasattr(cell, "value") and ":" not in str(key)
    }  # fmt: skip
    found: list[dict[str, float]] = []
    for page in load_workbook(BytesIO(content)).worksheets[1:]:
        cells: dict[str, float] = {}
        for row in range(1, page.max_row + 1):
            text = str(page.cell(row, 1).value)
            label = text if text.startswith("mean in ") else LABELS.get(text)
            if label:
                key = f"'[BOOK.XLSX]{page.title.upper()}'!B{row}"
                cells[label] = float(values.get(key, page.cell(row, 2).value))
        found.append(cells)
    return found


def check(logbook: Logbook, folder: Path) -> None:
    results, pages = reduce_logbook(logbook), computed(workbook_file(logbook), folder)
    count = len(results.measurements)
    for derived, page in zip(results.derived, pages[count:], strict=True):
        if derived.value is not None and derived.uncertainty:
            assert page["mean"] == pytest.approx(float(derived.value), rel=1e-9, abs=1e-12)
            assert page["uncertainty"] == pytest.approx(float(derived.uncertainty.size), rel=1e-6)
    for reviewed, page in zip(results.measurements, pages[:count], strict=True):
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
    return load_workbook(BytesIO(workbook_file(parse_logbook(document)))).worksheets[1:]


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
    document = {"format": "metrion-logbook", "version": 1, "title": "Empty", "instruments": [],
                "measurements": []}  # fmt: skip
    (page,) = workbook(reduce_logbook(parse_logbook(document))).worksheets
    assert (page.title, page["A1"].value) == ("Results", "Empty")


def test_zeros_are_kept() -> None:
    page = pages()[0]
    (row,) = [row for row in page.iter_rows() if row[0].value == "middle"]
    assert [cell.number_format for cell in row[1:6]] == ["0", "General", "0.00", "0.00", "0.00"]


def with_derived() -> Logbook:
    document = json.loads(demo_file("spare-parts"))
    typed = {"value": "12.5", "uncertainty": "0.1", "unit": "mm"}
    inputs = {"D": "spreader", "d": "ferrule", "h": typed, "q": typed | {"unit": "deg"}}
    document["derived"] = [
        {"id": "wall", "name": "Wall", "formula": "pi*(D**2 - d**2)*h*cos(q)/4", "unit": "cm**3",
         "convention": "standard-95", "inputs": inputs},
    ]  # fmt: skip
    document["measurements"][1]["observations"][1]["excluded"] = "held askew"
    return parse_logbook(document)


def test_a_derived_quantity_follows_the_pages_of_its_measurements(tmp_path: Path) -> None:
    check(with_derived(), tmp_path)


def test_what_is_derived_of_it_follows_its_page(tmp_path: Path) -> None:
    for nested, _ in NESTED_AND_FLAT:
        check(parse_logbook(sheet_of(nested)), tmp_path)


def test_the_first_page_has_head_and_results_where_they_stand() -> None:
    facts = (("Names", "=A. Segel"), ("Date", "2 May 2026"))
    book = workbook(reduce_logbook(with_derived()), facts=facts)
    assert book.sheetnames == ["Results", "Lower spreader, outside", "Ferrule, outside", "Wall"]
    rows = [row for row in book["Results"].iter_rows(values_only=True) if row[0]]
    assert rows[1] == ("Names", "'=A. Segel", None, None, None, None, None)
    assert rows[3][:3] == ("quantity", "result", "per cent")
    _, ferrule, wall = rows[4:]
    assert ferrule[5:] == ("Half division", "1 set aside")
    for row in (ferrule, wall):
        page = book[str(row[1]).split("'")[1]]
        stated = page[str(row[1]).rpartition("!")[2].replace("$", "")]
        assert (page.cell(stated.row, 1).value, page.title) == (
            "result as it is stated", str(row[0]),
        )  # fmt: skip


@given(
    st.fractions(-1000, 1000, max_denominator=5000),
    st.sampled_from(
        [Fraction(n, 10**k) for n in (1, 2, 19, 96, 996, 15, 25, 95) for k in (0, 2, 4)]
    ),
    st.sampled_from([1, 2, "1-or-2"]),
    st.sampled_from(["mm", "1", "arcmin", "g/cm**3"]),
)
def test_a_result_is_stated_by_formula_as_it_is_here(
    value: Fraction, size: Fraction, digits: Digits, unit: str
) -> None:
    first = calculated(first_place(repr(float(size))))
    places = calculated(decimals(repr(float(size)), str(first), digits))
    text = calculated(sentence(f"({float(value)!r})", repr(float(size)), f"({places})", unit))
    assert text == round_result(value, size, digits, unit).printed.replace("-", "−")


def calculated(formula: str) -> Any:
    (found,) = formulas.Parser().ast(f"={formula}")[1].compile()().ravel()
    return found
