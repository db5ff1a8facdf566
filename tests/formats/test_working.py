"""The working from outside: every expression gives its value again from the printed ones."""

import json
from collections.abc import Iterator
from fractions import Fraction
from pathlib import Path
from typing import Any

import pytest

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.formula.expression import Expression, number
from metrion.core.logbook import reduce_logbook
from metrion.core.planning.plan import Wish, plans
from metrion.core.working import uncertainty
from metrion.demo import demo_file
from metrion.formats.logbook import parse_logbook, read_logbook
from metrion.formats.results import results_document
from metrion.formats.workbook import workbook
from metrion.formats.working import working_text
from metrion.report import plain, working
from metrion.voice import plainly
from tests.formats.steps import check, close, printed

REFERENCE = sorted((Path(__file__).parents[1] / "reference").glob("case-[0-9]*[0-9].json"))


def document(content: bytes) -> dict[str, Any]:
    found = json.loads("".join(working_text(read_logbook(content), plainly())))
    assert isinstance(found, dict)
    return found


@pytest.mark.parametrize("path", REFERENCE, ids=lambda path: path.stem)
def test_every_step_gives_its_value_and_the_last_ones_are_the_results(path: Path) -> None:
    content = path.read_bytes()
    found, results = document(content), results_document(read_logbook(content))
    known = {}
    for worked, result in zip(found["measurements"], results["measurements"], strict=True):
        known[worked["id"]] = check(worked["steps"], {})
        agree(known[worked["id"]], worked["steps"], result)
        counting = [step for step in worked["steps"] if step["label"].startswith("reading ")]
        assert len({step["key"].split("_")[1] for step in counting}) == result["count"]
    for worked, result in zip(found["derived"], results["derived"], strict=True):
        values = check(worked["steps"], known)
        agree(values, worked["steps"], result)


def agree(values: dict[str, Any], steps: list[dict[str, Any]], result: dict[str, Any]) -> None:
    """The mean, the uncertainty and the sentence are the printed results."""
    assert (steps[-1]["key"], steps[-1]["value"]) == ("rounded", result["text"])
    for key, name in (("mean", "mean"), ("uncertainty", "uncertainty_unrounded")):
        if result[name] is None:
            assert key not in values
        else:
            assert close(values[key], printed(result[name]))


def long_series(**instrument: object) -> bytes:
    """More readings than are written out one by one."""
    tool = {"id": "t", "unit": "mm", **instrument}
    indications = [
        {"main": str(main), "fine": line, "second_turn": bool(line % 2)}
        for main in (4, 5, 6) for line in range(9)
    ] * 9  # fmt: skip
    checks = [
        {"id": f"z{i}", "instrument": "t", "main": "0", "fine": i % 9, "reference": "0.5"}
        for i in range(100)
    ]
    measurement = {
        "id": "m", "instrument": "t", "convention": "standard-95", "observations": indications,
        "zero": [check["id"] for check in checks],
    }  # fmt: skip
    return json.dumps(
        {"format": "metrion-logbook", "version": 1, "instruments": [tool],
         "zero_checks": checks, "measurements": [measurement]}
    ).encode()  # fmt: skip


@pytest.mark.parametrize(
    "instrument",
    [
        {"kind": "vernier", "main_division": "1", "fine_divisions": 10, "span": 9},
        {"kind": "vernier", "main_division": "1", "fine_divisions": 10, "span": 11},
        {"kind": "vernier", "main_division": "1", "fine_divisions": 10, "span": 7},
        {"kind": "screw", "main_division": "1", "fine_divisions": 50, "pitch": "0.5"},
        {"kind": "screw", "main_division": "1", "fine_divisions": 50, "pitch": "2"},
    ],
)
def test_long_series_are_lists_of_marks_and_lines(instrument: dict[str, object]) -> None:
    ((worked,), _) = (
        document(long_series(**instrument))[key] for key in ("measurements", "derived")
    )
    values = check(worked["steps"], {})
    expressions = {step["key"]: step["expression"] for step in worked["steps"]}
    assert expressions["marks"] is expressions["lines"] is None
    assert len(values["marks"]) == len(values["readings"]) == 243
    assert not [key for key in expressions if key.startswith("reading_")]
    assert "lines" in expressions["readings"]


def test_without_a_result_mean_uncertainty_and_rounded_are_null() -> None:
    (worked, *_) = document(demo_file("sail-film"))["measurements"]
    tail = {step["key"]: step["value"] for step in worked["steps"][-3:]}
    assert tail == {"mean": None, "uncertainty": None, "rounded": None}


def forget() -> None:
    """Rules are kept once they are made."""
    uncertainty._rules.cache_clear()
    uncertainty._combination.cache_clear()


@pytest.fixture
def doubled(monkeypatch: pytest.MonkeyPatch) -> Iterator[None]:
    """The reading component of every convention, twice as large."""
    known = uncertainty._reading

    def twice(limit: Expression, indications: int, standard: bool) -> Expression:
        return number(2) * known(limit, indications, standard)

    monkeypatch.setattr(uncertainty, "_reading", twice)
    forget()
    yield
    forget()


def everywhere() -> dict[str, object]:
    """What a result, its page, its spreadsheet and the planner say of a single reading."""
    logbook = json.loads(demo_file("spare-parts"))
    first = logbook["measurements"][0]
    first |= {"convention": "standard", "observations": first["observations"][:1]}
    parsed = parse_logbook(logbook)
    result = reduce_logbook(parsed).measurements[0].result
    wish = Wish(Fraction(6), "mm", Fraction(1), BUILT_IN["standard"])
    _, page, _ = workbook(reduce_logbook(parsed)).worksheets
    (line,) = [one for one in working(result, plainly()) if one.key == "component_reading"]
    return {
        "reduce": results_document(parsed)["measurements"][0]["uncertainty_unrounded"],
        "page": plain(line.spans),
        "workbook": [cell.value for row in page.iter_rows() for cell in row],
        "planner": plans(wish, [parsed.measurements[0].instrument])[0].uncertainty,
    }


def test_a_rule_that_changes_changes_everywhere(request: pytest.FixtureRequest) -> None:
    before = everywhere()
    request.getfixturevalue("doubled")
    after = everywhere()
    assert [key for key in before if before[key] == after[key]] == []
