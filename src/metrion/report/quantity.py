"""The part of a report that shows what was read: one drawing, the table, the second looks."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from fractions import Fraction

from metrion.core.instruments import Instrument, Kind
from metrion.core.logbook import Reviewed
from metrion.core.measurements import Measurement
from metrion.core.noted import Earlier, Noted
from metrion.core.numbers import to_text
from metrion.core.observations import Sort
from metrion.core.review import Level
from metrion.core.scales import Look
from metrion.report.blocks import Block, Cell, Column, Picture, Row, Table, words
from metrion.report.drawing import drawn_reading
from metrion.report.lines import Tint, true_minus
from metrion.report.second_looks import main_words, what_became
from metrion.voice import plainly

_POSITIONS = {
    Sort.PAIR: ("first position", "second position"),
    Sort.WINDOWS: ("first, window 1", "second, window 1", "first, window 2", "second, window 2"),
}


def reading_drawing(measurement: Measurement) -> Iterator[Picture]:
    """The first reading that counts, drawn."""
    for index, observation in enumerate(measurement.observations):
        if observation.counts:
            look = observation.looks[0]
            read = measurement.instrument.with_unit(measurement.instrument.reading(look))
            position = "" if observation.sort is Sort.SINGLE else ", first position"
            caption = f"Reading {index + 1}{position}: {true_minus(read)}"
            svg = drawn_reading(measurement.instrument, look)
            yield Picture(svg, caption)
            return


def readings_table(measurement: Measurement) -> Table:
    """The textbook table: main, line, line × least count, read, corrected."""
    unit = measurement.instrument.unit
    after = "" if measurement.instrument.kind is Kind.ANGULAR else f" / {unit}"
    least = true_minus(to_text(measurement.instrument.least_count))
    columns: tuple[Column, ...]
    if measurement.sort is Sort.SINGLE:
        columns = (
            Column("no."), Column("place"), Column(f"main{after}", Tint.MAIN, figures=True),
            Column("line", Tint.FINE, figures=True),
            Column(f"line × {least}{after}", Tint.FINE, figures=True),
            Column(f"read{after}", figures=True),
            Column(f"corrected{after}", Tint.RESULT, figures=True),
        )  # fmt: skip
    else:
        positions = _POSITIONS[measurement.sort]
        columns = (
            Column("no."), Column("place"),
            *(Column(f"{name}{after}", Tint.MAIN, figures=True) for name in positions),
            Column(f"between{after}", Tint.RESULT, figures=True),
        )  # fmt: skip
    rows = tuple(_row(measurement, i) for i in range(len(measurement.observations)))
    return Table(columns, rows)


def _row(measurement: Measurement, index: int) -> Row:
    observation, instrument = measurement.observations[index], measurement.instrument
    corrected = true_minus(instrument.value_text(measurement.corrected[index]))
    history = observation.noted.history
    if observation.sort is Sort.SINGLE:
        before = history[0].looks[0] if history else ("", "")
        figures = _single(measurement, observation.looks[0], before)
    else:
        figures = [Cell(_position(measurement, look)) for look in observation.looks]
    head = (Cell(str(index + 1)), Cell(observation.place))
    notes = [*_changes(instrument, history), *_remarks(observation.noted)]
    if observation.excluded:
        notes.insert(0, f"set aside: {observation.excluded}")
    return Row((*head, *figures, Cell(corrected)), not observation.counts, tuple(notes))


def _single(measurement: Measurement, look: Look, before: tuple[str, str]) -> list[Cell]:
    instrument = measurement.instrument
    worth = instrument.reading(Look(Fraction(0), look.line))
    main, line = instrument.mark_text(look.main), to_text(Fraction(look.line))
    return [
        Cell(true_minus(main), _changed(before[0], instrument.main_text(look.main))),
        Cell(line, _changed(before[1], line)),
        Cell(true_minus(instrument.value_text(worth))),
        Cell(true_minus(instrument.value_text(instrument.reading(look)))),
    ]


def _changed(was: str, now: str) -> str:
    """The figure before it was changed; empty where it is the same, or was not noted."""
    return "" if was == now else true_minus(was)


def _position(measurement: Measurement, look: Look) -> str:
    instrument = measurement.instrument
    main, line = instrument.mark_text(look.main), to_text(Fraction(look.line))
    read = instrument.value_text(instrument.reading(look))
    return true_minus(f"{main}, line {line}: {read}")


def _changes(instrument: Instrument, history: Sequence[Earlier]) -> Iterator[str]:
    for one in history:
        figures = "; ".join(
            f"{main_words(instrument, main)}, line {line}" for main, line in one.looks
        )
        at = f" ({one.at})" if one.at else ""
        yield true_minus(f"{one.why or 'changed'}; it was {figures}") + at


def _remarks(noted: Noted) -> Iterator[str]:
    if noted.reader:
        yield f"read by {noted.reader}"
    if noted.approach:
        yield f"approached by {noted.approach}"
    if noted.note:
        yield noted.note


def second_looks(reviewed: Reviewed) -> Iterator[Block]:
    """What deserved a second look, and what was done about it."""
    for flag in reviewed.looks:
        if flag.level is Level.WARNING:
            done = what_became(flag, reviewed.result.measurement)
            yield words(f"Second look: {plainly().say(flag.says)} ({done})")
