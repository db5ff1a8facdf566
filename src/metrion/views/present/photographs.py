"""Photographs as the API shows them."""

from __future__ import annotations

from dataclasses import asdict

from metrion.core.instruments.instrument import Instrument
from metrion.core.photo.overlay import Laid
from metrion.core.photo.said import PhotoStatement
from metrion.core.quantity.observations import INDICATIONS, Observation
from metrion.core.quantity.photographs import Photograph
from metrion.core.scales import Indication, ScrewScale
from metrion.formats.logbook.indications import observation_record
from metrion.views.locale import say, shown
from metrion.views.schemas.photographs import (
    LaidMarkView,
    LaidView,
    PhotographSaysView,
    PhotographView,
    TakeView,
)


def says_view(
    said: PhotoStatement,
    laid: Laid | None,
    instrument: Instrument,
    observation: Observation,
    look: str,
) -> PhotographSaysView:
    """What a photograph says of a look at an instrument.

    Args:
        laid: the scales in the picture that is shown.
    """
    at = INDICATIONS[observation.sort].index(look)
    own = observation.indications[at]
    return PhotographSaysView(
        verdict=said.verdict,
        own=shown(own.line_words),
        own_line=float(own.line),
        line=said.line,
        position=said.position,
        sentences=[say(one) for one in said.sentences],
        takes=[_take_view(instrument, observation, at, one) for one in said.takes if one != own],
        laid=_laid_view(said, laid, instrument) if laid else None,
    )


def _take_view(
    instrument: Instrument, observation: Observation, at: int, taken: Indication
) -> TakeView:
    looks = list(observation.indications)
    looks[at] = taken
    return TakeView(
        line=shown(taken.line_words),
        read=shown(instrument.value_text(instrument.reading(taken))),
        figures=observation_record(instrument, looks),
    )


def _laid_view(said: PhotoStatement, laid: Laid, instrument: Instrument) -> LaidView:
    whole = isinstance(instrument.scale, ScrewScale)
    # A thimble shows but a part of its lines: their numbers are those near to what was read.
    first = round((said.position or 0.0) - laid.position) if whole else 0
    return LaidView(
        position=laid.position,
        start=laid.start,
        step=laid.step,
        drift=laid.drift,
        modulo=float(said.answer.modulo),
        first=first,
        lines=instrument.scale.fine_divisions,
        whole=whole,
        main=[LaidMarkView(**asdict(one)) for one in laid.main],
        rail=[LaidMarkView(**asdict(one)) for one in laid.rail],
    )


def photograph_view(photograph: Photograph) -> PhotographView:
    """A photograph that was kept."""
    return PhotographView(
        strip=photograph.strip,
        whole=photograph.whole,
        look=photograph.look,
        at=photograph.at,
        edge=list(photograph.ends or ()),
        verdict=photograph.verdict,
        words=say(photograph.says),
    )
