"""The results of a sheet in one table, which a demonstrator reads first."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from fractions import Fraction

from metrion.core.conventions.rounding import Rounded
from metrion.core.exact.figures import to_figures
from metrion.core.facts import Argument
from metrion.core.logbook import Reviewed
from metrion.core.quantity.derived_result import DerivedResult
from metrion.core.quantity.measurements import Measurement
from metrion.report.blocks import Cell, ReportColumn, Row, Section, Table
from metrion.report.lines import Tint
from metrion.voice import Speaker
from metrion.voice.conventions import convention_name

_COLUMNS = (
    ("quantity", Tint.PLAIN, False), ("result", Tint.RESULT, True), ("per-cent", Tint.PLAIN, True),
    ("counting", Tint.PLAIN, True), ("zero-error", Tint.ZERO, True),
    ("by-convention", Tint.PLAIN, False), ("altered", Tint.PLAIN, False),
)  # fmt: skip
_FIGURES_OF_PERCENT = 2


def results_table(
    measured: Sequence[Reviewed], derived: Sequence[DerivedResult], speaker: Speaker
) -> Iterator[Section]:
    """Quantities, then what is derived; nothing where there is neither."""
    writer = _Writer(speaker)
    cells = [*map(writer.measured, measured), *map(writer.derived, derived)]
    if not cells:
        return
    columns = tuple(
        ReportColumn(writer.text(f"column-{code}"), tint, figures)
        for code, tint, figures in _COLUMNS
    )
    rows = tuple(Row(tuple(map(Cell, one))) for one in cells)
    yield Section(writer.text("results"), (Table(columns, rows).filled(),))


class _Writer:
    def __init__(self, speaker: Speaker) -> None:
        self.speaker = speaker

    def text(self, code: str, **about: Argument) -> str:
        return self.speaker.text_of("report", code, **about)

    def measured(self, reviewed: Reviewed) -> tuple[str, ...]:
        result, one = reviewed.result, reviewed.result.measurement
        return (
            one.label,
            self._stated(result.rounded),
            self._percent(result.relative_percent),
            self._counting(one),
            self._zero(one),
            convention_name(one.convention, self.speaker),
            altered(one, self.speaker),
        )

    def derived(self, found: DerivedResult) -> tuple[str, ...]:
        one = found.derived
        convention = convention_name(one.convention, self.speaker)
        stated, percent = self._stated(found.rounded), self._percent(found.relative_percent)
        return (one.name or one.id, stated, percent, "", "", convention, "")

    def _figure(self, text: str) -> str:
        return self.speaker.numbers.figure(text)

    def _percent(self, percent: Fraction | None) -> str:
        if percent is None:
            return ""
        return f"{self._figure(to_figures(percent, _FIGURES_OF_PERCENT))} %"

    def _stated(self, rounded: Rounded | None) -> str:
        return self._figure(rounded.printed) if rounded else self.text("no-result")

    def _counting(self, one: Measurement) -> str:
        count, whole = len(one.counting), len(one.observations)
        return f"{count}" if count == whole else self.text("of-all", count=count, whole=whole)

    def _zero(self, one: Measurement) -> str:
        if one.effective_checks:
            return self._figure(one.instrument.with_unit(one.zero_error))
        if one.zero_exact:
            return self.text("zero-exact")
        single = not one.observations or one.indications == 1
        return self.text("zero-unlooked" if single else "zero-cancels")


def altered(one: Measurement, speaker: Speaker) -> str:
    """How many readings were set aside, and how many changed; empty where none was."""
    aside = sum(not each.counts for each in one.observations)
    changed = sum(bool(each.noted.history) for each in one.observations)
    told = (("set-aside", aside), ("were-changed", changed))
    return ", ".join(speaker.text_of("report", code, count=count) for code, count in told if count)
