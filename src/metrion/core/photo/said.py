"""What a photograph says to somebody who has read the scales already."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from fractions import Fraction

from metrion.core.facts import Fact, Figure, coded, fact
from metrion.core.photo.answer import Candidate, PhotoAnswer
from metrion.core.quantity.photographs import Photograph, PhotographVerdict
from metrion.core.scales import Indication, Line, Scale, ScrewScale

_LIKELY, _POSSIBLE = 0.5, 0.05
"""A line as probable as this is the one that meets; one less probable than that is not."""
_SUREST = 99
"""Of a hundred: no picture is surer."""


@dataclass(frozen=True)
class PhotoStatement:
    """What a photograph says beside what was read.

    Attributes:
        answer: of the picture alone.
        own: what was read.
        verdict: how it stands to what was read.
        line: the line that it says, of those that look alike to it the nearest to what was read;
            None where it cannot tell.
        position: the same in lines and parts of one.
        candidates: the likely lines, the same way.
        takes: what may be read in the place of what was, the line that it says first.
        sentences: all this in words.
    """

    answer: PhotoAnswer
    own: Indication
    verdict: PhotographVerdict
    line: int | None
    position: float | None
    candidates: tuple[Candidate, ...] = ()
    takes: tuple[Indication, ...] = ()
    sentences: tuple[Fact, ...] = ()

    @property
    def noted(self) -> Photograph:
        """What is noted of it with the reading."""
        if self.line is None or self.position is None:
            return Photograph(own=self.own.line_text, verdict=self.verdict)
        return Photograph(
            own=self.own.line_text, verdict=self.verdict, line=str(self.line),
            position=f"{self.position:.2f}", standard_error=self.answer.error_text,
            probability=f"{self.candidates[0].probability:.2f}",
        )  # fmt: skip


def said(answer: PhotoAnswer, own: Indication, scale: Scale, *, estimates: bool) -> PhotoStatement:
    """What a photograph says to somebody who has read it so.

    Args:
        estimates: whether positions between lines may be estimated.
    """
    if answer.position is None or answer.error is None or answer.line is None:
        return PhotoStatement(
            answer, own, PhotographVerdict.CANNOT_TELL, None, None, sentences=(answer.why,)
        )
    near = _Near(answer.modulo, scale, own)
    candidates = tuple(replace(one, line=near.line(one.line)) for one in answer.candidates)
    chance = sum(one.probability for one in candidates if near.is_own(one.line))
    verdict = (
        PhotographVerdict.AGREES if chance >= _LIKELY
        else PhotographVerdict.CLOSE if chance >= _POSSIBLE
        else PhotographVerdict.DIFFERS
    )  # fmt: skip
    position = near.position(answer.position)
    lines: list[Line] = [candidates[0].line]
    if estimates and scale.estimable():
        lines.append(Fraction(round(10 * position), 10))
    takes = tuple(_taken(own, line, scale) for line in lines if scale.has_line(line))
    found = PhotoStatement(answer, own, verdict, candidates[0].line, position, candidates, takes)
    return replace(found, sentences=tuple(_sentences(found, scale)))


def _taken(own: Indication, line: Line, scale: Scale) -> Indication:
    """What was read, with another line: by the main mark that changes the reading least."""
    with_it = replace(own, line=line, undecided=None)
    near = [with_it, *(scale.one_mark_on(with_it, step) for step in (-1, 1))]
    before = scale.reading(own)
    return min(near, key=lambda one: abs(scale.reading(one) - before))


@dataclass(frozen=True)
class _Near:
    """Of lines that look alike to a picture, those nearest to what was read."""

    modulo: int
    scale: Scale
    own: Indication

    def line(self, line: int) -> int:
        """The one for a line that is known up to ``modulo``."""
        alike = range(line % self.modulo, self.scale.last_line + 1, self.modulo)
        own = float(self.own.line)
        return min(alike, key=lambda one: (self._off(one), abs(one - own)))

    def _off(self, line: float) -> float:
        """How far a line is from what was read; the end of the scale meets its beginning."""
        around = self.scale.fine_divisions
        return abs((line - float(self.own.line) + around / 2) % around - around / 2)

    def is_own(self, line: int) -> bool:
        """Whether a line is what was read, or the nearest to what was estimated."""
        if self.own.undecided:
            return line in self.own.seen_lines
        return self._off(line) <= 0.5

    def position(self, position: float) -> float:
        """A position that is known up to ``modulo``."""
        nearest = self.line(round(position))
        part = (position - nearest + self.modulo / 2) % self.modulo - self.modulo / 2
        return (nearest + part) % self.scale.fine_divisions


def _sentences(found: PhotoStatement, scale: Scale) -> Iterator[Fact]:
    first, *others = [one for one in found.candidates if one.probability >= _POSSIBLE]
    second = others[0] if others else first
    yield fact(
        "photo-says", count=1 + len(others), own=Figure(found.own.line_words),
        line=first.line, odds=_odds(first.probability),
        other=second.line, others=_odds(second.probability),
        position=Figure(f"{found.position or 0.0:.2f}"), error=Figure(found.answer.error_text),
    )  # fmt: skip
    yield coded("photo", found.verdict)
    if isinstance(scale, ScrewScale):
        yield fact("photo-by-fives", count=found.answer.modulo)
    if found.takes and found.takes[0].main != found.own.main:
        yield fact("photo-other-mark")
    yield fact("photo-aslant" if found.answer.aslant else "photo-in-the-picture")


def _odds(probability: float) -> int:
    return max(1, min(_SUREST, round(100 * probability)))
