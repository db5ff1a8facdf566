"""The bodies of requests, read as strictly as files."""

from __future__ import annotations

import re
from collections.abc import Callable
from typing import Any, TypeVar

import flask_smorest
from flask import Request, request
from marshmallow import Schema
from webargs.core import missing
from webargs.flaskparser import FlaskParser

from metrion.formats.faults import Refused
from metrion.formats.strict_json import read_json
from metrion.web.problems import refuse

LARGEST_BODY = 1024 * 1024


Doc = dict[str, Any]
View = TypeVar("View", bound=Callable[..., object])
_TEXT = {"type": "string"}
_KEY = {
    "name": "Idempotency-Key", "in": "header", "schema": _TEXT, "required": False,
    "description": "Of the client's making; the same request under it is carried out once.",
}  # fmt: skip
_SEEN = {
    "name": "If-Match", "in": "header", "schema": _TEXT, "required": False,
    "description": "The version that was seen, in quotes; 428 without it where it is needed.",
}  # fmt: skip


_VERSIONED = "versioned"
_VERSION = re.compile(r"[0-9]{1,18}")


def seen_version() -> int:
    """The version of an entry that the client has seen: 428 if it does not say."""
    given = request.headers.get("If-Match", "").strip('"')
    if not _VERSION.fullmatch(given):
        refuse(428, "no-version-said")
    return int(given)


class Unreadable(Refused):
    """A body that is no JSON, or none that can be taken in."""


class _Parser(FlaskParser):
    def load_json(self, req: Request, schema: Schema) -> object:
        """The value of a body: nothing nested too deeply, no name twice, no half surrogates.

        Raises:
            Problem: 413 if it is larger than any entry may be.
            Unreadable: with what is wrong with it.
        """
        if not req.is_json:
            return missing
        content = req.get_data()
        if len(content) > LARGEST_BODY:
            refuse(413, "body-too-large", most=LARGEST_BODY)
        try:
            return read_json(content) if content else missing
        except Refused as refused:
            raise Unreadable(refused.faults) from None


class Blueprint(flask_smorest.Blueprint):
    """Resources of the API."""

    ARGUMENTS_PARSER = _Parser()

    def __init__(self, *given: Any, **more: Any) -> None:
        super().__init__(*given, **more)
        self._prepare_doc_cbks.append(self._prepare_headers_doc)

    @staticmethod
    def _prepare_headers_doc(doc: Doc, told: Doc, *, method: str, **__: Any) -> Doc:
        """Every request that adds something may have a key, and is then carried out once."""
        headers = [_SEEN] if told.get(_VERSIONED) else []
        headers += [_KEY] if method.lower() == "post" else []
        if headers:
            doc.setdefault("parameters", []).extend(headers)
        return doc

    def versioned(self, view: View) -> View:
        """Say that a change names the version which its client has seen."""
        told: Doc = {**getattr(view, "_apidoc", {}), _VERSIONED: True}
        view._apidoc = told  # type: ignore[attr-defined]
        return view
