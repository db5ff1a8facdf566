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
from metrion.core.review import Settlement, remedies, review, settled
from metrion.core.review.flags import Flag, Level, SettlingChoice
from metrion.core.review.remedies import RemedyAct
from metrion.core.scales import Indication, VernierScale
from metrion.core.traits import Kind

TOOL = Instrument("c", "C", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))
ROWS = tuple(Observation((Indication(Fraction(6), line),)) for line in (3, 4))
SERIES = Measurement("m", "D", TOOL, BUILT_IN["half-division"], ROWS)


EXACT = SettlingChoice("zero_exact", Settlement.ZERO_EXACT)
APART = SettlingChoice("places_apart", Settlement.PLACES_APART)


def flag(code: str, observation: int | None = None, choice: SettlingChoice | None = None) -> Flag:
    return Flag(code, Level.WARNING, fact("few-readings", count=2), observation, choice=choice)


UNCHECKED, UNLIKE = flag("zero-unchecked", choice=EXACT), flag("place-effect", choice=APART)


def with_row(**changed: object) -> Measurement:
    return replace(SERIES, observations=(ROWS[0], replace(ROWS[1], **changed)))


@pytest.mark.parametrize(
    ("found", "measurement", "how"),
    [
        (UNCHECKED, SERIES, None),
        (
            UNCHECKED,
            replace(SERIES, zero_exact=True),
            Settlement.ZERO_EXACT,
        ),
        (UNLIKE, replace(SERIES, zero_exact=True), None),
        (
            UNLIKE,
            replace(SERIES, places_apart=True),
            Settlement.PLACES_APART,
        ),
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


def test_which_flags_are_settled_by_a_choice() -> None:
    [unchecked] = [one for one in review(SERIES) if one.code == "zero-unchecked"]
    assert settled(unchecked, SERIES) is None
    assert settled(unchecked, replace(SERIES, zero_exact=True)) is Settlement.ZERO_EXACT
    assert remedies(unchecked, SERIES) == ()


def test_what_is_settled_stays_settled_when_more_is() -> None:
    looked = with_row(noted=Noted(looked_again=("outlier",)))
    stands = remedies(flag("unit-slip", 1), looked)[-1]
    assert stands.fields == {"looked_again": ["outlier", "unit-slip"]}


def test_a_reading_is_looked_at_first_and_set_aside_last() -> None:
    slip = replace(flag("main-mark-slip", 1), suggestion={"main": "6"})
    acts = [(one.act, dict(one.fields)) for one in remedies(slip, SERIES)[:-1]]
    assert acts == [
        (RemedyAct.LOOK_AGAIN, {}),
        (RemedyAct.AMEND, {"main": "6"}),
        (RemedyAct.SET_ASIDE, {}),
    ]
