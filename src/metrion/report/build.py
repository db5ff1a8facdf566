"""The report of a sheet: head, apparatus, zero checks, every quantity, what is derived."""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from enum import StrEnum
from types import MappingProxyType

from metrion.core.conventions.convention import Convention
from metrion.core.conventions.described import described
from metrion.core.conventions.rounding import Rounded
from metrion.core.exact.numbers import to_text
from metrion.core.facts import Amount, Argument, Fact, Figure, Name
from metrion.core.instruments.instrument import Instrument
from metrion.core.logbook import Results, Reviewed
from metrion.core.planning.budget import Budget, derived_budget, measurement_budget
from metrion.core.quantity.derived import Derived, other_conventions
from metrion.core.quantity.derived_result import DerivedResult
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Sort
from metrion.core.quantity.places import by_place
from metrion.core.quantity.zero import ZeroCheck, zero_error
from metrion.core.review.plan import left_to_do
from metrion.report.blocks import (
    Bar,
    Bars,
    Block,
    Cell,
    Contents,
    Report,
    ReportColumn,
    Result,
    Row,
    Section,
    Steps,
    Table,
    words,
)
from metrion.report.compared import compared
from metrion.report.lines import Group, Tint
from metrion.report.quantity import photographs_shown, reading_drawing, readings_table, second_looks
from metrion.report.results_table import results_table
from metrion.report.scatter import readings_plot
from metrion.report.working import derived_working, least_count_lines, working
from metrion.report.working.setting import number
from metrion.voice import Speaker, plainly
from metrion.voice.conventions import convention_name
from metrion.voice.dates import written_date

NO_PHOTOGRAPHS: Mapping[str, str] = MappingProxyType({})
_FOUND_AT_A_GLANCE = 5
"""Chapters that need no table of contents."""


class Length(StrEnum):
    """How long a report is: with everything, with results and zeros only, the working only."""

    FULL = "full"
    SHORT = "short"
    WORKING = "working"


def build_report(
    results: Results,
    *,
    date: str = "",
    state: str = "",
    quantity: str | None = None,
    length: Length = Length.FULL,
    speaker: Speaker | None = None,
    photographs: Mapping[str, str] = NO_PHOTOGRAPHS,
) -> Report:
    """The report of a sheet.

    Args:
        results: the sheet worked out.
        date: the day it was written, as it is to stand there.
        state: the check sum of the sheet that it shows.
        quantity: id of the one quantity that is wanted; all without it.
        length: how much of it is wanted.
        speaker: in whose words and numbers it is written; plainly without one.
        photographs: strips of photographs as SVG, by their names; those are shown.
    """
    return _Builder(results, speaker or plainly(), state, photographs).report(
        date, quantity, length
    )


