"""Results place by place."""

from fractions import Fraction

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation
from metrion.core.quantity.places import by_place
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication, VernierScale
from metrion.core.traits import Kind

CALIPER = Instrument("c", "Caliper", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))
ZERO = ZeroCheck("z", "c", Indication(Fraction(-1), 17))
CONVENTION = BUILT_IN["half-division"]


def reading(place: str, main: int, line: int, excluded: str = "") -> Observation:
    return Observation((Indication(Fraction(main), line),), place, excluded)


def measured(*observations: Observation) -> Measurement:
    return Measurement("m", "Tube", CALIPER, CONVENTION, observations, (ZERO,), items=2)


def test_each_place_has_its_own_mean_in_the_order_of_the_first_visit() -> None:
    found = by_place(
        measured(reading("rim", 9, 0), reading("foot", 8, 0), reading("rim", 9, 2))
    )  # fmt: skip
    assert [one.place for one in found] == ["rim", "foot"]
    # (9.05 + 0.15) / 2 and (8 + 0.15) / 2
    assert [one.result.mean for one in found] == [Fraction("4.6"), Fraction("4.075")]


def test_what_was_set_aside_makes_no_place() -> None:
    burr = reading("neck", 8, 0, "a burr")
    found = by_place(measured(reading("rim", 9, 0), burr, reading("foot", 8, 0)))
    assert [one.place for one in found] == ["rim", "foot"]


def test_a_single_place_has_no_result_beside_that_of_the_whole() -> None:
    assert by_place(measured(reading("rim", 9, 0), reading("foot", 8, 0, "a burr"))) == ()


def test_readings_without_a_place_stand_together() -> None:
    found = by_place(measured(reading("", 9, 0), reading("rim", 9, 1), reading("", 9, 4)))
    assert [(one.place, len(one.result.measurement.counting)) for one in found] == [
        ("", 2),
        ("rim", 1),
    ]


def test_no_reading_no_place() -> None:
    assert by_place(measured()) == ()
