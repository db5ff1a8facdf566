"""Measurements and their observations in a logbook file."""

from __future__ import annotations

from functools import cache

from metrion.core.conventions.convention import Convention
from metrion.core.declared import fields_of
from metrion.core.errors import shortened
from metrion.core.exact.bounds import MOST_NAMED_CHECKS
from metrion.core.facts import Fact, fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import INDICATIONS, Observation, Sort
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication
from metrion.formats.logbook.declared import read_fields
from metrion.formats.logbook.earlier import EarlierDocument
from metrion.formats.logbook.fields import Fields
from metrion.formats.logbook.indications import parse_indication
from metrion.formats.logbook.known import Known, Sketch
from metrion.formats.logbook.other_units import units_of_length_or_angle

_Read = tuple[int, Sort, Observation | None]
"""Of one observation: where it stands in the list, its sort, and itself if it is whole."""


def parse_measurement(
    fields: Fields, known: Known, earlier: EarlierDocument | None = None
) -> Measurement | None:
    """A measurement, or None with its faults noted."""
    instrument = known.instrument(fields)
    sketch = known.sketch(fields)
    given = read_fields(Measurement, fields, sketch.kind if sketch else "")
    if fields.key and sketch:
        known.measured.setdefault(fields.key, sketch)
    convention = known.convention(fields)
    checks = _checks(fields, known)
    units = units_of_length_or_angle(fields, sketch)
    observations: list[_Read] = []
    known_before = earlier.observations(fields.key or "", instrument, convention) if earlier else {}
    for item in fields.objects("observations", required=True):
        same = known_before.get(id(item.record))
        observations.append(
            (len(observations), same.sort, same)
            if same
            else _observation(item, instrument, sketch, convention)
        )
    divides = _may_divide(fields, _checked_sort(fields, observations, sketch))
    if instrument is None or convention is None or "id" not in given:
        return None
    return Measurement(
        **{
            "name": "",
            **given,
            "divide_by": given.get("divide_by", 1) if divides else 1,
            "instrument": instrument,
            "convention": convention,
            "also_in": units,
            "checks": checks,
            "observations": tuple(one for _, _, one in observations if one),
        }
    )


def _checks(fields: Fields, known: Known) -> tuple[ZeroCheck, ...]:
    named = fields.record.get("instrument")
    instrument = named if isinstance(named, str) else ""
    found: dict[str, ZeroCheck] = {}
    seen: set[str] = set()
    for place, key in fields.texts("zero", fact("id-of-a-zero-check"), MOST_NAMED_CHECKS):
        check = known.zero_checks.get(key)
        pointer = Fields(fields.record, f"{fields.pointer}/zero", fields.faults)
        index = place.partition("/")[2]
        if key not in known.zero_checks:
            pointer.fault(index, "no-such-entry", what="zero_check", key=shortened(key))
        elif key in seen:
            pointer.fault(index, "zero-check-twice", key=shortened(key))
        elif instrument in known.instruments and known.made_on.get(key) != instrument:
            made_on = known.made_on.get(key)
            if made_on in known.instruments:
                about = {"key": shortened(key), "tool": shortened(made_on or "")}
                pointer.fault(index, "zero-check-elsewhere", **about, own=shortened(instrument))
        elif check:
            found[key] = check
        seen.add(key)
    return tuple(found.values())


def _observation(
    fields: Fields,
    instrument: Instrument | None,
    sketch: Sketch | None,
    convention: Convention | None,
) -> _Read:
    index = int(fields.pointer.rpartition("/")[2])
    sort = _sort(fields, sketch)
    kind = str(sketch.kind) if sketch else ""
    # What stands beside a pair alone has no meaning there.
    given = read_fields(Observation, fields, kind if sort is Sort.SINGLE else "")
    # Without a known convention, estimates get the benefit of the doubt.
    estimates = convention is None or convention.estimate
    indications: list[Indication] = []
    for name in INDICATIONS[sort]:
        holder = fields.object(name) if name else fields
        if name and holder:
            holder.check_unknown_besides(_names(kind))
        indication = (
            parse_indication(holder, instrument, sketch, estimates=estimates) if holder else None
        )
        if indication:
            indications.append(indication)
    if len(indications) < len(INDICATIONS[sort]):
        return index, sort, None
    return index, sort, Observation(tuple(indications), **given)


@cache
def _names(kind: str) -> frozenset[str]:
    """The fields of an indication that have a meaning for a kind."""
    return frozenset(one.name for one in fields_of(Indication) if one.means_something(kind))


def _sort(fields: Fields, sketch: Sketch | None) -> Sort:
    """One with ``a`` or ``b`` is a pair; on a circle a second window may come with it."""
    if "a" not in fields and "b" not in fields:
        return Sort.SINGLE
    circle = sketch is not None and sketch.kind.traits.circular
    return Sort.WINDOWS if circle and ("a2" in fields or "b2" in fields) else Sort.PAIR


def _checked_sort(
    measurement: Fields, observations: list[_Read], sketch: Sketch | None
) -> Sort | None:
    """The sort of all observations; what does not fit it, or the instrument, is noted."""
    angular = sketch is not None and sketch.kind.traits.circular
    if not observations:
        return (Sort.PAIR if angular else Sort.SINGLE) if sketch else None
    first = observations[0][1]
    for index, sort, _ in observations:
        if angular and sort is Sort.SINGLE:
            _note(measurement, index, fact("circle-takes-pairs"))
    for index, sort, _ in observations[1:]:
        if sort is not first and not (angular and sort is Sort.SINGLE):
            kinds = {"sort": sort.name.lower(), "first": first.name.lower()}
            _note(measurement, index, fact("observation-of-other-sort", **kinds))
            break
    return first


def _note(measurement: Fields, index: int, says: Fact) -> None:
    pointer = f"{measurement.pointer}/observations"
    Fields({}, pointer, measurement.faults).note(str(index), says)


def _may_divide(fields: Fields, sort: Sort | None) -> bool:
    if "divide_by" in fields and sort is Sort.SINGLE:
        fields.fault("divide_by", "divide-by-of-single")
        return False
    return True
