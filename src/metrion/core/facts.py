"""What is to be said, before anybody puts it into words: a code and what it is about."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from fractions import Fraction
from functools import reduce
from typing import TypeAlias, Union, cast

from metrion.core.codes import MessageCode


@dataclass(frozen=True, slots=True)
class Amount:
    """A size with its unit that is only roughly known: it is written with two figures.

    Attributes:
        value: in ``unit``.
        unit: as a logbook writes it.
    """

    value: Fraction
    unit: str


@dataclass(frozen=True, slots=True)
class Name:
    """A text that a user chose: it goes into a sentence as it is."""

    text: str


@dataclass(frozen=True, slots=True)
class Figure:
    """A number with its unit as an instrument gives it, with a point and a hyphen for minus."""

    text: str


Argument: TypeAlias = Union[
    Fraction, int, Amount, Figure, Name, str, "Fact", tuple["Name | Fact", ...]
]
"""A number, an amount, a figure, a user's text, the code of a choice, something said; or several.
"""


@dataclass(frozen=True, slots=True)
class Fact:
    """Something to be said.

    Attributes:
        code: which message of the catalogue says it.
        about: what it is about, by the names that the message has for it.
    """

    code: MessageCode
    about: Mapping[str, Argument]


def fact(code: MessageCode, **about: Argument) -> Fact:
    """A fact, with what it is about."""
    return Fact(code, about)


def coded(stem: str, member: object, **about: Argument) -> Fact:
    """One of a family of messages, by a member of an enumeration: ``coded("slip", "far-side")``."""
    return Fact(cast(MessageCode, f"{stem}-{member}"), about)


def either(choices: Sequence[Fact | Name]) -> Fact | Name:
    """One of these: ``a or b or c``."""
    return reduce(lambda first, second: fact("or", first=first, second=second), choices)
