"""What was typed at the bench."""

from __future__ import annotations

from metrion.core.instruments.appearance import FineAs
from metrion.web.schemas.view import view


@view
class EnteredView:
    """Figures as they were typed into the equation."""

    main: str = ""
    fine: str = ""
    fine_as: FineAs | None = None
    second_turn: bool = False


@view
class TypedReadingView(EnteredView):
    """A reading as it was typed: its one look, or those of a pair by their names."""

    a: EnteredView | None = None
    b: EnteredView | None = None
    a2: EnteredView | None = None
    b2: EnteredView | None = None

    def position(self, name: str) -> EnteredView:
        """One of its looks by name; itself without one."""
        looks = {"": self, "a": self.a, "b": self.b, "a2": self.a2, "b2": self.b2}
        return looks[name] or EnteredView()
