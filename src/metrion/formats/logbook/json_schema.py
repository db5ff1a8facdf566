"""The JSON Schema of the logbook, made from what core declares.

What hangs on another entry (that a main reading is a mark of its scale, that a reference leads
somewhere, that units fit) no schema can say: it is checked when a file is read.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable
from enum import StrEnum
from typing import Any

from metrion.core import declared as d
from metrion.core.conventions.convention import BUILT_IN, Convention, Family
from metrion.core.exact.bounds import LONGEST_FORMULA, LONGEST_ID, LONGEST_NUMBER
from metrion.core.instruments.instrument import Instrument, scale_type
from metrion.core.logbook import Logbook
from metrion.core.quantity.derived import Derived
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import INDICATIONS, Observation, Sort
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication
from metrion.core.traits import Kind

Schema = dict[str, Any]

_DIALECT = "https://json-schema.org/draft/2020-12/schema"
_NAMES: dict[type, str] = {
    Instrument: "instrument", ZeroCheck: "zeroCheck", Convention: "convention",
    Measurement: "measurement", Derived: "derived", Observation: "observation", Indication: "look",
}  # fmt: skip
_KINDS: dict[type, tuple[str, type[StrEnum]]] = {
    Instrument: ("kind", Kind), Convention: ("family", Family),
}  # fmt: skip
"""Values whose fields hang on one of their own: its name, and what it can be."""

_DIGITS = r"[0-9]+"
_DEFINED: dict[str, Schema] = {
    "id": {"type": "string", "pattern": r"^[^\s/\\?#%]+$", "maxLength": LONGEST_ID},
    "exact": {
        "description": "A number read exactly: a decimal or a fraction.",
        "type": "string", "maxLength": LONGEST_NUMBER,
        "pattern": rf"^(-?{_DIGITS}(\.{_DIGITS})?|-?{_DIGITS}/[0-9]*[1-9][0-9]*)$",
    },
    "angle": {
        "description": "deg:m[m][:s[s]], minutes and seconds below 60.",
        "type": "string", "maxLength": LONGEST_NUMBER,
        "pattern": rf"^-?{_DIGITS}:[0-5]?[0-9](:[0-5]?[0-9])?$",
    },
    "mark": {"anyOf": [{"$ref": "#/$defs/exact"}, {"$ref": "#/$defs/angle"}]},
    "fine": {
        "description": "A whole line, an estimate between lines as a decimal in quotes, or lines "
        "that cannot be told apart: \"15-16\". On a plain scale it has no meaning.",
    },
    "input": {
        "oneOf": [
            {"type": "string"},
            {
                "type": "object",
                "required": ["value", "uncertainty", "unit"],
                "properties": {
                    "value": {"$ref": "#/$defs/mark"},
                    "uncertainty": {"$ref": "#/$defs/exact"},
                    "unit": {"type": "string", "minLength": 1},
                },
            },
        ]
    },
}  # fmt: skip


def logbook_schema() -> Schema:
    """The schema of a whole file."""
    whole = _object(Logbook)
    whole["properties"] = {
        "format": {"const": "metrion-logbook"}, "version": {"const": 1},
        "id": {"description": "Which sheet it is; what is no id is ignored."},
        **whole["properties"],
    }  # fmt: skip
    whole["required"] = ["format", "version", *whole["required"]]
    named = {"items": {"required": ["convention"]}}
    whole |= {
        "if": {"not": {"required": ["convention"]}},
        "then": {"properties": {"measurements": named, "derived": named}},
    }
    return {
        "$schema": _DIALECT,
        "title": "metrion-logbook, version 1",
        "description": " ".join((__doc__ or "").split("\n\n")[1].split()),
        **whole,
        "$defs": {**_DEFINED, **{name: _object(value) for value, name in _NAMES.items()}},
    }


def _object(value: type) -> Schema:
    """The schema of one value, as an object of its own."""
    name, kinds = _KINDS.get(value, ("", None))
    schema: Schema = {"type": "object", **_part(value, d.fields_of(value), "")}
    if kinds is not None:
        schema["allOf"] = [_of_kind(value, name, kind) for kind in kinds]
    if value is Observation:
        schema |= _indications()
    if value is Convention:
        schema["properties"]["id"] |= {"not": {"enum": list(BUILT_IN)}}
    return schema


def _of_kind(value: type, name: str, kind: StrEnum) -> Schema:
    """What holds for one kind of a value."""
    only = [field for field in d.fields_of(value) if kind in field.only]
    then = _part(value, only, kind)
    if value is Instrument:
        scale: type = scale_type(Kind(kind))
        inner = _part(scale, d.fields_of(scale), "")
        unit = {"unit": {"enum": list(Kind(kind).traits.units)}}
        then = {
            "required": [*then.get("required", []), "unit", *inner["required"]],
            "properties": {**then.get("properties", {}), **unit, **inner["properties"]},
        }
    return {"if": {"properties": {name: {"const": str(kind)}}}, "then": then}


def _part(value: type, fields: Iterable[d.Field], kind: str) -> Schema:
    """Properties and required names of some fields."""
    properties: Schema = {}
    required: list[str] = []
    for field in fields:
        if field.only and not kind:
            continue
        if isinstance(field.holds, d.Inline):
            inner = _part(field.holds.value, d.fields_of(field.holds.value), "")
        elif isinstance(
            field.holds, d.ScaleOfKind | d.LengthOrAngle | d.Indications | d.LooseIndications
        ):
            continue
        else:
            told = d.meanings_of(value).get(field.attribute)
            about = {"description": told} if told else {}
            inner = {
                "properties": {field.name: about | _held(field)},
                "required": [field.name] if field.required else [],
            }
        properties |= inner["properties"]
        required += inner["required"]
    return {"required": required, "properties": properties}


def _indications() -> Schema:
    """One indication beside the other fields, or those of a pair by name."""
    first, second = INDICATIONS[Sort.PAIR]
    one = {"$ref": "#/$defs/look"}
    return {
        "if": {"anyOf": [{"required": [first]}, {"required": [second]}]},
        "then": {"required": [first, second], "properties": {first: one, second: one}},
        "else": one,
    }


def _held(field: d.Field) -> Schema:
    """What a field may hold; of one for the record, only how long its text may be."""
    if field.for_the_record:
        return {"maxLength": field.holds.most} if isinstance(field.holds, d.Text) else {}
    schema = _SCHEMAS[type(field.holds)](field.holds)
    if field.nullable:
        schema["type"] = [schema["type"], "null"]
    return schema


def _defined(name: str) -> Callable[[Any], Schema]:
    return lambda _: {"$ref": f"#/$defs/{name}"}


_SCHEMAS: dict[type[d.Holds], Callable[[Any], Schema]] = {
    d.Id: _defined("id"),
    d.Text: lambda text: {"type": "string", "maxLength": text.most},
    d.Boolean: lambda _: {"type": "boolean"},
    d.Count: lambda count: {"type": "integer", "minimum": 1, "maximum": count.most},
    d.Exact: _defined("exact"),
    d.Choice: lambda choice: {"enum": list(choice.options)},
    d.Figures: lambda _: {"enum": [1, 2, "1-or-2"]},
    d.CoverageText: lambda _: {"type": "string", "pattern": rf"^{_DIGITS}(\.{_DIGITS})?%?$"},
    d.Bounds: lambda _: {
        "type": "array", "items": {"$ref": "#/$defs/exact"}, "minItems": 2, "maxItems": 2,
    },
    d.MainMark: _defined("mark"),
    d.FineLine: _defined("fine"),
    d.UnitText: lambda _: {"type": "string", "minLength": 1},
    d.OtherUnits: lambda _: {
        "type": "array", "items": {"type": "string", "minLength": 1}, "uniqueItems": True,
    },
    d.FormulaText: lambda _: {"type": "string", "minLength": 1, "maxLength": LONGEST_FORMULA},
    d.Inputs: lambda _: {
        "type": "object",
        "propertyNames": {"pattern": "^[A-Za-z_][A-Za-z0-9_]*$"},
        "additionalProperties": {"$ref": "#/$defs/input"},
    },
    d.Reference: lambda _: {"type": "string", "minLength": 1},
    d.References: lambda references: {
        "type": "array", "items": {"type": "string", "minLength": 1}, "uniqueItems": True,
        "maxItems": references.most,
    },
    d.Texts: lambda texts: {
        "type": "array", "uniqueItems": True, "maxItems": texts.many,
        "items": {"type": "string", "pattern": r"\S", "maxLength": texts.most},
    },
    d.Choices: lambda choices: {
        "type": "array", "items": {"enum": list(choices.options)}, "uniqueItems": True,
    },
    d.Entry: lambda inner: {
        "type": "object",
        "properties": _part(inner.value, d.fields_of(inner.value), "")["properties"],
    },
    d.Entries: lambda entries: {
        "type": "array", "items": {"$ref": f"#/$defs/{_NAMES[entries.value]}"},
        **({"maxItems": entries.most} if entries.most else {}),
    },
}  # fmt: skip
