"""The bodies of requests, read as strictly as files."""

from __future__ import annotations

import flask_smorest
from flask import Request
from marshmallow import Schema
from webargs.core import missing
from webargs.flaskparser import FlaskParser

from metrion.formats.faults import Refused
from metrion.formats.strict_json import read_json
from metrion.web.speaking import refuse

_LARGEST = 1024 * 1024


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
        if len(content) > _LARGEST:
            refuse(413, "body-too-large", most=_LARGEST)
        try:
            return read_json(content) if content else missing
        except Refused as refused:
            raise Unreadable(refused.faults) from None


class Blueprint(flask_smorest.Blueprint):
    """Resources of the API."""

    ARGUMENTS_PARSER = _Parser()
