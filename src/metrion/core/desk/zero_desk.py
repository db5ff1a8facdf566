"""The zero desk: what closed faces show, said in words, by both rules of counting."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.facts import Argument, Fact, Figure, fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.wrapped_zero import WrappedZero, wrapped_zero
from metrion.core.quantity.zero import ZeroCheck, looks_apart, zero_error
from metrion.core.scales import Indication, ScrewScale, VernierScale

_LARGE = 5


@dataclass(frozen=True)
class ZeroFinding:
    """What an indication of the zero comes to, in the unit of the instrument.

    Attributes:
        error: reading less reference.
        says: what that does to every reading.
        ways: how the reading is counted; for a negative one, by both rules.
        advice: what to do if it is large; empty if it is not.
        wrapped: what it is likely mistaken for, if it is nearer to a full mark than to nothing.
    """

    error: Fraction
    says: Fact
    ways: tuple[Fact, ...]
    advice: Fact | None
    wrapped: WrappedZero | None = None


def zero_finding(
    instrument: Instrument, indication: Indication, reference: Fraction
) -> ZeroFinding:
    """Judge an indication with closed faces, or at a setting piece of known size.

    Args:
        reference: size of the setting piece; 0 for closed faces.
    """
    read = instrument.reading(indication)
    error = read - reference
    wrapped = wrapped_zero(instrument, indication, reference)
    return ZeroFinding(
        error,
        _error(instrument, error),
        tuple(_ways(instrument, indication, read, reference)),
        # A tool is called faulty only after the count has been questioned.
        None if wrapped else _advice(instrument, error),
        wrapped,
    )


def looks_unlike(
    instrument: Instrument, error: Fraction, looks: Sequence[ZeroCheck]
) -> list[tuple[ZeroCheck, Fact]]:
    """Those of earlier looks at the same zero that one which shows this error does not agree with.

    Each with what it said: their mean would be the zero of neither.
    """
    found = []
    for look in looks:
        earlier = zero_error(instrument, [look])
        if looks_apart(instrument, [error, earlier]) is not None:
            says = fact("earlier-look", error=Figure(instrument.with_unit(earlier)))
            found.append((look, says))
    return found


def indication_below_zero(instrument: Instrument) -> Indication:
    """The indication whose fine zero stands at the mark (or turn) just below zero."""
    scale = instrument.scale
    if isinstance(scale, ScrewScale):
        return scale.indication_at(-scale.pitch, 0)
    return Indication(-scale.main_division, 0)


def _error(instrument: Instrument, error: Fraction) -> Fact:
    if error == 0:
        return fact("zero-error-none")
    correction = instrument.with_unit(-error)
    return fact(
        "zero-error-is",
        error=Figure(instrument.with_unit(error)),
        side="much" if error > 0 else "little",
        correction=Figure(correction if error > 0 else f"+{correction}"),
    )


def _ways(
    instrument: Instrument, indication: Indication, read: Fraction, reference: Fraction
) -> Iterator[Fact]:
    scale = instrument.scale
    ordered = not isinstance(scale, VernierScale) or scale.estimable()
    start = scale.turn_start(indication) if isinstance(scale, ScrewScale) else indication.main
    reads = Figure(instrument.with_unit(read))
    line = Fraction(indication.line)
    if isinstance(scale, VernierScale) and line == scale.fine_divisions:
        yield fact("zero-last-line", line=line)
        line = Fraction(0)
    about: dict[str, Argument] = {
        "line": line,
        "least": instrument.least_count,
        "read": reads,
    }
    if ordered:
        where = "below" if start < 0 else "passed"
        yield fact("zero-by-mark-and-line", **about, where=where, start=start)
    turn = scale.pitch if isinstance(scale, ScrewScale) else scale.main_division
    if ordered and reference == 0 and start == -turn:
        lines = scale.fine_divisions
        back = lines - line
        yield fact("zero-counted-back", **about, lines=lines, back=back)
    if reference:
        error = Figure(instrument.with_unit(read - reference))
        yield fact("zero-less-reference", read=reads, piece=reference, error=error)


def _advice(instrument: Instrument, error: Fraction) -> Fact | None:
    if abs(error) <= _LARGE * instrument.least_count:
        return None
    return fact("zero-large", many=_LARGE)
