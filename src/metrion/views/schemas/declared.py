"""What the API takes of an entry, made from what core declares of it."""

from __future__ import annotations

from collections.abc import Callable, Collection, Iterator, Mapping
from functools import cache
from types import MappingProxyType
from typing import Any

from marshmallow import Schema, fields, post_load, validate

from metrion.core import declared as d
from metrion.core.desk.entered import AnsweredFigures
from metrion.core.desk.typed import typed_exact
from metrion.core.exact.bounds import LONGEST_FORMULA
from metrion.core.formula.notation import typed_formula, typed_unit
from metrion.core.instruments.instrument import scale_type
from metrion.core.quantity.observations import PAIR_INDICATIONS
from metrion.core.scales import Indication
from metrion.core.traits import Kind
from metrion.notebook.patches import EntryPatch, WhatWasRead
from metrion.views.schemas.common import ID, Typed
from metrion.views.schemas.view import More, SchemaField, schema_of

KEPT_BY_THE_SERVER = frozenset({"id", "at", "history", "observations", "photographs"})
"""Fields that are not a client's to say."""


_BESIDE = frozenset({"id", "quantity", "typed", "answered", "replaces", "what_was_read", "why"})


def _told(found: More) -> EntryPatch:
    beside = {name: found.pop(name) for name in _BESIDE & found.keys()}
    return EntryPatch(found, **beside)


def taken(
    value: type,
    name: str,
    about: str,
    *,
    without: Collection[str] = (),
    whole: bool = False,
    inner: bool = False,
    also: Mapping[str, SchemaField] = MappingProxyType({}),
) -> type[Schema]:
    """The schema of what a client may say of an entry; a null takes a field away.

    Args:
        value: the entry as core declares it.
        name: of the schema, as the description of the API has it.
        about: what it stands for.
        without: further fields that are not the client's to say.
        whole: whether an entry is always told as a whole, so that what it needs must be there.
        inner: whether it stands within another entry, and is loaded as a record.
        also: what else may be said.
    """
    left_out = KEPT_BY_THE_SERVER | set(without)
    wanted: dict[str, SchemaField] = {
        field.name: _taken(field, whole)
        for field in _all_fields(value)
        if field.name not in left_out
    }
    if value is not Indication and any(
        isinstance(f.holds, d.Indications) for f in d.fields_of(value)
    ):
        wanted |= {key: fields.Nested(FiguresSchema) for key in PAIR_INDICATIONS}
    made = {} if inner else {"_told_as_patch": post_load(lambda _, found, **__: _told(found))}
    return type(name, (Schema,), {"__doc__": about, **wanted, **also, **made})


def _all_fields(value: type) -> Iterator[d.Field]:
    """The fields of a value with those that stand inline, of whatever kind it is."""
    for field in d.fields_of(value):
        if isinstance(field.holds, d.Inline):
            yield from _all_fields(field.holds.value)
        elif isinstance(field.holds, d.Indications):
            yield from _all_fields(Indication)
        elif isinstance(field.holds, d.ScaleOfKind):
            for scale in dict.fromkeys(map(scale_type, Kind)):
                yield from _all_fields(scale)
        else:
            yield field


def _taken(field: d.Field, whole: bool) -> SchemaField:
    make = _FIELDS[type(field.holds)]
    needed = whole and field.required and not field.only
    return make(field.holds, {"required": needed, "allow_none": not field.required})


class InputField(fields.Raw):
    """The id of a quantity, or an object of value, uncertainty and unit as people type them."""

    def _deserialize(self, value: Any, *given: Any, **more: Any) -> Any:
        if not isinstance(value, dict):
            return value
        return {
            name: _PLAIN.get(name, str)(one) if isinstance(one, str) else one
            for name, one in value.items()
        }


_PLAIN = {"value": typed_exact, "uncertainty": typed_exact, "unit": typed_unit}


def _text(most: int, more: More) -> fields.String:
    return fields.String(validate=validate.Length(max=most), **more)


def _either(kinds: list[str], more: More) -> fields.Raw:
    return fields.Raw(metadata={"type": kinds}, **more)


@cache
def _inner(value: type) -> type[Schema]:
    """The schema of a value noted within another one."""
    return taken(
        value, f"{value.__name__}Fields", (value.__doc__ or "").partition("\n")[0], inner=True
    )


_FIELDS: dict[type[d.Holds], Callable[[Any, More], SchemaField]] = {
    d.Id: lambda _, more: fields.String(validate=ID, **more),
    d.Text: lambda text, more: _text(text.most, more),
    d.WrittenUnit: lambda unit, more: Typed(
        typed_unit, validate=validate.Length(max=unit.most), **more
    ),
    d.Boolean: lambda _, more: fields.Boolean(**more),
    d.Count: lambda _, more: fields.Integer(strict=True, **more),
    d.Exact: lambda _, more: fields.String(**more),
    d.Choice: lambda choice, more: fields.String(
        validate=validate.OneOf(list(choice.options)), **more
    ),
    d.Figures: lambda _, more: _either(["integer", "string"], more),
    d.CoverageText: lambda _, more: fields.String(**more),
    d.Bounds: lambda _, more: fields.List(fields.String(), **more),
    d.MainMark: lambda _, more: fields.String(**more),
    d.FineLine: lambda _, more: _either(["integer", "string"], more),
    d.LengthOrAngle: lambda _, more: fields.String(**more),
    d.UnitText: lambda _, more: Typed(typed_unit, validate=validate.Length(max=100), **more),
    d.OtherUnits: lambda _, more: fields.List(fields.String(), **more),
    d.FormulaText: lambda _, more: Typed(
        typed_formula, validate=validate.Length(max=LONGEST_FORMULA), **more
    ),
    d.Inputs: lambda _, more: fields.Dict(keys=fields.String(), values=InputField(), **more),
    d.Reference: lambda _, more: fields.String(**more),
    d.References: lambda _, more: fields.List(fields.String(), **more),
    d.Codes: lambda _, more: fields.List(fields.String(), **more),
    d.Texts: lambda _, more: fields.List(fields.String(), **more),
    d.Choices: lambda _, more: fields.List(fields.String(), **more),
    d.Entry: lambda inner, more: fields.Nested(_inner(inner.value), **more),
}


FiguresSchema: type[Schema] = taken(
    Indication, "Figures", "One look at the scales, as it would stand in a logbook.", inner=True
)
NEW_ID = {"id": fields.String(validate=ID)}
"""The id that a client makes for a new entry, so that sending twice adds once."""

ANSWERED = {"answered": fields.Nested(schema_of(AnsweredFigures))}
"""What was answered of the tool's figures while these were entered; it is kept with the tool."""

WHAT_WAS_READ = {
    "what_was_read": fields.String(validate=validate.OneOf([str(one) for one in WhatWasRead]))
}
"""Whether lengths or figures stay of what was read with a tool whose unit changes."""

WHY = {"why": fields.String(validate=validate.Length(max=d.PROSE))}
"""The reason of a change; it goes into the history of figures that change."""
