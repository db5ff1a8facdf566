"""Pictures that belong to readings of a sheet as evidence; readings refer to them by checksum."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from datetime import UTC, datetime

from sqlalchemy import delete, select
from sqlalchemy.orm import Session

from metrion.core.json import Record, records_in, text_in
from metrion.formats.pictures import Picture
from metrion.store.errors import NotHere
from metrion.store.models import PictureRow, Sheet
from metrion.store.records import OBSERVATIONS

PHOTOGRAPHS, FILES = "photographs", ("strip", "whole")
"""The field of a reading, and the pictures that each photograph refers to."""
MOST_PHOTOGRAPHS = 50
"""That the readings of a sheet may have together."""
_MOST_UNUSED = 2 * MOST_PHOTOGRAPHS
"""Pictures that no reading refers to any more: undo can bring so many back."""


def photographs_in(document: Record) -> Iterator[Record]:
    """All photographs that the readings of a logbook document refer to."""
    for measurement in records_in(document, "measurements"):
        for observation in records_in(measurement, OBSERVATIONS):
            yield from records_in(observation, PHOTOGRAPHS)


def names_in(document: Record) -> tuple[str, ...]:
    """The pictures that readings refer to, each once."""
    files = (text_in(one, file) for one in photographs_in(document) for file in FILES)
    return tuple(dict.fromkeys(name for name in files if name))


def find_picture(session: Session, sheet: Sheet, name: str) -> bytes:
    """A picture by its name. Raises `NotHere`."""
    row = session.get(PictureRow, (sheet.id, name))
    if row is None:
        raise NotHere("picture", name)
    return row.content


def find_pictures(session: Session, sheet: Sheet, document: Record) -> dict[str, bytes]:
    """The pictures that readings of a sheet refer to, in their order; those that are here."""
    names = names_in(document)
    own = PictureRow.sheet_id == sheet.id, PictureRow.name.in_(names)
    found = {row.name: row.content for row in session.scalars(select(PictureRow).where(*own))}
    return {name: found[name] for name in names if name in found}


def keep_pictures(session: Session, sheet: Sheet, pictures: Iterable[Picture]) -> None:
    """Keep pictures of a sheet; one that is here already is kept once."""
    at = datetime.now(UTC)
    for one in pictures:
        session.merge(PictureRow(sheet_id=sheet.id, name=one.name, at=at, content=one.content))
    session.flush()


def forget_unused(session: Session, sheet: Sheet, document: Record) -> None:
    """Do away with pictures that no reading refers to, but for the latest: undo may want them."""
    used = {*names_in(document)}
    own = select(PictureRow.name).where(PictureRow.sheet_id == sheet.id)
    latest = session.scalars(own.order_by(PictureRow.at.desc(), PictureRow.name)).all()
    unused = [name for name in latest if name not in used][_MOST_UNUSED:]
    if unused:
        gone = PictureRow.sheet_id == sheet.id, PictureRow.name.in_(unused)
        session.execute(delete(PictureRow).where(*gone))


def to_keep(document: Record, files: Mapping[str, bytes]) -> list[Picture]:
    """Of the files that came beside a logbook the pictures that its readings refer to."""
    wanted = names_in(document)[: len(FILES) * MOST_PHOTOGRAPHS]
    return [Picture(files[name]) for name in wanted if name in files]
