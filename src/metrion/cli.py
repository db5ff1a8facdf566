"""The command line: ``metrion reduce``, ``serve``, ``import``, ``backup`` and more."""

from __future__ import annotations

import os
import sys
from collections.abc import Callable, Iterable
from contextlib import closing
from functools import partial
from itertools import chain
from pathlib import Path
from typing import TYPE_CHECKING, Any, TypeVar

import click

from metrion import __version__
from metrion.core.facts import Name
from metrion.core.logbook import Logbook
from metrion.formats.archive import Filed
from metrion.formats.collected import Collection
from metrion.formats.faults import Refused
from metrion.formats.forms import FORMS, HandedOn
from metrion.formats.logbook import read_logbook
from metrion.formats.results import Document, results_of, results_text
from metrion.formats.strict_json import write_json
from metrion.formats.table import observation_table
from metrion.given import collected
from metrion.hearing import said
from metrion.photographing import photo
from metrion.practising import diagnose, exercise_sheets, exercises
from metrion.telling import (
    FAULTY,
    content_of,
    give_up,
    refuse_file,
    say,
    told,
    write_file,
)

if TYPE_CHECKING:
    from metrion.store.backups import BackupContents

DEFAULT_PORT = 8321


class _Commands(click.Group):
    """Commands that tell in one sentence why the notebook cannot be used."""

    def invoke(self, ctx: click.Context) -> object:
        """Run a command."""
        from metrion.store.errors import StoreError

        try:
            return super().invoke(ctx)
        except StoreError as error:
            give_up("sentence", phrase=error.says)


@click.group(cls=_Commands)
@click.version_option(__version__, prog_name="metrion")
def main() -> None:
    """Least counts, readings, zero errors and averaged results for the physics lab."""


@main.command()
@click.argument("files", nargs=-1, required=True, metavar="FILE...")
@click.option("--csv", "as_csv", is_flag=True, help="Print the table of observations instead.")
@click.option("--working", is_flag=True, help="Print every step of the working instead.")
def reduce(files: tuple[str, ...], as_csv: bool, working: bool) -> None:
    """Work logbook FILEs out and print the results as JSON ("-" reads standard input).

    A FILE may also be a PDF that carries its logbook, or a ZIP or folder of these. Several logbooks
    give one line of JSON each, with file, title, authors and names. The exit status is 2 if one has
    faults.
    """
    for option in (
        name for name, given in {"--csv": as_csv, "--working": working}.items() if given
    ):
        if len(files) > 1:
            raise click.UsageError(f"{option} takes one FILE.")
    if as_csv and working:
        raise click.UsageError("--csv and --working cannot be printed at once.")
    try:
        given = collected(files)
        found = given.logbooks()
        if len(files) == 1:
            first, second = next(found), next(found, None)
            if second is None and first.file == files[0]:
                _reduce_one(first, _table if as_csv else _working if working else results_text)
                return
            if as_csv or working:
                raise click.UsageError("--csv and --working take one logbook.")
            found = chain([first], [second] if second else [], found)
    except Refused as refused:
        refuse_file(refused)
    # A list: each is printed, also after one that has faults.
    in_order = [_reduce_line(one) for one in found]
    _tell_passed_over(given)
    if not all(in_order):
        sys.exit(FAULTY)


def _tell_passed_over(given: Collection) -> None:
    for name in given.passed_over:
        click.echo(say("cli-passed-over", name=Name(name)), err=True)


def _reduce_one(filed: Filed, written: Callable[[Logbook], Iterable[str]]) -> None:
    parts = written(read_logbook(filed.content))
    # As bytes, so that the ends of lines stay what they are on every system.
    for part in parts:
        sys.stdout.buffer.write(part.encode())


def _table(logbook: Logbook) -> Iterable[str]:
    return [observation_table(logbook.measurements)]


def _working(logbook: Logbook) -> Iterable[str]:
    from metrion.formats.working import working_text
    from metrion.voice import plainly

    return working_text(logbook, plainly())


def _reduce_line(filed: Filed) -> bool:
    """Print one line for a logbook; whether it was in order."""
    try:
        if filed.faults:
            raise Refused(filed.faults)
        document: Document = results_of(filed.file, read_logbook(filed.content))
        whole = True
    except Refused as refused:
        document = {"format": "metrion-faults", "version": 1, "file": filed.file, **told(refused)}
        whole = False
    click.echo(write_json(document, indent=None))
    return whole


