"""A result in other units as the API shows it: those it is given in, and those on offer."""

from __future__ import annotations

from collections.abc import Sequence

from metrion.core.formula.notation import printed_unit
from metrion.core.formula.units import Unit
from metrion.core.quantity.other_units import Also, units_to_offer
from metrion.views.locale import shown, speaker
from metrion.views.schemas.results import AlsoView


def also_views(
    own: Unit, chosen: Sequence[Unit], found: Sequence[Also | None], kept: str = ""
) -> list[AlsoView]:
    """Every unit on offer, and what else was chosen; with a sentence where it is.

    Args:
        kept: the unit that a logbook keeps it in, where it is shown in another. A logbook does not
            name its own unit: what it keeps in its place is the one that it is shown in.
    """
    given = {unit.text: one for unit, one in zip(chosen, found, strict=True)}
    return [
        AlsoView(
            unit=own.text if text == kept else text,
            name=speaker().text("degrees-decimal") if text == "deg" else printed_unit(text),
            chosen=text in given,
            sentence=shown(one.printed) if (one := given.get(text)) else None,
        )
        for text in dict.fromkeys((*units_to_offer(own), *given))
    ]
