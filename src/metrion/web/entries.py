"""``/api/sheets/<sheet>/…``: instruments, zero checks, quantities and readings, one by one.

Every write answers with what changed of the sheet. New entries may carry an id of the client's
making; changes carry ``If-Match`` with the version of the entry; an ``Idempotency-Key`` makes
sending twice harmless.
"""

from __future__ import annotations

from flask.views import MethodView

from metrion.notebook.patches import EntryPatch
from metrion.views.schemas.derived import DerivedFields, NewDerived
from metrion.views.schemas.instruments import InstrumentPatch, NewInstrument
from metrion.views.schemas.quantities import NewQuantity, QuantityFields
from metrion.views.schemas.readings import NewReading, ReadingPatch
from metrion.views.schemas.sheets import SheetChangeView
from metrion.views.schemas.view import schema_of
from metrion.views.schemas.zero import NewZeroCheck, ZeroCheckPatch
from metrion.web.bodies import Blueprint, seen_version
from metrion.web.current import entry_acts, shown_change

blueprint = Blueprint("entries", __name__, url_prefix="/api/sheets/<sheet>")


@blueprint.post("/instruments")
@blueprint.arguments(NewInstrument)
@blueprint.response(201, schema_of(SheetChangeView))
def add_instrument(told: EntryPatch, sheet: str) -> SheetChangeView:
    """A new instrument. 422 if its numbers make no scale."""
    return shown_change(entry_acts(sheet).add_instrument(told))


@blueprint.route("/instruments/<path:key>")
class InstrumentResource(MethodView):
    """One instrument of a sheet."""

    @blueprint.versioned
    @blueprint.arguments(InstrumentPatch)
    @blueprint.response(200, schema_of(SheetChangeView))
    def patch(self, told: EntryPatch, sheet: str, key: str) -> SheetChangeView:
        """Describe it anew. 412 if changed meanwhile; 422 if what was read no longer fits.

        Where its unit changes, ``what_was_read`` says what becomes of the readings.
        """
        return shown_change(entry_acts(sheet).amend_instrument(key, seen_version(), told))

    @blueprint.versioned
    @blueprint.response(200, schema_of(SheetChangeView))
    def delete(self, sheet: str, key: str) -> SheetChangeView:
        """Take it away. 422 while something refers to it."""
        return shown_change(entry_acts(sheet).remove("instruments", key, seen_version()))


@blueprint.post("/zero_checks")
@blueprint.arguments(NewZeroCheck)
@blueprint.response(201, schema_of(SheetChangeView))
def add_zero_check(told: EntryPatch, sheet: str) -> SheetChangeView:
    """A new zero check, used by ``quantity``, if it names one. 422 if the scale cannot show it.

    With ``replaces`` the first of those has its figures from now on, and the earlier ones in its
    history; ``quantity`` uses the others no more.
    """
    return shown_change(entry_acts(sheet).add_zero_check(told))


@blueprint.route("/zero_checks/<path:key>")
class ZeroCheckResource(MethodView):
    """One zero check of a sheet."""

    @blueprint.versioned
    @blueprint.arguments(ZeroCheckPatch)
    @blueprint.response(200, schema_of(SheetChangeView))
    def patch(self, told: EntryPatch, sheet: str, key: str) -> SheetChangeView:
        """Change it; everything it corrects follows. 412 if changed meanwhile."""
        return shown_change(entry_acts(sheet).amend("zero_checks", key, seen_version(), told))

    @blueprint.versioned
    @blueprint.response(200, schema_of(SheetChangeView))
    def delete(self, sheet: str, key: str) -> SheetChangeView:
        """Take it away. 422 while a quantity names it."""
        return shown_change(entry_acts(sheet).remove("zero_checks", key, seen_version()))


@blueprint.post("/quantities")
@blueprint.arguments(NewQuantity)
@blueprint.response(201, schema_of(SheetChangeView))
def add_quantity(told: EntryPatch, sheet: str) -> SheetChangeView:
    """A new quantity without readings."""
    return shown_change(entry_acts(sheet).add_quantity(told))


@blueprint.route("/quantities/<path:key>")
class QuantityResource(MethodView):
    """One quantity of a sheet."""

    @blueprint.versioned
    @blueprint.arguments(QuantityFields)
    @blueprint.response(200, schema_of(SheetChangeView))
    def patch(self, told: EntryPatch, sheet: str, key: str) -> SheetChangeView:
        """Change it. 412 if changed meanwhile; 422 if its readings do not fit any more."""
        return shown_change(entry_acts(sheet).amend("measurements", key, seen_version(), told))

    @blueprint.versioned
    @blueprint.response(200, schema_of(SheetChangeView))
    def delete(self, sheet: str, key: str) -> SheetChangeView:
        """Take it away with its readings. 422 while something is derived from it."""
        return shown_change(entry_acts(sheet).remove("measurements", key, seen_version()))


@blueprint.post("/derived")
@blueprint.arguments(NewDerived)
@blueprint.response(201, schema_of(SheetChangeView))
def add_derived(told: EntryPatch, sheet: str) -> SheetChangeView:
    """A new derived quantity. 422 if its formula, inputs and unit do not go together."""
    return shown_change(entry_acts(sheet).add_derived(told))


@blueprint.route("/derived/<path:key>")
class DerivedResource(MethodView):
    """One derived quantity of a sheet."""

    @blueprint.versioned
    @blueprint.arguments(DerivedFields)
    @blueprint.response(200, schema_of(SheetChangeView))
    def patch(self, told: EntryPatch, sheet: str, key: str) -> SheetChangeView:
        """Change it. 412 if changed meanwhile; 422 if it cannot be worked out so."""
        return shown_change(entry_acts(sheet).amend("derived", key, seen_version(), told))

    @blueprint.versioned
    @blueprint.response(200, schema_of(SheetChangeView))
    def delete(self, sheet: str, key: str) -> SheetChangeView:
        """Take it away."""
        return shown_change(entry_acts(sheet).remove("derived", key, seen_version()))


@blueprint.post("/readings")
@blueprint.arguments(NewReading)
@blueprint.response(201, schema_of(SheetChangeView))
def add_reading(told: EntryPatch, sheet: str) -> SheetChangeView:
    """A new reading of the quantity that ``quantity`` names. 422 if the scale cannot show it.

    Its figures stand as in a logbook, or under ``typed`` as they were typed at the bench.
    """
    return shown_change(entry_acts(sheet).add_reading(told))


@blueprint.route("/readings/<key>")
class ReadingResource(MethodView):
    """One reading of a sheet."""

    @blueprint.versioned
    @blueprint.arguments(ReadingPatch)
    @blueprint.response(200, schema_of(SheetChangeView))
    def patch(self, told: EntryPatch, sheet: str, key: str) -> SheetChangeView:
        """Change it; figures that change stay in its history. 412 if changed meanwhile."""
        return shown_change(entry_acts(sheet).amend_reading(key, seen_version(), told))

    @blueprint.versioned
    @blueprint.response(200, schema_of(SheetChangeView))
    def delete(self, sheet: str, key: str) -> SheetChangeView:
        """Take it away; for a reading that was made, setting aside is the honest way."""
        return shown_change(entry_acts(sheet).remove("observations", key, seen_version()))
