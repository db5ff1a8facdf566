"""Reading the fields of one JSON object; what is wrong with them is noted, never raised."""

from __future__ import annotations

import sys
from collections.abc import Callable, Collection, Iterator, Sequence
from enum import StrEnum
from fractions import Fraction
from functools import reduce
from typing import Any, TypeVar

from metrion.core.codes import MessageCode
from metrion.core.declared import NAME, Sign
from metrion.core.errors import MetrionError, OutOfBounds, shortened
from metrion.core.exact.angles import parse_angle
from metrion.core.exact.bounds import (
    LARGEST_UNKNOWN,
    check_id,
    check_length,
    check_number,
    check_text,
)
from metrion.core.exact.numbers import parse_exact
from metrion.core.facts import Argument, Fact, Name, fact
from metrion.core.json import Json, Record, text_in
from metrion.formats.faults import BoundFault, Fault, Faults, Refused, child, refusal
from metrion.formats.strict_json import takes_more

_Enum = TypeVar("_Enum", bound=StrEnum)
_Value = TypeVar("_Value")

_TEXT = fact("a-text")
A_NUMBER = fact("wanted-number-text")


class Fields:
    """One object of a file, with the place it stands at and the list that collects faults.

    Every method returns None where there is no usable value; a fault has then been noted, or the
    field was optional and absent.
    """

    __slots__ = ("faults", "pointer", "record")

    def __init__(self, record: Record, pointer: str, faults: Faults) -> None:
        self.record = record
        self.pointer = pointer
        self.faults = faults

    def __contains__(self, name: str) -> bool:
        return name in self.record

    def fault(self, name: str, code: MessageCode, **about: Argument) -> None:
        """Note a fault at a field (also one that is missing)."""
        self.note(name, Fact(code, about))

    def note(self, name: str, says: Fact) -> None:
        """Note what is wrong with a field."""
        self.faults.append(Fault(child(self.pointer, name), says))

    def _given(self, name: str, kind: type | tuple[type, ...], what: Fact, required: bool) -> Any:
        if name not in self.record:
            if required:
                self.fault(name, "field-missing", field=Name(name), what=what)
            return None
        value = self.record[name]
        # In Python, but not in JSON, true and false are whole numbers.
        if not isinstance(value, kind) or (isinstance(value, bool) and kind is not bool):
            self.fault(
                name, "field-of-other-sort", field=Name(name), value=_shown(value), what=what
            )
            return None
        return value

    def _is_other(self, name: str, value: Json, what: Fact) -> None:
        self.fault(name, "field-of-other-sort", field=Name(name), value=_shown(value), what=what)

    def text(self, name: str, most: int = NAME, *, required: bool = False) -> str | None:
        """A text of at most so many characters; a required one may not be empty."""
        value: str | None = self._given(name, str, _TEXT, required)
        if value is None:
            return None
        if required and value == "":
            self.fault(name, "field-empty", field=Name(name))
            return None
        if not self.faults.kept:
            try:
                check_text(value, most)
            except OutOfBounds as error:
                self.faults.append(BoundFault(child(self.pointer, name), error.says))
                return None
        return value

    def flag(self, name: str, *, required: bool = False) -> bool | None:
        """true or false."""
        value: bool | None = self._given(name, bool, fact("a-flag"), required)
        return value

    def integer(self, name: str, *, required: bool = False) -> int | None:
        """A JSON integer."""
        value: int | None = self._given(name, int, fact("wanted-whole-number"), required)
        return value

    def count(self, name: str, most: int, *, required: bool = False) -> int | None:
        """A JSON integer of 1 or more, and of ``most`` or less."""
        value = self.integer(name, required=required)
        if value is not None and value < 1:
            self.fault(name, "field-below-one", field=Name(name), value=_shown(value))
            return None
        if value is not None and value > most and not self.faults.kept:
            self.fault(name, "field-above", field=Name(name), value=_shown(value), most=most)
            return None
        return value

    def id(self) -> str | None:
        """The required id of an entry."""
        key: str | None = self._given("id", str, _TEXT, required=True)
        if key == "":
            self.fault("id", "field-empty", field=Name("id"))
            return None
        if key is not None and not self.faults.kept:
            self.checked("id", lambda: check_id(key))
        return key

    @property
    def key(self) -> str | None:
        """The id of an entry, if it has one."""
        key = self.record.get("id")
        return key if isinstance(key, str) and key else None

    def check_unknown(self, name: str) -> None:
        """Note what is out of bounds in a field that is not known, and is kept as it is."""
        value = self.record[name]
        if self.faults.kept or isinstance(value, bool) or value is None:
            return
        place = child(self.pointer, name)
        if takes_more(value, LARGEST_UNKNOWN):
            says = fact("unknown-too-large", field=Name(name), most=LARGEST_UNKNOWN)
            self.faults.append(BoundFault(place, says))
            return
        self.faults += [BoundFault(at, fact("not-finite")) for at in _not_finite(place, value)]

    def check_unknown_besides(self, known: Collection[str]) -> None:
        """The same for all fields that are not known."""
        for name in self.record.keys() - set(known):
            self.check_unknown(name)

    def checked(self, name: str, check: Callable[[], None]) -> bool:
        """Whether a check of the core passes; its error is noted as the fault."""
        try:
            check()
        except MetrionError as error:
            self.note(name, error.says)
            return False
        return True

    def objects(self, name: str, *, required: bool = False) -> Iterator[Fields]:
        """The objects of a list; members that are none are noted and left out."""
        members = self._given(name, list, fact("a-list"), required) or []
        pointer = child(self.pointer, name)
        for index, member in enumerate(members):
            if isinstance(member, dict):
                yield Fields(member, child(pointer, index), self.faults)
            else:
                says = fact("must-be", value=_shown(member), what=fact("an-object"))
                self.faults.append(Fault(child(pointer, index), says))

    def object(self, name: str) -> Fields | None:
        """A required object."""
        record = self._given(name, dict, fact("an-object"), required=True)
        return None if record is None else Fields(record, child(self.pointer, name), self.faults)

    def texts(self, name: str, what: Fact, most: int | None = None) -> list[tuple[str, str]]:
        """An optional list of (at most so many) texts, each with its own pointer's last part."""
        members = self._given(name, list, fact("a-list"), required=False) or []
        if most is not None and len(members) > most and not self.faults.kept:
            self.fault(name, "too-many-entries", field=Name(name), count=len(members), most=most)
            return []
        found = []
        for index, member in enumerate(members):
            if isinstance(member, str):
                found.append((f"{name}/{index}", member))
            else:
                place = f"{self.pointer}/{name}/{index}"
                self.faults.append(Fault(place, fact("must-be", value=_shown(member), what=what)))
        return found

    def choice(self, name: str, options: type[_Enum], *, required: bool = False) -> _Enum | None:
        """One of the words of an enumeration."""
        words = _either([fact("quoted", text=Name(option)) for option in options])
        value = self._given(name, str, words, required)
        if value is None:
            return None
        if value not in set(options):
            self.fault(
                name, "field-of-other-sort", field=Name(name), value=_shown(value), what=words
            )
            return None
        return options(value)

    def parsed(
        self, name: str, parse: Callable[[str], _Value], what: Fact, *, required: bool = False
    ) -> _Value | None:
        """A text that a core function reads, its error noted as the fault."""
        text = self._given(name, str, what, required)
        if text is None:
            return None
        try:
            return parse(text)
        except MetrionError as error:
            self.note(name, error.says)
            return None

    def exact(self, name: str, sign: Sign = Sign.ANY, *, required: bool = False) -> Fraction | None:
        """An exact number, written as a text."""
        value = self.parsed(name, self.read_number, A_NUMBER, required=required)
        if value is not None and sign is Sign.POSITIVE and value <= 0:
            self._has_other_sign(name, "field-not-above-0")
            return None
        if value is not None and sign is Sign.NOT_NEGATIVE and value < 0:
            self._has_other_sign(name, "field-negative")
            return None
        return value

    def _has_other_sign(self, name: str, code: MessageCode) -> None:
        self.fault(name, code, field=Name(name), value=shortened(text_in(self.record, name)))

    def read_number(self, text: str) -> Fraction:
        """The number a text says. Raises `MetrionError` if it is none, or out of bounds."""
        return self._read(text, parse_exact)

    def read_angle(self, text: str) -> Fraction:
        """The angle a text says, in arc minutes. Raises `MetrionError` as `read_number` does."""
        return self._read(text, parse_angle)

    def _read(self, text: str, parse: Callable[[str], Fraction]) -> Fraction:
        if self.faults.kept:
            return parse(text)
        check_length(text)
        value = parse(text)
        check_number(text, value)
        return value


