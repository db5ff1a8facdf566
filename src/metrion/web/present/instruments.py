"""Instruments and zero checks as the API shows them."""

from __future__ import annotations

from collections.abc import Iterable
from fractions import Fraction
from typing import Any

from metrion.core.drawing import (
    appearance_of,
    fine_numerals,
    line_places,
    line_worths,
    main_numerals,
)
from metrion.core.instruments import Instrument
from metrion.core.numbers import to_text
from metrion.core.scales import VernierScale
from metrion.core.zero import ZeroCheck, zero_error
from metrion.formats.results import instrument_document
from metrion.report import Step
from metrion.report.working import least_count_steps
from metrion.store.records import Kept


def shown(text: str) -> str:
    """A text with true minus signs."""
    return text.replace("-", "−")


def steps_view(steps: Iterable[Step]) -> list[dict[str, Any]]:
    """Lines of a working."""
    return [
        {
            "label": step.label,
            "spans": [{"text": span.text, "tint": str(span.tint)} for span in step.spans],
        }
        for step in steps
    ]


def instrument_view(instrument: Instrument, entry: Kept) -> dict[str, Any]:
    """An instrument: as described, its least count with both routes, and its lines to draw."""
    record = entry.record
    appearance = appearance_of(record)
    document = instrument_document(instrument)
    return {
        "id": instrument.id,
        "version": entry.version,
        "name": instrument.name,
        "kind": str(instrument.kind),
        "unit": instrument.unit,
        "main_division": to_text(instrument.scale.main_division),
        "fine_divisions": instrument.scale.fine_divisions,
        "span": record.get("span"),
        "range": list(map(to_text, instrument.range)) if instrument.range else None,
        "maker_limit": record.get("maker_limit"),
        "numerals": str(appearance.numerals),
        "fine_as": str(appearance.fine_as),
        "least_count": document["least_count"],
        "pattern": document["pattern"],
        "derivation": steps_view(least_count_steps(instrument)),
        "lines": lines_view(instrument, record),
    }


def lines_view(instrument: Instrument, record: dict[str, Any]) -> dict[str, Any]:
    """Where the lines lie, for the page to draw: floats, in the unit of the instrument."""
    main = main_numerals(instrument, appearance_of(record))
    scale = instrument.scale
    fine = fine_numerals(instrument).printed(scale.last_line)
    return {
        "division": float(scale.main_division),
        "least_count": float(scale.least_count),
        "fine_divisions": scale.fine_divisions,
        "extended": isinstance(scale, VernierScale) and scale.main_divisions_compared > 1,
        "places": [float(place) for place in line_places(instrument)],
        "worths": [float(worth) for worth in line_worths(instrument)],
        "main_every": main.every,
        "main_step": float(main.step),
        "main_unit": main.unit,
        "fine_numerals": [{"line": line, "text": text} for line, text in fine.items()],
        "low": float(instrument.range[0]) if instrument.range else None,
        "high": float(instrument.range[1]) if instrument.range else None,
    }


def zero_check_view(check: ZeroCheck, instrument: Instrument, entry: Kept) -> dict[str, Any]:
    """A zero check: what was seen, the error it shows and what that does."""
    error = zero_error(instrument, [check])
    return {
        "id": check.id,
        "version": entry.version,
        "instrument": instrument.id,
        "face": check.face,
        "phase": str(check.phase),
        "main": shown(instrument.main_text(check.look.main)),
        "line": to_text(Fraction(check.look.line)),
        "reference": to_text(check.reference) if check.reference else None,
        "error": float(error),
        "error_text": shown(instrument.value_text(error)),
        "correction_text": shown(instrument.value_text(-error)),
        "at": entry.record.get("at"),
    }
