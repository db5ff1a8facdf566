"""Every message of the catalogue is spoken with the arguments that the code gives it."""

import ast
import re
from collections.abc import Iterable, Iterator
from functools import cache
from pathlib import Path

import pytest
from fluent.runtime import FluentBundle, FluentResource

from metrion.core.facts import Fact
from metrion.voice import Speaker
from metrion.voice.catalogues import DEFAULT, messages

ROOT = Path(__file__).parents[2]
PYTHON = ROOT / "src/metrion"
PAGE = ROOT / "frontend/src"
WORDS = frozenset(Speaker().words)
SPEAK = frozenset({"fact", "Fact", "refuse", "refusal", "say", "text", "give_up"})
"""What speaks a message, with what it is about as its named arguments."""


def codes_in(node: ast.expr) -> Iterator[str]:
    """The codes that an argument may be."""
    if isinstance(node, ast.Constant) and isinstance(node.value, str):
        yield node.value
    elif isinstance(node, ast.IfExp):
        yield from codes_in(node.body)
        yield from codes_in(node.orelse)


def said_in_python() -> Iterator[tuple[str, str, frozenset[str]]]:
    """Where, which message, and what it is given; but where some of that is made elsewhere."""
    for path in sorted(PYTHON.rglob("*.py")):
        for call in ast.walk(ast.parse(path.read_text())):
            if not isinstance(call, ast.Call):
                continue
            name = getattr(call.func, "id", getattr(call.func, "attr", ""))
            if name in SPEAK and all(one.arg for one in call.keywords):
                given = frozenset(one.arg for one in call.keywords if one.arg)
                for code in (code for one in call.args for code in codes_in(one)):
                    if code in CODES:
                        yield f"{path.name}:{call.lineno}", code, given


_SAID = re.compile(r"""say\(\s*["`]([\w.-]+)["`]\s*(?:,\s*\{([^{}]*)\}\s*,?\s*)?\)""")
_KEY = re.compile(r"(?:^|,)\s*(\w+)\s*(?=[:,]|$)")


def said_on_the_page() -> Iterator[tuple[str, str, frozenset[str]]]:
    """Where, which message, and what it is given."""
    for path in sorted(PAGE.rglob("*.ts*")):
        if ".test." not in path.name and path.name != "schema.d.ts":
            text = path.read_text()
            for found in _SAID.finditer(text):
                yield path.name, found[1], frozenset(_KEY.findall(found[2] or ""))


@cache
def variables(code: str) -> frozenset[str]:
    """What a message is about, with all that is named within it."""
    text = messages(DEFAULT)[code]
    named = re.findall(r"\{ *([a-z][\w-]*) *\}", text)
    return frozenset(re.findall(r"\$([A-Za-z][\w-]*)", text)).union(*map(variables, named))


@cache
def whole_bundle() -> FluentBundle:
    """All messages, as the library itself reads them."""
    bundle = FluentBundle([DEFAULT], use_isolating=False)
    bundle.add_resource(FluentResource("\n".join(messages(DEFAULT).values())))
    return bundle


CODES = sorted(messages(DEFAULT))


@pytest.mark.parametrize("code", CODES)
def test_a_message_can_be_spoken(code: str) -> None:
    """By the library itself, with one and with many of everything: no name in it is unknown."""
    bundle = whole_bundle()
    message = bundle.get_message(code)
    patterns = [*message.attributes.values(), *([message.value] if message.value else [])]
    assert patterns
    for pattern in patterns:
        for amount in (0, 1, 7):
            text, errors = bundle.format_pattern(
                pattern, dict.fromkeys(variables(code) | WORDS, amount)
            )
            assert (text != "", errors) == (True, [])


def lacking(said: Iterable[tuple[str, str, frozenset[str]]]) -> list[tuple[str, str, list[str]]]:
    """Places where a message is not given all that it is about."""
    return [
        (where, code, lacks)
        for where, code, given in said
        if (lacks := sorted(variables(code) - WORDS - given))
    ]


def test_code_gives_its_messages_what_they_are_about() -> None:
    said = [*said_in_python()]
    assert len(said) > 300
    assert lacking(said) == []


def test_the_page_gives_its_messages_what_they_are_about() -> None:
    said = [one for one in said_on_the_page() if "." not in one[1]]
    assert len(said) > 400
    assert [one for one in said if one[1] not in CODES] == []
    assert lacking(said) == []


def test_a_photograph_that_shows_too_little_of_a_thimble_is_told_so() -> None:
    told = Speaker.of(Speaker().numbers, {"thimble": "drum"}).say(Fact("photo-no-long-lines", {}))
    assert "Take more of the drum into the picture." in told
