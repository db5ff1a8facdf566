"""Second looks at the zero: single observations only, since it cancels in pairs."""

from __future__ import annotations

from collections.abc import Iterator

from metrion.core.facts import Name, fact
from metrion.core.json import Record
from metrion.core.quantity.wrapped_zero import likelier, nearer_to_a_mark, wrapped_zero
from metrion.core.quantity.zero import Phase, ZeroCheck, looks_apart, zero_error, zero_errors
from metrion.core.review.flags import Flag, Level, Series, Settlement, SettlingChoice
from metrion.core.scales import ScrewScale


def zero_unchecked(series: Series) -> Iterator[Flag]:
    """No zero check named."""
    if series.single and not series.measurement.checks:
        yield Flag(
            "zero-unchecked",
            Level.WARNING,
            fact("zero-unchecked"),
            choice=SettlingChoice("zero_exact", Settlement.ZERO_EXACT),
        )


def _on_another_face(check: ZeroCheck, face: str) -> bool:
    return bool(face and check.face and check.face != face)


def zero_other_face(series: Series) -> Iterator[Flag]:
    """A zero check taken on another face than the readings."""
    measurement = series.measurement
    if not series.single or not measurement.face:
        return
    for check in measurement.checks:
        if _on_another_face(check, measurement.face):
            yield Flag(
                "zero-other-face",
                Level.WARNING,
                fact("zero-other-face", zero=Name(check.face), readings=Name(measurement.face)),
                choice=SettlingChoice("zero_taken_over", Settlement.ZERO_TAKEN_OVER),
            )
            return


def zero_wrapped(series: Series) -> Iterator[Flag]:
    """A zero check that reads nearer to a full mark (or turn) than to nothing."""
    instrument = series.measurement.instrument
    if not series.single:
        return
    for check in series.measurement.checks:
        found = wrapped_zero(instrument, check.indication, check.reference)
        if found is None:
            continue
        suggestion: Record = {"main": instrument.main_text(found.indication.main)}
        if isinstance(instrument.scale, ScrewScale) and instrument.scale.two_turns:
            suggestion["second_turn"] = found.indication.second_turn
        yield Flag(
            "zero-wrapped",
            Level.WARNING,
            fact(
                "zero-wrapped",
                error=series.figure(found.error),
                nearer=nearer_to_a_mark(instrument),
                likelier=likelier(instrument, found),
            ),
            suggestion=suggestion,
            zero_check=check.id,
        )


def zero_drift(series: Series) -> Iterator[Flag]:
    """The zero after the readings is not the zero before them."""
    measurement = series.measurement
    if not series.single:
        return
    before, after = (
        [check for check in measurement.checks if check.phase is phase]
        for phase in (Phase.BEFORE, Phase.AFTER)
    )
    if before and after:
        then, now = (zero_error(measurement.instrument, checks) for checks in (before, after))
        drift = now - then
        if abs(drift) > measurement.instrument.least_count:
            yield Flag(
                "zero-drift",
                Level.WARNING,
                fact("zero-drift", drift=series.figure(drift)),
            )


def zero_looks_differ(series: Series) -> Iterator[Flag]:
    """Looks at the zero that were made in one go and do not agree: their mean may be no zero."""
    measurement = series.measurement
    if not series.single:
        return
    for phase in Phase:
        checks = [check for check in measurement.checks if check.phase is phase]
        if not checks or any(_on_another_face(check, measurement.face) for check in checks):
            continue
        apart = looks_apart(measurement.instrument, zero_errors(measurement.instrument, checks))
        if apart is not None:
            says = fact("zero-looks-differ", phase=str(phase), apart=series.figure(apart))
            yield Flag("zero-looks-differ", Level.WARNING, says, phase=phase)


CHECKS = (zero_unchecked, zero_other_face, zero_wrapped, zero_drift, zero_looks_differ)
