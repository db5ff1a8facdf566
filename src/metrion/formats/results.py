"""The ``metrion-results`` document: everything a logbook comes to."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import replace
from fractions import Fraction

from metrion.core.conventions.rounding import Rounded
from metrion.core.exact.numbers import float_text, to_text
from metrion.core.formula.units import Unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.logbook import Logbook, Reviewed, reviewed
from metrion.core.quantity.derived import Derived
from metrion.core.quantity.derived_result import DerivedResult, reduce_derived
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.other_units import Also
from metrion.core.quantity.reading_plan import PlanProgress
from metrion.core.review import Flag
from metrion.core.scales import VernierScale
from metrion.core.working.model import Uncertainty
from metrion.formats.strict_json import json_parts
from metrion.voice import plainly

Document = dict[str, object]
"""A document as it is written."""

_HEAD = {"format": "metrion-results", "version": 1}


def results_document(logbook: Logbook) -> Document:
    """Results as JSON values: exact numbers as text, what has no value as None."""
    return {**_HEAD, **{name: list(entries) for name, entries in _lists(logbook).items()}}


def results_of(file: str, logbook: Logbook) -> Document:
    """The same of one of many: with its file and whose it is, and names beside the ids."""
    named: dict[str, Sequence[Instrument | Measurement | Derived]] = {
        "instruments": logbook.instruments,
        "measurements": logbook.measurements,
        "derived": logbook.derived,
    }
    lists = {
        section: [
            {"id": one.id, "name": one.name, **told}
            for one, told in zip(named[section], entries, strict=True)
        ]
        for section, entries in _lists(logbook).items()
    }
    return {**_HEAD, "file": file, "title": logbook.title, "authors": logbook.authors, **lists}


def results_text(logbook: Logbook) -> Iterator[str]:
    """The same as text, worked out one quantity after the other."""
    return json_parts(_HEAD, _lists(logbook))


def _lists(logbook: Logbook) -> dict[str, Iterator[Document]]:
    # A copy of each measurement, so that nothing that was worked out is kept beyond its entry.
    alone = (replace(measurement) for measurement in logbook.measurements)
    return {
        "instruments": (instrument_document(one) for one in logbook.instruments),
        "measurements": (measurement_document(reviewed(one)) for one in alone),
        "derived": (derived_document(reduce_derived(one)) for one in logbook.derived),
    }


def instrument_document(instrument: Instrument) -> Document:
    """Least count by both routes and the pattern of the fine scale."""
    document: Document = {
        "id": instrument.id,
        "least_count": to_text(instrument.least_count),
        "unit": instrument.unit,
        "pattern": instrument.scale.pattern_name,
    }
    if isinstance(instrument.scale, VernierScale):
        document |= {
            "fine_division": to_text(instrument.scale.fine_division),
            "by_difference": to_text(instrument.scale.by_difference),
            "by_division": to_text(instrument.scale.by_division),
        }
    return document


def measurement_document(reviewed: Reviewed) -> Document:
    """One measurement: every observation, the mean, the uncertainty, the sentence, the flags."""
    result, measurement = reviewed.result, reviewed.result.measurement
    return {
        "id": measurement.id,
        "unit": measurement.instrument.unit,
        "count": len(measurement.counting),
        "observed": _texts(measurement.observed),
        "zero_error": to_text(measurement.zero_error),
        "zero_correction": to_text(-measurement.zero_error),
        "corrected": _texts(measurement.corrected),
        "mean": _exact(result.mean),
        **_uncertain(result.uncertainty, result.rounded),
        **_also(measurement.also_in, result.also),
        "relative_percent": _exact(result.relative_percent),
        **_plan(measurement.progress),
        "flags": [flag_document(flag) for flag in reviewed.flags],
    }


def _plan(progress: PlanProgress | None) -> Document:
    """How far the plan is carried out; nothing where there is none."""
    if progress is None:
        return {}
    told = {
        "made": progress.made,
        "of": progress.of,
        "extra": progress.extra,
        "left": [{"place": left.place, "count": left.count} for left in progress.left],
        "zero_left": [str(phase) for phase in progress.zero_left],
    }
    return {"plan": told}


def _texts(values: Sequence[Fraction]) -> list[str]:
    """Each value as text; values that are equal share theirs."""
    texts = {value: to_text(value) for value in set(values)}
    return [texts[value] for value in values]


def derived_document(result: DerivedResult) -> Document:
    """One derived quantity."""
    value = result.value
    return {
        "id": result.derived.id,
        "unit": result.derived.unit.text,
        "mean": float_text(value) if isinstance(value, float) else _exact(value),
        **_uncertain(result.uncertainty, result.rounded),
        **_also(result.derived.also_in, result.also),
    }


def flag_document(flag: Flag) -> Document:
    """One flag; fields without a value are left out."""
    document: Document = {
        "code": flag.code,
        "level": str(flag.level),
        "message": plainly().say(flag.says),
    }
    if flag.observation is not None:
        document["observation"] = flag.observation
    if flag.suggestion:
        document["suggestion"] = dict(flag.suggestion)
    if flag.zero_check:
        document["zero_check"] = flag.zero_check
    if flag.phase:
        document["phase"] = str(flag.phase)
    return document


def _also(units: Sequence[Unit], found: Sequence[Also | None]) -> Document:
    """A result in the other units it is to be given in; nothing where there are none."""
    if not units:
        return {}
    each = [
        {
            "unit": unit.text,
            "value": one and one.value,
            "uncertainty": one and one.uncertainty,
            "text": one and one.text,
        }
        for unit, one in zip(units, found, strict=True)
    ]
    return {"also": each}


def _uncertain(uncertainty: Uncertainty | None, rounded: Rounded | None) -> Document:
    return {
        "uncertainty_unrounded": uncertainty and to_text(uncertainty.size),
        "degrees_of_freedom": uncertainty and uncertainty.degrees_of_freedom,
        "coverage_factor": uncertainty and _exact(uncertainty.coverage_factor),
        "value": rounded and rounded.value,
        "uncertainty": rounded and rounded.uncertainty,
        "text": rounded and rounded.text,
    }


def _exact(value: Fraction | None) -> str | None:
    return None if value is None else to_text(value)
