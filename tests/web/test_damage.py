"""A bad record in the database: told, saved and thrown away, and in nobody's way."""

from collections.abc import Iterator
from io import BytesIO
from pathlib import Path
from typing import Any

import pytest
from openpyxl import load_workbook

from metrion.demo import prepare
from metrion.store import Store
from metrion.store.models import SettingRow, ToolRow
from metrion.store.sheets import all_sheets
from tests.formats.test_faults import changed
from tests.server import asked, running
from tests.store.unchecked import keep_unchecked

NINES = "9" * 400
DAMAGED = {
    "nines": "a figure in it is too large or too small to be worked with",
    "broken": "6.4 is not a mark of Caliper A",
}
"""Sheets that cannot be worked out or listed, with the reason that is told."""


def estimated_on_a_circle() -> dict[str, Any]:
    """Three pairs and one with a position that is a mark off, its line estimated."""
    pairs = [
        {"a": {"main": main, "fine": "4.33"}, "b": {"main": "18:40", "fine": 3}}
        for main in ("341:20", "341:20", "341:20", "341:40")
    ]
    where = "/measurements/1"
    return changed((f"{where}/convention", "ours"), (f"{where}/observations", pairs))


def of_odd_signs() -> dict[str, Any]:
    """Text as it could once be kept, with signs that XML cannot hold."""
    reading = "/measurements/0/observations/0"
    odd = "\x07 \x0b \ufffe"
    return changed(
        ("/title", odd), ("/aim", odd), ("/measurements/0/name", odd),
        (f"{reading}/note", odd), (f"{reading}/place", odd), (f"{reading}/excluded", odd),
    )  # fmt: skip


@pytest.fixture(scope="module")
def server(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    folder = tmp_path_factory.mktemp("damaged")
    prepare(folder)
    keep_unchecked(folder, "nines", changed(("/instruments/0/maker_limit", NINES)))
    keep_unchecked(folder, "broken", changed(("/measurements/0/observations/0/main", "6.4")))
    keep_unchecked(folder, "circle", estimated_on_a_circle())
    keep_unchecked(folder, "signs", of_odd_signs())
    _keep_beside_the_sheets(folder)
    with running(folder, "serve") as address:
        yield address


def _keep_beside_the_sheets(folder: Path) -> None:
    """A tool and a convention that no figure can be worked out with."""
    caliper = {
        "kind": "vernier", "unit": "mm", "main_division": NINES, "fine_divisions": 20, "span": 39,
    }  # fmt: skip
    convention = {
        "id": "vast", "family": "limit", "reading_limit": NINES, "zero_look": True,
        "spread": "half-range", "combine": "sum", "digits": 1,
    }  # fmt: skip
    store = Store(folder)
    with store.writing() as session:
        session.add(ToolRow(id="vast", position=99, version=1, record={"id": "vast", **caliper}))
        session.merge(SettingRow(name="own_conventions", value=[convention]))
    store.close()


def test_damaged_sheets_are_listed_with_the_reason_and_all_others_are_there(server: str) -> None:
    status, found = asked(server, "/sheets")
    listed = {sheet["id"]: sheet["damage"] for sheet in found["sheets"]}
    assert status == 200
    assert {key for key, damage in listed.items() if damage} == set(DAMAGED)
    assert all(reason in listed[key] for key, reason in DAMAGED.items())
    assert len(listed) == 10


@pytest.mark.parametrize("key", DAMAGED)
def test_a_damaged_sheet_tells_its_damage_and_can_be_saved(server: str, key: str) -> None:
    status, answer = asked(server, f"/sheets/{key}")
    assert status == 409
    assert answer["message"].startswith("this sheet is damaged and cannot be worked out: ")
    status, logbook = asked(server, f"/sheets/{key}/logbook")
    assert (status, logbook["title"]) == (200, "Two-line kite")


@pytest.mark.parametrize(
    "path", ["/sheets/broken/report", "/sheets/broken/table.csv", "/sheets/nines/workbook.xlsx"]
)
def test_what_cannot_be_made_of_it_says_so(server: str, path: str) -> None:
    assert asked(server, path)[0] == 409


@pytest.mark.parametrize(
    "path", ["/sheets/circle", "/sheets/spare-parts", "/tools", "/conventions", "/archive"]
)
def test_everything_else_is_there(server: str, path: str) -> None:
    assert asked(server, path)[0] == 200


FORMS = (
    "", "/logbook", "/report", "/report.pdf", "/report.md", "/report.tex", "/tables.tex",
    "/table.csv", "/table-to-read.csv", "/workbook.xlsx", "/workbook.ods", "/quantities/m1/working",
    "/quantities/m1/others",
)  # fmt: skip


@pytest.mark.parametrize("form", FORMS)
def test_odd_signs_keep_nothing_from_being_shown_or_written(server: str, form: str) -> None:
    status, content = asked(server, f"/sheets/signs{form}")
    assert (status, bool(content)) == (200, True)
    if form == "/workbook.xlsx":
        book = load_workbook(BytesIO(content))
        cells = [str(cell.value) for page in book for row in page.iter_rows() for cell in row]
        assert any("\ufffd" in cell for cell in cells)


@pytest.mark.parametrize("form", FORMS)
@pytest.mark.parametrize("key", DAMAGED)
def test_no_form_of_a_damaged_sheet_is_an_error_of_ours(server: str, key: str, form: str) -> None:
    assert asked(server, f"/sheets/{key}{form}")[0] in (200, 409)


def test_a_backup_has_the_damaged_sheets_too(tmp_path: Path) -> None:
    keep_unchecked(tmp_path, "broken", of_odd_signs())
    store = Store(tmp_path)
    copy = store.back_up(tmp_path / "copy" / "metrion.sqlite")
    store.close()
    again = Store(copy.parent)
    with again.reading() as session:
        assert [sheet.id for sheet in all_sheets(session)] == ["broken"]
    again.close()


def test_the_notebook_is_printed_with_all_other_sheets(server: str) -> None:
    status, content = asked(server, "/notebook.pdf")
    assert (status, content[:5]) == (200, b"%PDF-")


def test_what_is_planned_leaves_out_the_tool_that_cannot_be_used(server: str) -> None:
    wish = {"size": "5", "unit": "mm", "percent": "1", "scatter": "", "convention": "standard"}
    status, plans = asked(server, "/planner", wish)
    assert status == 200
    assert "vast" not in {plan["tool"] for plan in plans}


def test_a_line_estimated_on_a_circle_is_suggested_as_it_was_read(server: str) -> None:
    flags = asked(server, "/sheets/circle")[1]["quantities"][1]["flags"]
    (slip,) = (flag for flag in flags if flag["code"] == "sweep-slip")
    assert slip["remedies"][1]["fields"] == {"a": {"main": "341:20", "fine": "4.33"}}


def test_a_damaged_sheet_goes_into_the_trash_and_comes_back(server: str) -> None:
    assert asked(server, "/sheets/broken", method="DELETE")[0] == 204
    assert "broken" in {sheet["id"] for sheet in asked(server, "/sheets")[1]["trash"]}
    assert asked(server, "/sheets/broken/restore", {})[0] == 409
    assert "broken" in {sheet["id"] for sheet in asked(server, "/sheets")[1]["sheets"]}
