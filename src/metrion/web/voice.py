"""``/api/voice``: in which language, words and numbers the page speaks."""

from __future__ import annotations

from metrion.views.locale import speaker
from metrion.views.schemas.view import schema_of
from metrion.views.schemas.words import VoiceView
from metrion.voice import DEFAULT, catalogue, languages
from metrion.web.bodies import Blueprint

blueprint = Blueprint("voice", __name__, url_prefix="/api/voice")


@blueprint.get("")
@blueprint.response(200, schema_of(VoiceView))
def get_voice() -> VoiceView:
    """The voice of the notebook, and all that it could have. The page has the usual catalogue."""
    own = speaker()
    return VoiceView(
        language=own.language,
        languages=list(languages()),
        decimal_sign=own.numbers.decimal_sign,
        words=own.words,
        catalogue="" if own.language == DEFAULT else catalogue(own.language),
    )
