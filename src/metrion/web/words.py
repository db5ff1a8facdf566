"""``/api/words``: the glossary, care and safety, and the parts of every kind of instrument."""

from __future__ import annotations

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
from metrion.voice import Speaker
from metrion.web.bodies import Blueprint

blueprint = Blueprint("words", __name__, url_prefix="/api/words")


@blueprint.get("")
@blueprint.response(200, schema_of(WordsView))
def get_words() -> WordsView:
    """The glossary with all words of each concept, and what is said of tools."""
    text_of = speaker().text_of
    return WordsView(
        concepts=[
            ConceptView(
                id=concept,
                words=list(speaker().alternatives(concept)),
                meaning=text_of("concept", f"{concept}.meaning"),
            )
            for concept in CONCEPTS
        ],
        care=[CareView(text_of("care", about), text_of("care", f"{about}.text")) for about in CARE],
        kinds=[_kind_view(kind, speaker()) for kind in Kind],
    )


def _kind_view(kind: Kind, said_by: Speaker) -> KindView:
    """The parts and faces of a kind of tool."""
    text_of = said_by.text_of

    def part_view(part: str) -> PartView:
        code = f"{kind}-{part}"
        handling = said_by.known("part", f"{code}.handling")
        return PartView(part, text_of("part", code), text_of("part", f"{code}.purpose"), handling)

    return KindView(
        kind=str(kind),
        care=text_of("kind-care", kind),
        parts=[part_view(part) for part in kind.traits.parts],
        faces=[
            FaceView(
                id=face.id,
                name=text_of("face", f"{kind}-{face.id}"),
                measures=text_of("face", f"{kind}-{face.id}.measures"),
                closes=face.closes,
            )
            for face in kind.traits.faces
        ],
    )
