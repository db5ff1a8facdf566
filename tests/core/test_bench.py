"""The simulated bench: good habits hold the truth, and each bad one costs what it must."""

from __future__ import annotations

from dataclasses import replace
from statistics import fmean

import pytest

from metrion.core.bench.acts import Act, Do, NoSuchAct, NotNow, Simulated, parse_simulated
from metrion.core.bench.bench import Cause
from metrion.core.bench.catalogue import (
    INSTRUMENTS,
    BenchPart,
    BenchPlace,
    Tool,
    fits,
    part_truth,
    places,
    tool_truth,
)
from metrion.core.bench.reveal import READ, reveal
from metrion.core.bench.transitions import after, benched, may
from metrion.core.quantity.measurements import reduce_measurement
from tests.bench_rounds import GOOD, Habits, gone_through, luck_of

SCREW = INSTRUMENTS[Tool.SCREW]
LEAST = float(SCREW.least_count)
ROUNDS = 150
STEADY = {"standoff_uneven": 0.0, "standoff_oval": 0.0, "standoff_taper": 0.5, "screw_drift": 0.5}
"""A part that is nearly round and even, on a tool whose zero stays."""


def mean_off(habits: Habits, part: BenchPart = BenchPart.STANDOFF, **fixed: float) -> float:
    """By how much results are off, on the average of many rounds."""
    some = (luck_of(seed, **(STEADY | fixed)) for seed in range(ROUNDS))
    return fmean(gone_through(Tool.SCREW, part, luck, habits).revealed.off for luck in some)


UNZEROED = replace(GOOD, looks_at_zero=False)
ZERO = {"screw_zero": 0.4, "screw_zero_below": 0.9}
ZERO_ERROR = (2 + 0.4 * 5) * LEAST


@pytest.mark.parametrize(
    ("habits", "fixed", "shift"),
    [
        (GOOD, {}, 0.0),
        (replace(GOOD, closes=(Do.FORCE,)), {"screw_give": 0.5}, -3.5 * LEAST),
        (UNZEROED, ZERO, ZERO_ERROR),
        (UNZEROED, {**ZERO, "screw_zero_below": 0.1}, -ZERO_ERROR),
        (replace(GOOD, closes=(Do.CLOSE, Do.EASE)), {"screw_play": 0.6}, 3.0 * LEAST / 2),
        (replace(GOOD, closes=(Do.EASE,)), {"screw_play": 0.6}, 3.0 * LEAST),
        (replace(GOOD, places=(BenchPlace.CUT,)), {"standoff_burr": 0.25}, 0.08 + 0.12 * 0.25),
        (replace(GOOD, places=(BenchPlace.END,)), {"standoff_taper": 0.9}, -0.5 * 0.016),
        (replace(GOOD, places=(BenchPlace.FAR_END,)), {"standoff_taper": 0.9}, 0.5 * 0.016),
        (replace(UNZEROED, wipes=False), {**ZERO, "screw_dust": 0.5}, ZERO_ERROR + 2 * LEAST),
        (replace(GOOD, wipes=False), {"screw_dust": 0.5}, 0.0),
        (replace(UNZEROED, lifts=False), {**ZERO, "screw_aslant": 0.5}, ZERO_ERROR + 1.75 * LEAST),
        (replace(UNZEROED, locks=False), {**ZERO, "screw_slack": 0.5}, ZERO_ERROR + 1.5 * LEAST),
    ],
    ids=[
        "good habits", "forced", "zero above not looked at", "zero below not looked at",
        "from both sides", "from inside", "on the burr", "at one end", "at the other end",
        "dust and no zero", "dust in the zero too", "from aside", "unlocked",
    ],
)  # fmt: skip
def test_each_habit_shifts_the_result_by_what_it_costs(
    habits: Habits, fixed: dict[str, float], shift: float
) -> None:
    assert mean_off(habits, **fixed) == pytest.approx(shift, abs=0.25 * LEAST)


@pytest.mark.parametrize("fixed", [{"spreader_oval": 0.99, "spreader_uneven": 0.0}])
def test_who_turns_the_part_finds_how_oval_it_is(fixed: dict[str, float]) -> None:
    def spread(habits: Habits) -> float:
        rounds = (
            gone_through(Tool.SCREW, BenchPart.SPREADER, luck_of(seed, **fixed), habits)
            for seed in range(40)
        )
        return fmean(abs(one.revealed.costs[Cause.PLACE]) for one in rounds)

    stays = spread(replace(GOOD, places=(BenchPlace.MIDDLE,), turns=False))
    assert stays == pytest.approx(0.0297 / 2 * 0.637, rel=0.2)
    assert spread(GOOD) < stays / 2


@pytest.mark.parametrize(
    ("tool", "part"), [(tool, part) for tool in Tool for part in BenchPart if fits(tool, part)]
)
def test_what_the_causes_cost_is_what_a_result_is_off(tool: Tool, part: BenchPart) -> None:
    habits = replace(GOOD, closes=(Do.CLOSE, Do.EASE), locks=False, readings=4)
    for seed in range(5):
        found = gone_through(tool, part, luck_of(seed), habits).revealed
        assert sum(found.costs.values()) == pytest.approx(found.off, abs=1e-9)
        assert found.costs[Cause.GAP] == pytest.approx(0, abs=1e-9)
        assert abs(found.costs[READ]) <= float(INSTRUMENTS[tool].least_count)