_own_data = click.option(
    "--data", envvar="METRION_DATA", type=click.Path(path_type=Path),
    help="Data folder (METRION_DATA); by default one below your home folder.",
)  # fmt: skip
_host = click.option("--host", default="127.0.0.1", show_default=True, help="Address to listen on.")
_port = click.option(
    "--port", default=DEFAULT_PORT, show_default=True, envvar="METRION_PORT",
    type=click.IntRange(0, 65535), help="Port to listen on; 0 takes any that is free.",
)  # fmt: skip
_phrase_file = click.option(
    "--pass-phrase-file", "phrase_file", envvar="METRION_PASS_PHRASE_FILE",
    type=click.Path(path_type=Path),
    help="File with the pass phrase that is needed beyond this machine (or METRION_PASS_PHRASE).",
)  # fmt: skip
_names = click.option(
    "--name", "names", multiple=True,
    help="Another host name that it may be reached by, may be repeated.",
)  # fmt: skip


@main.command()
@_own_data
@_host
@_port
@_names
@_phrase_file
def serve(data: Path | None, **where: Any) -> None:
    """Serve a data folder of your own."""
    from metrion.serving import serve_folder

    serve_folder(data or _home("metrion"), **where)


@main.command()
@click.option(
    "--data", envvar="METRION_DATA", type=click.Path(path_type=Path),
    help="Folder (METRION_DATA) in which a folder for the demo is made.",
)  # fmt: skip
@click.option("--fresh", is_flag=True, help="Put the demo sheets back as they were at first.")
@_host
@_port
@_names
@_phrase_file
def demo(data: Path | None, fresh: bool, **where: Any) -> None:
    """Serve the demo sheets, kept apart from sheets of your own."""
    from metrion.demo import prepare
    from metrion.serving import serve_folder

    folder = data / "demo" if data else _home("metrion-demo")
    prepare(folder, fresh=fresh)
    serve_folder(folder, **where)


@main.command(name="import")
@click.argument("files", nargs=-1, required=True, metavar="FILE...")
@_own_data
@click.option("--replace", is_flag=True, help="Replace a sheet that differs; undo takes it back.")
@click.option("--again", is_flag=True, help="Take in beside it what is here already.")
@click.option("--leave-faulty", is_flag=True, help="Take in the others where files have faults.")
def import_files(
    files: tuple[str, ...], data: Path | None, replace: bool, again: bool, leave_faulty: bool
) -> None:
    """Take FILEs into the notebook: logbooks, PDFs that carry some, ZIPs and folders of these.

    Which sheet a file is, its id says; one without is a sheet of its own ("-" reads standard
    input). What is here already is left, also where it differs, unless it is said what to do. If
    any file has faults, nothing is stored, unless they are to be left; the exit status is 2.
    """
    from metrion.importing import import_collected
    from metrion.store import Store

    store = Store(data or _home("metrion"))
    try:
        given = collected(files)
        whole = import_collected(
            store, given, replace=replace, again=again, leave_faulty=leave_faulty
        )
        _tell_passed_over(given)
    except Refused as refused:
        refuse_file(refused)
    finally:
        store.close()
    if not whole:
        sys.exit(FAULTY)


@main.command()
@_own_data
@click.option("--sheet", "wanted", multiple=True, help="Id of a sheet; all without it.")
@click.option("--to", type=click.Path(path_type=Path), help="File to write; else standard output.")
def export(data: Path | None, wanted: tuple[str, ...], to: Path | None) -> None:
    """Write the sheets of the notebook: one as its logbook file, many as a ZIP with a manifest.

    One that has photographs is written as a ZIP too, with them beside it. One that cannot be read
    any more is told and left out; asked for by itself, the text that is kept of it is written.
    """
    from metrion.formats.archive import LeftOut, write_archive
    from metrion.store.database import to_be_read
    from metrion.store.documents import all_filed, sheet_text
    from metrion.store.sheets import all_sheets, find_sheet

    with to_be_read(data or _home("metrion")) as store, store.reading() as session:
        sheets = [find_sheet(session, key) for key in wanted] or all_sheets(session)
        found = all_filed(session, sheets)
        spoilt = [sheet_text(session, one) for one, _ in found.left_out] if wanted else []
        missing = [LeftOut(one.id, one.title, say(why.code, **why.about))
                   for one, why in found.left_out]  # fmt: skip
    for one in missing:
        click.echo(say("cli-left-out", title=Name(one.title), reason=Name(one.why)), err=True)
    if len(wanted) == 1 and spoilt:
        content = spoilt[0]
    elif len(found.whole) == 1 and not missing and not found.whole[0].pictures:
        content = found.whole[0].content
    else:
        content = write_archive(found.whole, missing)
    if to:
        write_file(to, content)
    else:
        sys.stdout.buffer.write(content)


