"""A reading as it was typed, understood as the desk understands it."""

from __future__ import annotations

from metrion.core.desk.desk import Answer, consider
from metrion.core.desk.entered import EnteredFigures, TypedReading
from metrion.core.desk.said.judging import Ruling
from metrion.core.desk.said.words import judgement_says
from metrion.core.facts import fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Record
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import INDICATIONS
from metrion.formats.faults import Fault, Refused, child
from metrion.formats.logbook.indications import observation_record


def understood(measurement: Measurement, typed: TypedReading) -> Record:
    """The figures of a reading as a logbook holds them.

    Args:
        typed: its one look, or those of a pair by their names, as they were typed.

    Raises:
        Refused: with every figure that cannot be read, or is missing.
    """
    instrument, faults, indications = measurement.instrument, [], []
    for name in INDICATIONS[measurement.intended]:
        entered = typed.position(name)
        answer = consider(
            instrument,
            entered.main,
            entered.fine,
            entered.told,
            estimates=measurement.convention.estimate,
        )
        place = child("/typed", name) if name else "/typed"
        faults += _faults(instrument, entered, answer, place)
        if answer.heard.indication is not None:
            indications.append(answer.heard.indication)
    if faults:
        raise Refused(faults)
    return observation_record(instrument, indications)


def _faults(
    instrument: Instrument, entered: EnteredFigures, answer: Answer, place: str
) -> list[Fault]:
    heard = answer.heard
    if heard.asked:
        said = f"{entered.main.strip()} {entered.fine.strip()}".strip()
        return [Fault(place, judgement_says(instrument, said, Ruling.ASK, heard.asked))]
    wrong = {"main": heard.main_fault, "fine": heard.fine_fault}
    found = {name: fact("sentence", phrase=one) for name, one in wrong.items() if one}
    if not entered.main.strip():
        found["main"] = fact("main-missing")
    if instrument.scale.has_fine_scale and not entered.fine.strip() and not answer.heard.indication:
        found.setdefault("fine", fact("line-missing"))
    return [Fault(child(place, name), fault) for name, fault in found.items()]
