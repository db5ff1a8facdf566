"""The command line: ``metrion reduce``, ``metrion serve``, ``metrion demo``."""

from __future__ import annotations

import logging
import os
import socket
import sys
from collections.abc import Callable
from pathlib import Path
from typing import NoReturn

import click

from metrion import __version__
from metrion.core.logbook import Logbook, reduce_logbook
from metrion.formats.faults import Fault, Refused
from metrion.formats.logbook import read_logbook
from metrion.formats.results import results_document
from metrion.formats.strict_json import write_json
from metrion.formats.table import observation_table

DEFAULT_PORT = 8321
_FAULTY = 2
_THREADS = 8


@click.group()
@click.version_option(__version__, prog_name="metrion")
def main() -> None:
    """Least counts, readings, zero errors and averaged results for the physics lab."""


@main.command()
@click.argument("files", nargs=-1, required=True, metavar="FILE...")
@click.option("--csv", "as_csv", is_flag=True, help="Print the table of observations instead.")
def reduce(files: tuple[str, ...], as_csv: bool) -> None:
    """Work logbook FILEs out and print the results as JSON ("-" reads standard input).

    Several FILEs give one line of JSON each. The exit status is 2 if a file has faults.
    """
    if as_csv and len(files) > 1:
        raise click.UsageError("--csv takes one FILE.")
    if len(files) == 1:
        written: Callable[[Logbook], str] = _table if as_csv else _results
        _reduce_one(files[0], written)
        return
    in_order = [_reduce_line(name) for name in files]
    if not all(in_order):
        sys.exit(_FAULTY)


def _reduce_one(name: str, written: Callable[[Logbook], str]) -> None:
    try:
        text = written(read_logbook(_content(name)))
    except Refused as refused:
        for fault in refused.faults:
            click.echo(_one_line(fault), err=True)
        sys.exit(_FAULTY)
    # As bytes, so that the ends of lines stay what they are on every system.
    click.get_binary_stream("stdout").write(text.encode())


def _results(logbook: Logbook) -> str:
    return write_json(results_document(reduce_logbook(logbook))) + "\n"


def _table(logbook: Logbook) -> str:
    return observation_table(logbook.measurements)


def _one_line(fault: Fault) -> str:
    return " ".join(str(fault).splitlines())


def _reduce_line(name: str) -> bool:
    """Print one line for a file; whether it was in order."""
    try:
        worked = reduce_logbook(read_logbook(_content(name)))
        document, whole = results_document(worked), True
    except Refused as refused:
        faults = [{"pointer": f.pointer, "message": f.message} for f in refused.faults]
        document = {"format": "metrion-faults", "version": 1, "file": name, "faults": faults}
        whole = False
    click.echo(write_json(document, indent=None))
    return whole


def _content(name: str) -> bytes:
    try:
        return sys.stdin.buffer.read() if name == "-" else Path(name).read_bytes()
    except (OSError, ValueError) as error:
        reason = getattr(error, "strerror", None) or error
        raise Refused([Fault("", f"{name} cannot be read: {reason}")]) from None


_host = click.option("--host", default="127.0.0.1", show_default=True, help="Address to listen on.")
_port = click.option(
    "--port", default=DEFAULT_PORT, show_default=True, envvar="METRION_PORT",
    type=click.IntRange(0, 65535), help="Port to listen on; 0 takes any that is free.",
)  # fmt: skip


@main.command()
@click.option(
    "--data", envvar="METRION_DATA", type=click.Path(path_type=Path),
    help="Data folder (METRION_DATA); by default one below your home folder.",
)  # fmt: skip
@_host
@_port
def serve(data: Path | None, host: str, port: int) -> None:
    """Serve a data folder of your own."""
    _serve(data or _home("metrion"), host, port)


@main.command()
@click.option(
    "--data", envvar="METRION_DATA", type=click.Path(path_type=Path),
    help="Folder (METRION_DATA) in which a folder for the demo is made.",
)  # fmt: skip
@click.option("--fresh", is_flag=True, help="Put the demo sheets back as they were at first.")
@_host
@_port
def demo(data: Path | None, fresh: bool, host: str, port: int) -> None:
    """Serve the demo sheets, kept apart from sheets of your own."""
    from metrion.demo import prepare

    folder = data / "demo" if data else _home("metrion-demo")
    prepare(folder, fresh=fresh)
    _serve(folder, host, port)


def _home(name: str) -> Path:
    base = os.environ.get("XDG_DATA_HOME") or Path.home() / ".local" / "share"
    return Path(base) / name


def _serve(folder: Path, host: str, port: int) -> None:
    from waitress.server import create_server

    from metrion.web import create_app

    listener = _listener(host, port)
    # A page asks for several things at once; that they queue for a moment is no news.
    logging.getLogger("waitress.queue").setLevel(logging.ERROR)
    app = create_app(folder)
    server = create_server(app, sockets=[listener], threads=_THREADS)
    bound = listener.getsockname()[1]
    shown = f"[{host}]" if ":" in host else host
    click.echo(f"Metrion is at http://{shown}:{bound}/ (data in {folder}; stop with Ctrl+C)")
    sys.stdout.flush()
    try:
        server.run()
    except KeyboardInterrupt:
        click.echo("Stopped; everything is saved.")


def _listener(host: str, port: int) -> socket.socket:
    family = socket.AF_INET6 if ":" in host else socket.AF_INET
    listener = socket.socket(family, socket.SOCK_STREAM)
    listener.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    try:
        listener.bind((host, port))
        listener.listen()
    except OSError as error:
        listener.close()
        _give_up(
            f"Port {port} on {host} cannot be used ({error.strerror}); "
            "choose another one with METRION_PORT or --port."
        )
    return listener


def _give_up(sentence: str) -> NoReturn:
    click.echo(sentence, err=True)
    sys.exit(1)
