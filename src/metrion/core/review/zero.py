"""Second looks at the zero: single observations only, since it cancels in pairs."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

from metrion.core.review.flags import Flag, Level, Series
from metrion.core.scales import ScrewScale
from metrion.core.statistics import mean
from metrion.core.zero import Phase, wrapped_zero, zero_errors
from metrion.core.zero_desk import likelier, nearer_to_a_mark


def zero_unchecked(series: Series) -> Iterator[Flag]:
    """No zero check named."""
    if series.single and not series.measurement.checks:
        yield Flag(
            "zero-unchecked",
            Level.WARNING,
            "The zero has not been looked at. Close the faces and see what it reads.",
        )


def zero_other_face(series: Series) -> Iterator[Flag]:
    """A zero check taken on another face than the readings."""
    measurement = series.measurement
    if not series.single or not measurement.face:
        return
    for check in measurement.checks:
        if check.face and check.face != measurement.face:
            yield Flag(
                "zero-other-face",
                Level.WARNING,
                f"The zero was looked at on the {check.face} faces, the readings are taken with "
                f"the {measurement.face} faces. Each pair of faces has a zero of its own.",
            )
            return


def zero_wrapped(series: Series) -> Iterator[Flag]:
    """A zero check that reads nearer to a full mark (or turn) than to nothing."""
    instrument = series.measurement.instrument
    if not series.single:
        return
    for check in series.measurement.checks:
        found = wrapped_zero(instrument, check.look, check.reference)
        if found is None:
            continue
        suggestion: dict[str, Any] = {"main": instrument.main_text(found.look.main)}
        if isinstance(instrument.scale, ScrewScale) and instrument.scale.two_turns:
            suggestion["second_turn"] = found.look.second_turn
        yield Flag(
            "zero-wrapped",
            Level.WARNING,
            f"A look at the zero comes to {series.text(found.error)}: "
            f"{nearer_to_a_mark(instrument)} {likelier(instrument, found)}",
            suggestion=suggestion,
            zero_check=check.id,
        )


def zero_drift(series: Series) -> Iterator[Flag]:
    """The zero after the readings is not the zero before them."""
    measurement = series.measurement
    if not series.single:
        return
    before, after = (
        zero_errors(measurement.instrument, [c for c in measurement.checks if c.phase is phase])
        for phase in (Phase.BEFORE, Phase.AFTER)
    )
    if before and after:
        drift = mean(after) - mean(before)
        if abs(drift) > measurement.instrument.least_count:
            yield Flag(
                "zero-drift",
                Level.WARNING,
                f"The zero moved by {series.text(drift)} between the looks before and after. "
                "Was the tool knocked, or a face not clean?",
            )
