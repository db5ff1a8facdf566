"""Plans: what is made of them, what is left, and what of that is flagged."""

from typing import Any

import pytest

from metrion.core.logbook import reduce_logbook
from metrion.core.quantity.reading_plan import PlaceLeft, ReadingPlan
from metrion.core.quantity.zero import Phase
from metrion.formats.logbook import parse_logbook
from metrion.formats.results import results_document
from metrion.report.build import build_report
from metrion.report.render.markdown import markdown_text
from tests.formats.edited import pointers

BEFORE, AFTER = Phase.BEFORE, Phase.AFTER


@pytest.mark.parametrize(
    ("plan", "read_at", "made", "extra", "left"),
    [
        (ReadingPlan(), [], 0, 0, [(None, 1)]),
        (ReadingPlan(each=3), ["", "end A"], 2, 0, [(None, 1)]),
        (ReadingPlan(each=2), ["", "", "there"], 2, 1, []),
        (
            ReadingPlan(("end A", "middle"), 3), ["END  a", "end a", "middle", "", "end B"],
            3, 2, [("end A", 1), ("middle", 2)],
        ),
        (ReadingPlan(("Straße",), 1), [" STRASSE ", "strasse"], 1, 1, []),
        (ReadingPlan(("b", "a"), 2), ["a", "a", "a"], 2, 1, [("b", 2)]),
    ],
)  # fmt: skip
def test_what_is_made_and_left(
    plan: ReadingPlan, read_at: list[str], made: int, extra: int, left: list[tuple[Any, int]]
) -> None:
    progress = plan.held_against(read_at, ())
    assert (progress.made, progress.extra) == (made, extra)
    assert progress.of == made + sum(count for _, count in left)
    assert progress.left == tuple(PlaceLeft(*one) for one in left)
    assert progress.done == (not left)


def test_looks_at_the_zero_in_the_order_of_the_plan() -> None:
    plan = ReadingPlan(zero=(AFTER, BEFORE))
    assert plan.held_against([""], ()).zero_left == (AFTER, BEFORE)
    assert plan.held_against([""], {BEFORE}).zero_left == (AFTER,)
    assert plan.held_against([""], {BEFORE, AFTER}).done


def sheet(plan: Any, observations: list[dict[str, Any]], **more: Any) -> dict[str, Any]:
    return {
        "format": "metrion-logbook", "version": 1, "convention": "half-division",
        "instruments": [
            {"id": "cal", "kind": "vernier", "unit": "mm", "main_division": "1",
             "fine_divisions": 20, "span": 39},
            {"id": "circle", "kind": "angular", "unit": "arcmin", "main_division": "20",
             "fine_divisions": 40, "span": 39},
        ],
        "zero_checks": [{"id": "z", "instrument": "cal", "main": "0", "fine": 1}],
        "measurements": [
            {"id": "m", "instrument": "cal", "plan": plan, "observations": observations, **more}
        ],
    }  # fmt: skip


def results(*given: Any, **more: Any) -> Any:
    found: Any = results_document(parse_logbook(sheet(*given, **more)))
    return found["measurements"][0]


ROWS = [
    {"main": "6", "fine": 3, "place": "End a"},
    {"main": "6", "fine": 4, "place": "end A", "excluded": "knocked"},
    {"main": "6", "fine": 4},
]


def test_results_tell_the_plan_and_its_flag_is_the_last() -> None:
    plan = {"places": ["end A", "middle"], "each": 2, "zero": ["after", "before"]}
    found = results(plan, ROWS, zero=["z"])
    assert found["plan"] == {
        "made": 1, "of": 4, "extra": 1,
        "left": [{"place": "end A", "count": 1}, {"place": "middle", "count": 2}],
        "zero_left": ["after"],
    }  # fmt: skip
    assert [flag["code"] for flag in found["flags"]] == ["few-readings", "plan-left"]
    assert found["flags"][-1]["level"] == "info"
    assert found["flags"][-1]["message"] == (
        "Planned and still to do: 1 reading at end A, 2 readings at middle and a look at the zero"
        " after the readings."
    )


def test_no_flag_before_the_first_observation_nor_after_the_last() -> None:
    excluded = [{**ROWS[0], "excluded": "knocked"}]
    for rows, flagged in (([], False), (excluded, True), ([ROWS[0]], False)):
        found = results({"places": ["end a"]}, rows)
        codes = [flag["code"] for flag in found["flags"]]
        assert ("plan-left" in codes) is flagged


def test_pairs_need_no_look_at_the_zero() -> None:
    pair = {"a": {"main": "0:00", "fine": 1}, "b": {"main": "9:20", "fine": 2}}
    found = results({"zero": ["before"]}, [pair], instrument="circle")
    assert found["plan"] == {"made": 1, "of": 1, "extra": 0, "left": [], "zero_left": []}
    on_a_caliper = {"a": {"main": "6", "fine": 1}, "b": {"main": "9", "fine": 2}}
    assert results({"zero": ["before"]}, [on_a_caliper])["plan"]["zero_left"] == []


def test_without_a_plan_there_is_nothing_to_tell() -> None:
    document = sheet({}, ROWS)
    del document["measurements"][0]["plan"]
    found: Any = results_document(parse_logbook(document))
    assert "plan" not in found["measurements"][0]


PLAN = "/measurements/0/plan"


@pytest.mark.parametrize(
    ("plan", "where"),
    [
        ([], [PLAN]), (None, [PLAN]), ("all", [PLAN]),
        ({"places": "end A"}, [f"{PLAN}/places"]),
        ({"places": ["end A", " End  a "]}, [f"{PLAN}/places/1"]),
        ({"places": ["", " ", "a", 5]}, [f"{PLAN}/places/{n}" for n in (3, 0, 1)]),
        ({"places": ["x" * 201]}, [f"{PLAN}/places/0"]),
        ({"places": ["bell\x07"]}, [f"{PLAN}/places/0"]),
        ({"places": [str(n) for n in range(51)]}, [f"{PLAN}/places"]),
        ({"each": 0}, [f"{PLAN}/each"]), ({"each": 101}, [f"{PLAN}/each"]),
        ({"each": "3"}, [f"{PLAN}/each"]), ({"each": True}, [f"{PLAN}/each"]),
        ({"zero": ["before", "during", "before"]}, [f"{PLAN}/zero/1", f"{PLAN}/zero/2"]),
        ({"zero": "before"}, [f"{PLAN}/zero"]),
    ],
)  # fmt: skip
def test_faults_of_a_plan(plan: Any, where: list[str]) -> None:
    assert sorted(pointers(sheet(plan, ROWS))) == sorted(where)


def test_what_is_right_at_the_edge() -> None:
    places = [str(n) for n in range(50)]
    measurement = parse_logbook(sheet({"places": places, "each": 100, "why": 1}, [])).measurements
    (one,) = measurement
    assert one.plan == ReadingPlan(tuple(places), 100, (), {"why": 1})
    assert one.progress is not None
    assert one.progress.of == 5000


def test_the_report_says_what_is_left() -> None:
    for plan, said in (({"each": 5}, "still to do: 3 readings."), ({"each": 2}, "")):
        results = reduce_logbook(parse_logbook(sheet(plan, ROWS)))
        text = markdown_text(build_report(results))
        assert ("still to do" in text) is bool(said)
        assert said in text