@main.command()
@_own_data
@click.option("--to", type=click.Path(path_type=Path), help="File to write; else among the others.")
def backup(data: Path | None, to: Path | None) -> None:
    """Copy the whole notebook, also while it is in use; a plain SQLite file."""
    from metrion.store import Store
    from metrion.store.database import to_be_read

    folder = _there(data)
    with to_be_read(folder) if to else closing(Store(folder)) as store:
        click.echo(store.back_up(to))


@main.command()
@_own_data
@click.argument("file", required=False, type=click.Path(path_type=Path))
@click.option(
    "--list", "listed", is_flag=True, help="Print the backups with what is in each, newest first."
)
def restore(data: Path | None, file: Path | None, listed: bool) -> None:
    """Put a backup back, the newest or FILE; what is there now is kept among the backups."""
    from metrion.store.backups import backups, contents
    from metrion.store.database import restored

    folder = _there(data)
    if listed:
        for one in backups(folder):
            click.echo(f"{one}\t{_in_it(contents(one))}")
        return
    found = file or next(iter(backups(folder)), None)
    if found is None:
        give_up("cli-no-backups", folder=Name(str(folder)))
    kept = restored(folder, found)
    click.echo(say("cli-restored", file=Name(str(found))))
    if kept:
        click.echo(say("cli-kept", file=Name(str(kept))))


def _in_it(found: BackupContents | None) -> str:
    """What a backup holds, in a line."""
    if found is None:
        return say("cli-backup-unreadable")
    titles = Name(", ".join(f"“{title}”" for title in found.titles))
    return say("cli-backup-holds", sheets=found.sheets, titles=titles, changed=Name(found.changed))


def _there(data: Path | None) -> Path:
    """A data folder that must be there already."""
    folder = data or _home("metrion")
    if not folder.is_dir():
        give_up("cli-no-folder", folder=Name(str(folder)))
    return folder


Command = TypeVar("Command", bound=Callable[..., object])


def _in_each_form(command: Command) -> Command:
    """With an option for each form that a sheet has."""
    for form in reversed(FORMS.values()):
        about = f"{form.about[0].upper()}{form.about[1:]}."
        command = click.option(f"--{form.key}", "form", flag_value=form.key, help=about)(command)
    return command


@main.command()
@click.argument("file")
@_in_each_form
@click.option("--to", type=click.Path(path_type=Path), required=True, help="File to write.")
@click.option(
    "--decimal", type=click.Choice(["point", "comma"]), default="point", show_default=True,
    help="What stands before decimals.",
)  # fmt: skip
@click.option(
    "--length", type=click.Choice(["full", "short", "working"]), default="full",
    show_default=True, help="With everything, results and zeros only, or the working only.",
)  # fmt: skip
@click.option("--words", help="JSON file: the words of your course, by concept.")
def report(
    file: str, form: str | None, to: Path, decimal: str, length: str, words: str | None
) -> None:
    """Write the report of a logbook FILE ("-" reads standard input).

    The exit status is 2 if the file, or that of the words, has faults.
    """
    from metrion.core.logbook import numbered_logbook, reduce_logbook
    from metrion.formats.handed_in import handed_in
    from metrion.formats.logbook import parse_logbook
    from metrion.formats.strict_json import read_json
    from metrion.formats.words import read_words
    from metrion.report.build import Length
    from metrion.voice import DecimalSign, Numbers, Speaker

    if form is None:
        raise click.UsageError(f"Say in which form: {', '.join(f'--{one}' for one in FORMS)}.")
    try:
        document = read_json(content_of(file))
        logbook = parse_logbook(document)
        own = read_words(content_of(words)) if words else {}
    except Refused as refused:
        refuse_file(refused)
    speaker = Speaker.of(Numbers(DecimalSign(decimal)), own)
    assert isinstance(document, dict)
    results = reduce_logbook(numbered_logbook(logbook))
    made = partial(handed_in, results, document, speaker, length=Length(length))
    write_file(to, FORMS[form].write(HandedOn(made, results, logbook, speaker)))


def _home(name: str) -> Path:
    base = os.environ.get("XDG_DATA_HOME") or Path.home() / ".local" / "share"
    return Path(base) / name


for command in (exercises, diagnose, exercise_sheets, photo, said):
    main.add_command(command)
