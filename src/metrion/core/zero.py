"""Zero checks: what the instrument reads when it should read nothing."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction

from metrion.core.instruments import Instrument
from metrion.core.scales import Look
from metrion.core.statistics import mean


class Phase(StrEnum):
    """Whether a zero check was made before or after the readings."""

    BEFORE = "before"
    AFTER = "after"


@dataclass(frozen=True)
class ZeroCheck:
    """A look at the scales with the faces closed, or on a setting piece of known size.

    Attributes:
        id: its id in the logbook.
        instrument: the id of the instrument it was made on.
        look: what the eye saw.
        face: which pair of faces was closed; may be empty.
        phase: before or after the readings.
        reference: size of the setting piece in the instrument's unit; 0 for closed faces.
    """

    id: str
    instrument: str
    look: Look
    face: str = ""
    phase: Phase = Phase.BEFORE
    reference: Fraction = Fraction(0)


def zero_errors(instrument: Instrument, checks: Sequence[ZeroCheck]) -> list[Fraction]:
    """Reading less reference of each check: positive where the instrument reads too much."""
    return [instrument.reading(check.look) - check.reference for check in checks]


def zero_error(instrument: Instrument, checks: Sequence[ZeroCheck]) -> Fraction:
    """The mean of the errors of the checks, 0 without any. Correction = minus the error."""
    return mean(zero_errors(instrument, checks)) if checks else Fraction(0)
