"""A spreadsheet in the open document format (ODS), with the formulas that it has as XLSX.

Source of the notation: OASIS, *Open Document Format 1.3, part 4: Recalculated Formula Format*.
"""

from __future__ import annotations

from io import BytesIO

from odf.number import Number, NumberStyle
from odf.opendocument import OpenDocumentSpreadsheet
from odf.style import Style, TableColumnProperties, TextProperties
from odf.table import Table, TableCell, TableColumn, TableRow
from odf.teletype import addTextToElement
from odf.text import P
from openpyxl import Workbook
from openpyxl.cell.cell import Cell
from openpyxl.formula import Tokenizer
from openpyxl.formula.tokenizer import Token
from openpyxl.utils import get_column_letter

_NAMES = {"NORMSINV(": "LEGACY.NORMSINV("}
"""Functions that are called otherwise there."""
_MM_OF_A_SIGN = 2.1


def ods_file(book: Workbook) -> bytes:
    """A workbook as an ODS file: every number, text and formula in its place."""
    document = OpenDocumentSpreadsheet()
    styles = _Styles(document)
    for page in book.worksheets:
        table = Table(name=page.title)
        for at in range(1, page.max_column + 1):
            width = page.column_dimensions[get_column_letter(at)].width
            table.addElement(TableColumn(stylename=styles.of_column(width)))
        for row in page.iter_rows():
            line = TableRow()
            for cell in row:
                line.addElement(_cell(cell, styles))
            table.addElement(line)
        document.spreadsheet.addElement(table)
    packed = BytesIO()
    document.write(packed)
    return packed.getvalue()


class _Styles:
    """The styles of a document, each made when it is first needed."""

    def __init__(self, document: OpenDocumentSpreadsheet) -> None:
        self.document = document
        self.made: dict[object, Style] = {}

    def of_column(self, width: float) -> Style:
        """A column so many signs wide."""
        if width not in self.made:
            found = Style(name=f"column-{len(self.made)}", family="table-column")
            found.addElement(TableColumnProperties(columnwidth=f"{width * _MM_OF_A_SIGN:.1f}mm"))
            self._add(width, found)
        return self.made[width]

    def of_cell(self, cell: Cell) -> Style | None:
        """Bold, and zeros kept, where the cell has that; None where it is a plain one."""
        key = (cell.font.b, cell.number_format)
        if key == (False, "General"):
            return None
        if key not in self.made:
            bold, shown = key
            name = f"cell-{len(self.made)}"
            decimals = None if shown == "General" else self._decimals(f"{name}-number", shown)
            found = Style(name=name, family="table-cell", datastylename=decimals)
            if bold:
                found.addElement(TextProperties(fontweight="bold"))
            self._add(key, found)
        return self.made[key]

    def _decimals(self, name: str, shown: str) -> NumberStyle:
        found = NumberStyle(name=name)
        places = len(shown.partition(".")[2])
        found.addElement(Number(decimalplaces=places, minintegerdigits=1))
        self.document.automaticstyles.addElement(found)
        return found

    def _add(self, key: object, style: Style) -> None:
        self.document.automaticstyles.addElement(style)
        self.made[key] = style


def _cell(cell: Cell, styles: _Styles) -> TableCell:
    value, style = cell.value, styles.of_cell(cell)
    if value is None:
        return TableCell()
    if cell.data_type == "f":
        return TableCell(formula=open_formula(str(value)), stylename=style)
    if isinstance(value, int | float):
        return TableCell(valuetype="float", value=repr(value), stylename=style)
    found = TableCell(valuetype="string", stylename=style)
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
        page, _, cells = text.rpartition("!")
        first, *rest = cells.split(":")
        whole = [f"${page}.{first}" if page else f".{first}", *(f".{corner}" for corner in rest)]
        return f"[{':'.join(whole)}]"
    if token.type == Token.SEP:
        return ";"
    return _NAMES.get(text, text)
