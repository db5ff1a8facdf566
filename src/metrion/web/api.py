"""The API object, and the one shape that every error has."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import asdict

from flask import Flask, Response, jsonify
from flask_smorest import Api
from werkzeug.exceptions import HTTPException, MethodNotAllowed

from metrion.core.errors import MetrionError
from metrion.core.json import Record
from metrion.formats.faults import Refused
from metrion.formats.processes import Crowded, Unwanted
from metrion.notebook.errors import ConventionTaken, InUse, NoOwnConvention
from metrion.notebook.other_windows import OfAnother
from metrion.store import (
    Busy,
    Damaged,
    KeyReused,
    NotHere,
    NothingToRedo,
    NothingToUndo,
    Stale,
    StorageTrouble,
    TakenId,
)
from metrion.views.locale import say
from metrion.views.present.faults import faults_view
from metrion.views.schemas.notebook import ErrorView, FaultView, UseView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Unreadable
from metrion.web.problems import Problem

_STATUS: dict[type[MetrionError], int] = {
    Unreadable: 400,
    NotHere: 404,
    NoOwnConvention: 404,
    Damaged: 409,
    TakenId: 409,
    ConventionTaken: 409,
    KeyReused: 409,
    NothingToUndo: 409,
    NothingToRedo: 409,
    OfAnother: 409,
    Stale: 412,
    Busy: 503,
    Crowded: 503,
    Unwanted: 503,
    StorageTrouble: 507,
}
_AGAIN_SECONDS = "1"
_SELDOM = ("uses", "asks")
"""Told only where there is something to tell."""


class MetrionApi(Api):
    """Registers the handlers: ``{"message": …, "faults": […], "uses": […]}``, see `ErrorView`."""

    ERROR_SCHEMA = schema_of(ErrorView)

    def _register_error_handlers(self) -> None:
        app: Flask = self._app
        app.register_error_handler(HTTPException, _http_error)
        app.register_error_handler(MetrionError, metrion_error)


def _shape(
    message: str,
    faults: list[FaultView],
    status: int,
    uses: Sequence[UseView] = (),
    asks: str = "",
) -> Response:
    shown = asdict(ErrorView(message, faults, list(uses), asks))
    told = {name: each for name, each in shown.items() if each or name not in _SELDOM}
    response = jsonify(told)
    response.status_code = status
    return response


def metrion_error(error: MetrionError) -> Response:
    """A rule that was broken, in the one shape of errors."""
    faults = faults_view(error.faults) if isinstance(error, Refused) else []
    status = error.status if isinstance(error, Problem) else _STATUS.get(type(error), 422)
    used = error.uses if isinstance(error, InUse) else ()
    uses = [UseView(use.section, use.id, say(use.says)) for use in used]
    asks = error.asks if isinstance(error, OfAnother) else ""
    response = _shape(say(error.says), faults, status, uses, asks)
    if isinstance(error, Busy | Crowded):
        response.headers["Retry-After"] = _AGAIN_SECONDS
    return response


def _http_error(error: HTTPException) -> Response:
    # webargs keeps what is wrong with each field of a body in ``data``.
    found: Record = (getattr(error, "data", None) or {}).get("messages", {})
    faults = list(_field_faults("", found.get("json", {})))
    message = faults[0].message if len(faults) == 1 else str(error.description)
    response = _shape(message, faults, error.code or 500)
    if isinstance(error, MethodNotAllowed) and error.valid_methods:
        response.headers["Allow"] = ", ".join(error.valid_methods)
    return response


def _field_faults(pointer: str, found: object) -> Iterator[FaultView]:
    if isinstance(found, dict):
        for name, inner in found.items():
            yield from _field_faults(f"{pointer}/{name}", inner)
    elif isinstance(found, list):
        for message in found:
            yield FaultView(pointer, str(message))
