"""``/api/settings``: what is chosen once for the notebook."""

from __future__ import annotations

from metrion.core.facts import Name
from metrion.core.json import Record
from metrion.views.schemas.notebook import SettingsSchema
from metrion.voice import languages
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook
from metrion.web.problems import refuse

blueprint = Blueprint("settings", __name__, url_prefix="/api/settings")


@blueprint.get("")
@blueprint.response(200, SettingsSchema)
def get_settings() -> Record:
    """All settings, usual values where nothing was chosen."""
    return notebook().settings().chosen


@blueprint.patch("")
@blueprint.arguments(SettingsSchema)
@blueprint.response(200, SettingsSchema)
def change_settings(body: Record) -> Record:
    """Choose some settings. 422 for a convention or language that is not known."""
    given = body.get("convention")
    if given is not None and given not in notebook().settings().conventions:
        refuse(422, "no-convention", key=Name(str(given)))
    language = body.get("language")
    if language is not None and language not in languages():
        refuse(
            422,
            "no-such-language",
            language=Name(str(language)),
            known=Name(", ".join(languages())),
        )
    notebook().change_settings(body)
    return notebook().settings().chosen
