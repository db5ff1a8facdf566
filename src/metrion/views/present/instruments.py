"""Instruments and zero checks as the API shows them."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import fields

from metrion.core.desk.example import example
from metrion.core.desk.said.amiss import main_typed
from metrion.core.desk.zero_desk import indication_below_zero
from metrion.core.exact.numbers import to_text
from metrion.core.instruments.appearance import Appearance
from metrion.core.instruments.drawing import (
    engraved_unit,
    fine_numerals,
    line_places,
    line_worths,
    main_numerals,
)
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.notes import notes, slide
from metrion.core.quantity.zero import ZeroCheck, zero_errors
from metrion.core.scales import Numbering, ScrewScale, VernierScale
from metrion.core.traits import Traits
from metrion.report import Span, Written, least_count_lines
from metrion.store.records import EntryVersion
from metrion.views.locale import say, shown, speaker
from metrion.views.schemas.instruments import (
    AppearanceView,
    InstrumentView,
    LinesView,
    NoteView,
    NumeralView,
    SlideStepView,
    TraitsView,
)
from metrion.views.schemas.working import SpanView, StepView
from metrion.views.schemas.zero import ZeroCheckView


def span_view(span: Span) -> SpanView:
    """A piece of a line, with the pieces it is made of."""
    return SpanView(
        form=span.form,
        text=span.text,
        tint=span.tint,
        source=span.source,
        keeps=span.keeps,
        first=[span_view(piece) for piece in span.first],
        second=[span_view(piece) for piece in span.second],
    )


def steps_view(steps: Iterable[Written]) -> list[StepView]:
    """Lines of a working."""
    return [
        StepView(
            label=step.label,
            key=step.key,
            group=step.group,
            reading=step.reading,
            spans=[span_view(span) for span in step.spans],
        )
        for step in steps
    ]


def instrument_view(instrument: Instrument, entry: EntryVersion) -> InstrumentView:
    """An instrument: as described, its least count with both routes, and its lines to draw."""
    appearance, scale = instrument.appearance, instrument.scale
    vernier = scale if isinstance(scale, VernierScale) else None
    screw = scale if isinstance(scale, ScrewScale) else None
    below = indication_below_zero(instrument)
    example_main, example_fine = example(instrument)
    return InstrumentView(
        id=instrument.id,
        version=entry.version,
        name=instrument.name,
        kind=instrument.kind,
        traits=_traits_view(instrument.traits),
        unit_text="" if instrument.traits.circular else instrument.unit,
        unit=instrument.unit,
        kept_unit=instrument.kept_unit or instrument.unit,
        main_division=to_text(instrument.scale.main_division),
        fine_divisions=instrument.scale.fine_divisions,
        span=vernier.span if vernier else None,
        pitch=to_text(screw.pitch) if screw else None,
        numbering=str(vernier.numbering) if vernier else None,
        range=list(map(to_text, instrument.range)) if instrument.range else None,
        maker_limit=to_text(instrument.maximum_permissible_error)
        if instrument.maximum_permissible_error
        else None,
        fine_as=appearance.fine_as,
        main_as=appearance.main_as,
        appearance=_appearance_view(appearance),
        least_count=to_text(instrument.least_count),
        least_count_text=shown(instrument.with_unit(instrument.least_count)),
        pattern=instrument.scale.pattern_name,
        derivation=steps_view(least_count_lines(instrument, speaker())),
        notes=notes_view(instrument),
        lines=lines_view(instrument),
        engraved_unit=engraved_unit(instrument),
        example_main=shown(example_main),
        example_fine=shown(example_fine),
        below_main=main_typed(instrument, below.main),
        below_second_turn=below.second_turn,
        record={name: value for name, value in entry.record.items() if name != "id"},
    )


def _traits_view(traits: Traits) -> TraitsView:
    return TraitsView(**{one.name: getattr(traits, one.name) for one in fields(TraitsView)})


def _appearance_view(appearance: Appearance) -> AppearanceView:
    names = [one.name for one in fields(AppearanceView)]
    found = {name: getattr(appearance, name) for name in names}
    return AppearanceView(**{**found, "marks_early": float(appearance.marks_early)})


def notes_view(instrument: Instrument) -> list[NoteView]:
    """What to know about its scale."""
    return [
        NoteView(
            text=say(note.says),
            warning=note.warning,
            position=None
            if note.indication is None
            else float(instrument.reading(note.indication)),
        )
        for note in notes(instrument)
    ]


def slide_view(instrument: Instrument) -> list[SlideStepView]:
    """The steps of the slow-motion slide."""
    return [
        SlideStepView(
            position=float(step.position),
            lines=list(step.lines),
            words=say(step.says),
        )
        for step in slide(instrument)
    ]


def lines_view(instrument: Instrument) -> LinesView:
    """Where the lines lie, for the page to draw: floats, in the unit of the instrument."""
    main = main_numerals(instrument)
    scale = instrument.scale
    fine = fine_numerals(instrument).printed(scale.last_line)
    screw = scale if isinstance(scale, ScrewScale) else None
    vernier = scale if isinstance(scale, VernierScale) else None
    return LinesView(
        division=float(scale.main_division),
        least_count=float(scale.least_count),
        fine_divisions=scale.fine_divisions,
        extended=vernier is not None and vernier.main_divisions_compared > 1,
        places=[float(place) for place in line_places(instrument)],
        worths=[float(worth) for worth in line_worths(instrument)],
        main_every=main.every,
        main_step=float(main.step),
        main_unit=main.unit,
        numerals_differ=scale.has_fine_scale and fine_numerals(instrument).at(1) != 1,
        fine_numerals=[NumeralView(line, text) for line, text in fine.items()],
        low=float(instrument.range[0]) if instrument.range else None,
        high=float(instrument.range[1]) if instrument.range else None,
        pitch=float(screw.pitch) if screw else None,
        two_turns=screw is not None and screw.two_turns,
        against=vernier is not None and vernier.numbering is Numbering.AGAINST,
    )


def zero_check_view(check: ZeroCheck, instrument: Instrument, entry: EntryVersion) -> ZeroCheckView:
    """A zero check: what was seen, the error it shows and what that does."""
    (error,) = zero_errors(instrument, [check])
    return ZeroCheckView(
        id=check.id,
        version=entry.version,
        instrument=instrument.id,
        face=check.face,
        phase=check.phase,
        main=shown(instrument.mark_text(check.indication.main)),
        line=shown(check.indication.line_words),
        reference=instrument.main_text(check.reference) if check.reference else None,
        error=float(error),
        error_text=shown(instrument.value_text(error)),
        correction_text=shown(instrument.value_text(-error)),
        at=check.noted.at or None,
        simulated=check.noted.simulated,
    )
