"""``/api/settings``: what is chosen once for the notebook."""

from __future__ import annotations

from typing import Any

from flask_smorest import Blueprint

from metrion.web.notebook import notebook
from metrion.web.schemas import SettingsSchema

blueprint = Blueprint("settings", __name__, url_prefix="/api/settings")

USUAL: dict[str, Any] = {
    "theme": "system",
    "decimal_sign": "point",
    "single_keys": True,
    "words": {},
    "convention": "half-division",
}


@blueprint.get("")
@blueprint.response(200, SettingsSchema)
def get_settings() -> dict[str, Any]:
    """All settings, usual values where nothing was chosen."""
    return settings()


@blueprint.patch("")
@blueprint.arguments(SettingsSchema)
@blueprint.response(200, SettingsSchema)
def change_settings(body: dict[str, Any]) -> dict[str, Any]:
    """Choose some settings."""
    notebook().set(body)
    return settings()


def settings() -> dict[str, Any]:
    """All settings, usual values where nothing was chosen."""
    return {**USUAL, **notebook().settings()}
