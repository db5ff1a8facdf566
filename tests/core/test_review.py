"""Second looks: which series raise which flags, and which do not."""

from collections.abc import Sequence
from fractions import Fraction
from typing import Any

import pytest

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation
from metrion.core.quantity.zero import Phase, ZeroCheck
from metrion.core.review import Flag, review
from metrion.core.scales import Indication, ScrewScale, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly

CALIPER = Instrument(
    "cal", "Caliper A", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39),
    range=(Fraction(0), Fraction(150)),
)  # fmt: skip
SCREW = Instrument(
    "screw", "Screw gauge B", Kind.SCREW, "mm", ScrewScale(Fraction(1, 2), 50, Fraction(1))
)
FINER = Instrument(
    "screw", "Screw gauge C", Kind.SCREW, "mm", ScrewScale(Fraction(1), 50, Fraction(1, 2))
)
ZERO = ZeroCheck("z", "cal", Indication(Fraction(0), 0), face="outside")


def measured(
    readings: Sequence[tuple[Any, ...]], instrument: Instrument = CALIPER, **more: Any
) -> Measurement:
    observations = tuple(
        Observation(
            (Indication(Fraction(str(main)), line, bool(rest[1]) if len(rest) > 1 else False),),
            place=str(rest[0]) if rest else "",
        )
        for main, line, *rest in readings
    )
    fields: dict[str, Any] = {"checks": (ZERO,), "face": "outside", **more}
    return Measurement(
        "m", "D", instrument, BUILT_IN["half-division"], observations, **fields
    )  # fmt: skip


def codes(measurement: Measurement) -> list[tuple[str, int | None]]:
    return [(flag.code, flag.observation) for flag in review(measurement)]


def only(measurement: Measurement, code: str) -> Flag:
    (flag,) = [flag for flag in review(measurement) if flag.code == code]
    return flag


def test_a_clean_series_raises_nothing() -> None:
    assert codes(measured([(6, 3), (6, 4), (6, 3), (6, 5)])) == []


def test_one_mark_too_many_is_found_and_the_mark_suggested() -> None:
    flag = only(measured([(6, 3), (6, 4), (6, 3), (7, 3)]), "main-mark-slip")
    assert (flag.observation, flag.suggestion) == (3, {"main": "6"})
    assert plainly().say(flag.says) == (
        "Reading 4 stands one mark above the others. Had the zero line really passed 7?"
    )


def test_one_mark_too_few_is_found() -> None:
    flag = only(measured([(6, 3), (5, 4), (6, 3)]), "main-mark-slip")
    assert flag.suggestion == {"main": "6"}


def test_with_three_readings_two_can_qualify() -> None:
    found = codes(measured([(6, 3), (7, 3), (8, 3)]))
    assert ("main-mark-slip", 0) not in found
    assert codes(measured([(6, 3), (6, 3), (7, 3)])) == [("main-mark-slip", 2)]


def test_scatter_of_more_than_half_a_mark_hides_a_slip() -> None:
    assert codes(measured([(6, 0), (6, 12), (6, 6), (7, 6)])) == []


def test_a_turn_missed_on_a_sleeve_with_every_second_turn_marked() -> None:
    flag = only(
        measured([(4, 38), (4, 39), (4, 38, "", True), (4, 37)], SCREW, checks=()),
        "main-mark-slip",
    )
    assert (flag.observation, flag.suggestion) == (2, {"main": "4", "second_turn": False})


@pytest.mark.parametrize("main", ["62", "0"])
def test_centimetres_read_as_millimetres(main: str) -> None:
    line = 0 if main == "62" else 12
    assert ("unit-slip", 2) in codes(measured([(6, 3), (6, 4), (main, line)]))


def test_an_outlier_is_named_once_and_only_where_no_slip_explains_it() -> None:
    base: list[tuple[object, ...]] = [(6, 3), (6, 4), (6, 3), (6, 4), (6, 3), (6, 4)]
    assert codes(measured([*base, (6, 12)])) == [("outlier", 6)]
    assert codes(measured([*base, (7, 3)])) == [("main-mark-slip", 6)]


def test_equal_and_few_readings() -> None:
    assert codes(measured([(6, 3)] * 3)) == [("identical-readings", None)]
    assert codes(measured([(6, 3), (6, 4)])) == [("few-readings", None)]


def test_the_zero() -> None:
    readings: list[tuple[object, ...]] = [(6, 3), (6, 4), (6, 3)]
    after = ZeroCheck("y", "cal", Indication(Fraction(0), 2), face="outside", phase=Phase.AFTER)
    inside = ZeroCheck("x", "cal", Indication(Fraction(0), 0), face="inside")
    assert codes(measured(readings, checks=())) == [("zero-unchecked", None)]
    assert codes(measured(readings, checks=(ZERO, after))) == [("zero-drift", None)]
    flag = only(measured(readings, checks=(inside,)), "zero-other-face")
    assert "inside" in plainly().say(flag.says)
    assert "outside" in plainly().say(flag.says)


@pytest.mark.parametrize(
    ("lines", "phase", "face", "phases"),
    [
        ((0, 2), Phase.BEFORE, "outside", [Phase.BEFORE]),
        ((0, 1), Phase.BEFORE, "outside", []),
        ((3, 0, 1), Phase.AFTER, "", [Phase.AFTER]),
        ((0, 2), Phase.BEFORE, "inside", []),
    ],
)
def test_looks_at_the_zero_that_do_not_agree(
    lines: tuple[int, ...], phase: Phase, face: str, phases: list[Phase]
) -> None:
    checks = tuple(
        ZeroCheck(f"z{at}", "cal", Indication(Fraction(0), line), face=face, phase=phase)
        for at, line in enumerate(lines)
    )
    found = review(measured([(6, 3), (6, 4), (6, 4)], checks=checks))
    assert [flag.phase for flag in found if flag.code == "zero-looks-differ"] == phases


