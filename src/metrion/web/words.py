"""``/api/words``: the glossary, care and safety, and the parts of every kind of instrument."""

from __future__ import annotations

from collections.abc import Callable

from metrion.core.traits import Kind
from metrion.core.words import CARE, CONCEPTS
from metrion.views.locale import speaker
from metrion.views.schemas.view import schema_of
from metrion.views.schemas.words import (
    CareView,
    ConceptView,
    FaceView,
    KindView,
    PartView,
    WordsView,
)
from metrion.web.bodies import Blueprint

blueprint = Blueprint("words", __name__, url_prefix="/api/words")


@blueprint.get("")
@blueprint.response(200, schema_of(WordsView))
def get_words() -> WordsView:
    """The glossary with all words of each concept, and what is said of tools."""
    text, knows = speaker().text, speaker().knows
    return WordsView(
        concepts=[
            ConceptView(
                id=concept,
                words=list(speaker().alternatives(concept)),
                meaning=text(f"concept-{concept}.meaning"),
            )
            for concept in CONCEPTS
        ],
        care=[CareView(text(f"care-{about}"), text(f"care-{about}.text")) for about in CARE],
        kinds=[_kind_view(kind, text, knows) for kind in Kind],
    )


def _kind_view(kind: Kind, text: Callable[[str], str], knows: Callable[[str], bool]) -> KindView:
    """The parts and faces of a kind of tool."""

    def part_view(part: str) -> PartView:
        code = f"part-{kind}-{part}"
        handling = text(f"{code}.handling") if knows(f"{code}.handling") else ""
        purpose = text(f"{code}.purpose")
        return PartView(part, text(code), purpose, handling)

    return KindView(
        kind=str(kind),
        care=text(f"kind-care-{kind}"),
        parts=[part_view(part) for part in kind.traits.parts],
        faces=[
            FaceView(
                id=face.id,
                name=text(f"face-{kind}-{face.id}"),
                measures=text(f"face-{kind}-{face.id}.measures"),
                closes=face.closes,
            )
            for face in kind.traits.faces
        ],
    )
