"""The table of observations as CSV: one row each, as the contract fixes it."""

from __future__ import annotations

import csv
from collections.abc import Iterable, Iterator
from io import StringIO

from metrion.core.exact.numbers import to_text
from metrion.core.formula.notation import printed_unit
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation, Sort
from metrion.voice import DecimalSign, Speaker

COLUMNS = (
    "measurement", "name", "instrument", "unit", "place", "main", "fine", "observed",
    "zero_error", "corrected", "excluded",
)  # fmt: skip
_TO_READ = (
    "name", "instrument", "unit", "place", "main", "fine", "observed", "zero_error", "corrected",
    "excluded",
)  # fmt: skip
RUN_BY_SPREADSHEETS = tuple("=+-@＝＋－＠\t\r\n\u2028\u2029")
"""What a text begins with that a spreadsheet would take for a formula."""


def observation_table(measurements: Iterable[Measurement]) -> str:
    """Every observation in the order of the file; lines end with CRLF."""
    text = StringIO()
    writer = csv.writer(text, lineterminator="\r\n")
    writer.writerow(COLUMNS)
    for measurement in measurements:
        writer.writerows(_rows(measurement))
    return text.getvalue()


def table_to_read(measurements: Iterable[Measurement], speaker: Speaker) -> str:
    """The same for people: names, their words and numbers, as many decimals as the tool allows.

    Columns are parted as their numbers allow.
    """
    text = StringIO()
    comma = speaker.numbers.decimal_sign is DecimalSign.COMMA
    writer = csv.writer(text, lineterminator="\r\n", delimiter=";" if comma else ",")
    # A course may call them what it likes.
    writer.writerow(harmless(speaker.text_of("table", column)) for column in _TO_READ)
    for measurement in measurements:
        tool, figure = measurement.instrument, speaker.numbers.figure
        zero = figure(tool.value_text(measurement.zero_error))
        for row in zip(
            measurement.observations, measurement.observed, measurement.corrected, strict=True
        ):
            observation, *values = row
            observed, corrected = (figure(tool.value_text(value)) for value in values)
            names = (measurement.label, tool.name, printed_unit(tool.unit), observation.place)
            main, line = (figure(one) for one in _figures(measurement, observation))
            aside = harmless(observation.excluded)
            writer.writerow([*map(harmless, names), main, line, observed, zero, corrected, aside])
    return text.getvalue()


def harmless(text: str) -> str:
    """A text that no spreadsheet takes for a formula.

    >>> harmless("-1 / 5"), harmless("end A")
    ("'-1 / 5", 'end A')
    """
    return f"'{text}" if text.startswith(RUN_BY_SPREADSHEETS) else text


def _rows(measurement: Measurement) -> Iterator[list[str]]:
    instrument = measurement.instrument
    head = [harmless(t) for t in (measurement.id, measurement.name, instrument.id, instrument.unit)]
    zero = to_text(measurement.zero_error)
    for observation, observed, corrected in zip(
        measurement.observations, measurement.observed, measurement.corrected, strict=True
    ):
        yield [
            *head,
            harmless(observation.place),
            *_figures(measurement, observation),
            to_text(observed),
            zero,
            to_text(corrected),
            harmless(observation.excluded),
        ]


def _figures(measurement: Measurement, observation: Observation) -> tuple[str, str]:
    """Main mark and line: numbers, or of a pair the text of both positions."""
    indications = observation.indications[:2]
    mains = [measurement.instrument.main_text(indication.main) for indication in indications]
    lines = [indication.line_text for indication in indications]
    if not measurement.instrument.scale.has_fine_scale:
        return (mains[0] if len(mains) == 1 else harmless(" / ".join(mains))), ""
    if observation.sort is Sort.SINGLE:
        return mains[0], lines[0]
    return harmless(" / ".join(mains)), harmless(" / ".join(lines))
