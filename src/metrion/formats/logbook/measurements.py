"""Measurements and their observations in a logbook file."""

from __future__ import annotations

from metrion.core.bounds import MOST_ALIKE
from metrion.core.conventions import Convention
from metrion.core.instruments import Instrument, Kind
from metrion.core.measurements import Measurement
from metrion.core.observations import Arc, Observation, Sort
from metrion.core.scales import Look
from metrion.core.zero import ZeroCheck
from metrion.formats.logbook.fields import Fields
from metrion.formats.logbook.known import Known
from metrion.formats.logbook.looks import LOOKS, parse_look

_Read = tuple[int, Sort, Observation | None]
"""Of one observation: where it stands in the list, its sort, and itself if it is whole."""


def parse_measurement(fields: Fields, known: Known) -> Measurement | None:
    """A measurement, or None with its faults noted."""
    name, symbol, face = (fields.text(key) for key in ("name", "symbol", "face"))
    instrument = known.instrument(fields)
    convention = known.convention(fields)
    checks = _checks(fields, known, instrument)
    items = fields.count("items", MOST_ALIKE)
    angular = instrument is not None and instrument.kind is Kind.ANGULAR
    arc = fields.choice("arc", Arc) if angular else None
    observations = [
        _observation(item, instrument, convention)
        for item in fields.objects("observations", required=True)
    ]
    divide_by = _divide_by(fields, _checked_sort(fields, observations, instrument))
    key = fields.record.get("id")
    if instrument is None or convention is None or not isinstance(key, str):
        return None
    return Measurement(
        key,
        name or "",
        instrument,
        convention,
        tuple(observation for _, _, observation in observations if observation),
        checks,
        symbol or "",
        face or "",
        items or 1,
        divide_by,
        arc or Arc.SHORTER,
    )


def _checks(fields: Fields, known: Known, instrument: Instrument | None) -> tuple[ZeroCheck, ...]:
    found: dict[str, ZeroCheck] = {}
    seen: set[str] = set()
    for place, key in fields.texts("zero"):
        check = known.zero_checks.get(key)
        pointer = Fields(fields.record, f"{fields.pointer}/zero", fields.faults)
        index = place.partition("/")[2]
        if key not in known.zero_checks:
            pointer.fault(index, f'there is no zero check "{key}"')
        elif key in seen:
            pointer.fault(index, f'the zero check "{key}" is named twice; each counts once')
        elif check and instrument and check.instrument != instrument.id:
            pointer.fault(
                index,
                f'the zero check "{key}" was made on "{check.instrument}", '
                f'not on "{instrument.id}"',
            )
        elif check:
            found[key] = check
        seen.add(key)
    return tuple(found.values())


def _observation(
    fields: Fields, instrument: Instrument | None, convention: Convention | None
) -> _Read:
    index = int(fields.pointer.rpartition("/")[2])
    slots = _slots(fields, instrument)
    place = fields.text("place")
    # null is as good as an empty text here, and only here
    excluded = None if fields.record.get("excluded") is None else fields.text("excluded")
    # Without a known convention, estimates get the benefit of the doubt.
    estimates = convention is None or convention.estimate
    sort = {1: Sort.SINGLE, 2: Sort.PAIR, 4: Sort.WINDOWS}[len(slots)]
    meets = None
    if sort is Sort.SINGLE and instrument and instrument.kind is Kind.VERNIER:
        meets = fields.exact("meets")
    looks: list[Look] = []
    for slot in slots:
        holder = fields.object(slot) if slot else fields
        look = parse_look(holder, instrument, estimates=estimates) if holder else None
        if look:
            looks.append(look)
    if len(looks) < len(slots):
        return index, sort, None
    return index, sort, Observation(tuple(looks), place or "", excluded or "", meets)


def _slots(fields: Fields, instrument: Instrument | None) -> tuple[str, ...]:
    """Where the looks of an observation stand; one with ``a`` or ``b`` is a pair."""
    if "a" not in fields and "b" not in fields:
        return ("",)
    circle = instrument is not None and instrument.kind is Kind.ANGULAR
    if circle and ("a2" in fields or "b2" in fields):
        return LOOKS
    return ("a", "b")


def _checked_sort(
    measurement: Fields, observations: list[_Read], instrument: Instrument | None
) -> Sort | None:
    """The sort of all observations; what does not fit it, or the instrument, is noted."""
    angular = instrument is not None and instrument.kind is Kind.ANGULAR
    if not observations:
        return (Sort.PAIR if angular else Sort.SINGLE) if instrument else None
    first = observations[0][1]
    for index, sort, _ in observations:
        if angular and sort is Sort.SINGLE:
            _note(measurement, index, "a divided circle takes pairs: two positions, a and b")
    for index, sort, _ in observations[1:]:
        if sort is not first and not (angular and sort is Sort.SINGLE):
            _note(
                measurement, index, f"this observation is a {sort}, the ones before it are {first}s"
            )
            break
    return first


def _note(measurement: Fields, index: int, message: str) -> None:
    pointer = f"{measurement.pointer}/observations"
    Fields({}, pointer, measurement.faults).fault(str(index), message)


def _divide_by(fields: Fields, sort: Sort | None) -> int:
    if "divide_by" in fields and sort is Sort.SINGLE:
        fields.fault("divide_by", "divide_by goes with pairs only; a stack has items")
        return 1
    return fields.count("divide_by", MOST_ALIKE) or 1
