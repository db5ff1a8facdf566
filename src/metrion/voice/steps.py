"""What each step of a working is called."""

from __future__ import annotations

from metrion.core.facts import Fact
from metrion.core.working.steps import Step


def step_label(step: Step) -> Fact:
    """What a step is, as a fact to be said."""
    if step.label is None:
        return Fact(f"step-{step.key}", {})
    return Fact(f"step-{step.label.code}", step.label.about)
