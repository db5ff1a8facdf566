"""The conventions in words, and what each says of the same readings."""

from dataclasses import replace
from fractions import Fraction

import pytest

from metrion.core.conventions.convention import (
    BUILT_IN,
    Combine,
    Convention,
    Coverage,
    Family,
    Spread,
)
from metrion.core.conventions.described import described, difference, phrases
from metrion.core.instruments.instrument import Instrument
from metrion.core.planning.compared import said_by
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly

say = plainly().say


def differs(yours: Convention, theirs: Convention) -> str:
    found = difference(yours, theirs)
    return say(found) if found else ""


HALF, WHOLE = BUILT_IN["half-division"], BUILT_IN["whole-division"]
CALIPER = Instrument("c", "Caliper", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))
OURS = Convention(
    "ours", "Ours", Family.LIMIT, Fraction(1, 4), True, "1-or-2",
    Spread.MEAN_DEVIATION, Combine.SUM,
)  # fmt: skip


def test_a_convention_is_described_in_sentences() -> None:
    assert tuple(map(plainly().sentence, described(HALF))) == (
        "Takes half a least count as the limit of one look.",
        "Keeps limits as they are.",
        "Takes the zero as exact.",
        "Takes half the range of the readings as their scatter.",
        "Lets the larger of limit and scatter count.",
        "Gives limits that the value should lie within.",
        "Gives the uncertainty with one figure.",
        "Takes whole lines.",
    )


def test_a_difference_names_just_what_is_not_the_same() -> None:
    assert differs(HALF, WHOLE) == (
        "It takes a whole least count as the limit of one look "
        "and counts what the look at the zero may be off by, too."
    )
    assert differs(HALF, replace(HALF, digits=2)) == ("It gives the uncertainty with two figures.")
    assert difference(HALF, replace(HALF, id="same", name="Same")) is None
    exact = replace(HALF, zero_look=True)
    assert differs(HALF, exact) == "It counts what the look at the zero may be off by, too."
    # Of a pair, or before the zero was looked at, that is no reason.
    assert difference(HALF, exact, zero_looked_at=False) is None


@pytest.mark.parametrize(
    ("coverage", "said"),
    [
        (Coverage(Fraction(1)), "gives the standard uncertainty as it is"),
        (Coverage(Fraction(2)), "multiplies the standard uncertainty by 2"),
        (Coverage(Fraction(95), percentage=True), "widens the result to cover 95 %"),
    ],
)
def test_coverage_in_words(coverage: Coverage, said: str) -> None:
    assert say(phrases(replace(BUILT_IN["standard"], coverage=coverage))["coverage"]) == said


def test_a_convention_of_ones_own_in_words() -> None:
    said = {aspect: say(phrase) for aspect, phrase in phrases(OURS).items()}
    assert said["look"] == "takes 0.25 least counts as the limit of one look"
    assert said["scatter"] == "takes the mean deviation of the readings as their scatter"
    assert said["combine"] == "adds limit and scatter"
    assert said["digits"].endswith("two when the first is 1")


def test_spread_and_combination_of_a_standard_convention_are_its_own() -> None:
    odd = replace(BUILT_IN["standard"], spread=Spread.NONE, combine=Combine.SUM)
    assert difference(BUILT_IN["standard"], odd) is None


def test_each_convention_says_its_result_of_the_same_readings() -> None:
    readings = tuple(Observation((Indication(Fraction(6), line),)) for line in (3, 4, 3))
    zero = ZeroCheck("z", "c", Indication(Fraction(-1), 17))
    measured = Measurement("m", "Spreader", CALIPER, HALF, readings, (zero,))
    found = {
        said.convention.id: (said.result.rounded.text if said.result.rounded else "", said.why)
        for said in said_by(measured, [*BUILT_IN.values(), OURS])
    }
    assert {key: text for key, (text, _) in found.items()} == {
        # limits 0.05 + 0.05; 0.025; root of 2 (0.025/√3)² + 0.0167²; 2.18 times that
        "whole-division": "(6.3 ± 0.1) mm",
        "half-division": "(6.32 ± 0.03) mm",
        "standard": "(6.317 ± 0.026) mm",
        "standard-95": "(6.317 ± 0.057) mm",
        "ours": "(6.32 ± 0.05) mm",
    }
    assert found["half-division"][1] is None
    assert all(why for key, (_, why) in found.items() if key != "half-division")
