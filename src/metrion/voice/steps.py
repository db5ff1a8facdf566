"""What each step of a working is called."""

from __future__ import annotations

from metrion.core.facts import Fact, coded
from metrion.core.working.steps import Step


def step_label(step: Step) -> Fact:
    """What a step is, as a fact to be said."""
    return step.label or coded("step", step.key)
