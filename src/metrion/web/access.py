"""``/api/access``: who may come in from beyond this machine, seen and changed from inside."""

from __future__ import annotations

import segno
from flask import current_app, request

from metrion.views.schemas.notebook import AccessView, CodeView
from metrion.views.schemas.view import schema_of
from metrion.web.authentication import PAIRING_MINUTES, Code, Gate, gate_of
from metrion.web.bodies import Blueprint
from metrion.web.host_check import PORT, host_for_others
from metrion.web.problems import refuse
from metrion.web.sessions import begin_session, own_session, sessions

blueprint = Blueprint("access", __name__, url_prefix="/api/access")


@blueprint.get("")
@blueprint.response(200, schema_of(AccessView))
def get_access() -> AccessView:
    """Whether somebody has to come in at all."""
    return AccessView(gate_of(current_app) is not None)


@blueprint.post("/code")
@blueprint.response(201, schema_of(CodeView))
def renew_code() -> CodeView:
    """A new code for phones, in the place of the old one. 409 where none is needed.

    A phone that comes in with it goes on where the session of who asked is.
    """
    return _view(_gate().renew(sessions().shown(own_session()) if own_session() else ""))


@blueprint.post("/end-sessions")
@blueprint.response(201, schema_of(CodeView))
def end_sessions() -> CodeView:
    """End all sessions but that of who asks, and the code with them. 409 where none is needed."""
    gate = _gate()
    shown = sessions().shown(own_session())
    sessions().end_all()
    begin_session()
    return _view(gate.renew(shown))


def _gate() -> Gate:
    found = gate_of(current_app)
    if found is None:
        refuse(409, "no-gate")
    return found


def _view(code: Code) -> CodeView:
    host, port = PORT.sub("", request.host), PORT.search(request.host)
    own = f"{host_for_others(host)}{port[0] if port else ''}"
    address = f"{request.scheme}://{own}/pair/{code.text}"
    picture = segno.make(address, error="m").svg_data_uri(scale=4, border=2, light="#fff")
    return CodeView(address, PAIRING_MINUTES, picture)
