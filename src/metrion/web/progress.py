"""Long work that tells how far it is.

A client that accepts ``application/x-ndjson`` gets a line of JSON after each step, ``{"done": 3,
"of": 40}``, and a last one with what the work came to: ``{"answer": …}``, or ``{"error": …}`` in
the one shape of errors, with its status. Any other client waits and gets the answer alone.
"""

from __future__ import annotations

import json
from collections.abc import Generator, Iterator
from dataclasses import asdict
from typing import NamedTuple

from flask import Response, request, stream_with_context

from metrion.core.errors import MetrionError
from metrion.web.api import metrion_error

LINES = "application/x-ndjson"


class Done(NamedTuple):
    """How far a work is: so many of so many steps."""

    done: int
    of: int


ProgressingWork = Generator[Done, None, object]
"""Tells how far it is, and returns what it came to."""


def with_progress(work: ProgressingWork) -> object:
    """What a work comes to, or a response that tells how far it is while it is done."""
    if LINES in request.accept_mimetypes.values():
        return Response(stream_with_context(_lines(work)), mimetype=LINES)
    while True:
        try:
            next(work)
        except StopIteration as end:
            return end.value


def _lines(work: ProgressingWork) -> Iterator[str]:
    try:
        while True:
            try:
                yield _line(**next(work)._asdict())
            except StopIteration as end:
                yield _line(answer=end.value)
                return
    except MetrionError as error:
        response = metrion_error(error)
        yield _line(error=response.json, status=response.status_code)


def _line(**found: object) -> str:
    return json.dumps(found, default=asdict) + "\n"
