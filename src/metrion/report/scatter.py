"""The readings of a quantity on one axis, with mean and uncertainty: for paper, in black and white.

Each reading has a height of its own, the first on top, so that a drift is seen too.
"""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import suppress
from dataclasses import dataclass
from fractions import Fraction
from html import escape

from metrion.core.errors import MetrionError
from metrion.core.exact.axis import round_marks
from metrion.core.exact.numbers import parse_exact
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import MeasurementResult
from metrion.core.quantity.noted import Earlier
from metrion.core.quantity.observations import Observation, Sort
from metrion.core.scales import Indication
from metrion.report.blocks import PictureBlock
from metrion.voice import Speaker

WIDTH = 640
_SIDE, _TOP, _FOOT = 40.0, 12.0, 30.0
_ROW, _MOST_ROWS = 13.0, 24
"""Height of a row; beyond so many readings the rows are closer."""
_ROOM = Fraction(1, 12)
"""What is left free at both ends, in parts of what is shown."""
_FONT = 'font-family="sans-serif" font-size="12" text-anchor="middle"'


@dataclass(frozen=True)
class _Dot:
    """A reading: its value, whether it counts, and the values it had before."""

    value: Fraction
    counts: bool
    before: tuple[Fraction, ...]


def readings_plot(result: MeasurementResult, speaker: Speaker) -> Iterator[PictureBlock]:
    """Dots, mean and band; nothing where fewer than two readings count."""
    measurement, uncertainty, mean = result.measurement, result.uncertainty, result.mean
    if len(measurement.counting) < 2 or uncertainty is None or mean is None:
        return
    divisor, zero = measurement.divisor, measurement.zero_error
    dots = [
        _Dot(
            value / divisor,
            one.counts,
            tuple((old - zero) / divisor for old in _before(measurement.instrument, one)),
        )
        for one, value in zip(measurement.observations, measurement.corrected, strict=True)
    ]
    half = uncertainty.size
    drawn = _Plot(dots, mean, half, measurement.instrument, speaker).svg(measurement.label)
    yield PictureBlock(drawn, " ".join(_caption(dots, speaker)))


def _caption(dots: list[_Dot], speaker: Speaker) -> Iterator[str]:
    yield speaker.text("report-plotted")
    if any(not dot.counts for dot in dots):
        yield speaker.text("report-plotted-aside")
    if any(dot.before for dot in dots):
        yield speaker.text("report-plotted-before")


def _before(instrument: Instrument, one: Observation) -> Iterator[Fraction]:
    """What single readings were before they were changed, where that can be told."""
    if one.sort is Sort.SINGLE:
        for earlier in one.noted.history:
            with suppress(MetrionError, ValueError, IndexError):
                yield instrument.reading(_indication(earlier))


def _indication(earlier: Earlier) -> Indication:
    main, line = earlier.indications[0]
    return Indication(parse_exact(main), int(line or "0"))


class _Plot:
    def __init__(
        self, dots: list[_Dot], mean: Fraction, half: Fraction, tool: Instrument, speaker: Speaker
    ) -> None:
        self.dots, self.mean, self.half, self.tool, self.speaker = dots, mean, half, tool, speaker
        shown = [dot.value for dot in dots] + [old for dot in dots for old in dot.before]
        low, high = min(*shown, mean - half), max(*shown, mean + half)
        room = max(high - low, tool.least_count) * _ROOM
        self.low, self.high = low - room, high + room
        self.row = _ROW * min(1.0, _MOST_ROWS / len(dots))
        self.foot = _TOP + self.row * len(dots)

    def svg(self, name: str) -> str:
        height = self.foot + _FOOT
        return (
            f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {WIDTH} {height:.0f}" '
            f'width="{WIDTH}" height="{height:.0f}" role="img"><title>{escape(name)}</title>'
            f"{''.join(self._pieces())}</svg>"
        )

    def _x(self, value: Fraction) -> float:
        share = (value - self.low) / (self.high - self.low)
        return _SIDE + float(share) * (WIDTH - 2 * _SIDE)

    def _pieces(self) -> Iterator[str]:
        left, right = self._x(self.mean - self.half), self._x(self.mean + self.half)
        top, foot = _TOP - 6, self.foot
        yield (
            f'<rect x="{left:.2f}" y="{top}" width="{right - left:.2f}" height="{foot - top:.2f}" '
            'fill="#E4E4E4" stroke="#777777" stroke-dasharray="4 3"/>'
        )
        middle = self._x(self.mean)
        yield _line(middle, top, middle, foot, 2)
        for at, dot in enumerate(self.dots):
            yield from self._dot(dot, _TOP + (at + 0.5) * self.row - 3)
        yield _line(_SIDE, foot, WIDTH - _SIDE, foot, 1)
        for mark in round_marks(self.low, self.high):
            x = self._x(mark)
            yield _line(x, foot, x, foot + 5, 1)
            text = escape(self.speaker.numbers.figure(self.tool.value_text(mark)))
            yield f'<text x="{x:.2f}" y="{foot + 19:.2f}" {_FONT}>{text}</text>'

    def _dot(self, dot: _Dot, y: float) -> Iterator[str]:
        x, size = self._x(dot.value), min(3.6, self.row / 2.4)
        for old in dot.before:
            was = self._x(old)
            yield _line(was, y, x, y, 0.8)
            yield (
                f'<rect x="{was - size:.2f}" y="{y - size:.2f}" width="{2 * size:.2f}" '
                f'height="{2 * size:.2f}" fill="white" stroke="black"/>'
            )
        fill = "black" if dot.counts else "white"
        yield f'<circle cx="{x:.2f}" cy="{y:.2f}" r="{size:.2f}" fill="{fill}" stroke="black"/>'
        if not dot.counts:
            yield _line(x - 5, y + 5, x + 5, y - 5, 1)


def _line(x1: float, y1: float, x2: float, y2: float, width: float) -> str:
    return (
        f'<line x1="{x1:.2f}" y1="{y1:.2f}" x2="{x2:.2f}" y2="{y2:.2f}" stroke="black" '
        f'stroke-width="{width}"/>'
    )
