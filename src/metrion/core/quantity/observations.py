"""What was observed: one indication, a pair of indications, or a pair through two windows."""

from __future__ import annotations

from collections.abc import Sequence
from enum import StrEnum
from fractions import Fraction

from metrion.core.declared import (
    NOTHING,
    PROSE,
    Exact,
    Indications,
    Inline,
    Rest,
    Text,
    declared,
    entry,
    rest,
)
from metrion.core.exact.angles import FULL_CIRCLE, HALF_CIRCLE
from metrion.core.facts import Fact, Figure, fact
from metrion.core.formula.evaluate import exact
from metrion.core.formula.expression import Expression, added, angle, call, number
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.noted import NOTHING_NOTED, Noted
from metrion.core.scales import Indication
from metrion.core.traits import Kind, kinds


class Arc(StrEnum):
    """Which way round the circle a sweep is taken."""

    SHORTER = "shorter"
    FORWARD = "forward"


class Sort(StrEnum):
    """How many indications make one observation."""

    SINGLE = "single"
    PAIR = "pair"
    WINDOWS = "pair with two windows"


WINDOWS_APART = 15
"""Arc minutes from which two opposite windows disagree by more than their circle explains."""

INDICATIONS: dict[Sort, tuple[str, ...]] = {
    Sort.SINGLE: ("",),
    Sort.PAIR: ("a", "b"),
    Sort.WINDOWS: ("a", "b", "a2", "b2"),
}
"""The indications of each sort, by the names they have in a logbook; a single one has none."""

PAIR_INDICATIONS = INDICATIONS[Sort.WINDOWS]
"""The names that indications of pairs can have, those through a second window last."""

_SORT_OF = {len(names): sort for sort, names in INDICATIONS.items()}


@entry(slots=True)
class Observation:
    """One observation.

    Attributes:
        indications: one indication; or two, (a, b); or four through two windows, (a, b, a2, b2).
        place: where on the object it was taken; may be empty.
        excluded: the reason why it does not count; empty if it counts.
        meets: the main mark that the coinciding line was seen to meet, as a check.
        noted: what is noted beside it.
        rest: what else its entry has.
    """

    indications: tuple[Indication, ...] = declared(Indications())
    place: str = declared(Text(), default="")
    excluded: str = declared(Text(PROSE), default="", nullable=True)
    meets: Fraction | None = declared(Exact(), default=None, only=kinds(lambda one: one.slides))
    noted: Noted = declared(Inline(Noted), default=NOTHING_NOTED)
    rest: Rest = rest(default=NOTHING)

    @property
    def sort(self) -> Sort:
        """Single, pair, or pair with two windows."""
        return _SORT_OF[len(self.indications)]

    @property
    def counts(self) -> bool:
        """Whether it takes part in the mean."""
        return not self.excluded


def swept(start: Expression, end: Expression, arc: Arc) -> Expression:
    """The angle from ``start`` to ``end``, going through 360° where it must, as a formula.

    >>> exact(swept(number(341 * 60), number(18 * 60), Arc.SHORTER)) / 60
    Fraction(37, 1)
    """
    whole = angle(FULL_CIRCLE)
    forward = call("modulo", end - start, whole)
    return forward if arc is Arc.FORWARD else call("min", forward, whole - forward)


def off_opposite(first: Fraction, second: Fraction) -> Fraction:
    """By how much two windows are not 180° apart, in arc minutes from -180° to below 180°.

    A few minutes mean that the circle turns off its own middle; the mean of both windows is free
    of it.

    >>> off_opposite(Fraction(30 * 60), Fraction(210 * 60 + 4))
    Fraction(4, 1)
    """
    return (second - first) % FULL_CIRCLE - HALF_CIRCLE


def between(kind: Kind, indications: Sequence[Expression], arc: Arc) -> list[Expression]:
    """What lies between the indications of each pair, as formulas: one, or one per window."""
    pairs = zip(indications[::2], indications[1::2], strict=True)
    if kind.traits.circular:
        return [swept(a, b, arc) for a, b in pairs]
    return [call("abs", b - a) for a, b in pairs]


def observed(kind: Kind, indications: Sequence[Expression], arc: Arc) -> Expression:
    """What indications make: one itself, pairs the mean of what lies between, as a formula."""
    if len(indications) == 1:
        return indications[0]
    found = between(kind, indications, arc)
    return found[0] if len(found) == 1 else added(found) / number(len(found))


def sweeps(instrument: Instrument, observation: Observation, arc: Arc) -> tuple[Fraction, ...]:
    """The sweep of each pair of indications: one, or one per window. Lengths give |b - a|."""
    readings = [number(instrument.reading(indication)) for indication in observation.indications]
    return tuple(exact(one) for one in between(instrument.kind, readings, arc))


def observed_value(instrument: Instrument, observation: Observation, arc: Arc) -> Fraction:
    """The reading of one indication; of pairs, the mean of the sweeps. In the instrument's unit."""
    if observation.sort is Sort.SINGLE:
        return instrument.reading(observation.indications[0])
    readings = [number(instrument.reading(indication)) for indication in observation.indications]
    return exact(observed(instrument.kind, readings, arc))


def half_words(instrument: Instrument, value: Fraction) -> Fact:
    """Half of what is swept; over 90° it is no deflection, with the likely cause."""
    half = Figure(instrument.with_unit(value / 2))
    if value <= HALF_CIRCLE:
        return fact("half-is", half=half)
    other = Figure(instrument.with_unit((FULL_CIRCLE - value) / 2))
    return fact("half-would-be", half=half, other=other)
