"""A language that shows what was not said from the catalogue: accented, and a third longer."""

from importlib import resources
from pathlib import Path

from fluent.syntax import FluentParser, FluentSerializer, ast
from fluent.syntax.visitor import Transformer

LANGUAGE = "en-XA"
_PLAIN = "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ"
_ACCENTED = "àbçđéfĝĥíĵķľmñóþqŕšŧúvŵxýžÀBÇĐÉFĜĤÍĴĶĽMÑÓÞQŔŠŦÚVŴXÝŽ"
_SIGNS = str.maketrans(_PLAIN, _ACCENTED)


def accented(text: str) -> str:
    """A text in the pseudo language."""
    found, letters = [], 0
    for sign in text:
        found.append(sign.translate(_SIGNS))
        letters += sign.isalpha()
        if sign.isalpha() and letters % 3 == 2:
            found.append("ë")
    return "".join(found)


class _Accents(Transformer):
    def visit_TextElement(self, node: ast.TextElement) -> ast.TextElement:  # noqa: N802
        return ast.TextElement(accented(node.value))


def written_to(folder: Path) -> Path:
    """Put its catalogue into a folder for ``METRION_CATALOGUES``."""
    text = resources.files("metrion.voice").joinpath("en.ftl").read_text("utf-8")
    catalogue = _Accents().visit(FluentParser().parse(text))
    folder.mkdir(parents=True, exist_ok=True)
    folder.joinpath(f"{LANGUAGE}.ftl").write_text(FluentSerializer().serialize(catalogue), "utf-8")
    return folder