def _not_finite(pointer: str, value: Json) -> Iterator[str]:
    """Where in a value numbers stand that are beyond a double."""
    if isinstance(value, dict):
        for name, inner in value.items():
            yield from _not_finite(child(pointer, name), inner)
    elif isinstance(value, list):
        for index, inner in enumerate(value):
            yield from _not_finite(child(pointer, index), inner)
    elif isinstance(value, int | float) and not abs(value) <= sys.float_info.max:
        yield pointer


def _either(options: Sequence[Fact]) -> Fact:
    return reduce(lambda first, second: fact("or", first=first, second=second), options)


def _shown(value: Json) -> Name | Fact:
    if isinstance(value, dict):
        return fact("an-object")
    if isinstance(value, list):
        return fact("a-list")
    if isinstance(value, str):
        return fact("quoted", text=shortened(value))
    if value is None or isinstance(value, bool):
        return Name({None: "null", True: "true", False: "false"}[value])
    return Name(str(value)[:40])


def read_alone(
    record: Json, no_object: MessageCode, read: Callable[[Fields], _Value | None]
) -> _Value:
    """Read an object that stands for itself; a null counts as if the field were not there.

    Args:
        no_object: the code of what is said where it is none.
        read: its fields as a value; None where that cannot be.

    Raises:
        Refused: with everything that is wrong with it.
    """
    if not isinstance(record, dict):
        raise refusal(no_object)
    faults = Faults()
    told: Record = {name: value for name, value in record.items() if value is not None}
    found = read(Fields(told, "", faults))
    if faults or found is None:
        raise Refused(faults)
    return found
