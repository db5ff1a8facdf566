"""Taking files into a notebook from the command line: which are taken, and what is told of each."""

from __future__ import annotations

import click

from metrion.core.facts import Name, coded
from metrion.core.json import text_in
from metrion.formats.collected import Collection
from metrion.notebook import Notebook
from metrion.notebook.imports import Arrival, Decision, Standing, looked_through, take_all
from metrion.store import Store
from metrion.telling import one_line, say


def import_collected(
    store: Store, given: Collection, *, replace: bool, again: bool, leave_faulty: bool
) -> bool:
    """Take files in, all or nothing, and tell of each; whether all were in order.

    Args:
        replace: sheets that differ, where there are some.
        again: what is here already is taken in beside it.
        leave_faulty: the others are taken in where files have faults.

    Raises:
        Refused: if two of the files would replace the same sheet.
    """
    with store.reading() as session:
        found = [*looked_through(session, given.logbooks())]
    faults = [f"{one.file}: {one_line(fault)}" for one in found for fault in one.faults]
    for line in faults:
        click.echo(line, err=True)
    if faults and not leave_faulty:
        return False

    def decided(one: Arrival) -> Decision:
        if replace and Decision.REPLACE in one.possible:
            return Decision.REPLACE
        return Decision.NEW if again else one.usual

    decisions = [(one, decided(one)) for one in found if not one.faults]
    take_all(Notebook(store), decisions)
    for one, decision in decisions:
        click.echo(_told(one, decision, alone=len(found) == 1))
    return not faults


def _told(one: Arrival, decision: Decision, *, alone: bool) -> str:
    authors = text_in(one.document or {}, "authors")
    title = Name(one.title or one.file)
    whose = Name(say("sheet-of", title=title, authors=Name(authors))) if authors else title
    if not alone:
        whose = Name(say("cli-in-file", file=Name(one.file), sheet=whose))
    if decision is not Decision.SKIP or (one.standing is Standing.SAME and one.sheet):
        done = coded("cli-done", decision, title=whose)
        return say(done.code, **done.about)
    if one.sheet:
        return say("cli-left-differs", title=whose)
    if one.standing is Standing.SAME:
        return say("cli-left-twin", title=whose, file=Name(one.earlier))
    return say("cli-left-other-state", title=whose, file=Name(one.earlier))
