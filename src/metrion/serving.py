"""Serving a data folder: the listener, who may come in, the backups, and an orderly end."""

from __future__ import annotations

import gc
import logging
import os
import signal
import socket
import sys
from ipaddress import ip_address
from pathlib import Path

import click

from metrion.core.facts import Name
from metrion.formats.faults import Refused
from metrion.telling import FAULTY, content_of, give_up, refuse_file, say

_NEW_OBJECTS = 50_000
"""How many more objects there are before the collector looks for circles."""


def serve_folder(
    folder: Path, host: str, port: int, names: tuple[str, ...], phrase_file: Path | None
) -> None:
    """Serve until somebody interrupts it.

    Args:
        folder: of the data.
        host, port: where to listen; port 0 takes any that is free.
        names: further host names by which it may be reached.
        phrase_file: holds the pass phrase that is needed beyond this machine, if given.
    """
    from metrion.store import Store
    from metrion.store.backups import DailyBackups
    from metrion.store.pruning import upkeep
    from metrion.web import create_app
    from metrion.web.authentication import Gate
    from metrion.web.host_check import host_for_others, names_of
    from metrion.web.server import server_of

    listener = _listener(host, port)
    # A page asks for several things at once; that they queue for a moment is no news.
    logging.getLogger("waitress.queue").setLevel(logging.ERROR)
    address, bound = listener.getsockname()[:2]
    gate = None if ip_address(address).is_loopback else Gate(_phrase(phrase_file))
    _end_in_order()
    store = Store(folder)
    for before, after in store.renamed:
        click.echo(say("cli-renamed", before=Name(before), after=Name(after)))
    backups = DailyBackups(lambda: upkeep(store), _backup_failed)
    app = create_app(store, names_of(address, [host, *names]), gate)
    # What is worked out are many small records that do not refer back: to look for such so often
    # as is usual takes a fifth of the time of a large sheet.
    gc.freeze()
    gc.set_threshold(_NEW_OBJECTS)
    server = server_of(app, listener)
    shown = f"[{host}]" if ":" in host else host
    address = Name(f"http://{shown}:{bound}/")
    click.echo(say("cli-at", address=address, folder=Name(str(folder))))
    if gate:
        _tell_code(
            f"http://{host_for_others(listener.getsockname()[0])}:{bound}/pair/{gate.code.text}"
        )
    sys.stdout.flush()
    backups.start()
    try:
        # Ends, with all that is being answered, on an interrupt.
        server.run()
    finally:
        backups.stop()
        store.close()
    click.echo(say("cli-stopped"))


def _end_in_order() -> None:
    """Take whoever asks for the end as an interrupt."""
    for asked in (signal.SIGTERM, signal.SIGHUP):
        signal.signal(asked, signal.default_int_handler)


def _phrase(file: Path | None) -> str:
    """The pass phrase, from the environment, a file or the terminal; never from an argument."""
    from metrion.web.authentication import SHORTEST

    found = os.environ.get("METRION_PASS_PHRASE", "")
    if file and not found:
        try:
            found = content_of(str(file)).decode("utf-8", "replace").strip()
        except Refused as refused:
            refuse_file(refused)
    if not found and sys.stdin.isatty():
        found = click.prompt(say("cli-phrase"), hide_input=True, default="", show_default=False)
    if len(found) < SHORTEST:
        click.echo(say("cli-no-phrase", least=SHORTEST), err=True)
        sys.exit(FAULTY)
    return found


def _tell_code(address: str) -> None:
    """Show how a phone comes in, as a code that its camera reads."""
    import segno

    from metrion.web.authentication import PAIRING_MINUTES

    click.echo(say("cli-gate", minutes=PAIRING_MINUTES, address=Name(address)))
    segno.make(address, error="m").terminal(sys.stdout, compact=True)


def _backup_failed(error: Exception) -> None:
    reason = getattr(error, "says", None) or Name(str(error))
    click.echo(say("cli-no-backup", reason=reason), err=True)


def _listener(host: str, port: int) -> socket.socket:
    family = socket.AF_INET6 if ":" in host else socket.AF_INET
    listener = socket.socket(family, socket.SOCK_STREAM)
    listener.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    try:
        listener.bind((host, port))
        listener.listen()
    except OSError as error:
        listener.close()
        reason = Name(str(error.strerror))
        give_up("cli-port-taken", port=port, host=Name(host), reason=reason)
    return listener
