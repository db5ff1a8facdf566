"""What was typed at the bench."""

from __future__ import annotations

from dataclasses import dataclass

from metrion.core.desk.said.judging import FigureOptions
from metrion.core.instruments.appearance import FineAs, MainAs, PrintedUnit
from metrion.core.json import Record


@dataclass(frozen=True, slots=True)
class AnsweredFigures:
    """What the figures of a tool stand for, as it was answered while they were entered."""

    fine_as: FineAs | None = None
    main_as: MainAs | None = None
    numerals: PrintedUnit | None = None

    @property
    def as_kept(self) -> Record:
        """As an instrument keeps it."""
        said = {"fine_as": self.fine_as, "main_as": self.main_as, "numerals": self.numerals}
        return {name: str(value) for name, value in said.items() if value}


@dataclass(frozen=True, slots=True)
class EnteredFigures(AnsweredFigures):
    """Figures as they were typed into the equation, and what was said beside them.

    ``fine_as`` and ``main_as`` are what they stand for, ``second_turn`` the turn of the thimble;
    null where that was not said. ``meant`` is the reading that was chosen of several.
    """

    main: str = ""
    fine: str = ""
    second_turn: bool | None = None
    meant: str = ""

    @property
    def told(self) -> FigureOptions:
        """What was said beside the figures."""
        return FigureOptions(
            self.fine_as, self.main_as, self.second_turn, self.meant, self.numerals
        )


@dataclass(frozen=True, slots=True)
class TypedReading(EnteredFigures):
    """A reading as it was typed: its one look, or those of a pair by their names."""

    a: EnteredFigures | None = None
    b: EnteredFigures | None = None
    a2: EnteredFigures | None = None
    b2: EnteredFigures | None = None

    def position(self, name: str) -> EnteredFigures:
        """One of its looks by name; itself without one."""
        looks = {"": self, "a": self.a, "b": self.b, "a2": self.a2, "b2": self.b2}
        return looks[name] or EnteredFigures()

    @property
    def answered(self) -> AnsweredFigures:
        """What was answered at any of its looks."""
        looks = [self, *(look for look in (self.a, self.b, self.a2, self.b2) if look)]
        fine = next((look.fine_as for look in looks if look.fine_as), None)
        main = next((look.main_as for look in looks if look.main_as), None)
        numerals = next((look.numerals for look in looks if look.numerals), None)
        return AnsweredFigures(fine, main, numerals)
