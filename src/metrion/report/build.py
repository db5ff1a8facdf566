"""The report of a sheet: head, apparatus, zero checks, every quantity, what is derived."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from metrion.core.budget import derived_budget, measurement_budget
from metrion.core.derived import Derived, DerivedResult
from metrion.core.instruments import Kind
from metrion.core.logbook import Logbook, Results, Reviewed
from metrion.core.measurements import Measurement
from metrion.core.numbers import to_text
from metrion.core.observations import Sort
from metrion.core.places import by_place
from metrion.core.schools import described
from metrion.core.zero import ZeroCheck, zero_error
from metrion.report.blocks import (
    Bars,
    Block,
    Cell,
    Column,
    Report,
    Result,
    Row,
    Section,
    Steps,
    Table,
    words,
)
from metrion.report.compared import compared
from metrion.report.lines import Group, Tint, true_minus
from metrion.report.quantity import reading_drawing, readings_table, second_looks
from metrion.report.working import derived_working, least_count_lines, working
from metrion.report.working.setting import number

KINDS = {"vernier": "vernier caliper", "screw": "screw gauge", "angular": "divided circle"}


def build_report(results: Results, *, date: str = "", quantity: str | None = None) -> Report:
    """The report of a sheet.

    Args:
        results: the sheet worked out.
        date: the day it was written, as it is to stand there.
        quantity: id of the one quantity that is wanted; all without it.
    """
    logbook = results.logbook
    wanted = [
        reviewed
        for reviewed in results.measurements
        if quantity in (None, reviewed.result.measurement.id)
    ]
    used = {reviewed.result.measurement.instrument.id for reviewed in wanted}
    sections = [*_aim(logbook), _apparatus(logbook, used)]
    sections += _zero_section(results, used)
    sections += _angles_section(wanted)
    for reviewed in wanted:
        sections += _quantity_sections(reviewed, logbook)
    if quantity is None:
        sections += [_derived_section(found, logbook) for found in results.derived]
    return Report(logbook.title or "Untitled sheet", _facts(results, date), tuple(sections))


def _facts(results: Results, date: str) -> tuple[tuple[str, str], ...]:
    conventions = {r.result.measurement.convention.name: r for r in results.measurements}
    facts = [
        ("Names", results.logbook.authors),
        ("Date", results.logbook.date or date),
        ("Instruments", "; ".join(one.name for one in results.logbook.instruments)),
        ("Convention", "; ".join(conventions)),
    ]
    return tuple((name, text) for name, text in facts if text)


def _aim(logbook: Logbook) -> Iterator[Section]:
    if logbook.aim:
        yield Section("Aim", (words(logbook.aim),))


def _apparatus(logbook: Logbook, used: set[str]) -> Section:
    rows: list[Row] = []
    steps: list[Block] = []
    for instrument in logbook.instruments:
        if instrument.id not in used:
            continue
        reach = ""
        if instrument.range:
            low, high = instrument.range
            reach = f"{to_text(low)} to {to_text(high)} {instrument.unit}"
        limit = number(instrument.maker_limit) if instrument.maker_limit else ""
        cells = (
            instrument.name, KINDS[str(instrument.kind)], instrument.number, reach,
            instrument.with_unit(instrument.least_count), limit,
        )  # fmt: skip
        rows.append(Row(tuple(Cell(true_minus(text)) for text in cells)))
        steps.append(words(f"Least count of {instrument.name}:"))
        steps.append(Steps(tuple(least_count_lines(instrument))))
    columns = ("instrument", "kind", "number", "range", "least count", "maker’s limit")
    table = Table(tuple(Column(head) for head in columns), tuple(rows)).filled()
    return Section("Apparatus", (table, *steps) if rows else (words("No instrument is used."),))


def _zero_section(results: Results, used: set[str]) -> Iterator[Section]:
    instruments = {one.id: one for one in results.logbook.instruments}
    checks = [one for one in results.logbook.zero_checks if one.instrument in used]
    if not checks:
        return
    columns = (
        Column("instrument"), Column("faces"), Column("when"),
        Column("main", Tint.MAIN, figures=True), Column("line", Tint.FINE, figures=True),
        Column("setting piece", figures=True), Column("zero error", Tint.ZERO, figures=True),
        Column("correction", Tint.ZERO, figures=True),
    )  # fmt: skip

    def row(check: ZeroCheck) -> Row:
        instrument = instruments[check.instrument]
        error = zero_error(instrument, [check])
        cells = (
            instrument.name, check.face, str(check.phase), instrument.mark_text(check.look.main),
            to_text_of_line(check), to_text(check.reference) if check.reference else "",
            instrument.with_unit(error), instrument.with_unit(-error),
        )  # fmt: skip
        return Row(tuple(Cell(true_minus(text)) for text in cells))

    table = Table(columns, tuple(row(check) for check in checks))
    yield Section("Zero checks", (table.filled(),))


def _angles_section(wanted: Sequence[Reviewed]) -> Iterator[Section]:
    """Several colours or orders of lines in one table."""
    angles = [one.result for one in wanted if one.result.measurement.sort is not Sort.SINGLE]
    angles = [one for one in angles if one.measurement.instrument.kind is Kind.ANGULAR]
    if len(angles) < 2:
        return
    columns = (
        Column("line"), Column("readings", figures=True), Column("mean sweep", figures=True),
        Column("divided by", figures=True), Column("result", Tint.RESULT, figures=True),
    )  # fmt: skip
    rows = []
    for found in angles:
        measurement, sweep = found.measurement, ""
        if found.mean is not None:
            whole = round(found.mean * measurement.divisor, 4)
            sweep = measurement.instrument.value_text(whole)
        cells = (
            measurement.label, str(len(measurement.counting)), sweep, str(measurement.divisor),
            found.rounded.printed if found.rounded else "",
        )  # fmt: skip
        rows.append(Row(tuple(Cell(true_minus(text)) for text in cells)))
    yield Section("Angles together", (Table(columns, tuple(rows)),))


def to_text_of_line(check: ZeroCheck) -> str:
    """The fine line of a zero check as it was read."""
    line = check.look.line
    return str(line) if isinstance(line, int) else to_text(line)


def _beside(own: Measurement | Derived, logbook: Logbook) -> Iterator[Block]:
    """A result beside what it was to be compared with."""
    if found := compared(own, logbook):
        head = (f"Beside {found.beside}:",) if found.beside else ()
        yield words(true_minus(" ".join((*head, *found.sentences))))


def _quantity_sections(reviewed: Reviewed, logbook: Logbook) -> Iterator[Section]:
    result, measurement = reviewed.result, reviewed.result.measurement
    blocks: list[Block] = []
    if result.rounded:
        blocks.append(Result(measurement.symbol, true_minus(result.rounded.printed)))
    if measurement.observations:
        blocks += reading_drawing(measurement)
        blocks.append(readings_table(measurement).filled())
    blocks += second_looks(reviewed)
    yield Section(measurement.label, tuple(blocks))
    if result.uncertainty is None:
        return
    steps = tuple(step for step in working(result) if step.group is not Group.SCALE)
    yield Section("Working", (Steps(steps),), level=3)
    budget = measurement_budget(result)
    bars: list[Block] = [Bars(budget.shares, measurement.instrument.unit)]
    bars += [words(true_minus(sentence)) for sentence in budget.sentences]
    bars.append(
        words(f"Convention: {measurement.convention.name}. "
              + " ".join(described(measurement.convention)))
    )  # fmt: skip
    bars += _beside(measurement, logbook)
    if measurement.places_apart:
        for one in by_place(measurement):
            if one.result.rounded:
                sentence = f"{one.place or 'No place noted'}: {one.result.rounded.printed}"
                bars.append(words(true_minus(sentence)))
    yield Section("Uncertainty", tuple(bars), level=3)


def _derived_section(found: DerivedResult, logbook: Logbook) -> Section:
    derived = found.derived
    blocks: list[Block] = []
    if found.rounded:
        blocks.append(Result("", true_minus(found.rounded.printed)))
    blocks.append(Steps(tuple(derived_working(found))))
    blocks += [words(shared.words) for shared in found.shared_zeros]
    budget = derived_budget(found)
    if budget.shares:
        blocks.append(Bars(budget.shares, derived.unit.text))
        blocks += [words(true_minus(sentence)) for sentence in budget.sentences]
    blocks.append(words(f"Convention: {derived.convention.name}."))
    blocks += _beside(derived, logbook)
    return Section(derived.name or derived.id, tuple(blocks))
