"""What another window did to a sheet: it is named, and not taken back unasked."""

from __future__ import annotations

from collections.abc import Iterable
from datetime import UTC, datetime, timedelta

from sqlalchemy.orm import Session

from metrion.core.codes import MessageCode
from metrion.core.facts import Fact, Figure, Name, coded, fact
from metrion.core.json import text_in
from metrion.notebook.errors import NotPossible
from metrion.notebook.evaluated import EvaluatedSheet
from metrion.store.commands import Change, last_command
from metrion.store.models import CommandRow, Sheet
from metrion.store.records import OBSERVATIONS

SHEET = "sheet"
"""What is asked about where it is no single command."""
RECENT = timedelta(hours=1)
"""So long ago a change of another window's is asked about before its sheet goes."""


class OfAnother(NotPossible):
    """Something that is another window's, which is asked about first.

    Attributes:
        asks: the command that it is about, or the sheet.
    """

    def __init__(self, asks: str, code: MessageCode, **about: Fact) -> None:
        self.asks = asks
        super().__init__(code, **about)


def ask_of_another(
    command: CommandRow,
    changes: Iterable[Change],
    sheet: EvaluatedSheet | None,
    window: str,
    code: MessageCode,
) -> None:
    """Name a command that is another window's.

    Args:
        changes: that it makes; they name what it is about.
        sheet: as it stands; None where it cannot be worked out.
        window: that asks; empty for one that does not say.
        code: of the question.

    Raises:
        OfAnother: if it is.
    """
    if window and command.window and command.window != window:
        what = _named(command, changes, sheet)
        raise OfAnother(str(command.id), code, what=what, ago=ago(command.at))


def ask_before_trash(session: Session, sheet: Sheet, window: str, *, is_open: bool) -> None:
    """Ask before a sheet goes that another window works at.

    Args:
        is_open: whether another window shows it.

    Raises:
        OfAnother: if one does, or changed it within the hour.
    """
    if not window:
        return
    if is_open:
        raise OfAnother(SHEET, "trash-of-open")
    last = last_command(session, sheet)
    if last and last.window not in ("", window) and datetime.now(UTC) - last.at < RECENT:
        raise OfAnother(SHEET, "trash-of-changed", what=_named(last, (), None), ago=ago(last.at))


def ago(at: datetime) -> Fact:
    """How long ago something was, as people say it."""
    minutes = max(0, int((datetime.now(UTC) - at).total_seconds() // 60))
    if minutes < 1:
        return fact("ago-now")
    if minutes < 60:
        return fact("ago-minutes", count=minutes)
    hours = minutes // 60
    return fact("ago-hours", count=hours) if hours < 24 else fact("ago-days", count=hours // 24)


def _named(command: CommandRow, changes: Iterable[Change], sheet: EvaluatedSheet | None) -> Fact:
    done = coded("command", command.title)
    names = [name for one in changes if (name := _name(one, sheet))]
    return fact("command-of", command=done, name=names[0]) if len(names) == 1 else done


def _name(change: Change, sheet: EvaluatedSheet | None) -> Figure | Name | None:
    """What a change is about: the figure of a reading that is there, the name of another entry."""
    entry = change.before or change.after
    assert entry is not None
    if change.section != OBSERVATIONS:
        name = text_in(entry.record, "name")
        return Name(name) if name else None
    key = entry.measurement or ""
    there = [one.id for one in sheet.entries.observations.get(key, ())] if sheet else []
    if sheet is None or entry.id not in there:
        return None
    read = sheet.quantity(key)
    return Figure(read.instrument.with_unit(read.observed[there.index(entry.id)]))
