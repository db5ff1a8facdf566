"""What every command says, and how it ends where it cannot go on."""

from __future__ import annotations

import sys
from collections.abc import Callable, Mapping
from pathlib import Path
from typing import NoReturn

import click

from metrion.core.codes import MessageCode
from metrion.core.errors import MetrionError
from metrion.core.exact.bounds import LARGEST_PACKED
from metrion.core.facts import Argument, Fact, Name, fact
from metrion.core.json import Json
from metrion.formats.faults import Fault, Refused, refusal
from metrion.formats.strict_json import read_json, write_json

FAULTY = 2
"""The exit status where a file, or what was given, has faults."""


def say(code: MessageCode, **about: Argument) -> str:
    """What the catalogue says under a code."""
    from metrion.voice import plainly

    return plainly().text(code, **about)


def said(fault: Fault) -> str:
    """A fault in words."""
    return say(fault.says.code, **fault.says.about)


def one_line(fault: Fault) -> str:
    """A fault in one line, with its place."""
    return " ".join(f"{fault.pointer}: {said(fault)}".splitlines())


def refuse_file(refused: Refused) -> NoReturn:
    """Tell every fault of a file, and end."""
    for fault in refused.faults:
        click.echo(one_line(fault), err=True)
    sys.exit(FAULTY)


def told(refused: Refused) -> dict[str, object]:
    """Every fault of what was refused, as a line of JSON holds it."""
    return {"faults": [{"pointer": one.pointer, "message": said(one)} for one in refused.faults]}


def content_of(name: str) -> bytes:
    """What a file holds, or standard input ("-"). Raises `Refused` if it cannot be read."""
    # One byte more than a file may have, so that it is refused for it.
    most = LARGEST_PACKED + 1
    try:
        if name == "-":
            return sys.stdin.buffer.read(most)
        with Path(name).open("rb") as file:
            return file.read(most)
    except (OSError, ValueError) as error:
        reason = str(getattr(error, "strerror", None) or error)
        raise refusal("file-unreadable", name=Name(name), reason=Name(reason)) from None


def answer_lines(file: str, answer: Callable[[Json], Mapping[str, object]]) -> None:
    """Answer every line of JSON in a file with a line; one with faults with its faults.

    The exit status is then 2.
    """
    try:
        lines = content_of(file).splitlines()
    except Refused as refused:
        refuse_file(refused)
    whole = True
    for line in filter(bytes.strip, lines):
        try:
            document = dict(answer(read_json(line)))
        except Refused as refused:
            document, whole = told(refused), False
        # Whatever is odd about one line, those after it are answered.
        except Exception as error:
            says = error.says if isinstance(error, MetrionError) else _unforeseen(error)
            document, whole = told(Refused([Fault("", says)])), False
        click.echo(write_json(document, indent=None))
    if not whole:
        sys.exit(FAULTY)


def _unforeseen(error: Exception) -> Fact:
    return fact("line-unanswered", reason=Name(str(error) or repr(error)))


def give_up(code: MessageCode, **about: Argument) -> NoReturn:
    """Say why it cannot go on, and end."""
    click.echo(say(code, **about), err=True)
    sys.exit(1)


def write_file(to: Path, content: bytes) -> None:
    """Write a file, or say why that cannot be, and end."""
    try:
        to.write_bytes(content)
    except OSError as error:
        give_up("cli-unwritable", name=Name(str(to)), reason=Name(str(error.strerror)))
