"""The published JSON Schema of the logbook: it takes what we take, and refuses what it can."""

import json
from pathlib import Path
from typing import Any

import pytest
from hypothesis import given
from jsonschema import Draft202012Validator

from metrion.demo import demo_file
from metrion.formats.faults import Refused
from metrion.formats.logbook import parse_logbook
from scripts.write_schema import text
from tests.strategies import logbooks

ROOT = Path(__file__).parents[2]
SCHEMA = json.loads((ROOT / "docs" / "metrion-logbook.schema.json").read_text("utf-8"))
VALIDATOR = Draft202012Validator(SCHEMA)
REFERENCE = sorted(
    path for path in (ROOT / "tests" / "reference").glob("case-*.json") if "exp" not in path.name
)


def test_the_schema_is_one() -> None:
    Draft202012Validator.check_schema(SCHEMA)


def test_the_published_schema_is_what_the_reader_goes_by() -> None:
    assert json.loads(text()) == SCHEMA, "run scripts/write_schema.py"


@pytest.mark.parametrize("path", REFERENCE, ids=lambda path: path.stem)
def test_reference_logbooks_are_valid(path: Path) -> None:
    assert list(VALIDATOR.iter_errors(json.loads(path.read_text("utf-8")))) == []


@pytest.mark.parametrize("name", ["spare-parts", "sail-film", "bridle-line", "wing-tip-nocks"])
def test_demo_logbooks_are_valid(name: str) -> None:
    assert list(VALIDATOR.iter_errors(json.loads(demo_file(name)))) == []


@given(logbooks())
def test_what_can_be_read_is_valid(document: dict[str, Any]) -> None:
    parse_logbook(document)
    assert list(VALIDATOR.iter_errors(document)) == []


@pytest.mark.parametrize(
    ("path", "value"),
    [
        (("version",), 2),
        (("instruments", 0, "fine_divisions"), "20"),
        (("instruments", 0, "main_division"), "+1"),
        (("instruments", 0, "main_division"), "1/0"),
        (("instruments", 0, "unit"), "arcmin"),
        (("instruments", 0, "span"), None),
        (("zero_checks", 0, "phase"), "during"),
        (("measurements", 0, "items"), 0),
        (("measurements", 0, "observations", 0, "main"), 6),
        (("measurements", 0, "convention"), ""),
        (("instruments", 0, "fine_divisions"), 1_001),
        (("instruments", 0, "id"), "a/b"),
        (("measurements", 0, "name"), "x" * 201),
        (("measurements", 0, "observations", 0, "note"), "x" * 4_001),
        (("measurements", 0, "observations", 0, "place"), None),
    ],
)
def test_what_a_schema_can_see_is_refused_by_both(path: tuple[Any, ...], value: Any) -> None:
    document = json.loads(demo_file("spare-parts"))
    holder = document
    for part in path[:-1]:
        holder = holder[part]
    holder[path[-1]] = value
    assert not VALIDATOR.is_valid(document)
    with pytest.raises(Refused):
        parse_logbook(document)


@pytest.mark.parametrize("missing", ["instruments", "version", "format"])
def test_what_is_required_is_required_by_both(missing: str) -> None:
    document = json.loads(demo_file("spare-parts"))
    del document[missing]
    assert not VALIDATOR.is_valid(document)
    with pytest.raises(Refused):
        parse_logbook(document)
