"""Photographs of a reading: what one says of it, and keeping one with it as evidence."""

from __future__ import annotations

from dataclasses import dataclass, replace

from metrion.core.declared import fields_of
from metrion.core.instruments.appearance import Growth
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Json, Record, text_in
from metrion.core.photo.answer import PhotoAnswer
from metrion.core.photo.said import PhotoStatement, said
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import INDICATIONS, Observation
from metrion.core.quantity.photographs import Photograph
from metrion.formats.asked_pictures import Shown
from metrion.formats.pictures import Evidence
from metrion.notebook.amendments import now
from metrion.notebook.errors import NotPossible
from metrion.notebook.evaluated import EvaluatedSheet
from metrion.notebook.notebook import Changed, CurrentSheet, Notebook
from metrion.store import NotHere, Stale
from metrion.store.commands import Change, CommandStep
from metrion.store.idempotency import OnceRequest
from metrion.store.pictures import MOST_PHOTOGRAPHS, PHOTOGRAPHS, find_picture, photographs_in
from metrion.store.records import OBSERVATIONS, EntryVersion
from metrion.store.sheets import find_sheet


@dataclass(frozen=True)
class PhotographedLook:
    """A look of a reading that a photograph shows."""

    measurement: Measurement
    observation: Observation
    look: str

    @property
    def instrument(self) -> Instrument:
        """What was looked at."""
        return self.measurement.instrument

    def said(self, answer: PhotoAnswer) -> PhotoStatement:
        """What a picture says to who has read the look."""
        own = self.observation.indications[INDICATIONS[self.observation.sort].index(self.look)]
        estimates = self.measurement.convention.estimate
        return said(answer, own, self.instrument.scale, estimates=estimates)


def look_of(sheet: EvaluatedSheet, reading: str, look: str | None = None) -> PhotographedLook:
    """The look that is asked about, or the first.

    Raises:
        NotHere: for a reading that is not here.
        NotPossible: if it has no such look, or nothing fine to be read.
    """
    kept = sheet.entries.find(OBSERVATIONS, reading)
    own = [one for one in sheet.entries[OBSERVATIONS] if one.measurement == kept.measurement]
    measurement = sheet.quantity(kept.measurement or "")
    observation = measurement.observations[own.index(kept)]
    if not measurement.instrument.scale.has_fine_scale:
        raise NotPossible("photograph-no-fine-scale")
    looks = INDICATIONS[observation.sort]
    if look is not None and look not in looks:
        raise NotPossible("photograph-no-look")
    return PhotographedLook(measurement, observation, looks[0] if look is None else look)


def keep_photograph(
    notebook: Notebook,
    sheet: str,
    reading: str,
    version: int,
    seen: PhotographedLook,
    shown: Shown,
    thimble: Growth,
    asked: OnceRequest | None = None,
) -> Changed:
    """Keep a photograph with a reading, and what it says.

    It was read before: reading one takes as long as many changes of the sheet.

    Args:
        version: of the reading, that was seen.
        seen: what the photograph was read for.
        shown: what it shows.
        thimble: which way its numerals grow.

    Raises:
        Stale: if the reading or its tool was changed meanwhile.
        NotPossible: if it is there already, or the sheet has too many.
    """
    found = shown.evidence

    def plan(current: CurrentSheet) -> CommandStep:
        evaluated = current.evaluated or notebook.sheet(sheet)
        before = current.entries.find(OBSERVATIONS, reading, version)
        look = look_of(evaluated, reading, seen.look)
        if look.instrument != seen.instrument:
            raise Stale
        _check_room(evaluated.whole.document, look.observation, found)
        record = _record(found, look, look.said(shown.answer), thimble)
        after = _with(before, [*_records(before), record])
        pictures = (found.strip, found.whole)
        return CommandStep(
            "add-photograph", [Change(OBSERVATIONS, before, after)], pictures=pictures
        )

    return notebook.apply(sheet, plan, asked)


def remove_photograph(
    notebook: Notebook, sheet: str, reading: str, version: int, strip: str
) -> Changed:
    """Take a photograph away from its reading. Raises `NotHere`, `Stale`."""

    def build(current: CurrentSheet) -> list[Change]:
        before = current.entries.find(OBSERVATIONS, reading, version)
        left = [
            one
            for one in _records(before)
            if not (isinstance(one, dict) and text_in(one, "strip") == strip)
        ]
        if len(left) == len(_records(before)):
            raise NotHere("picture", strip)
        return [Change(OBSERVATIONS, before, _with(before, left))]

    return notebook.change(sheet, "remove-photograph", build)


def kept_photograph(
    notebook: Notebook, sheet: str, reading: str, strip: str
) -> tuple[PhotographedLook, Photograph, bytes]:
    """A photograph that was kept, what it shows, and its picture. Raises `NotHere`."""
    with notebook.store.reading() as session:
        row = find_sheet(session, sheet)
        evaluated, content = notebook.evaluated(session, row), find_picture(session, row, strip)
    for photograph in look_of(evaluated, reading).observation.noted.photographs:
        if photograph.strip == strip:
            return look_of(evaluated, reading, photograph.look), photograph, content
    raise NotHere("picture", strip)


def _check_room(document: Record, observation: Observation, found: Evidence) -> None:
    """Raise `NotPossible` if there is no room for one more."""
    if any(one.strip == found.strip.name for one in observation.noted.photographs):
        raise NotPossible("photograph-here")
    if len([*photographs_in(document)]) >= MOST_PHOTOGRAPHS:
        raise NotPossible("photograph-too-many", most=MOST_PHOTOGRAPHS)


def _record(
    found: Evidence, look: PhotographedLook, told: PhotoStatement, thimble: Growth
) -> Record:
    kept = replace(
        told.noted, strip=found.strip.name, whole=found.whole.name,
        edge=" ".join(f"{one:.1f}" for one in found.edge.ravel()),
        thimble=str(thimble) if look.instrument.traits.turns else "", look=look.look, at=now(),
    )  # fmt: skip
    named = {one.name: getattr(kept, one.name) for one in fields_of(Photograph)}
    return {name: str(value) for name, value in named.items() if value}


def _records(entry: EntryVersion) -> list[Json]:
    found = entry.record.get(PHOTOGRAPHS)
    return found if isinstance(found, list) else []


def _with(entry: EntryVersion, photographs: list[Json]) -> EntryVersion:
    others = {name: value for name, value in entry.record.items() if name != PHOTOGRAPHS}
    return replace(entry, record={**others, PHOTOGRAPHS: photographs} if photographs else others)
