"""Families of messages, one for each member of an enumeration."""

import ast
from collections.abc import Iterator
from pathlib import Path

import pytest

import metrion
from metrion.core.facts import coded
from metrion.core.practice.page_slips import FURTHER
from metrion.core.practice.slips import SLIPS
from metrion.core.review.flags import Settlement
from metrion.voice.catalogues import DEFAULT, messages

SAYING = {"coded", "text_of", "say_of", "known"}


def _called(said: ast.expr) -> str:
    return str(getattr(said, "id", getattr(said, "attr", "")))


def stems() -> Iterator[str]:
    """What the families are called that code says something of."""
    for path in Path(metrion.__file__).parent.rglob("*.py"):
        for node in ast.walk(ast.parse(path.read_text("utf-8"))):
            if isinstance(node, ast.Call) and _called(node.func) in SAYING:
                first = node.args[0]
                if isinstance(first, ast.Constant):
                    yield str(first.value)


def test_every_family_has_messages() -> None:
    found = set(stems())
    assert "slip" in found
    known = messages(DEFAULT)
    assert [one for one in found if not any(code.startswith(f"{one}-") for code in known)] == []


@pytest.mark.parametrize(
    ("stem", "members"),
    [("slip", [one.code for one in (*SLIPS, *FURTHER)]), ("look", [*Settlement, "open"])],
)
def test_every_member_has_one(stem: str, members: list[str]) -> None:
    said = [coded(stem, member).code for member in members if member != Settlement.SET_ASIDE]
    assert [code for code in said if code not in messages(DEFAULT)] == []
