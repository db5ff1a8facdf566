"""One small tree of errors. Each carries its facts as attributes and builds its sentence from them.

MetrionError
├── NotExact            a text that is no exact number
├── OutOfBounds         something longer, larger or smaller than what is taken in
├── NotAnAngle          a text that is no angle
│   └── DecimalDegrees  minutes written as decimals
├── UnitError           a unit that is not known, or units that do not fit each other
├── ScaleError          a scale that cannot be read, or a reading it cannot give
│   ├── UselessScale    every line coincides at once
│   ├── UnreadableSleeve  sleeve marks that do not fit the pitch
│   ├── NotAMark        a main reading between the marks
│   ├── NoSuchLine      a fine line the scale does not have
│   └── NotEstimable    a fine line estimated where only whole lines can be told
└── FormulaError        a formula that cannot be understood
"""

from __future__ import annotations


class MetrionError(Exception):
    """Root of all errors that Metrion raises on purpose; ``str()`` is a sentence for the user."""


class NotExact(MetrionError):
    """A text that is not an exact number."""

    def __init__(self, text: str) -> None:
        self.text = text
        super().__init__(
            f"{shortened(text)} is not a number as it is written here: digits with a point "
            "(12.35), or a fraction (1/16)"
        )


class OutOfBounds(MetrionError):
    """Something longer, larger or smaller than what is taken in."""


class NotAnAngle(MetrionError):
    """A text that is not an angle in degrees and minutes."""

    def __init__(self, text: str) -> None:
        self.text = text
        super().__init__(
            f"{shortened(text)} is not an angle in degrees and minutes, like 214:30, "
            "with minutes and seconds below 60"
        )


class DecimalDegrees(NotAnAngle):
    """Degrees with a decimal point, where minutes were meant."""

    def __init__(self, text: str, degrees: str, digits: str) -> None:
        super().__init__(text)
        meant = f"; for {degrees}°{digits}′ type {degrees}:{digits}" if len(digits) == 2 else ""
        self.args = (
            f"{shortened(text)} has minutes as decimals, but sixty of them make a degree{meant}",
        )


class UnitError(MetrionError):
    """A unit that is not known, or units that cannot be combined."""


class ScaleError(MetrionError):
    """A scale that cannot be read, or a reading that the scale cannot give."""


class UselessScale(ScaleError):
    """A fine scale whose lines all coincide at once."""

    def __init__(self, fine_divisions: int, span: int) -> None:
        self.fine_divisions = fine_divisions
        self.span = span
        super().__init__(
            f"{fine_divisions} fine divisions over {span} main divisions all coincide at once, "
            f"so the fine scale tells nothing; a span such as {max(fine_divisions - 1, 1)} "
            "would make one"
            if fine_divisions > 1
            else "one fine division tells nothing; a fine scale needs at least two"
        )


class UnreadableSleeve(ScaleError):
    """Sleeve marks that are neither the pitch, nor twice it, nor a whole part of it."""

    def __init__(self, main_division: str, pitch: str) -> None:
        self.main_division = main_division
        self.pitch = pitch
        super().__init__(
            f"sleeve marks {main_division} apart do not fit a pitch of {pitch}: they must be "
            "the pitch, twice the pitch, or go a whole number of times into it"
        )


class NotAMark(ScaleError):
    """A main reading that lies between the marks of its scale."""

    def __init__(self, value: str, instrument: str, division: str) -> None:
        self.value = value
        self.instrument = instrument
        self.division = division
        super().__init__(
            f"{shortened(value)} is not a mark of {instrument}, whose marks are {division} apart"
        )


class NoSuchLine(ScaleError):
    """A fine line that the scale does not have."""

    def __init__(self, line: str, instrument: str, last: str) -> None:
        self.line = line
        self.instrument = instrument
        self.last = last
        super().__init__(
            f"{instrument} has no line {shortened(line)}; its lines run from 0 to {last}"
        )


class NotEstimable(ScaleError):
    """A fine line estimated between lines where only whole lines can be told apart."""

    def __init__(self, line: str, reason: str) -> None:
        self.line = line
        self.reason = reason
        super().__init__(f"{line} is an estimated line, but {reason}; give a whole line as integer")


class FormulaError(MetrionError):
    """A formula that does not parse or names something that is no input."""


def shortened(text: str, longest: int = 40) -> str:
    """What somebody wrote, cut off where a sentence would drown in it."""
    return text if len(text) <= longest else text[:longest] + "…"
