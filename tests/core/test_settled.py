"""What settles a second look."""

from dataclasses import replace
from fractions import Fraction

import pytest

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.facts import fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.noted import Noted
from metrion.core.quantity.observations import Observation
from metrion.core.review.flags import Flag, Level
from metrion.core.review.settled import Settlement, settled
from metrion.core.scales import Indication, VernierScale
from metrion.core.traits import Kind

TOOL = Instrument("c", "C", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))
ROWS = tuple(Observation((Indication(Fraction(6), line),)) for line in (3, 4))
SERIES = Measurement("m", "D", TOOL, BUILT_IN["half-division"], ROWS)


def flag(code: str, observation: int | None = None) -> Flag:
    return Flag(code, Level.WARNING, fact("few-readings", count=2), observation)


def with_row(**changed: object) -> Measurement:
    return replace(SERIES, observations=(ROWS[0], replace(ROWS[1], **changed)))


@pytest.mark.parametrize(
    ("found", "measurement", "how"),
    [
        (flag("zero-unchecked"), SERIES, None),
        (flag("zero-unchecked"), replace(SERIES, zero_exact=True), Settlement.ZERO_EXACT),
        (flag("place-effect"), replace(SERIES, zero_exact=True), None),
        (flag("place-effect"), replace(SERIES, places_apart=True), Settlement.PLACES_APART),
        (flag("few-readings"), replace(SERIES, places_apart=True), None),
        (flag("few-readings"), replace(SERIES, looked_again=("few-readings",)), Settlement.STANDS),
        (flag("outlier", 1), replace(SERIES, looked_again=("outlier",)), None),
        (flag("outlier", 1), with_row(excluded="slipped"), Settlement.SET_ASIDE),
        (flag("outlier", 0), with_row(excluded="slipped"), None),
        (flag("outlier", 1), with_row(noted=Noted(looked_again=("outlier",))), Settlement.STANDS),
        (flag("unit-slip", 1), with_row(noted=Noted(looked_again=("outlier",))), None),
    ],
)
def test_how_a_flag_was_answered(
    found: Flag, measurement: Measurement, how: Settlement | None
) -> None:
    assert settled(found, measurement) is how
