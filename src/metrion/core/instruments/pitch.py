"""The pitch worksheet: whole turns counted, the sleeve noted before and after."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from fractions import Fraction
from math import floor

from metrion.core.exact.numbers import to_text
from metrion.core.exact.statistics import half_range, mean
from metrion.core.facts import Fact, Figure, fact

_USUAL_MM = tuple(Fraction(n, 100) for n in (25, 50, 75, 100, 200))
_USUAL_IN = tuple(Fraction(1, n) for n in (50, 40, 20))
_NEAR = Fraction(1, 20)
_WHOLE_TURNS = Fraction(1, 4)


@dataclass(frozen=True)
class PitchTrial:
    """One trial.

    Attributes:
        turns: whole turns of the thimble, 1 or more.
        before, after: what the sleeve showed, in the unit of the instrument.
    """

    turns: int
    before: Fraction
    after: Fraction

    @property
    def travel(self) -> Fraction:
        """How far the spindle went, whichever way."""
        return abs(self.after - self.before)

    @property
    def pitch(self) -> Fraction:
        """Travel over turns."""
        return self.travel / self.turns


@dataclass(frozen=True)
class PitchFinding:
    """What the trials say together, in the unit of the instrument.

    Attributes:
        mean: the mean pitch, each turn counting alike: all travel over all turns.
        spread: half the range of the trials' pitches.
        usual: the usual pitch it must be, if one is near.
        warnings: what to look at again.
    """

    mean: Fraction
    spread: Fraction
    usual: Fraction | None
    warnings: tuple[Fact, ...]


def find_pitch(trials: Sequence[PitchTrial], unit: str) -> PitchFinding:
    """Work out the pitch from one trial or more."""
    pitches = [trial.pitch for trial in trials]
    turns = sum(trial.turns for trial in trials)
    middle = mean([trial.travel for trial in trials]) * len(trials) / turns
    usual = _voted(pitches, unit)
    spread = half_range(pitches)
    warnings = [w for i, trial in enumerate(trials, 1) for w in _miscounted(i, trial, usual, unit)]
    if not warnings and middle and spread > _NEAR * middle:
        warnings.append(
            fact("pitch-trials-disagree", apart=Figure(f"{to_text(2 * spread)[:8]} {unit}"))
        )
    if usual is None:
        warnings.append(fact("no-usual-pitch"))
    return PitchFinding(middle, spread, usual, tuple(warnings))


def _voted(pitches: Sequence[Fraction], unit: str) -> Fraction | None:
    """The usual pitch that most trials are near: one miscounted turn does not hide it."""
    votes = [usual for pitch in pitches if (usual := nearest_usual_pitch(pitch, unit))]
    return max(votes, key=votes.count) if votes else None


def nearest_usual_pitch(pitch: Fraction, unit: str) -> Fraction | None:
    """The usual pitch within a twentieth of what was found, if there is one."""
    usual = _USUAL_IN if unit == "in" else _USUAL_MM
    scale = Fraction(1, 10) if unit == "cm" else Fraction(1)
    for candidate in (size * scale for size in usual):
        if abs(pitch - candidate) <= _NEAR * candidate:
            return candidate
    return None


def _miscounted(index: int, trial: PitchTrial, usual: Fraction | None, unit: str) -> list[Fact]:
    if usual is None:
        return []
    turns = trial.travel / usual
    whole = floor(turns + Fraction(1, 2))
    if whole == trial.turns or abs(turns - whole) > _WHOLE_TURNS:
        return []
    return [
        fact(
            "turn-miscounted",
            at=index,
            travel=Figure(f"{to_text(trial.travel)} {unit}"),
            turns=whole,
            size=Figure(f"{to_text(usual)} {unit}"),
            told=trial.turns,
        )
    ]
