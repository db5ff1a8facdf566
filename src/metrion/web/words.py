"""``/api/words``: the glossary, care and safety, and the parts of every kind of instrument."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any

from flask_smorest import Blueprint

from metrion.core.instruments.instrument import Kind
from metrion.core.instruments.parts import FACES, KIND_CARE, PARTS
from metrion.core.words import CARE, CONCEPTS
from metrion.web.schemas import WordsSchema

blueprint = Blueprint("words", __name__, url_prefix="/api/words")


@blueprint.get("")
@blueprint.response(200, WordsSchema)
def get_words() -> dict[str, Any]:
    """Everything that is said in words, in the usual vocabulary."""
    return {
        "concepts": [asdict(concept) for concept in CONCEPTS],
        "care": [{"title": title, "text": text} for title, text in CARE],
        "kinds": [
            {
                "kind": str(kind),
                "parts": [asdict(part) for part in PARTS[kind]],
                "care": KIND_CARE[kind],
                "faces": [asdict(face) for face in FACES[kind]],
            }
            for kind in Kind
        ],
    }
