"""The spreadsheet as ODS: the same pages, numbers, texts and formulas as XLSX."""

from __future__ import annotations

from io import BytesIO

import pytest
from odf import style, table, teletype
from odf.number import Number, NumberStyle
from odf.opendocument import load
from openpyxl import Workbook

from metrion.core.logbook import reduce_logbook
from metrion.demo import demo_file
from metrion.formats.logbook import read_logbook
from metrion.formats.ods import ods_file, open_formula
from metrion.formats.workbook import workbook


@pytest.mark.parametrize(
    ("formula", "open_one"),
    [
        ("=1+2", "of:=1+2"),
        ("=B2-$B$3", "of:=[.B2]-[.$B$3]"),
        ("=SUM($E$4:$E$9)/COUNT($E$4:$E$9)", "of:=SUM([.$E$4:.$E$9])/COUNT([.$E$4:.$E$9])"),
        ("='Ferrule, 2'!$B$6", "of:=[$'Ferrule, 2'.$B$6]"),
        ("=SUM('A'!$I$9:$I$12)", "of:=SUM([$'A'.$I$9:.$I$12])"),
        ("=MAX(B2,0.5)", "of:=MAX([.B2];0.5)"),
        ('=IF(ISNUMBER(D4),D4^(2),"")', 'of:=IF(ISNUMBER([.D4]);[.D4]^(2);"")'),
        ("=NORMSINV(1-(1-0.95)/2)", "of:=LEGACY.NORMSINV(1-(1-0.95)/2)"),
        ("=IFERROR(MIN(10,INT(B2)),10)", "of:=IFERROR(MIN(10;INT([.B2]));10)"),
    ],
)
def test_a_formula_in_the_open_notation(formula: str, open_one: str) -> None:
    assert open_formula(formula) == open_one


def cells_of(content: bytes) -> dict[str, list[list[tuple[str, str]]]]:
    """Of each page its rows: formula, number or text of every cell, with what it is."""
    pages = {}
    for page in load(BytesIO(content)).spreadsheet.getElementsByType(table.Table):
        pages[page.getAttribute("name")] = [
            [_cell(cell) for cell in row.getElementsByType(table.TableCell)]
            for row in page.getElementsByType(table.TableRow)
        ]
    return pages


def _cell(cell: object) -> tuple[str, str]:
    get = cell.getAttribute  # type: ignore[attr-defined]
    if get("formula"):
        return "formula", get("formula")
    if get("valuetype") == "float":
        return "number", get("value")
    return "text", teletype.extractText(cell)


@pytest.mark.parametrize("name", ["spare-parts", "foil-colours", "sail-film", "bridle-line"])
def test_everything_is_in_its_place(name: str) -> None:
    book = workbook(reduce_logbook(read_logbook(demo_file(name))))
    pages = cells_of(ods_file(book))
    assert list(pages) == book.sheetnames
    for page in book.worksheets:
        for row, found in zip(page.iter_rows(), pages[page.title], strict=True):
            for cell, (kind, text) in zip(row, found, strict=True):
                if cell.data_type == "f":
                    assert (kind, text) == ("formula", open_formula(str(cell.value)))
                elif isinstance(cell.value, int | float):
                    assert (kind, float(text)) == ("number", cell.value)
                else:
                    assert (kind, text) == ("text", cell.value or "")


def test_odd_texts_and_an_empty_book_come_through() -> None:
    book = Workbook()
    book.active["A1"] = "<b>&\"'  two blanks"
    [[[(kind, text)]]] = cells_of(ods_file(book)).values()
    assert (kind, text) == ("text", "<b>&\"'  two blanks")


def test_zeros_and_bold_heads_are_kept() -> None:
    content = ods_file(workbook(reduce_logbook(read_logbook(demo_file("spare-parts")))))
    book = load(BytesIO(content))
    page = book.getElementsByType(table.Table)[1]
    cells = {
        teletype.extractText(row[0]): row
        for line in page.getElementsByType(table.TableRow)
        if len(row := line.getElementsByType(table.TableCell)) > 4
    }
    styles = {
        one.getAttribute("name"): one
        for one in load(BytesIO(content)).getElementsByType(style.Style)
    }
    read = styles[cells["middle"][3].getAttribute("stylename")]
    number = read.getAttribute("datastylename")
    (kept,) = [
        one.getElementsByType(Number)[0].getAttribute("decimalplaces")
        for one in book.getElementsByType(NumberStyle)
        if one.getAttribute("name") == number
    ]
    assert str(kept) == "2"
    head = styles[cells["place"][0].getAttribute("stylename")]
    (bold,) = head.getElementsByType(style.TextProperties)
    assert bold.getAttribute("fontweight") == "bold"
