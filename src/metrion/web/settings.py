"""``/api/settings``: what is chosen once for the notebook."""

from __future__ import annotations

from metrion.core.facts import Name
from metrion.core.json import Record
from metrion.core.uncertainty.conventions import BUILT_IN
from metrion.voice import languages, usual
from metrion.web.bodies import Blueprint
from metrion.web.notebook import OWN_CONVENTIONS, notebook
from metrion.web.schemas import SettingsSchema
from metrion.web.speaking import refuse

blueprint = Blueprint("settings", __name__, url_prefix="/api/settings")

USUAL: Record = {
    "theme": "system",
    "decimal_sign": "point",
    "single_keys": True,
    "words": {},
    "convention": "half-division",
    "language": usual(),
}


@blueprint.get("")
@blueprint.response(200, SettingsSchema)
def get_settings() -> Record:
    """All settings, usual values where nothing was chosen."""
    return settings()


@blueprint.patch("")
@blueprint.arguments(SettingsSchema)
@blueprint.response(200, SettingsSchema)
def change_settings(body: Record) -> Record:
    """Choose some settings. 422 for a convention or language that is not known."""
    given = body.get("convention")
    if given is not None and given not in _conventions():
        refuse(422, "no-convention", key=Name(str(given)))
    language = body.get("language")
    if language is not None and language not in languages():
        refuse(
            422,
            "no-such-language",
            language=Name(str(language)),
            known=Name(", ".join(languages())),
        )
    notebook().set(body)
    return settings()


def settings() -> Record:
    """All settings, usual values where nothing was chosen."""
    found = {**USUAL, **notebook().settings()}
    found.pop(OWN_CONVENTIONS, None)
    if found["convention"] not in _conventions():
        found["convention"] = USUAL["convention"]
    return found


def _conventions() -> set[str]:
    return {*BUILT_IN, *notebook().own_conventions()}
