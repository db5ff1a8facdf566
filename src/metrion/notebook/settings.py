"""What is chosen once for a notebook."""

from __future__ import annotations

from dataclasses import dataclass

from sqlalchemy import select
from sqlalchemy.orm import Session

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.json import Json, Record, records_in, text_in
from metrion.store.models import SettingRow
from metrion.store.types import Spoilt
from metrion.voice import DecimalSign, Numbers, Speaker, usual

OWN_CONVENTIONS = "own_conventions"
"""The setting under which the conventions of one's own are kept; it is no choice."""

USUAL: Record = {
    "theme": "system",
    "decimal_sign": "point",
    "single_keys": True,
    "words": {},
    "convention": "half-division",
    "language": usual(),
    "authors": "",
}


@dataclass(frozen=True)
class Settings:
    """What is chosen in a notebook, and the conventions of one's own that it keeps.

    Attributes:
        kept: what was chosen, by name.
    """

    kept: Record

    @property
    def own_conventions(self) -> dict[str, Record]:
        """The records of the conventions of one's own by id, as a logbook holds them."""
        return by_id(self.kept.get(OWN_CONVENTIONS))

    @property
    def chosen(self) -> Record:
        """All settings, usual values where nothing was chosen, or what is no more."""
        found = {**USUAL, **self.kept}
        found.pop(OWN_CONVENTIONS, None)
        if found["convention"] not in self.conventions:
            found["convention"] = USUAL["convention"]
        return found

    @property
    def conventions(self) -> set[str]:
        """The ids of the conventions there are to choose from."""
        return {*BUILT_IN, *self.own_conventions}

    @property
    def speaker(self) -> Speaker:
        """Who writes for the reader of the notebook: in the chosen words and numbers."""
        sign = DecimalSign(text_in(self.kept, "decimal_sign") or DecimalSign.POINT)
        words = self.kept.get("words")
        own = (
            {concept: str(word) for concept, word in words.items()}
            if isinstance(words, dict)
            else {}
        )
        return Speaker.of(Numbers(sign), own, text_in(self.kept, "language"))


def by_id(kept: Json) -> dict[str, Record]:
    """Records of conventions by their ids."""
    return {text_in(record, "id"): record for record in records_in({"": kept}, "")}


def read_settings(session: Session) -> Settings:
    """The settings of a notebook."""
    rows = session.scalars(select(SettingRow))
    # Of one that cannot be read any more the usual value holds.
    return Settings({row.name: row.value for row in rows if not isinstance(row.value, Spoilt)})


def keep_settings(session: Session, values: Record) -> None:
    """Choose some settings."""
    for name, value in values.items():
        session.merge(SettingRow(name=name, value=value))
