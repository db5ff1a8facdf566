"""``/api/forms``: in which forms a sheet is handed on."""

from __future__ import annotations

from metrion.formats.forms import FORMS
from metrion.views.locale import say
from metrion.views.schemas.sheets import SheetFormView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint

blueprint = Blueprint("forms", __name__, url_prefix="/api/forms")


@blueprint.get("")
@blueprint.response(200, schema_of(SheetFormView)(many=True))
def get_forms() -> list[SheetFormView]:
    """The forms that are offered as files, each with where it is found below a sheet."""
    return [
        SheetFormView(form.address, say(form.label), form.printed)
        for form in FORMS.values()
        if form.label
    ]
