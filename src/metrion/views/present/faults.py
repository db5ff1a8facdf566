"""Faults as the API shows them."""

from __future__ import annotations

from collections.abc import Iterable

from metrion.formats.faults import Fault
from metrion.views.locale import say
from metrion.views.schemas.notebook import FaultView


def faults_view(faults: Iterable[Fault]) -> list[FaultView]:
    """What is wrong, and where."""
    return [FaultView(pointer=fault.pointer, message=say(fault.says)) for fault in faults]