def test_a_slip_at_the_scales_stands_apart_from_what_the_hand_did() -> None:
    round_ = gone_through(Tool.SCREW, BenchPart.STANDOFF, luck_of(3))
    measured = round_.result.measurement
    first, *others = measured.observations
    [look] = first.indications
    slipped = replace(first, indications=(replace(look, main=look.main + SCREW.scale.mark),))
    result = reduce_measurement(replace(measured, observations=(slipped, *others)))
    found = reveal(lambda _: luck_of(3), result)
    assert found is not None
    more = found.costs[READ] - round_.revealed.costs[READ]
    assert more == pytest.approx(0.5 / len(measured.observations))
    assert found.costs[Cause.PLAY] == round_.revealed.costs[Cause.PLAY] == 0


def test_what_was_read_elsewhere_is_not_revealed() -> None:
    round_ = gone_through(Tool.SCREW, BenchPart.STANDOFF, luck_of(3))
    measured = round_.result.measurement
    first, *others = measured.observations
    strange = [
        replace(first, noted=replace(first.noted, simulated=text))
        for text in ("", "1 fly", "1 take:screw lock open", "0 take:screw", "x")
    ]
    for those in (*((one, *others) for one in strange), ()):
        result = reduce_measurement(replace(measured, observations=those))
        assert reveal(lambda _: luck_of(3), result) is None


def test_a_drag_that_presses_says_so_and_reads_too_little() -> None:
    luck = luck_of(11, screw_give=0.0)
    bench = benched(luck, [Act(Do.TAKE, "screw"), Act(Do.WIPE), Act(Do.PLACE, "nock/middle")])
    size = part_truth(BenchPart.NOCK, luck).size
    near = after(bench, Act(Do.MOVE, str(size + 1)))
    assert not near.touching
    assert near.shown == pytest.approx(size + 1)
    met = after(near, Act(Do.CLOSE))
    pressed = after(near, Act(Do.MOVE, "0"))
    assert pressed.at == pytest.approx(met.at - 2 * LEAST)
    assert pressed.remark is not None
    assert pressed.remark.code == "bench-pressed"
    assert after(pressed, Act(Do.MOVE, str(size + 2))).touching is False


def test_lifted_unlocked_it_slips_and_locked_it_does_not() -> None:
    closed = benched(
        luck_of(2), [Act(Do.TAKE, "caliper"), Act(Do.PLACE, "nock/end"), Act(Do.CLOSE)]
    )
    slid = after(closed, Act(Do.LIFT))
    held = after(after(closed, Act(Do.LOCK)), Act(Do.LIFT))
    assert slid.at > held.at == closed.at
    assert held.shown == held.at
    assert closed.shown > closed.at


@pytest.mark.parametrize(
    ("acts", "refused"),
    [
        (["take:caliper", "lock"], Do.CLOSE),
        (["take:caliper", "lock"], Do.OPEN),
        (["take:caliper", "close"], Do.PLACE),
        (["take:caliper", "place:nock/end"], Do.WIPE),
        (["take:caliper"], Do.READ),
        (["take:caliper"], Do.ZERO),
        (["take:caliper", "place:nock/end", "close"], Do.ZERO),
        (["take:caliper", "place:nock/end", "close", "lift"], Do.FORCE),
        (["take:circle"], Do.CLOSE),
        (["take:circle", "place:foil/left", "close"], Do.FORCE),
        (["take:display", "close"], Do.LIFT),
    ],
)
def test_what_cannot_be_done_now_is_refused(acts: list[str], refused: Do) -> None:
    bench = benched(luck_of(1), parse_simulated(" ".join(["1", *acts])).acts)
    assert not may(bench, refused)
    with pytest.raises(NotNow):
        after(bench, Act(refused))


@pytest.mark.parametrize(
    "text",
    ["", "x take:caliper", "1 fly", "1 take:laser", "1 place:nock", "1 place:foil/left",
     "1 place:nock/left", "1 move:far", "1 move:nan", "-1 wipe"],
)  # fmt: skip
def test_text_that_is_no_bench_is_refused(text: str) -> None:
    with pytest.raises(NoSuchAct):
        benched(luck_of(1), parse_simulated(text).acts)


def test_what_was_done_is_kept_as_text() -> None:
    done = Simulated(7, (Act(Do.TAKE, "screw"), Act(Do.WIPE), Act(Do.MOVE, "12.25")))
    assert str(done) == "7 take:screw wipe move:12.25"
    assert parse_simulated(str(done)) == done


@pytest.mark.parametrize("tool", Tool)
def test_every_seed_has_another_tool_of_the_same_make(tool: Tool) -> None:
    zeros = {tool_truth(tool, luck_of(seed)).zero for seed in range(20)}
    assert len(zeros) == 20
    assert min(zeros) < 0 < max(zeros)
    assert tool_truth(tool, luck_of(4)) == tool_truth(tool, luck_of(4))


@pytest.mark.parametrize("part", BenchPart)
def test_every_part_fits_a_tool_and_has_places(part: BenchPart) -> None:
    tools = [tool for tool in Tool if fits(tool, part)]
    size = part_truth(part, luck_of(5)).size
    assert tools
    assert len(places(part)) >= 2
    assert all(INSTRUMENTS[one].can_reach(round(size)) for one in tools)
