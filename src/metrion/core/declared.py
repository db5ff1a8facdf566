"""What a field of a logbook may hold, declared once, where the value stands that has the field.

The values of a sheet are frozen dataclasses (`entry`). Each field that a logbook file holds carries
a declaration (`declared`); from it come the reader with its faults, the published schema of the
file, and what the API takes. Whoever adds a field adds it to its dataclass.
"""

from __future__ import annotations

import dataclasses
import inspect
import re
from collections.abc import Callable, Iterator, Mapping
from dataclasses import MISSING, dataclass
from enum import Enum, StrEnum
from functools import cache
from types import MappingProxyType
from typing import Any, TypeVar, dataclass_transform

NAME, PROSE = 200, 4_000
"""The most characters of a name or title, and of any other text."""


class Sign(Enum):
    """Which numbers a field takes."""

    ANY = "any"
    NOT_NEGATIVE = "not negative"
    POSITIVE = "positive"


@dataclass(frozen=True)
class Holds:
    """What a field may hold; one of the kinds below."""


@dataclass(frozen=True)
class Id(Holds):
    """The id of an entry."""


@dataclass(frozen=True)
class Text(Holds):
    """Text of at most so many characters."""

    most: int = NAME


@dataclass(frozen=True)
class WrittenUnit(Text):
    """A unit as it was written, without being checked."""


@dataclass(frozen=True)
class Boolean(Holds):
    """true or false."""


@dataclass(frozen=True)
class Count(Holds):
    """A whole number from 1 on."""

    most: int


@dataclass(frozen=True)
class Exact(Holds):
    """An exact number, written as text."""

    sign: Sign = Sign.ANY


@dataclass(frozen=True)
class Choice(Holds):
    """One word of an enumeration."""

    options: type[StrEnum]


@dataclass(frozen=True)
class Figures(Holds):
    """How many figures an uncertainty has: 1, 2 or "1-or-2"."""


@dataclass(frozen=True)
class CoverageText(Holds):
    """A coverage factor like "2", or a percentage like "95%"."""


@dataclass(frozen=True)
class Bounds(Holds):
    """Two exact numbers, the lower first."""


@dataclass(frozen=True)
class MainMark(Holds):
    """A mark of the main scale: an angle on a circle, an exact number elsewhere."""


@dataclass(frozen=True)
class FineLine(Holds):
    """A fine line: a whole number, or an estimate as text."""


@dataclass(frozen=True)
class LengthOrAngle(Holds):
    """The unit of an instrument: one of length, or arc minutes on a circle."""


@dataclass(frozen=True)
class ScaleOfKind(Holds):
    """The scale that the kind of an instrument has; its fields stand beside those of the tool."""


@dataclass(frozen=True)
class UnitText(Holds):
    """A unit like g/cm**3."""


@dataclass(frozen=True)
class OtherUnits(Holds):
    """Units that something is to be given in besides its own, each once."""


@dataclass(frozen=True)
class FormulaText(Holds):
    """A formula of the inputs."""


@dataclass(frozen=True)
class Inputs(Holds):
    """What stands for each symbol of a formula: the id of a measurement, or a typed value."""


@dataclass(frozen=True)
class Reference(Holds):
    """The id of an entry in another section."""

    section: str


@dataclass(frozen=True)
class References(Holds):
    """Ids of entries in another section, each once."""

    section: str
    most: int


@dataclass(frozen=True)
class Codes(Holds):
    """A list of short texts."""


@dataclass(frozen=True)
class Texts(Holds):
    """A list of at most so many texts; none is blank, and each stands there once as `folded`."""

    many: int
    most: int = NAME


@dataclass(frozen=True)
class Choices(Holds):
    """A list of words of an enumeration, each once."""

    options: type[StrEnum]


@dataclass(frozen=True)
class Entry(Holds):
    """An object with declared fields of its own."""

    value: type


@dataclass(frozen=True)
class Entries(Holds):
    """A list of such objects; of at most so many, if there is a bound."""

    value: type
    most: int | None = None


@dataclass(frozen=True)
class Indications(Holds):
    """Those of an observation: a single one beside its other fields, or a, b, a2 and b2."""


@dataclass(frozen=True)
class LooseIndications(Holds):
    """The figures of one indication, or of those of a pair, as they were written, unchecked."""


@dataclass(frozen=True)
class Inline(Holds):
    """A value whose own fields stand beside those of its holder."""

    value: type


@dataclass(frozen=True)
class Field:
    """The declaration of one field.

    Attributes:
        attribute: of the value.
        name: in a logbook.
        holds: what it may hold.
        required: whether a logbook must have it.
        for_the_record: whether it is kept without being checked; what does not fit is kept as it
            is, among what is not known.
        only: the kinds (of instrument, or family) for which it has a meaning; all if empty.
        nullable: whether null stands for nothing, as if the field were not there.
    """

    attribute: str
    name: str
    holds: Holds
    required: bool
    for_the_record: bool
    only: tuple[str, ...]
    nullable: bool

    def means_something(self, kind: str) -> bool:
        """Whether it has a meaning for a kind."""
        return not self.only or kind in self.only


_KEY, _NAME = "declared", "name"
Rest = Mapping[str, Any]
NOTHING: Rest = MappingProxyType({})
"""No unknown fields."""


def declared(
    holds: Holds,
    *,
    default: Any = MISSING,
    name: str = "",
    for_the_record: bool = False,
    required: bool | None = None,
    only: tuple[str, ...] = (),
    nullable: bool = False,
) -> Any:
    """A field of a dataclass that a logbook holds; required where it has no default."""
    needed = default is MISSING if required is None else required
    about = (holds, needed, for_the_record, only, nullable)
    return dataclasses.field(default=default, metadata={_KEY: about, _NAME: name})


def rest(*, default: Rest) -> Any:
    """The field of a value that keeps what is not known, or has no meaning for the kind."""
    return dataclasses.field(default_factory=lambda: default, hash=False, repr=False)


def folded(text: str) -> str:
    """A text as it is compared with others: case folded, blanks collapsed."""
    return " ".join(text.casefold().split())


_Value = TypeVar("_Value")


@dataclass_transform(frozen_default=True, field_specifiers=(declared, rest))
def entry(*, slots: bool = False) -> Callable[[type[_Value]], type[_Value]]:
    """A frozen dataclass whose fields are declared."""
    return dataclasses.dataclass(frozen=True, slots=slots)


@cache
def meanings_of(value: type) -> Mapping[str, str]:
    """What each attribute of a value means: the sentences that its docstring has for it."""
    _, _, listed = (inspect.getdoc(value) or "").partition("Attributes:\n")
    found: dict[str, str] = {}
    for names, words in _ATTRIBUTE.findall(listed):
        found |= dict.fromkeys(names.split(", "), " ".join(words.split()))
    return found


_ATTRIBUTE = re.compile(r"^ {4}(\w+(?:, \w+)*): (.+(?:\n {8}.+)*)", re.MULTILINE)


@cache
def fields_of(value: type) -> tuple[Field, ...]:
    """The declared fields of a value in their order; inline ones once, as their holder."""
    return tuple(_fields(value))


def _fields(value: type) -> Iterator[Field]:
    for one in dataclasses.fields(value):
        if _KEY in one.metadata:
            yield Field(one.name, one.metadata[_NAME] or one.name, *one.metadata[_KEY])
