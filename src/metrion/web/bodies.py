"""The bodies of requests, read as strictly as files, and answers written as files are."""

from __future__ import annotations

from typing import Any

from flask.json.provider import DefaultJSONProvider

from metrion.core.json import Json
from metrion.formats.faults import Refused
from metrion.formats.strict_json import read_json
from metrion.web.speaking import refuse

_LARGEST = 1024 * 1024


class Unreadable(Refused):
    """A body that is no JSON, or none that can be taken in."""


class StrictJson(DefaultJSONProvider):
    """JSON for the application: nothing nested too deeply, no name twice, no half surrogates."""

    def loads(self, s: str | bytes, **_: Any) -> Json:
        """The value of a body.

        Raises:
            Problem: 413 if it is larger than any entry may be.
            Unreadable: with what is wrong with it.
        """
        content = s.encode("utf-8", "surrogatepass") if isinstance(s, str) else s
        if len(content) > _LARGEST:
            refuse(413, "body-too-large", most=_LARGEST)
        try:
            return read_json(content)
        except Refused as refused:
            raise Unreadable(refused.faults) from None