def test_looks_of_both_phases_are_told_apart() -> None:
    checks = tuple(
        ZeroCheck(f"{phase}{line}", "cal", Indication(Fraction(0), line), phase=phase)
        for phase in (Phase.AFTER, Phase.BEFORE)
        for line in (0, 3)
    )
    found = review(measured([(6, 3), (6, 4), (6, 4)], checks=checks))
    assert [(flag.code, flag.phase) for flag in found] == [
        ("zero-looks-differ", Phase.BEFORE), ("zero-looks-differ", Phase.AFTER),
    ]  # fmt: skip


def test_places_that_differ_for_good() -> None:
    oval = [(6, 3, "0°"), (6, 4, "0°"), (6, 10, "90°"), (6, 11, "90°")]
    assert codes(measured(oval)) == [("place-effect", None)]
    scattered = [(6, 3, "0°"), (6, 9, "0°"), (6, 10, "90°"), (6, 5, "90°")]
    assert codes(measured(scattered)) == []


def test_outside_the_range() -> None:
    assert codes(measured([(150, 3), (150, 0), (150, 0)])) == [("out-of-range", 0)]


def test_a_mark_that_contradicts_the_thimble() -> None:
    flag = only(
        measured([("4.5", 12), (4, 12), (4, 13)], FINER, checks=()), "mark-contradicts-line"
    )
    assert (flag.observation, flag.suggestion) == (0, {"main": "4"})


def test_the_line_that_was_seen_to_meet_another_mark() -> None:
    indication = Indication(Fraction(6), 3)
    agreeing, disagreeing = (Observation((indication,), meets=Fraction(mark)) for mark in (12, 13))
    plain = Observation((Indication(Fraction(6), 4),))
    measurement = Measurement(
        "m", "D", CALIPER, BUILT_IN["half-division"], (agreeing, disagreeing, plain), (ZERO,)
    )
    assert codes(measurement) == [("lines-disagree", 1)]


THREE = [(6, 3), (6, 4), (6, 3)]


def zeros(*checks: ZeroCheck, instrument: Instrument = CALIPER) -> list[tuple[str, dict[str, Any]]]:
    """The zero checks that count as a mark off, with what is suggested."""
    found = review(measured(THREE, instrument, checks=checks))
    wrapped = [flag for flag in found if flag.code == "zero-wrapped"]
    assert all(flag.observation is None and flag.level == "warning" for flag in wrapped)
    return [(flag.zero_check, dict(flag.suggestion)) for flag in wrapped]


def closed(key: str, main: str, line: int, reference: int = 0, second: bool = False) -> ZeroCheck:
    indication = Indication(Fraction(main), line, second)
    return ZeroCheck(key, "cal", indication, "outside", reference=Fraction(reference))


@pytest.mark.parametrize(
    ("main", "line", "reference", "suggested"),
    [
        ("0", 0, 0, None),
        ("0", 10, 0, None),  # just half a mark: not over it
        ("0", 11, 0, "-1"),
        ("0", 19, 0, "-1"),
        ("-1", 10, 0, None),
        ("-1", 9, 0, "0"),
        ("1", 10, 0, "0"),  # one and a half marks are still one
        ("1", 11, 0, None),
        ("-2", 10, 0, "-1"),
        ("-2", 9, 0, None),
        ("5", 15, 5, "4"),
        ("5", 2, 5, None),
    ],
)
def test_a_zero_over_half_a_mark_off_is_taken_for_one_counted_from_the_wrong_mark(
    main: str, line: int, reference: int, suggested: str | None
) -> None:
    found = zeros(closed("z", main, line, reference))
    assert found == ([] if suggested is None else [("z", {"main": suggested})])


def test_on_a_screw_a_turn_is_what_counts() -> None:
    assert zeros(closed("z", "0", 47), instrument=SCREW) == [
        ("z", {"main": "-1", "second_turn": True})
    ]
    assert zeros(closed("z", "0", 3, second=True), instrument=SCREW) == [
        ("z", {"main": "0", "second_turn": False})
    ]
    assert zeros(closed("z", "0.5", 40), instrument=FINER) == [("z", {"main": "-0.5"})]


def test_each_check_has_its_own_flag_in_their_order() -> None:
    checks = closed("b", "0", 17), closed("a", "0", 1), closed("c", "-1", 2)
    assert zeros(*checks) == [("b", {"main": "-1"}), ("c", {"main": "0"})]


def test_the_zero_of_pairs_cancels_and_is_not_asked_about() -> None:
    indications = (Indication(Fraction(6), 3), Indication(Fraction(9), 3))
    pairs = Measurement(
        "m", "D", CALIPER, BUILT_IN["standard"], (Observation(indications),) * 3,
        checks=(closed("z", "0", 17),),
    )  # fmt: skip
    assert "zero-wrapped" not in [flag.code for flag in review(pairs)]


def test_the_words_say_how_the_faces_would_look() -> None:
    (flag,) = (
        flag
        for flag in review(measured(THREE, checks=(closed("z", "0", 17),)))
        if flag.code == "zero-wrapped"
    )
    assert plainly().say(flag.says) == (
        "A look at the zero comes to 0.85 mm: nearer to a full mark than to nothing. "
        "If the fine zero stood left of the main zero, it is −0.15 mm."
    )
