"""Reading what core has declared: the plain fields of a value, and what is kept for the record.

Fields that hang on other entries (references, marks and lines of an instrument, formulas) are left
to who knows those; their names are known here all the same.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from functools import cache
from typing import Any, TypeVar

from metrion.core.declared import (
    Boolean,
    Bounds,
    Choice,
    Choices,
    Codes,
    Count,
    CoverageText,
    Entries,
    Entry,
    Exact,
    Field,
    Figures,
    Holds,
    Id,
    Indications,
    Inline,
    LooseIndications,
    ScaleOfKind,
    Text,
    Texts,
    WrittenUnit,
    fields_of,
    folded,
)
from metrion.core.errors import shortened
from metrion.core.facts import Fact, Name, fact
from metrion.core.instruments.instrument import scale_type
from metrion.core.json import Json, Record
from metrion.core.quantity.observations import PAIR_INDICATIONS
from metrion.core.scales import Indication
from metrion.core.traits import Kind
from metrion.formats.faults import BoundFault, Faults, child
from metrion.formats.logbook.fields import Fields
from metrion.formats.logbook.texts import read_bounds, read_coverage, read_figures


@dataclass(frozen=True)
class _Place:
    """Where a name of a record goes: its declaration, and the inline value it belongs to."""

    field: Field
    holder: str
    read: _Reader | None


@dataclass(frozen=True)
class _Plan:
    """How to read a value of one kind: where each name goes, what must be there, what is inline."""

    places: Mapping[str, _Place]
    required: tuple[_Place, ...]
    inline: Mapping[str, type]
    loose: str


Values = dict[str, Any]
"""What a reader found, by the attributes of the value that it is for."""


def read_fields(value: type, fields: Fields, kind: str = "") -> Values:
    """The plain fields of an object by attribute; those with faults, and absent ones, left out.

    Inline values of plain fields are whole; that of a scale is a dictionary of its attributes.
    ``rest`` holds what is not known, or has no meaning for ``kind``.
    """
    plan = _plan(value, kind)
    parts: dict[str, Values] = {"": {}}
    rest: Record = {}
    for name, given in fields.record.items():
        place = plan.places.get(name)
        if place is None:
            rest[name] = given
            fields.check_unknown(name)
        elif place.read is not None and not (given is None and place.field.nullable):
            found = _tried(place, place.read, fields)
            if found is not None:
                parts.setdefault(place.holder, {})[place.field.attribute] = found
            elif place.field.for_the_record:
                rest[name] = given
                fields.check_unknown(name)
    for place in plan.required:
        if place.read and place.field.name not in fields.record:
            place.read(place.field.holds, fields, place.field.name, True)
    return _put_together(plan, parts, rest, fields)


def _put_together(plan: _Plan, parts: dict[str, Values], rest: Record, fields: Fields) -> Values:
    found = parts.pop("")
    for holder, inline in plan.inline.items():
        if inline is dict or holder in parts:
            found[holder] = inline(**parts.get(holder, {}))
    if plan.loose:
        found[plan.loose] = _loose_indications(fields.record)
    if rest:
        found["rest"] = rest
    return found


def _tried(place: _Place, read: _Reader, fields: Fields) -> object:
    """What a field holds; of one for the record, only text that is out of bounds is a fault."""
    name, holds = place.field.name, place.field.holds
    if not place.field.for_the_record:
        return read(holds, fields, name, place.field.required)
    apart = Fields(fields.record, fields.pointer, Faults(kept=fields.faults.kept))
    found = read(holds, apart, name, False)
    fields.faults += [fault for fault in apart.faults if isinstance(fault, BoundFault)]
    return None if apart.faults else found


@cache
def _plan(value: type, kind: str) -> _Plan:
    places: dict[str, _Place] = {}
    inline: dict[str, type] = {}
    loose = ""
    for field in fields_of(value):
        holds = field.holds
        if not field.means_something(kind):
            continue
        if isinstance(holds, ScaleOfKind):
            inline[field.attribute] = dict
            places |= _inside(scale_type(Kind(kind)), kind, field.attribute)
        elif isinstance(holds, Inline) and holds.value is not Indication:
            inline[field.attribute] = holds.value
            places |= _inside(holds.value, kind, field.attribute)
        elif isinstance(holds, Inline | Indications | LooseIndications):
            loose = field.attribute if isinstance(holds, LooseIndications) else loose
            names = [*PAIR_INDICATIONS, *_inside(Indication, kind or Kind.SCREW, "")]
            places |= {name: _Place(field, "", None) for name in names}
        else:
            places[field.name] = _Place(field, "", _reader_of(field))
    required = tuple(place for place in places.values() if place.field.required)
    return _Plan(places, required, inline, loose)


def _inside(value: type, kind: str, holder: str) -> dict[str, _Place]:
    meant = [field for field in fields_of(value) if field.means_something(kind)]
    return {field.name: _Place(field, holder, _reader_of(field)) for field in meant}


def _reader_of(field: Field) -> _Reader | None:
    """What reads a field; None for what hangs on other entries."""
    if isinstance(field.holds, Entries) and not field.for_the_record:
        return None
    return _READERS.get(type(field.holds))


def _loose_indications(record: Mapping[str, Json]) -> tuple[tuple[str, str], ...]:
    pair = [one for name in PAIR_INDICATIONS if isinstance(one := record.get(name), dict)]
    indications = pair or [dict(record)]
    return tuple(
        (str(indication.get("main", "")), str(indication.get("fine", "")))
        for indication in indications
    )


_Reader = Callable[[Any, Fields, str, bool], object]
"""From a declaration, an object, a name and whether it is required, to the value."""

_READERS: dict[type[Holds], _Reader] = {}
_Held = TypeVar("_Held", bound=Holds)


def _reads(
    held: type[_Held],
) -> Callable[[Callable[[_Held, Fields, str, bool], object]], _Reader]:
    def note(read: Callable[[_Held, Fields, str, bool], object]) -> _Reader:
        _READERS[held] = read
        return read

    return note


@_reads(Id)
def _id(_: Id, fields: Fields, name: str, required: bool) -> object:
    return fields.id()


@_reads(Text)
def _text(text: Text, fields: Fields, name: str, required: bool) -> object:
    return fields.text(name, text.most, required=required)


_READERS[WrittenUnit] = _text


@_reads(Boolean)
def _flag(_: Boolean, fields: Fields, name: str, required: bool) -> object:
    return fields.flag(name, required=required)


@_reads(Count)
def _count(count: Count, fields: Fields, name: str, required: bool) -> object:
    return fields.count(name, count.most, required=required)


@_reads(Exact)
def _exact(exact: Exact, fields: Fields, name: str, required: bool) -> object:
    return fields.exact(name, exact.sign, required=required)


@_reads(Choice)
def _choice(choice: Choice, fields: Fields, name: str, required: bool) -> object:
    return fields.choice(name, choice.options, required=required)


@_reads(Figures)
def _figures(_: Figures, fields: Fields, name: str, required: bool) -> object:
    return read_figures(fields, name)


@_reads(CoverageText)
def _coverage(_: CoverageText, fields: Fields, name: str, required: bool) -> object:
    return read_coverage(fields, name)


@_reads(Bounds)
def _bounds(_: Bounds, fields: Fields, name: str, required: bool) -> object:
    return read_bounds(fields, name)


@_reads(Codes)
def _codes(_: Codes, fields: Fields, name: str, required: bool) -> object:
    each = _listed(fields, name, fact("a-text"), None)
    return tuple(each.text(one) or "" for one in each.record)


@_reads(Texts)
def _texts(texts: Texts, fields: Fields, name: str, required: bool) -> object:
    each = _listed(fields, name, fact("a-text"), texts.many)
    found: dict[str, str] = {}
    for index in each.record:
        text = each.text(index, texts.most)
        if text is None:
            continue
        if not text.strip():
            each.fault(index, "text-blank")
        elif folded(text) in found:
            each.fault(index, "text-twice", text=shortened(text))
        else:
            found[folded(text)] = text
    return tuple(found.values())


@_reads(Choices)
def _choices(choices: Choices, fields: Fields, name: str, required: bool) -> object:
    each = _listed(fields, name, fact("a-text"), None)
    found: dict[str, None] = {}
    for index in each.record:
        word = each.choice(index, choices.options)
        if word in found:
            each.fault(index, "text-twice", text=Name(str(word)))
        elif word is not None:
            found[word] = None
    return tuple(found)


def _listed(fields: Fields, name: str, what: Fact, most: int | None) -> Fields:
    """The texts of a list as fields of their own, by their places in it."""
    record: Record = {
        place.rpartition("/")[2]: text for place, text in fields.texts(name, what, most)
    }
    return Fields(record, child(fields.pointer, name), fields.faults)


@_reads(Entry)
def _entry(entry: Entry, fields: Fields, name: str, required: bool) -> object:
    holder = fields.object(name)
    return None if holder is None else entry.value(**read_fields(entry.value, holder))


@_reads(Entries)
def _entries(entries: Entries, fields: Fields, name: str, required: bool) -> object:
    value = entries.value
    return tuple(value(**read_fields(value, one)) for one in fields.objects(name))
