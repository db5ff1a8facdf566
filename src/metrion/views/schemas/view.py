"""What goes over the wire as frozen dataclasses; their schemas are made from their fields."""

from __future__ import annotations

import dataclasses
from collections.abc import Callable, Iterable, Iterator, Mapping
from dataclasses import MISSING, dataclass, field
from enum import Enum
from functools import cache
from types import NoneType, UnionType
from typing import (
    Annotated,
    Any,
    Literal,
    TypeVar,
    Union,
    dataclass_transform,
    get_args,
    get_origin,
    get_type_hints,
)

from marshmallow import Schema, fields, post_load, validate
from marshmallow.validate import Validator

_Class = TypeVar("_Class")
SchemaField = fields.Field[Any]
More = dict[str, Any]
"""What a field of marshmallow is told besides."""


@dataclass(frozen=True)
class Key:
    """The name of a field on the wire, where it is no name in Python."""

    name: str


@dataclass_transform(frozen_default=True, field_specifiers=(field,))
def view(of: type[_Class]) -> type[_Class]:
    """A class of answers, or of what is taken; ``Annotated`` says more of a field.

    A text describes it, a validator holds what is taken to its bounds, `Key` names it, and a schema
    is that of a record.
    """
    return dataclass(frozen=True, slots=True)(of)


@cache
def schema_of(of: type) -> type[Schema]:
    """The schema of a view, named like it without ``View``; what it loads are such views."""
    built: dict[str, object] = {"__doc__": of.__doc__}
    hints = get_type_hints(of, include_extras=True)
    for one in dataclasses.fields(of):
        built[one.name] = _field(of, hints[one.name], one)
    # Fields that are not known are refused, as everywhere.
    # No field has a name of this sort.
    built["_made_of_fields"] = post_load(lambda _, found, **__: _made(of, hints, found))
    return type(of.__name__.removesuffix("View") + "Schema", (Schema,), built)


def _made(of: Callable[..., _Class], hints: Mapping[str, object], found: More) -> _Class:
    """A view of what was loaded; words of an enumeration as its members."""
    for name, value in found.items():
        for option in _options(hints[name]):
            listed = get_origin(option) is list
            kind = get_args(option)[0] if listed else option
            if isinstance(kind, type) and issubclass(kind, Enum) and value is not None:
                found[name] = [kind(one) for one in value] if listed else kind(value)
    return of(**found)


def widened(of: Callable[..., _Class], narrow: object, **more: object) -> _Class:
    """A view that has all that another one has, and more."""
    kind: type = type(narrow)
    return of(**{name: getattr(narrow, name) for name in _names(kind)}, **more)


@cache
def _names(of: Callable[..., object]) -> tuple[str, ...]:
    assert dataclasses.is_dataclass(of)
    return tuple(one.name for one in dataclasses.fields(of))


def _options(hint: object) -> Iterator[object]:
    """The types that a field may have, without what is said besides."""
    if get_origin(hint) is Annotated:
        hint = get_args(hint)[0]
    yield from get_args(hint) if get_origin(hint) in (Union, UnionType) else (hint,)


def _field(of: type, hint: object, one: dataclasses.Field[object]) -> SchemaField:
    said = get_args(hint)[1:] if get_origin(hint) is Annotated else ()
    options = list(_options(hint))
    more: More = {"allow_none": NoneType in options}
    if one.default is None:
        more["required"] = False
    elif one.default is not MISSING:
        more["load_default"] = one.default
    elif one.default_factory is not MISSING:
        more["load_default"] = one.default_factory
    else:
        more["required"] = True
    more["validate"] = [each for each in said if isinstance(each, Validator) or (callable(each)
                        and not isinstance(each, type))]  # fmt: skip
    for each in said:
        if isinstance(each, str):
            more["metadata"] = {"description": each}
        elif isinstance(each, Key):
            more |= {"data_key": each.name, "attribute": one.name}
        elif isinstance(each, type):
            return fields.Nested(each, **more)
    (kind,) = (option for option in options if option is not NoneType)
    return _of_kind(of, kind, more)


_PLAIN: dict[object, Callable[..., SchemaField]] = {
    str: fields.String, float: fields.Float, bool: fields.Boolean,
}  # fmt: skip


def _of_kind(of: type, kind: object, more: More) -> SchemaField:
    if kind in _PLAIN:
        return _PLAIN[kind](**more)
    if kind is int:
        return fields.Integer(strict=True, **more)
    if kind is of:
        return fields.Nested(lambda: schema_of(of)(), **more)
    if get_origin(kind) is Literal:
        return _word(get_args(kind), more)
    if get_origin(kind) is list:
        (member,) = get_args(kind)
        return fields.List(_of_kind(of, member, {}), **more)
    if get_origin(kind) is dict:
        values = fields.String() if get_args(kind)[1] is str else fields.Raw()
        return fields.Dict(keys=fields.String(), values=values, **more)
    assert isinstance(kind, type)
    shape: type = kind
    if issubclass(kind, Enum):
        return _word([str(member.value) for member in kind], more)
    return fields.Nested(schema_of(shape), **more)


def _word(options: Iterable[str], more: More) -> SchemaField:
    checks = more.pop("validate", [])
    return fields.String(validate=[validate.OneOf(options), *checks], **more)
