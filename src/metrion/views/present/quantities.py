"""Quantities with their readings, result, working and second looks as the API shows them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from functools import lru_cache
from typing import NamedTuple

from metrion.core.desk.desk import zero_says
from metrion.core.exact.figures import to_figures
from metrion.core.exact.numbers import to_text
from metrion.core.formula.units import parse_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.logbook import Logbook, Reviewed
from metrion.core.planning.budget import measurement_budget
from metrion.core.quantity.measurements import Measurement, MeasurementResult, reduce_measurement
from metrion.core.quantity.noted import Earlier
from metrion.core.quantity.places import by_place
from metrion.core.review import Level, Remedy, remedies, settled
from metrion.core.review.advice import advice
from metrion.core.review.hints import hints
from metrion.core.review.plan import left_to_do
from metrion.core.scales import Indication
from metrion.notebook.evaluation import Hashed
from metrion.report import result_lines
from metrion.views.locale import say, shown, speaker
from metrion.views.present.budget import budget_view, comparison_view, dimension_of
from metrion.views.present.instruments import steps_view
from metrion.views.present.other_units import also_views
from metrion.views.present.photographs import photograph_view
from metrion.views.schemas.quantities import QuantityView
from metrion.views.schemas.readings import (
    EarlierView,
    FiguresView,
    FlagView,
    HintView,
    LookView,
    ReadingView,
    RemedyView,
)
from metrion.views.schemas.results import (
    BudgetView,
    PlaceLeftView,
    PlaceView,
    ReadingPlanView,
    ResultView,
)
from metrion.views.schemas.view import widened
from metrion.voice import Speaker
from metrion.voice.conventions import convention_name


class Version(NamedTuple):
    """Which state of an entry a view shows."""

    id: str
    version: int


def quantity_view(
    reviewed: Hashed[Reviewed], version: int, readings: tuple[Version, ...], logbook: Logbook
) -> QuantityView:
    """A quantity with its readings and its result, and beside another of the sheet."""
    view = _by_itself(reviewed, version, readings, speaker())
    return replace(view, compared=comparison_view(reviewed.value.result.measurement, logbook))


_MOST_TRIED = 5
"""Readings in question that are left out on trial; of more, the series is in question."""


@lru_cache(maxsize=2048)
def _by_itself(
    of: Hashed[Reviewed], version: int, readings: tuple[Version, ...], speaker: Speaker
) -> QuantityView:
    """What hangs on nothing else of the sheet, for one reader."""
    reviewed, result = of.value, of.value.result
    measurement = result.measurement
    budget = measurement_budget(result, open_looks=reviewed.open_looks)
    return replace(
        brief_view(of, version, len(readings), speaker),
        whole=True,
        flags=flags_view(reviewed, trying=_MOST_TRIED),
        readings=readings_view(measurement, readings),
        working=steps_view(result_lines(result, speaker)),
        budget=budget_view(budget, measurement.instrument.unit),
        places=places_view(measurement),
        hints=hints_view(measurement),
        # What is still in question is settled before more is read.
        advice="" if reviewed.open_looks else say(advice(result)),
    )


@lru_cache(maxsize=16384)
def brief_view(
    of: Hashed[Reviewed], version: int, reading_count: int, speaker: Speaker
) -> QuantityView:
    """What a quantity is and comes to, and what deserves a second look, for one reader."""
    reviewed = of.value
    result, measurement = reviewed.result, reviewed.result.measurement
    instrument = measurement.instrument
    return QuantityView(
        id=measurement.id,
        version=version,
        name=measurement.label,
        symbol=measurement.symbol,
        thing=measurement.thing,
        instrument=instrument.id,
        unit=instrument.unit,
        face=measurement.face,
        items=measurement.items,
        divide_by=measurement.divide_by,
        sort=measurement.intended,
        arc=measurement.arc,
        zero=[check.id for check in measurement.checks],
        also=also_views(
            parse_unit(instrument.unit), measurement.also_in, result.also, instrument.kept_unit
        ),
        zero_exact=measurement.zero_exact,
        zero_taken_over=measurement.zero_taken_over,
        zero_error=float(measurement.zero_error),
        zero_text=shown(instrument.value_text(measurement.zero_error)),
        zero_words=say(zero_says(instrument, measurement.effective_checks)),
        estimates=measurement.convention.estimate,
        convention=measurement.convention.id,
        convention_name=convention_name(measurement.convention, speaker),
        reading_count=reading_count,
        photographs=sum(len(one.noted.photographs) for one in measurement.observations),
        result=result_view(result),
        dimension=dimension_of(measurement),
        flags=flags_view(reviewed, trying=0),
        places_apart=measurement.places_apart,
        plan=plan_view(measurement),
        simulated=measurement.simulated,
        whole=False,
        readings=[],
        working=[],
        budget=BudgetView([], []),
        compared=None,
        places=[],
        hints=[],
        advice="",
    )


def places_view(measurement: Measurement) -> list[PlaceView]:
    """The result of each place, where there are several."""
    return [
        PlaceView(
            place=one.place,
            count=len(one.result.measurement.counting),
            sentence=shown(one.result.rounded.printed) if one.result.rounded else None,
        )
        for one in by_place(measurement)
    ]


def plan_view(measurement: Measurement) -> ReadingPlanView | None:
    """What was planned, and what of it is still to do."""
    plan, progress = measurement.plan, measurement.progress
    if plan is None or progress is None:
        return None
    return ReadingPlanView(
        places=list(plan.places),
        each=plan.each,
        zero=list(plan.zero),
        made=progress.made,
        of=progress.of,
        left=[PlaceLeftView(left.place, left.count) for left in progress.left],
        zero_left=list(progress.zero_left),
        says=say(left_to_do(progress)),
    )


def hints_view(measurement: Measurement) -> list[HintView]:
    """Remarks that use how a reading was approached and who read it."""
    return [HintView(code=hint.code, message=say(hint.says)) for hint in hints(measurement)]


def readings_view(measurement: Measurement, entries: Sequence[Version]) -> list[ReadingView]:
    """Every reading; what alike ones have in common is made once."""
    figures: dict[tuple[Indication, ...], FiguresView] = {}
    views = []
    for index, (entry, observation) in enumerate(
        zip(entries, measurement.observations, strict=True)
    ):
        found = figures.get(observation.indications)
        if found is None:
            found = figures[observation.indications] = _figures(measurement, index)
        views.append(_reading_view(measurement, index, entry, found))
    return views


def _reading_view(
    measurement: Measurement, index: int, entry: Version, figures: FiguresView
) -> ReadingView:
    """A reading: its figures, and what is noted beside it."""
    observation, instrument = measurement.observations[index], measurement.instrument
    return widened(
        ReadingView,
        figures,
        id=entry.id,
        version=entry.version,
        index=index,
        place=observation.place,
        approach=observation.noted.approach or "",
        reader=observation.noted.reader,
        note=observation.noted.note,
        meets=to_text(observation.meets) if observation.meets is not None else "",
        excluded=observation.excluded,
        at=observation.noted.at or None,
        simulated=observation.noted.simulated,
        history=[_earlier_view(instrument, one) for one in observation.noted.history],
        photographs=[photograph_view(one) for one in observation.noted.photographs],
    )


def _figures(measurement: Measurement, index: int) -> FiguresView:
    """Marks and lines of a reading, what it reads, corrected, and its place on the axis."""
    observation, instrument = measurement.observations[index], measurement.instrument
    corrected = measurement.corrected[index]
    fine = instrument.scale.has_fine_scale
    looks = [
        LookView(shown(instrument.mark_text(one.main)), shown(one.line_words) if fine else "")
        for one in observation.indications
    ]
    return FiguresView(
        main=" / ".join(look.main for look in looks),
        line=" / ".join(look.line for look in looks) if fine else "",
        looks=looks,
        position=float(measurement.observed[index]),
        positions=[float(instrument.reading(one)) for one in observation.indications],
        read=shown(instrument.value_text(measurement.observed[index])),
        corrected=shown(instrument.value_text(corrected)),
        value=float(corrected),
    )


def _earlier_view(instrument: Instrument, earlier: Earlier) -> EarlierView:
    """Figures a reading had before, those of a pair as the rows show them: ``6 / 12``."""
    return EarlierView(
        main=shown(" / ".join(instrument.main_words(main) for main, _ in earlier.indications)),
        line=shown(" / ".join(line for _, line in earlier.indications)),
        at=earlier.at,
        why=earlier.why,
    )


def result_view(result: MeasurementResult) -> ResultView:
    """Mean and uncertainty: the sentence to read, floats to draw the band."""
    measurement = result.measurement
    count = len(measurement.counting)
    if result.mean is None or result.uncertainty is None or result.rounded is None:
        return ResultView(count, *[None] * 5)
    # The band is drawn where the readings stand: before a stack is divided.
    middle, half = (
        float(number * measurement.divisor) for number in (result.mean, result.uncertainty.size)
    )
    percent = result.relative_percent
    return ResultView(
        count=count,
        sentence=shown(result.rounded.printed),
        mean=middle,
        low=middle - half,
        high=middle + half,
        relative_percent=None if percent is None else shown(to_figures(percent, 2)),
    )


def flags_view(reviewed: Reviewed, *, trying: int) -> list[FlagView]:
    """Every flag; those of the first ``trying`` readings with what the result would be without."""
    measurement = reviewed.result.measurement
    in_question = dict.fromkeys(
        flag.observation
        for flag in reviewed.second_looks
        if flag.level is Level.WARNING and settled(flag, measurement) is None
    )
    readings = [index for index in in_question if index is not None][:trying]
    without = {index: _without(measurement, index) for index in readings}
    return [
        FlagView(
            code=flag.code,
            level=flag.level,
            message=say(flag.says),
            observation=flag.observation,
            zero_check=flag.zero_check or None,
            settled=done,
            remedies=[] if done else [_remedy_view(one) for one in remedies(flag, measurement)],
            without=None if flag.observation is None else without.get(flag.observation),
        )
        for flag in reviewed.second_looks
        for done in [settled(flag, measurement) is not None]
    ]


def _remedy_view(remedy: Remedy) -> RemedyView:
    return RemedyView(
        act=remedy.act,
        target=remedy.target,
        label=say(remedy.label),
        fields=dict(remedy.fields),
        why=say(remedy.why) if remedy.why else "",
    )


def _without(measurement: Measurement, index: int) -> str | None:
    result = reduce_measurement(measurement.without(index))
    return shown(result.rounded.printed) if result.rounded else None