class _Builder:
    """Writes the report of one sheet for one reader."""

    def __init__(
        self, results: Results, speaker: Speaker, state: str, photographs: Mapping[str, str]
    ) -> None:
        self.results = results
        self.photographs = photographs
        self.state = state
        self.logbook = results.logbook
        self.speaker = speaker
        self.figure = speaker.numbers.figure

    def report(self, date: str, quantity: str | None, length: Length) -> Report:
        """All of it, or that of one quantity."""
        wanted = [
            reviewed
            for reviewed in self.results.measurements
            if quantity in (None, reviewed.result.measurement.id)
        ]
        used = {reviewed.result.measurement.instrument.id for reviewed in wanted}
        derived = self.results.derived if quantity is None else ()
        first: list[Section] = []
        if length is not Length.WORKING:
            first += [*self._aim(), *results_table(wanted, derived, self.speaker)]
        sections: list[Section] = []
        if length is Length.FULL:
            sections += [self._apparatus(used), *self._zero_section(used)]
            sections += self._angles_section(wanted)
            for reviewed in wanted:
                sections += self._quantity_sections(reviewed)
        elif length is Length.SHORT:
            sections += self._zero_section(used)
        else:
            sections += (one for reviewed in wanted for one in self._working_alone(reviewed))
        if length is not Length.SHORT:
            sections += map(self._derived_section, derived)
        if sum(section.level == 2 for section in sections) > _FOUND_AT_A_GLANCE:
            first.append(Section(self._text("contents"), (Contents(),), level=3))
        title = self.logbook.title or self._text("untitled")
        whole = (*first, *sections)
        return Report(
            title, self._facts(date), whole,
            language=self.speaker.language, decimal_sign=self.speaker.numbers.decimal_sign,
        )  # fmt: skip

    def _text(self, code: str, **about: Argument) -> str:
        return self.speaker.text_of("report", code, **about)

    def _convention(self, convention: Convention) -> str:
        return convention_name(convention, self.speaker)

    def _said(self, fact: Fact) -> Block:
        return words(self.speaker.say(fact))

    def _columns(self, *columns: tuple[str, Tint, bool]) -> tuple[ReportColumn, ...]:
        return tuple(
            ReportColumn(self._text(f"column-{code}"), tint, figures=figures)
            for code, tint, figures in columns
        )

    def _facts(self, date: str) -> tuple[tuple[str, str], ...]:
        conventions = {
            self._convention(r.result.measurement.convention): r for r in self.results.measurements
        }
        facts = {
            "names": self.logbook.authors,
            "date": written_date(self.logbook.date or date, self.speaker.language),
            "instruments": "; ".join(one.name for one in self.logbook.instruments),
            "convention": "; ".join(conventions),
            "measured-at": self._bench(),
            "state": self.state,
        }
        return tuple((self._text(name), text) for name, text in facts.items() if text)

    def _bench(self) -> str:
        seed = self.logbook.simulated
        return self._text("simulated-bench", seed=Name(seed)) if seed else ""

    def _aim(self) -> Iterator[Section]:
        if self.logbook.aim:
            yield Section(self._text("aim"), (words(self.logbook.aim),))

    def _apparatus(self, used: set[str]) -> Section:
        instruments = [one for one in self.logbook.instruments if one.id in used]
        title = self._text("apparatus")
        if not instruments:
            return Section(title, (words(self._text("no-instrument")),))
        plain = [
            (code, Tint.PLAIN, False)
            for code in ("instrument", "kind", "number", "range", "least-count", "maker-limit")
        ]
        rows = tuple(Row(tuple(map(Cell, self._described(one)))) for one in instruments)
        steps: list[Block] = []
        for one in instruments:
            steps.append(words(self._text("least-count-of", tool=Name(one.name))))
            steps.append(Steps(tuple(least_count_lines(one, self.speaker))))
        return Section(title, (Table(self._columns(*plain), rows).filled(), *steps))

    def _described(self, instrument: Instrument) -> Iterator[str]:
        yield instrument.name
        yield self._text(f"kind-{instrument.kind}")
        yield instrument.number
        low, high = instrument.range or (None, None)
        reach = (
            None if low is None or high is None else Figure(f"{to_text(high)} {instrument.unit}")
        )
        yield "" if reach is None or low is None else self._text("reach", low=low, high=reach)
        yield self.figure(instrument.with_unit(instrument.least_count))
        limit = instrument.maximum_permissible_error
        yield number(limit, self.speaker.numbers) if limit else ""

    def _zero_section(self, used: set[str]) -> Iterator[Section]:
        checks = [one for one in self.logbook.zero_checks if one.instrument in used]
        if not checks:
            return
        columns = self._columns(
            ("instrument", Tint.PLAIN, False), ("faces", Tint.PLAIN, False),
            ("when", Tint.PLAIN, False), ("main", Tint.MAIN, True), ("line", Tint.FINE, True),
            ("setting-piece", Tint.PLAIN, True), ("zero-error", Tint.ZERO, True),
            ("correction", Tint.ZERO, True),
        )  # fmt: skip
        table = Table(columns, tuple(Row(tuple(map(Cell, self._check(one)))) for one in checks))
        yield Section(self._text("zero-checks"), (table.filled(),))

    def _check(self, check: ZeroCheck) -> Iterator[str]:
        instrument = next(one for one in self.logbook.instruments if one.id == check.instrument)
        error = zero_error(instrument, [check])
        yield instrument.name
        yield check.face
        yield self._text(f"phase-{check.phase}")
        yield self.figure(instrument.mark_text(check.indication.main))
        fine = instrument.scale.has_fine_scale
        yield self.figure(check.indication.line_words) if fine else ""
        yield self.figure(to_text(check.reference)) if check.reference else ""
        yield self.figure(instrument.with_unit(error))
        yield self.figure(instrument.with_unit(-error))

    def _angles_section(self, wanted: Sequence[Reviewed]) -> Iterator[Section]:
        """Several colours or orders of lines in one table."""
        angles = [one.result for one in wanted if one.result.measurement.sort is not Sort.SINGLE]
        angles = [one for one in angles if one.measurement.instrument.traits.circular]
        if len(angles) < 2:
            return
        columns = self._columns(
            ("colour", Tint.PLAIN, False), ("readings", Tint.PLAIN, True),
            ("mean-sweep", Tint.PLAIN, True), ("divided-by", Tint.PLAIN, True),
            ("result", Tint.RESULT, True),
        )  # fmt: skip
        rows = []
        for found in angles:
            measurement, sweep = found.measurement, ""
            if found.mean is not None:
                whole = round(found.mean * measurement.divisor, 4)
                sweep = measurement.instrument.value_text(whole)
            cells = (
                measurement.label, str(len(measurement.counting)), self.figure(sweep),
                str(measurement.divisor), self._sentence(found.rounded),
            )  # fmt: skip
            rows.append(Row(tuple(map(Cell, cells))))
        yield Section(self._text("angles-together"), (Table(columns, tuple(rows)),))

    def _sentence(self, rounded: Rounded | None) -> str:
        return self.figure(rounded.printed) if rounded else ""

    def _also(self, found: Sequence[Rounded | None]) -> Iterator[Block]:
        """A result in the other units it is to be given in."""
        told = [Name(self._sentence(one)) for one in found if one]
        if told:
            yield words(self._text("also", others=tuple(told)))

    def _beside(self, own: Measurement | Derived) -> Iterator[Block]:
        """A result beside what it was to be compared with."""
        if found := compared(own, self.logbook, self.speaker):
            head = (self._text("beside", what=Name(found.beside)),) if found.beside else ()
            yield words(" ".join((*head, *found.sentences)))

    def _working_alone(self, reviewed: Reviewed) -> Iterator[Section]:
        """A quantity without its table: how its result is worked out."""
        result = reviewed.result
        if result.uncertainty is not None:
            steps = Steps(tuple(working(result, self.speaker)))
            yield Section(result.measurement.label, (steps,))

    def _quantity_sections(self, reviewed: Reviewed) -> Iterator[Section]:
        result, measurement = reviewed.result, reviewed.result.measurement
        blocks: list[Block] = []
        if result.rounded:
            blocks.append(Result(measurement.symbol, self._sentence(result.rounded)))
            blocks += self._also(result.also)
        if measurement.observations:
            blocks += reading_drawing(measurement, self.speaker)
            blocks.append(readings_table(measurement, self.speaker).filled())
            blocks += readings_plot(result, self.speaker)
            blocks += photographs_shown(measurement, self.photographs, self.speaker)
        blocks += second_looks(reviewed, self.speaker)
        if measurement.progress:
            blocks += map(self._said, filter(None, [left_to_do(measurement.progress)]))
        yield Section(measurement.label, tuple(blocks))
        if result.uncertainty is None:
            return
        lines = working(result, self.speaker)
        steps = tuple(step for step in lines if step.group is not Group.SCALE)
        yield Section(self._text("working"), (Steps(steps),), level=3)
        bars = self._budget(
            measurement_budget(result, open_looks=reviewed.open_looks), measurement.instrument.unit
        )
        named = self._text("convention-named", name=Name(self._convention(measurement.convention)))
        does = map(self.speaker.sentence, described(measurement.convention))
        bars.append(words(" ".join((named, *does))))
        bars += self._beside(measurement)
        if measurement.places_apart:
            for one in by_place(measurement):
                if one.result.rounded:
                    place = one.place or self._text("no-place")
                    bars.append(words(f"{place}: {self._sentence(one.result.rounded)}"))
        yield Section(self._text("uncertainty"), tuple(bars), level=3)

    def _budget(self, budget: Budget, unit: str) -> list[Block]:
        """The bars of a budget, and what they mean."""
        bars = tuple(
            Bar(
                self.speaker.say(share.label),
                self.speaker.numbers.amount(Amount(share.size, unit)),
                float(share.percent),
                self.speaker.say(share.whole_percent),
                self._text("does-not-count") if share.lost else "",
            )
            for share in budget.shares
        )
        return [Bars(bars), *map(self._said, budget.sentences)]

    def _derived_section(self, found: DerivedResult) -> Section:
        derived = found.derived
        blocks: list[Block] = []
        if found.rounded:
            blocks.append(Result("", self._sentence(found.rounded)))
            blocks += self._also(found.also)
        blocks.append(Steps(tuple(derived_working(found, self.speaker))))
        blocks += [self._said(shared.says) for shared in found.shared_zeros]
        budget = derived_budget(found)
        if budget.shares:
            blocks += self._budget(budget, derived.unit.text)
        blocks.append(
            words(self._text("convention-named", name=Name(self._convention(derived.convention))))
        )
        if note := other_conventions(derived):
            blocks.append(self._said(note))
        blocks += self._beside(derived)
        return Section(derived.name or derived.id, tuple(blocks))
