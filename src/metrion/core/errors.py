"""One small tree of errors. Each says what is wrong as a fact, which `voice` puts into words.

MetrionError
├── NotExact            a text that is no exact number
├── OutOfBounds         something longer, larger or smaller than what is taken in
├── NotAnAngle          a text that is no angle
├── UnitError           a unit that is not known, or units that do not fit each other
├── ScaleError          a scale that cannot be read, or a reading it cannot give
│   ├── UselessScale    every line coincides at once
│   ├── UnreadableSleeve  sleeve marks that do not fit the pitch
│   ├── NoWholeSeconds  marks of a circle that cannot be written as angles
│   ├── NotAMark        a main reading between the marks
│   ├── NoSuchLine      a fine line the scale does not have
│   ├── NotEstimable    a fine line estimated where only whole lines can be told
│   └── NotUndecided    lines that cannot be taken for each other
└── FormulaError        a formula that cannot be understood
"""

from __future__ import annotations

from metrion.core.codes import MessageCode
from metrion.core.facts import Argument, Fact, Figure, Name


class MetrionError(Exception):
    """Root of all errors that Metrion raises on purpose.

    Attributes:
        says: what is wrong, and what would be right.
    """

    def __init__(self, code: MessageCode, **about: Argument) -> None:
        self.says = Fact(code, about)
        super().__init__(code)


class NotExact(MetrionError):
    """A text that is not an exact number."""

    def __init__(self, text: str) -> None:
        super().__init__("not-a-number", text=shortened(text))


class OutOfBounds(MetrionError):
    """Something longer, larger or smaller than what is taken in."""


class NotAnAngle(MetrionError):
    """A text that is not an angle in degrees and minutes."""

    def __init__(self, text: str) -> None:
        super().__init__("not-an-angle", text=shortened(text))


class UnitError(MetrionError):
    """A unit that is not known, or units that cannot be combined."""


class ScaleError(MetrionError):
    """A scale that cannot be read, or a reading that the scale cannot give."""


class UselessScale(ScaleError):
    """A fine scale whose lines all coincide at once."""

    def __init__(self, fine_divisions: int, span: int) -> None:
        if fine_divisions > 1:
            better = max(fine_divisions - 1, 1)
            super().__init__("useless-scale", lines=fine_divisions, marks=span, better=better)
        else:
            super().__init__("useless-scale-of-one")


class UnreadableSleeve(ScaleError):
    """Sleeve marks that are neither the pitch, nor twice it, nor a whole part of it."""

    def __init__(self, main_division: str, pitch: str) -> None:
        super().__init__("unreadable-sleeve", division=Figure(main_division), size=Figure(pitch))


class NoWholeSeconds(ScaleError):
    """Marks of a circle that lie between whole seconds: no angle can be written for them."""

    def __init__(self, main_division: str) -> None:
        super().__init__("no-whole-seconds", division=Figure(main_division))


class NotAMark(ScaleError):
    """A main reading that lies between the marks of its scale."""

    def __init__(self, value: str, instrument: str, division: str) -> None:
        self.value = value
        figure = Figure(shortened(value).text)
        super().__init__(
            "not-a-mark", value=figure, tool=Name(instrument), division=Figure(division)
        )


class NoSuchLine(ScaleError):
    """A fine line that the scale does not have."""

    def __init__(self, line: str, instrument: str, last: str) -> None:
        figure = Figure(shortened(line).text)
        super().__init__("no-such-line", line=figure, tool=Name(instrument), last=Figure(last))


class NotEstimable(ScaleError):
    """A fine line estimated between lines where only whole lines can be told apart."""

    def __init__(self, line: str, reason: Fact) -> None:
        super().__init__("not-estimable", line=Figure(line), reason=reason)


class NotUndecided(ScaleError):
    """Lines that cannot be taken for each other."""


class FormulaError(MetrionError):
    """A formula that does not parse or names something that is no input."""


def shortened(text: str, longest: int = 40) -> Name:
    """What somebody wrote, cut off where a sentence would drown in it."""
    return Name(text if len(text) <= longest else text[:longest] + "…")
