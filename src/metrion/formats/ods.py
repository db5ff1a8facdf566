"""A spreadsheet in the open document format (ODS), with the formulas that it has as XLSX.

Source of the notation: OASIS, *Open Document Format 1.3, part 4: Recalculated Formula Format*.
"""

from __future__ import annotations

from io import BytesIO

from odf.opendocument import OpenDocumentSpreadsheet
from odf.table import Table, TableCell, TableRow
from odf.teletype import addTextToElement
from odf.text import P
from openpyxl import Workbook
from openpyxl.cell.cell import Cell
from openpyxl.formula import Tokenizer
from openpyxl.formula.tokenizer import Token

_NAMES = {"NORMSINV(": "LEGACY.NORMSINV("}
"""Functions that are called otherwise there."""


def ods_file(book: Workbook) -> bytes:
    """A workbook as an ODS file: every number, text and formula in its place."""
    document = OpenDocumentSpreadsheet()
    for page in book.worksheets:
        table = Table(name=page.title)
        for row in page.iter_rows():
            line = TableRow()
            for cell in row:
                line.addElement(_cell(cell))
            table.addElement(line)
        document.spreadsheet.addElement(table)
    packed = BytesIO()
    document.write(packed)
    return packed.getvalue()


def _cell(cell: Cell) -> TableCell:
    value = cell.value
    if value is None:
        return TableCell()
    if cell.data_type == "f":
        return TableCell(formula=open_formula(str(value)))
    if isinstance(value, int | float):
        return TableCell(valuetype="float", value=repr(value))
    found = TableCell(valuetype="string")
    paragraph = P()
    # Blanks in a row would be one.
    addTextToElement(paragraph, str(value))
    found.addElement(paragraph)
    return found


def open_formula(formula: str) -> str:
    """A formula in the notation of open documents.

    >>> open_formula("=IF(A1>0,SUM($B$2:$B$4),0)")
    'of:=IF([.A1]>0;SUM([.$B$2:.$B$4]);0)'
    """
    return "of:=" + "".join(map(_token, Tokenizer(formula).items))


def _token(token: Token) -> str:
    text = str(token.value)
    if token.type == Token.OPERAND and token.subtype == Token.RANGE:
        return "[" + ":".join(f".{corner}" for corner in text.split(":")) + "]"
    if token.type == Token.SEP:
        return ";"
    return _NAMES.get(text, text)
