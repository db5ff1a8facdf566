"""Remarks beyond the flags, and what more readings would buy."""

from dataclasses import replace
from fractions import Fraction

import pytest

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import Measurement, MeasurementResult, reduce_measurement
from metrion.core.quantity.noted import Approach, Noted
from metrion.core.quantity.observations import Observation
from metrion.core.review.advice import advice
from metrion.core.review.hints import hints
from metrion.core.scales import Indication, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly

CALIPER = Instrument("cal", "Caliper A", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))


def series(*lines: int, convention: str = "half-division") -> Measurement:
    observations = tuple(Observation((Indication(Fraction(6), line),)) for line in lines)
    return Measurement("m", "D", CALIPER, BUILT_IN[convention], observations)


def codes(measurement: Measurement, noted: list[Noted] | None = None) -> list[str]:
    pairs = zip(measurement.observations, noted or (), strict=False)
    observations = tuple(replace(one, noted=beside) for one, beside in pairs)
    told = replace(measurement, observations=observations or measurement.observations)
    return [hint.code for hint in hints(told)]


def said(result: MeasurementResult) -> str:
    found = advice(result)
    return plainly().say(found) if found else ""


OPENING, CLOSING = (Noted(approach=approach) for approach in Approach)
ANE, BO, NOBODY = Noted(reader="Ane"), Noted(reader="Bo"), Noted()


@pytest.mark.parametrize(
    ("lines", "noted", "found"),
    [
        ((3, 4, 9, 8), [OPENING, OPENING, CLOSING, CLOSING], ["play"]),
        ((3, 4, 5, 4), [OPENING, OPENING, CLOSING, CLOSING], []),  # within two least counts
        ((3, 9, 11, 5), [OPENING, OPENING, CLOSING, CLOSING], []),  # within their own scatter
        ((3, 4, 9), [OPENING, OPENING, CLOSING], []),  # one alone shows nothing
        ((3, 4, 9, 8), [ANE, ANE, BO, BO], ["readers"]),
        ((3, 4, 9, 8), [ANE, ANE, NOBODY, NOBODY], []),
    ],
)
def test_groups_that_differ(lines: tuple[int, ...], noted: list[Noted], found: list[str]) -> None:
    assert codes(series(*lines), noted) == found


def test_a_reading_that_was_set_aside_belongs_to_no_group() -> None:
    measurement = series(3, 4, 9, 9)
    excluded = replace(measurement.observations[3], excluded="slipped")
    changed = replace(measurement, observations=(*measurement.observations[:3], excluded))
    assert codes(changed, [OPENING, OPENING, CLOSING, CLOSING]) == []


@pytest.mark.parametrize(
    ("lines", "found"),
    [
        ((3, 4, 4, 5, 7), ["trend"]),
        ((9, 7, 6, 5, 3), ["trend"]),
        ((3, 4, 3, 5, 7), []),
        ((3, 3, 4, 4, 5), []),  # two least counts are no trend
        ((3, 5, 7, 9), []),  # four readings are too few
    ],
)
def test_a_steady_trend(lines: tuple[int, ...], found: list[str]) -> None:
    assert codes(series(*lines)) == found


@pytest.mark.parametrize(
    ("lines", "convention", "says"),
    [
        ((3, 4, 3), "half-division", "The tool’s scale limits the result now"),
        ((3, 9, 5), "half-division", "do not make it smaller"),
        ((3, 3, 3), "standard", "The tool’s scale limits the result now"),
        ((3, 9, 5), "standard", "One more reading like these would bring ±0.089 mm to about"),
        ((3, 4), "standard", ""),
    ],
)
def test_what_more_readings_would_buy(lines: tuple[int, ...], convention: str, says: str) -> None:
    sentence = said(reduce_measurement(series(*lines, convention=convention)))
    assert says in sentence
    assert bool(sentence) == bool(says)


def test_many_readings_end_at_what_the_scale_allows() -> None:
    lines = [3, 5, 4, 6, 2, 4] * 5
    sentence = said(reduce_measurement(series(*lines, convention="standard")))
    assert sentence.startswith("One more reading would change little.")


def told(lines: tuple[int, ...], noted: list[Noted] | None = None) -> list[str]:
    measurement = series(*lines)
    pairs = zip(measurement.observations, noted or [NOBODY] * len(lines), strict=True)
    observations = tuple(replace(one, noted=beside) for one, beside in pairs)
    found = hints(replace(measurement, observations=observations))
    return [plainly().say(hint.says) for hint in found]


def test_what_is_remarked_in_full() -> None:
    opened = [OPENING, OPENING, CLOSING, CLOSING]
    assert told((3, 4, 9, 8), opened) == [
        "Readings taken opening and closing differ by 0.25 mm: the tool has play. Approach from "
        "one side only, and take the zero from that side too."
    ]
    assert told((9, 8, 3, 4), [ANE, ANE, BO, BO]) == [
        "Bo and Ane differ by 0.25 mm, more than the readings of either. Read one position "
        "together, and see who looks at the scale aslant."
    ]


@pytest.mark.parametrize(
    ("lines", "said"),
    [
        ((1, 2, 3, 4, 5), "the length grew, by 0.20 mm in all"),
        ((5, 5, 4, 3, 1), "the length shrank, by 0.20 mm in all"),
        ((1, 1, 2, 4, 4), "the length grew, by 0.15 mm in all"),
        ((1, 2, 2, 3, 3), ""),  # no more than two least counts
        ((1, 2, 4, 3, 5), ""),  # it goes back once
        ((1, 3, 4, 5), ""),  # too few to tell
    ],
)
def test_a_trend_is_told_with_its_way(lines: tuple[int, ...], said: str) -> None:
    found = [words for words in told(lines) if words.startswith("From reading")]
    assert bool(found) == bool(said)
    assert not said or said in found[0]


@pytest.mark.parametrize(
    ("lines", "remarked"),
    [
        ((4, 6, 4, 8, 6, 4, 6, 8, 4, 6), True),
        ((4, 6, 4, 8, 6, 4, 6, 8, 4, 7), False),  # one between the numerals
        ((4, 4, 4, 4, 4, 4, 4, 4, 4, 4), False),  # always the same: nothing is said of the others
        ((4, 6, 4, 8), False),  # chance does that often
    ],
)
def test_numbered_lines_alone(lines: tuple[int, ...], remarked: bool) -> None:
    found = [words for words in told(lines) if "numbered lines" in words]
    expected = (
        f"All {len(lines)} readings fall on numbered lines. Look at the lines between them too."
    )
    assert found == ([expected] if remarked else [])
