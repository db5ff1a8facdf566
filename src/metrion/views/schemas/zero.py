"""Zero checks."""

from __future__ import annotations

from marshmallow import fields

from metrion.core.quantity.zero import Phase, ZeroCheck
from metrion.views.schemas.declared import ANSWERED, NEW_ID, WHY, taken
from metrion.views.schemas.view import view


@view
class ZeroCheckView:
    """A zero check and the error it shows."""

    id: str
    version: int
    instrument: str
    face: str
    phase: Phase
    main: str
    line: str
    reference: str | None
    error: float
    error_text: str
    correction_text: str
    at: str | None
    simulated: str


_ABOUT = (
    "A zero check; ``main`` and ``fine`` as they would stand in a logbook file. "
    "``quantity`` is what is to use it."
)
_ALSO = {
    **NEW_ID,
    **ANSWERED,
    "quantity": fields.String(),
    "replaces": fields.List(fields.String()),
}
NewZeroCheck = taken(ZeroCheck, "NewZeroCheck", _ABOUT, also=_ALSO)
ZeroCheckPatch = taken(ZeroCheck, "ZeroCheckPatch", "A change to a zero check.", also=WHY)
