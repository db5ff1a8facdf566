"""``/api/sheets/<sheet>/look``: what is being entered, answered while it is typed or dragged."""

from __future__ import annotations

from fractions import Fraction
from typing import Any

from flask_smorest import Blueprint

from metrion.core.desk import Answer, consider, consider_position
from metrion.core.drawing import fine_numerals
from metrion.core.instruments import Instrument
from metrion.core.numbers import to_text
from metrion.core.scales import Look
from metrion.core.typed import FineAs
from metrion.store import NotHere
from metrion.web.notebook import Worked, notebook
from metrion.web.present.instruments import shown
from metrion.web.schemas import AnswerSchema, TypedSchema

blueprint = Blueprint("desk", __name__, url_prefix="/api/sheets/<sheet>/look")

_FINEST = 1_000_000
"""Denominator to which a slider's place is taken: far finer than any line, and exact to add."""


@blueprint.post("")
@blueprint.arguments(TypedSchema)
@blueprint.response(200, AnswerSchema)
def look(body: dict[str, Any], sheet: str) -> dict[str, Any]:
    """Reading, bounds, neighbours and sentences for an entry. Nothing is stored.

    404 if there is no such sheet or instrument.
    """
    worked = notebook().sheet(sheet)
    instrument = _instrument(worked, body["instrument"])
    logbook = worked.results.logbook
    checks = [check for check in logbook.zero_checks if check.id in body["zero"]]
    if body["position"] is not None:
        position = Fraction(body["position"]).limit_denominator(_FINEST)
        answer = consider_position(instrument, position, checks)
    else:
        fine_as = FineAs(body["fine_as"])
        answer = consider(instrument, body["main"], body["fine"], fine_as, checks)
    return {"seq": body["seq"], **_answer_view(instrument, answer)}


def _instrument(worked: Worked, key: str) -> Instrument:
    for instrument in worked.results.logbook.instruments:
        if instrument.id == key:
            return instrument
    raise NotHere("instrument", key)


def _answer_view(instrument: Instrument, answer: Answer) -> dict[str, Any]:
    def text(value: Fraction | None) -> str | None:
        return None if value is None else shown(instrument.value_text(value))

    line, worth = answer.line, None
    if line is not None:
        worth = instrument.value_text(instrument.reading(Look(Fraction(0), line)))
    # With a main reading alone the page can already show where the zero line must be.
    position = answer.main if answer.read is None else answer.read
    main = answer.main
    return {
        "main": {
            "value": None if main is None else instrument.main_text(main),
            "fault": answer.main_fault,
        },
        "fine": {
            "value": None if line is None else to_text(Fraction(line)),
            "fault": answer.line_fault,
            "numeral": None if line is None else fine_numerals(instrument).text(line),
            "worth": worth,
        },
        "read": text(answer.read),
        "corrected": text(answer.corrected),
        "position": None if position is None else float(position),
        "bounds": answer.bounds and [shown(instrument.main_text(b)) for b in answer.bounds],
        "meets": None if answer.meets is None else float(answer.meets),
        "neighbours": [
            {
                "line": neighbour.line,
                "mark": float(neighbour.mark),
                "miss": float(neighbour.miss),
                "words": shown(neighbour.words),
            }
            for neighbour in answer.neighbours
        ],
        "sentences": [shown(sentence) for sentence in answer.sentences],
    }
