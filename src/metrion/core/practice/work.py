"""How an answer is worked out, and where one may leave that way."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from enum import Enum, auto
from fractions import Fraction
from types import MappingProxyType
from typing import NamedTuple

from metrion.core.exact.angles import FULL_CIRCLE
from metrion.core.exact.numbers import Number
from metrion.core.instruments.instrument import Instrument
from metrion.core.practice.exercise import Exercise, Question
from metrion.core.quantity.observations import Arc
from metrion.core.scales import Indication, ScrewScale


class Zero(Enum):
    """What else can be done with a zero error than to take it off."""

    LEFT_OUT = auto()
    ADDED = auto()
    WRAPPED = auto()
    FROM_END = auto()


class Averaged(Enum):
    """What else can be done with several looks than to take their mean."""

    SUMMED = auto()
    SUMMED_ONE_ZERO = auto()
    BY_ONE_LESS = auto()
    BY_ONE_LESS_ONE_ZERO = auto()


_NOTHING: Mapping[int, Number] = MappingProxyType({})


class Departure(NamedTuple):
    """Where a way of working leaves the right one; what is not named is done right.

    Attributes:
        starts: by look, where the fine scale begins to count.
        counts: by look, the least counts that the fine line adds.
        worths: by look, what is written for the fine part whatever it counts.
        least_count: what one step is taken to be.
        counted_back: whether a negative zero is then counted back from the mark at nought.
        zero: what is done with the zero error.
        other_arc: whether the sweep goes the other way round.
        not_halved: whether the whole sweep stands for its half.
        forgotten: the look that is left out of a mean.
        averaged: what is done with the looks.
        last: what is done with what comes out.
    """

    starts: Mapping[int, Number] = _NOTHING
    counts: Mapping[int, Number] = _NOTHING
    worths: Mapping[int, Number] = _NOTHING
    least_count: Number | None = None
    counted_back: bool = False
    zero: Zero | None = None
    other_arc: bool = False
    not_halved: bool = False
    forgotten: int | None = None
    averaged: Averaged | None = None
    last: Callable[[Number], Number] | None = None

    def joined(self, other: Departure) -> Departure:
        """Both at once; they leave the way at different steps."""
        return Departure(
            self.starts or other.starts,
            self.counts or other.counts,
            self.worths or other.worths,
            self.least_count or other.least_count,
            self.counted_back or other.counted_back,
            self.zero or other.zero,
            self.other_arc or other.other_arc,
            self.not_halved or other.not_halved,
            other.forgotten if self.forgotten is None else self.forgotten,
            self.averaged or other.averaged,
            self.last or other.last,
        )

    def roughly(self) -> Departure:
        """The same in floats."""
        starts, counts, worths = (
            {index: float(value) for index, value in each.items()}
            for each in (self.starts, self.counts, self.worths)
        )
        least = None if self.least_count is None else float(self.least_count)
        return Departure(starts, counts, worths, least, *self[4:])


_RIGHT: Departure = Departure()


def start_of(instrument: Instrument, look: Indication) -> Fraction:
    """Where the fine scale begins to count: at the main mark, or where the turn began."""
    scale = instrument.scale
    return scale.turn_start(look) if isinstance(scale, ScrewScale) else look.main


def count_of(instrument: Instrument, look: Indication) -> Fraction:
    """How many least counts the fine line adds."""
    added = instrument.reading(look) - start_of(instrument, look)
    return added / instrument.least_count


class Work:
    """An exercise with its looks taken apart, ready to be worked out right or otherwise."""

    def __init__(
        self,
        exercise: Exercise,
        number: Callable[[Fraction], Number] = Fraction,
        written: int | None = None,
    ) -> None:
        """Take it apart.

        Args:
            number: with exact numbers, or with floats where it need only be roughly.
            written: how many decimals the answer was written with, where that is known.
        """
        self.exercise = exercise
        self.written = written
        tool = exercise.instrument

        def parts(look: Indication) -> tuple[Number, Number]:
            return number(start_of(tool, look)), number(count_of(tool, look))

        self.looks = [parts(look) for look in exercise.read]
        zero = exercise.zero_check
        self.zero = parts(zero) if zero else None
        self.negative_zero = zero is not None and tool.reading(zero) < 0
        self._nothing, self._circle = number(Fraction(0)), number(FULL_CIRCLE)
        self._least, self._mark = number(tool.least_count), number(tool.scale.mark)
        self._read = [start + count * self._least for start, count in self.looks]

    def outcome(self, departure: Departure) -> Number:
        """What comes out, in the unit of the instrument."""
        least = departure.least_count or self._least
        value = self._asked(departure, least)
        return departure.last(value) if departure.last else value

    def _asked(self, departure: Departure, least: Number) -> Number:
        question = self.exercise.question
        if question is Question.LEAST_COUNT:
            return least
        if question is Question.ZERO_ERROR and (departure.zero or departure.counted_back):
            return self.zero_taken(departure, least)
        read = self._read_by(departure, least)
        if question is Question.SWEEP:
            return self._swept(read, departure)
        if question is Question.CORRECTED:
            return read[0] - self.zero_taken(departure, least)
        if question is Question.MEAN:
            return self._averaged(read, self.zero_taken(departure, least), departure)
        return read[0]

    def _read_by(self, departure: Departure, least: Number) -> list[Number]:
        if departure.least_count:
            return [self._look(index, departure, least) for index in range(len(self.looks))]
        read = self._read.copy()
        for index in {*departure.starts, *departure.counts, *departure.worths}:
            read[index] = self._look(index, departure, least)
        return read

    def _look(self, index: int, departure: Departure, least: Number) -> Number:
        start, count = self.looks[index]
        start = departure.starts.get(index, start)
        if index in departure.worths:
            return start + departure.worths[index]
        return start + departure.counts.get(index, count) * least

    def zero_taken(self, departure: Departure, least: Number) -> Number:
        """What is taken off as zero error."""
        if self.zero is None or departure.zero is Zero.LEFT_OUT:
            return self._nothing
        start, count = self.zero
        if departure.zero is Zero.WRAPPED:
            return count * least
        if departure.zero is Zero.FROM_END:
            return -count * least
        if departure.counted_back:
            error = (count - self._mark / self._least) * least
        else:
            error = start + count * least
        return -error if departure.zero is Zero.ADDED else error

    def _swept(self, read: Sequence[Number], departure: Departure) -> Number:
        forward = (read[1] - read[0]) % self._circle
        if self.exercise.arc is Arc.SHORTER:
            forward = min(forward, self._circle - forward)
        found = self._circle - forward if departure.other_arc else forward
        return found if departure.not_halved else found / self.exercise.divide_by

    def _averaged(self, read: Sequence[Number], zero: Number, departure: Departure) -> Number:
        kept = [one for index, one in enumerate(read) if index != departure.forgotten]
        whole, many = sum(kept, self._nothing), len(kept)
        way = departure.averaged
        if way is Averaged.SUMMED:
            return whole - many * zero
        if way is Averaged.SUMMED_ONE_ZERO:
            return whole - zero
        if way is Averaged.BY_ONE_LESS:
            return (whole - many * zero) / (many - 1)
        if way is Averaged.BY_ONE_LESS_ONE_ZERO:
            return whole / (many - 1) - zero
        return whole / many - zero


def right(exercise: Exercise) -> Fraction:
    """What is right."""
    return Fraction(Work(exercise).outcome(_RIGHT))
