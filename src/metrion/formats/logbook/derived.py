"""Derived quantities in a logbook file."""

from __future__ import annotations

from collections.abc import Mapping

from metrion.core.declared import Sign
from metrion.core.errors import FormulaError, UnitError, shortened
from metrion.core.exact.bounds import check_unit
from metrion.core.exact.numbers import Number
from metrion.core.facts import Name, fact
from metrion.core.formula import (
    RESERVED,
    SYMBOL,
    Formula,
    check_bounds,
    parse_formula,
)
from metrion.core.formula.dimensions import resolve
from metrion.core.formula.units import Unit, parse_unit
from metrion.core.json import text_in
from metrion.core.quantity.derived import DEEPEST, MOST_WAYS, Derived, TypedValue
from metrion.core.quantity.measurements import Measurement
from metrion.formats.logbook.declared import read_fields
from metrion.formats.logbook.fields import A_NUMBER, Fields
from metrion.formats.logbook.known import Known
from metrion.formats.logbook.other_units import units_of_derived

_Input = Measurement | TypedValue | Derived
_TYPED = ("value", "uncertainty", "unit")


def parse_derived(fields: Fields, known: Known) -> Derived | None:
    """A derived quantity, or None with its faults noted."""
    given = read_fields(Derived, fields)
    convention = known.convention(fields)
    unit = _unit(fields)
    if unit and fields.key:
        known.derived_units.setdefault(fields.key, unit)
    others = units_of_derived(fields, unit)
    formula = fields.parsed("formula", parse_formula, fact("a-formula"), required=True)
    if formula and not fields.faults.kept:
        sound = formula
        formula = sound if fields.checked("formula", lambda: check_bounds(sound)) else None
    holder = fields.object("inputs")
    inputs = _inputs(holder, known) if holder else {}
    units = _units(holder, inputs, known) if holder else {}
    resolved = _resolved(fields, formula, units, unit) if formula and holder else None
    if convention is None or unit is None or resolved is None or "id" not in given:
        return None
    found = Derived(
        **{
            **given,
            "name": given.get("name") or given["id"],
            "formula": resolved,
            "unit": unit,
            "convention": convention,
            "also_in": others,
            "inputs": {symbol: value for symbol, value in inputs.items() if value is not None},
        }
    )
    # Where an input has faults, the file is refused for those.
    if resolved.names <= found.inputs.keys() and found.ways > MOST_WAYS:
        fields.fault("inputs", "derived-too-many-ways", count=found.ways, most=MOST_WAYS)
    return found


def _unit(fields: Fields) -> Unit | None:
    def read(text: str) -> Unit:
        if not fields.faults.kept:
            check_unit(text)
        return parse_unit(text)

    return fields.parsed("unit", read, fact("a-unit"), required=True)


def _inputs(holder: Fields, known: Known) -> dict[str, _Input | None]:
    """Inputs by symbol; None for those with faults of their own."""
    found: dict[str, _Input | None] = {}
    for symbol, given in holder.record.items():
        if not SYMBOL.fullmatch(symbol) or symbol in RESERVED:
            reserved = Name(", ".join(RESERVED))
            holder.fault(symbol, "not-a-symbol", text=shortened(symbol), reserved=reserved)
        if isinstance(given, dict):
            typed = holder.object(symbol)
            found[symbol] = _typed(typed) if typed else None
        elif isinstance(given, str):
            found[symbol] = _measured_or_derived(holder, symbol, known)
        else:
            holder.fault(symbol, "not-an-input")
            found[symbol] = None
    return found


def _measured_or_derived(holder: Fields, symbol: str, known: Known) -> Measurement | Derived | None:
    given = known.read_input(holder, symbol)
    if isinstance(given, Derived) and given.depth >= DEEPEST:
        holder.fault(symbol, "derived-too-deep", most=DEEPEST)
        return None
    return given


def _typed(fields: Fields) -> TypedValue | None:
    fields.check_unknown_besides(_TYPED)
    unit = _unit(fields)
    uncertainty = fields.exact("uncertainty", Sign.NOT_NEGATIVE, required=True)

    def parse(text: str) -> Number:
        if unit and unit.is_angle and ":" in text:
            return fields.read_angle(text) / unit.factor
        return fields.read_number(text)

    value = fields.parsed("value", parse, A_NUMBER, required=True)
    if unit is None or uncertainty is None or value is None:
        return None
    return TypedValue(value, uncertainty, unit, text_in(fields.record, "value"))


def _units(
    holder: Fields, inputs: Mapping[str, _Input | None], known: Known
) -> dict[str, Unit | None]:
    """The unit of each input, also of one that has faults of its own."""
    found: dict[str, Unit | None] = {}
    for symbol, given in inputs.items():
        if isinstance(given, TypedValue):
            found[symbol] = given.unit
        else:
            key = holder.record[symbol]
            found[symbol] = known.unit_of_input(key) if isinstance(key, str) else None
    return found


def _resolved(
    fields: Fields, formula: Formula, units: Mapping[str, Unit | None], unit: Unit | None
) -> Formula | None:
    if unknown := sorted(formula.names - units.keys()):
        fields.fault("formula", "formula-names-no-input", names=Name(", ".join(unknown)))
        return None
    used = {symbol: units[symbol] for symbol in formula.names}
    dimensions = {symbol: one.dimension for symbol, one in used.items() if one is not None}
    if len(dimensions) < len(used):
        return None
    try:
        resolved, dimension = resolve(formula, dimensions)
    except (FormulaError, UnitError) as error:
        fields.note("formula", error.says)
        return None
    if unit and dimension != unit.dimension:
        fields.fault("unit", "formula-gives-other-unit", unit=Name(unit.text))
    return resolved
