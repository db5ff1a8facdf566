"""The report of a sheet as it is handed in: with its state, and its logbook inside."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from types import MappingProxyType

from metrion.core.json import Record
from metrion.core.logbook import Results
from metrion.formats.archive import SUFFIX, file_name
from metrion.formats.pictures import drawn_in
from metrion.formats.state import state_of
from metrion.formats.strict_json import write_json
from metrion.report.blocks import Carried, Report
from metrion.report.build import Length, build_report
from metrion.voice import Speaker

NO_PICTURES: Mapping[str, bytes] = MappingProxyType({})


def handed_in(
    results: Results,
    document: Record,
    speaker: Speaker,
    *,
    date: str = "",
    quantity: str | None = None,
    length: Length = Length.FULL,
    pictures: Mapping[str, bytes] = NO_PICTURES,
    shown: bool = False,
) -> Report:
    """A report, which says of what state of the sheet it is; its PDF carries the whole sheet.

    Args:
        results: the sheet worked out.
        document: its logbook.
        speaker: in whose words and numbers it is written.
        date: the day it was written, as it is to stand there.
        quantity: id of the one quantity that is wanted; all without it.
        length: how much of it is wanted.
        pictures: of its readings, by their names; the PDF carries them too.
        shown: whether photographs are to be seen in it.
    """
    made = build_report(
        results, date=date, state=state_of(document), quantity=quantity, length=length,
        speaker=speaker,
        photographs={one: drawn_in(found) for one, found in pictures.items()} if shown else {},
    )  # fmt: skip
    name = f"{file_name(results.logbook.title)}{SUFFIX}"
    carried = [Carried(f"{one}.jpg", content) for one, content in pictures.items()]
    return replace(made, carries=(Carried(name, write_json(document) + "\n"), *carried))
