"""What was answered in practice: the first answer to each exercise."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, datetime

from sqlalchemy import delete, select
from sqlalchemy.orm import Session

from metrion.core.practice.mastery import Attempt
from metrion.core.practice.skills import Skill
from metrion.store.models import AttemptRow

SHOWN = "shown"
"""The verdict where the answer was asked for instead of given."""
_RIGHT = ("right", "rounded")


@dataclass(frozen=True)
class Answered:
    """An answer to an exercise.

    Attributes:
        exercise: which, so that it is known again.
        skill: that it shows.
        given: as it was typed; empty where it was shown instead.
        verdict: what it is, or `SHOWN`.
        slips: the codes that give it.
        seconds: how long it took.
    """

    exercise: str
    skill: Skill
    given: str
    verdict: str
    slips: Sequence[str]
    seconds: float


def keep_first(session: Session, answered: Answered) -> None:
    """Keep an answer, unless this exercise was answered before."""
    known = select(AttemptRow.id).where(AttemptRow.exercise == answered.exercise)
    if session.scalar(known) is None:
        kept = vars(answered) | {"skill": str(answered.skill), "slips": list(answered.slips)}
        session.add(AttemptRow(**kept, at=datetime.now(UTC)))


def all_attempts(session: Session) -> list[Attempt]:
    """Everything that was answered, in order."""
    rows = session.scalars(select(AttemptRow).order_by(AttemptRow.id))
    return [
        Attempt(Skill(row.skill), row.at.timestamp(), row.verdict in _RIGHT, tuple(map(str, slips)))
        for row in rows
        if isinstance(slips := row.slips, list)
    ]


def seconds_since(session: Session, begun: datetime) -> float:
    """How long was practised since then."""
    rows = session.scalars(select(AttemptRow).order_by(AttemptRow.id.desc()).limit(1_000))
    return sum(row.seconds for row in rows if row.at >= begun)


def forget_attempts(session: Session) -> None:
    """Forget all of them."""
    session.execute(delete(AttemptRow))
