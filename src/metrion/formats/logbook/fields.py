"""Reading the fields of one JSON object; what is wrong with them is noted, never raised."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from enum import StrEnum
from fractions import Fraction
from typing import Any, TypeVar

from metrion.core.declared import NAME, Sign
from metrion.core.errors import MetrionError, OutOfBounds
from metrion.core.exact.angles import parse_angle
from metrion.core.exact.bounds import check_id, check_length, check_number, check_text
from metrion.core.exact.numbers import parse_exact
from metrion.formats.faults import BoundFault, Fault, Faults, child

_Enum = TypeVar("_Enum", bound=StrEnum)
_Value = TypeVar("_Value")


class Fields:
    """One object of a file, with the place it stands at and the list that collects faults.

    Every method returns None where there is no usable value; a fault has then been noted, or the
    field was optional and absent.
    """

    __slots__ = ("faults", "pointer", "record")

    def __init__(self, record: dict[str, Any], pointer: str, faults: Faults) -> None:
        self.record = record
        self.pointer = pointer
        self.faults = faults

    def __contains__(self, name: str) -> bool:
        return name in self.record

    def fault(self, name: str, message: str) -> None:
        """Note a fault at a field (also one that is missing)."""
        self.faults.append(Fault(child(self.pointer, name), message))

    def _given(self, name: str, kind: type | tuple[type, ...], what: str, required: bool) -> Any:
        if name not in self.record:
            if required:
                self.fault(name, f"{name} is missing; it must be {what}")
            return None
        value = self.record[name]
        # In Python, but not in JSON, true and false are whole numbers.
        if not isinstance(value, kind) or (isinstance(value, bool) and kind is not bool):
            self.fault(name, f"{name} is {_shown(value)}, but must be {what}")
            return None
        return value

    def text(self, name: str, most: int = NAME, *, required: bool = False) -> str | None:
        """A text of at most so many characters; a required one may not be empty."""
        value: str | None = self._given(name, str, "text", required)
        if value is None:
            return None
        if required and value == "":
            self.fault(name, f"{name} is empty; it must be text that is not")
            return None
        if not self.faults.kept:
            try:
                check_text(value, most)
            except OutOfBounds as error:
                self.faults.append(BoundFault(child(self.pointer, name), str(error)))
                return None
        return value

    def flag(self, name: str, *, required: bool = False) -> bool | None:
        """true or false."""
        value: bool | None = self._given(name, bool, "true or false", required)
        return value

    def integer(self, name: str, *, required: bool = False) -> int | None:
        """A JSON integer."""
        value: int | None = self._given(name, int, "a whole number, not quoted", required)
        return value

    def count(self, name: str, most: int, *, required: bool = False) -> int | None:
        """A JSON integer of 1 or more, and of ``most`` or less."""
        value = self.integer(name, required=required)
        if value is not None and value < 1:
            self.fault(name, f"{name} is {value}, but must be 1 or more")
            return None
        if value is not None and value > most and not self.faults.kept:
            self.fault(name, f"{name} is {_shown(value)}, but must be at most {most}")
            return None
        return value

    def id(self) -> str | None:
        """The required id of an entry."""
        key: str | None = self._given("id", str, "text", required=True)
        if key == "":
            self.fault("id", "id is empty; it must be text that is not")
            return None
        if key is not None and not self.faults.kept:
            self.checked("id", lambda: check_id(key))
        return key

    @property
    def key(self) -> str | None:
        """The id of an entry, if it has one."""
        key = self.record.get("id")
        return key if isinstance(key, str) and key else None

    def checked(self, name: str, check: Callable[[], None]) -> bool:
        """Whether a check of the core passes; its error is noted as the fault."""
        try:
            check()
        except MetrionError as error:
            self.fault(name, str(error))
            return False
        return True

    def objects(self, name: str, *, required: bool = False) -> Iterator[Fields]:
        """The objects of a list; members that are none are noted and left out."""
        members = self._given(name, list, "a list", required) or []
        pointer = child(self.pointer, name)
        for index, member in enumerate(members):
            if isinstance(member, dict):
                yield Fields(member, child(pointer, index), self.faults)
            else:
                place = Fault(child(pointer, index), f"{_shown(member)} must be an object")
                self.faults.append(place)

    def object(self, name: str) -> Fields | None:
        """A required object."""
        record = self._given(name, dict, "an object", required=True)
        return None if record is None else Fields(record, child(self.pointer, name), self.faults)

    def texts(self, name: str, what: str) -> list[tuple[str, str]]:
        """An optional list of texts, each with its own pointer's last part."""
        members = self._given(name, list, "a list", required=False) or []
        found = []
        for index, member in enumerate(members):
            if isinstance(member, str):
                found.append((f"{name}/{index}", member))
            else:
                place = f"{self.pointer}/{name}/{index}"
                self.faults.append(Fault(place, f"{_shown(member)} must be {what}"))
        return found

    def choice(self, name: str, options: type[_Enum], *, required: bool = False) -> _Enum | None:
        """One of the words of an enumeration."""
        words = " or ".join(f'"{option}"' for option in options)
        value = self._given(name, str, words, required)
        if value is None:
            return None
        if value not in set(options):
            self.fault(name, f"{name} is {_shown(value)}, but must be {words}")
            return None
        return options(value)

    def parsed(
        self, name: str, parse: Callable[[str], _Value], what: str, *, required: bool = False
    ) -> _Value | None:
        """A text that a core function reads, its error noted as the fault."""
        text = self._given(name, str, what, required)
        if text is None:
            return None
        try:
            return parse(text)
        except MetrionError as error:
            self.fault(name, str(error))
            return None

    def exact(self, name: str, sign: Sign = Sign.ANY, *, required: bool = False) -> Fraction | None:
        """An exact number, written as a text."""
        what = 'a number in quotes, like "12.35"'
        value = self.parsed(name, self.read_number, what, required=required)
        if value is not None and sign is Sign.POSITIVE and value <= 0:
            self.fault(name, f"{name} is {self.record[name]}, but must be above 0")
            return None
        if value is not None and sign is Sign.NOT_NEGATIVE and value < 0:
            self.fault(name, f"{name} is {self.record[name]}, but must not be negative")
            return None
        return value

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


def _shown(value: Any) -> str:
    if isinstance(value, dict):
        return "an object"
    if isinstance(value, list):
        return "a list"
    if isinstance(value, str):
        return f'"{value}"' if len(value) <= 40 else f'"{value[:40]}…"'
    if value is None or isinstance(value, bool):
        return {None: "null", True: "true", False: "false"}[value]
    return str(value)[:40]
