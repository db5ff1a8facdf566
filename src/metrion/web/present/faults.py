"""Faults as the API shows them."""

from __future__ import annotations

from collections.abc import Iterable

from metrion.formats.faults import Fault
from metrion.web.speaking import say


def faults_view(faults: Iterable[Fault]) -> list[dict[str, str]]:
    """What is wrong, and where."""
    return [{"pointer": fault.pointer, "message": say(fault.says)} for fault in faults]
