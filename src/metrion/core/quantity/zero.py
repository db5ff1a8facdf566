"""Zero checks: what the instrument reads when it should read nothing."""

from __future__ import annotations

from collections.abc import Sequence
from enum import StrEnum
from fractions import Fraction

from metrion.core.declared import (
    NOTHING,
    Choice,
    Exact,
    Id,
    Inline,
    Reference,
    Rest,
    Sign,
    Text,
    declared,
    entry,
    rest,
)
from metrion.core.formula.evaluate import exact
from metrion.core.formula.expression import Expression, call, name, number
from metrion.core.formula.values import ValueSeries
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.noted import NOTHING_NOTED, Noted
from metrion.core.scales import Indication


class Phase(StrEnum):
    """Whether a zero check was made before or after the readings."""

    BEFORE = "before"
    AFTER = "after"


@entry()
class ZeroCheck:
    """An indication of the scales with the faces closed, or on a setting piece of known size.

    Attributes:
        id: its id in the logbook.
        instrument: the id of the instrument it was made on.
        indication: what the eye saw.
        face: which pair of faces was closed; may be empty.
        phase: before or after the readings.
        reference: size of the setting piece in the instrument's unit; 0 for closed faces.
        noted: what is noted beside it.
        rest: what else its entry has.
    """

    id: str = declared(Id())
    instrument: str = declared(Reference("instruments"))
    indication: Indication = declared(Inline(Indication))
    face: str = declared(Text(), default="")
    phase: Phase = declared(Choice(Phase), default=Phase.BEFORE)
    reference: Fraction = declared(Exact(Sign.NOT_NEGATIVE), default=Fraction(0))
    noted: Noted = declared(Inline(Noted), default=NOTHING_NOTED)
    rest: Rest = rest(default=NOTHING)


MEAN_OF_ERRORS = call("sum", name("zero_errors")) / call("count", name("zero_errors"))
"""The zero error that several indications show."""


def zero_look(instrument: Instrument, check: ZeroCheck) -> Expression:
    """Reading less reference of a check, as a formula of the least count."""
    read = instrument.indication(check.indication)
    return read - number(check.reference) if check.reference else read


def zero_errors(instrument: Instrument, checks: Sequence[ZeroCheck]) -> list[Fraction]:
    """Reading less reference of each check: positive where the instrument reads too much."""
    return [instrument.reading(check.indication) - check.reference for check in checks]


def zero_error(instrument: Instrument, checks: Sequence[ZeroCheck]) -> Fraction:
    """The mean of the errors of the checks, 0 without any. Correction = minus the error."""
    if not checks:
        return Fraction(0)
    return exact(MEAN_OF_ERRORS, zero_errors=ValueSeries.of(zero_errors(instrument, checks)))


def looks_apart(instrument: Instrument, errors: Sequence[Fraction]) -> Fraction | None:
    """By how much looks at one zero differ; None up to one least count, which their mean bears."""
    apart = max(errors) - min(errors)
    return apart if apart > instrument.least_count else None
