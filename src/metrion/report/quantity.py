"""The part of a report that shows what was read: one drawing, the table, the second looks."""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from fractions import Fraction

from metrion.core.facts import Figure, Name
from metrion.core.logbook import Reviewed
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.noted import Earlier, Noted
from metrion.core.quantity.observations import INDICATIONS, Sort
from metrion.core.review import Level
from metrion.core.scales import Indication
from metrion.report.blocks import Block, Cell, PictureBlock, ReportColumn, Row, Table, words
from metrion.report.drawing import drawn_reading
from metrion.report.lines import Tint
from metrion.report.second_looks import what_became
from metrion.report.working.setting import number
from metrion.voice import Speaker
from metrion.voice.dates import written_date


def reading_drawing(measurement: Measurement, speaker: Speaker) -> Iterator[PictureBlock]:
    """The first reading that counts, drawn."""
    for index, observation in enumerate(measurement.observations):
        if observation.counts:
            indication, instrument = observation.indications[0], measurement.instrument
            single = observation.sort is Sort.SINGLE
            read = Figure(instrument.with_unit(instrument.reading(indication)))
            drawn = "drawn" if single else "drawn-position"
            caption = speaker.text_of("report", drawn, at=index + 1, read=read)
            yield PictureBlock(drawn_reading(instrument, indication), caption)
            return


def readings_table(measurement: Measurement, speaker: Speaker) -> Table:
    """The textbook table: main, line, line × least count, read, corrected."""
    rows = tuple(
        _Row(measurement, index, speaker).row() for index in range(len(measurement.observations))
    )
    return Table(tuple(_columns(measurement, speaker)), rows)


def _columns(measurement: Measurement, speaker: Speaker) -> Iterator[ReportColumn]:
    unit = measurement.instrument.unit
    after = "" if measurement.instrument.traits.circular else f" / {unit}"

    def column(code: str, tint: Tint = Tint.PLAIN, after: str = after) -> ReportColumn:
        return ReportColumn(f"{speaker.text_of('report-column', code)}{after}", tint, figures=True)

    yield ReportColumn(speaker.text("report-column-no"))
    yield ReportColumn(speaker.text("report-column-place"))
    if measurement.sort is Sort.SINGLE:
        least = Name(number(measurement.instrument.least_count, speaker.numbers))
        times = speaker.text("report-column-line-times", least=least)
        yield column("main", Tint.MAIN)
        yield column("line", Tint.FINE, "")
        yield ReportColumn(f"{times}{after}", Tint.FINE, figures=True)
        yield column("read")
        yield column("corrected", Tint.RESULT)
        return
    windows = "-window" if measurement.sort is Sort.WINDOWS else ""
    for name in INDICATIONS[measurement.sort]:
        yield column(f"{name}{windows}", Tint.MAIN)
    yield column("between", Tint.RESULT)


class _Row:
    """One observation as a row."""

    def __init__(self, measurement: Measurement, index: int, speaker: Speaker) -> None:
        self.measurement = measurement
        self.instrument = measurement.instrument
        self.index = index
        self.observation = measurement.observations[index]
        self.speaker = speaker
        self.figure = speaker.numbers.figure

    def row(self) -> Row:
        """With what was noted beside it."""
        observation, history = self.observation, self.observation.noted.history
        if observation.sort is Sort.SINGLE:
            before = history[0].indications[0] if history else ("", "")
            figures = self._single(observation.indications[0], before)
        else:
            figures = [Cell(self._position(indication)) for indication in observation.indications]
        head = (Cell(str(self.index + 1)), Cell(observation.place))
        notes = [*self._changes(history), *self._remarks(observation.noted)]
        if observation.excluded:
            notes.insert(0, self.speaker.text("set-aside", why=Name(observation.excluded)))
        corrected = Cell(self._value(self.measurement.corrected[self.index]))
        return Row((*head, *figures, corrected), not observation.counts, tuple(notes))

    def _value(self, value: Fraction) -> str:
        return self.figure(self.instrument.value_text(value))

    def _single(self, indication: Indication, before: tuple[str, str]) -> list[Cell]:
        instrument = self.instrument
        read = Cell(self._value(instrument.reading(indication)))
        main = Cell(
            self.figure(instrument.mark_text(indication.main)),
            self._changed(instrument.main_words(before[0]), instrument.mark_text(indication.main)),
        )
        if not instrument.scale.has_fine_scale:
            return [main, Cell(""), Cell(""), read]
        line = indication.line_text
        worth = instrument.reading(Indication(Fraction(0), indication.line))
        fine = Cell(self.figure(indication.line_words), self._changed(before[1], line))
        return [main, fine, Cell(self._value(worth)), read]

    def _changed(self, was: str, now: str) -> str:
        """The figure before it was changed; empty where it is the same, or was not noted."""
        return "" if was == now else self.figure(was)

    def _position(self, indication: Indication) -> str:
        instrument = self.instrument
        main = self.figure(instrument.mark_text(indication.main))
        read = Figure(instrument.value_text(instrument.reading(indication)))
        if not instrument.scale.has_fine_scale:
            return main
        line = Figure(indication.line_words)
        return self.speaker.text("report-position", main=Name(main), line=line, read=read)

    def _changes(self, history: Sequence[Earlier]) -> Iterator[str]:
        for one in history:
            figures = "; ".join(
                self.speaker.text(
                    "report-look",
                    main=Figure(self.instrument.main_words(main)),
                    line=Figure(line),
                )
                for main, line in one.indications
            )
            why = one.why or self.speaker.text("report-changed")
            was = self.speaker.text("report-it-was", why=Name(why), figures=Name(figures))
            yield f"{was} ({written_date(one.at, self.speaker.language)})" if one.at else was

    def _remarks(self, noted: Noted) -> Iterator[str]:
        if noted.reader:
            yield self.speaker.text("read-by", reader=Name(noted.reader))
        if noted.approach:
            yield self.speaker.text_of("approached", noted.approach)
        if noted.note:
            yield noted.note
        for photograph in noted.photographs:
            yield self.speaker.say(photograph.says)


def photographs_shown(
    measurement: Measurement, pictures: Mapping[str, str], speaker: Speaker
) -> Iterator[PictureBlock]:
    """The strips of photographs that are there, each with its reading and what it said."""
    for at, observation in enumerate(measurement.observations, 1):
        for one in observation.noted.photographs:
            if one.strip in pictures:
                caption = speaker.text("photograph-under", at=at, says=one.says)
                yield PictureBlock(pictures[one.strip], caption)


def second_looks(reviewed: Reviewed, speaker: Speaker) -> Iterator[Block]:
    """What deserved a second look, and what was done about it."""
    for flag in reviewed.second_looks:
        if flag.level is Level.WARNING:
            done = what_became(flag, reviewed.result.measurement)
            yield words(speaker.text("report-second-look", says=flag.says, done=done))
