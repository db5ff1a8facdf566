"""A reading as it was typed, understood as the desk understands it."""

from __future__ import annotations

from metrion.core.desk.desk import Answer, consider
from metrion.core.facts import fact
from metrion.core.json import Record
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import INDICATIONS
from metrion.formats.faults import Fault, Refused, child
from metrion.formats.logbook.indications import observation_record
from metrion.web.schemas import TypedReadingView


def understood(measurement: Measurement, typed: TypedReadingView) -> Record:
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
            entered.fine_as,
            estimates=measurement.convention.estimate,
            second_turn=entered.second_turn,
        )
        place = child("/typed", name) if name else "/typed"
        faults += _faults(answer, place)
        if answer.indication is not None:
            indications.append(answer.indication)
    if faults:
        raise Refused(faults)
    return observation_record(instrument, indications)


def _faults(answer: Answer, place: str) -> list[Fault]:
    found = {"main": answer.main_fault, "fine": answer.line_fault}
    if answer.main is None and not answer.main_fault:
        found["main"] = fact("main-missing")
    if answer.line is None and not answer.line_fault:
        found["fine"] = fact("line-missing")
    return [Fault(child(place, name), fault) for name, fault in found.items() if fault]
