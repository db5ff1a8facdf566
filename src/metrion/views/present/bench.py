"""The simulated bench as the API shows it."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from fractions import Fraction

from metrion.core.bench.acts import Do, Simulated
from metrion.core.bench.bench import Bench
from metrion.core.bench.catalogue import INSTRUMENTS, BenchPart, Tool, fits, places
from metrion.core.bench.reveal import Revealed
from metrion.core.bench.transitions import contact, may
from metrion.core.exact.angles import degrees_and_minutes
from metrion.core.exact.figures import round_half_away
from metrion.core.exact.numbers import fixed
from metrion.core.facts import Amount, Fact, coded, fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.practice.seen import seen
from metrion.core.quantity.measurements import MeasurementResult
from metrion.formats.exercise import instrument_record
from metrion.store.records import EntryVersion
from metrion.views.locale import say, shown
from metrion.views.present.instruments import instrument_view
from metrion.views.schemas.bench import (
    CostView,
    DrawerView,
    LyingView,
    RevealedView,
    SpotView,
    StandingView,
)
from metrion.views.schemas.instruments import InstrumentView

_TELLING = 0.1
"""What costs less of a least count is not told."""


def drawer_view() -> DrawerView:
    """The tools, the parts, and which of them go together."""
    return DrawerView(
        tools=[_lying("tool", tool) for tool in Tool],
        parts=[_lying("part", part) for part in BenchPart],
        fitting=[[part for part in BenchPart if fits(tool, part)] for tool in Tool],
    )


def _lying(sort: str, key: str) -> LyingView:
    return LyingView(key, say(coded("bench", sort, **{sort: key})), say(coded("bench-about", key)))


def tool_view(tool: Tool) -> InstrumentView:
    """A tool as it is drawn."""
    instrument = replace(INSTRUMENTS[tool], name=say(fact("bench-simulated-tool", tool=tool)))
    return instrument_view(
        instrument, EntryVersion(instrument.id, instrument_record(instrument), 0, 0)
    )


def standing_view(done: Simulated, bench: Bench) -> StandingView:
    """How a bench stands, for eye and ear."""
    held = bench.held if bench.held and bench.held.part else None
    part = held.part if held else None
    circle = bench.tool is Tool.CIRCLE
    meets = contact(bench)
    item = 0.0 if circle or not held else meets
    return StandingView(
        simulated=str(done),
        tool=bench.tool,
        instrument=tool_view(bench.tool),
        position=bench.shown,
        faces=item if bench.touching else max(bench.at - bench.zero, item),
        item=item,
        aimed=meets + bench.zero if circle and held else None,
        part=part,
        place=held.place if held else None,
        places=[
            SpotView(place, say(fact("bench-place", place=place)))
            for place in places(BenchPart.FOIL if circle else BenchPart.NOCK)
        ],
        touching=bench.touching,
        locked=bench.locked,
        lifted=bench.lifted,
        wiped=bench.tool in bench.wiped,
        may=[do for do in Do if may(bench, do)],
        remark=say(bench.remark),
        care=[say(coded("bench-care", bench.tool))],
        seen=[say(fact("bench-heard", state=_state(bench))), *map(say, _seen(bench))],
    )


def _state(bench: Bench) -> str:
    """Whether faces touch and what; on which side of the cross-hair a line stands."""
    held = bench.held and bench.held.part is not None
    if bench.tool is not Tool.CIRCLE:
        if bench.touching:
            return "touching" if held else "closed"
        return "placed" if held else "open"
    if not held:
        return "away"
    off = contact(bench) + bench.zero - bench.shown
    if abs(off) <= float(bench.instrument.least_count):
        return "on"
    return "right" if off > 0 else "left"


def _seen(bench: Bench) -> Iterator[Fact]:
    tool = bench.instrument
    least = tool.least_count
    nearest = tool.scale.nearest(round(bench.shown / float(least)) * least)
    return seen(tool, nearest)


def revealed_view(found: Revealed, result: MeasurementResult) -> RevealedView:
    """A result beside the truth, the dearest cause first."""
    tool, unit = result.measurement.instrument, result.measurement.instrument.unit
    assert result.rounded is not None
    least = float(tool.least_count) / result.measurement.divisor
    dear = sorted(found.costs.items(), key=lambda cost: -abs(cost[1]))
    uncertainty = abs(found.off / found.in_uncertainties) if found.in_uncertainties else least
    return RevealedView(
        truth=_size_text(tool, found.truth),
        result=shown(result.rounded.text),
        sentence=say(
            fact(
                "bench-revealed",
                held=str(abs(found.in_uncertainties) <= 1).lower(),
                off=_amount(found.off, unit),
                times=round_half_away(Fraction(abs(found.in_uncertainties)), -1),
            )
        ),
        held=abs(found.in_uncertainties) <= 1,
        costs=[
            CostView(
                cause,
                say(coded("bench-cost", cause)),
                say(fact("bench-adds", adds=str(size > 0).lower(), amount=_amount(size, unit))),
                size / uncertainty,
            )
            for cause, size in dear
            if abs(size) >= _TELLING * least
        ],
    )


def _amount(size: float, unit: str) -> Amount:
    return Amount(abs(Fraction(size)), unit)


def _size_text(tool: Instrument, size: float) -> str:
    """With one decimal more than the tool has."""
    decimals = (tool.decimals or 0) + 1
    value = round_half_away(Fraction(size), -decimals)
    if tool.traits.circular:
        return shown(degrees_and_minutes(value, decimals))
    return shown(f"{fixed(value, decimals)} {tool.unit}")
