"""What exercises ask, and their answers, in words."""

from __future__ import annotations

from collections.abc import Iterator

from metrion.core.exact.numbers import to_text
from metrion.core.facts import Figure, Name
from metrion.core.practice.exercise import Exercise, Question
from metrion.core.scales import Indication, ScrewScale
from metrion.voice.speaker import Speaker

_TURNS = 4
"""In so many the travel of a screw is told, so that its pitch is worked out."""


def task_words(exercise: Exercise, speaker: Speaker) -> str:
    """What is asked; of a screw's least count also what no look at it tells."""
    scale = exercise.instrument.scale
    if exercise.question is Question.LEAST_COUNT and isinstance(scale, ScrewScale):
        travel = f"{to_text(_TURNS * scale.pitch)} {exercise.instrument.unit}"
        return speaker.text(
            "practice-asks-least-count-screw", lines=scale.fine_divisions, turns=_TURNS,
            travel=Figure(travel),
        )  # fmt: skip
    halved = exercise.question is Question.SWEEP and exercise.divide_by != 1
    asked = f"{exercise.question}{'-halved' if halved else ''}"
    return speaker.text_of("practice-asks", asked, arc=str(exercise.arc))


def looks_in_words(exercise: Exercise, speaker: Speaker) -> Iterator[tuple[str, Indication]]:
    """Each look with what it is, the zero first."""
    if exercise.zero_check:
        yield speaker.text("practice-at-the-zero"), exercise.zero_check
    for at, look in enumerate(exercise.looks, start=1):
        what = "position" if exercise.question is Question.SWEEP else "look"
        what = what if len(exercise.looks) > 1 else "one-look"
        yield speaker.text_of("practice", what, at=at), look


def right_answer(exercise: Exercise, speaker: Speaker) -> str:
    """The right answer; of a zero error also which one it is."""
    answer = answer_words(exercise, exercise.answer, speaker)
    if exercise.question is not Question.ZERO_ERROR or not exercise.value:
        return answer
    side = "much" if exercise.value > 0 else "little"
    return speaker.text("practice-zero-with-sign", answer=Name(answer), side=side)


def answer_words(exercise: Exercise, answer: str, speaker: Speaker) -> str:
    """An answer as people write it, with its unit."""
    if not exercise.angular:
        return f"{speaker.numbers.figure(answer)} {exercise.instrument.unit}"
    parts = zip(answer.split(":"), "°′″", strict=False)
    return speaker.numbers.figure("".join(f"{part}{sign}" for part, sign in parts))
