"""``/api/conventions``: the schools that every sheet may choose from."""

from __future__ import annotations

from typing import Any

from flask_smorest import Blueprint

from metrion.core.conventions import BUILT_IN
from metrion.core.schools import described
from metrion.web.schemas import ConventionSchema

blueprint = Blueprint("conventions", __name__, url_prefix="/api/conventions")


@blueprint.get("")
@blueprint.response(200, ConventionSchema(many=True))
def get_conventions() -> list[dict[str, Any]]:
    """The built-in conventions with what each does."""
    return [
        {"id": one.id, "name": one.name, "words": list(described(one))} for one in BUILT_IN.values()
    ]
