"""What errors and faults say, for tests that hold the words."""

import re
from collections.abc import Callable

from metrion.core.errors import MetrionError
from metrion.formats.faults import Fault, Refused
from metrion.voice import plainly


def said(found: MetrionError | Fault) -> str:
    """An error or a fault in words; of a refused file, every fault on a line with its pointer."""
    if isinstance(found, Refused):
        return "\n".join(f"{fault.pointer}: {said(fault)}" for fault in found.faults)
    return plainly().say(found.says)


def saying(pattern: str) -> Callable[[MetrionError], bool]:
    """Whether an error says something like it, for ``pytest.raises(…, check=…)``."""
    return lambda error: re.search(pattern, said(error)) is not None
