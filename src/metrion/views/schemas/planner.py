"""The planner."""

from __future__ import annotations

from typing import Annotated, Literal

from marshmallow import validate

from metrion.core.planning.plan import PlanVerdict
from metrion.views.schemas.view import view


@view
class WishView:
    """What is to be measured, and how well, as typed."""

    size: Annotated[str, validate.Length(max=100)]
    unit: Literal["mm", "cm", "in"]
    percent: Annotated[str, validate.Length(max=100)]
    convention: str
    scatter: Annotated[str, validate.Length(max=100)] = "0"


@view
class PlanView:
    """What one tool would give, and why."""

    tool: str
    name: str
    own: Annotated[bool, "Whether it is one that is kept; else a common one."]
    least_count_text: str
    verdict: PlanVerdict
    uncertainty: str | None
    percent: str | None
    readings: int
    items: int
    reasons: list[str]
