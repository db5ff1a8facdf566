"""A sheet that cannot be worked out or shown: its damage is told, and keeps no other from view.

Bounds and checks keep such sheets from being made. But what was kept before them, or was written
into the file by another program, must not take the notebook down: the sheet is listed with the
reason, and can be saved as it is and put into the trash.
"""

from __future__ import annotations

import logging
from collections.abc import Iterator
from contextlib import contextmanager

from metrion.core.codes import MessageCode
from metrion.core.errors import MetrionError
from metrion.core.facts import Fact, Name, fact
from metrion.formats.faults import Refused
from metrion.store import Damaged, StoreError

_LOG = logging.getLogger(__name__)


@contextmanager
def contained() -> Iterator[None]:
    """Tell whatever fails in here, working out or showing a sheet, as its damage.

    Raises:
        Damaged: with the reason.
    """
    try:
        yield
    except StoreError:
        raise
    # What can fail in odd figures is not known beforehand; that is the point of it.
    except Exception as error:
        _LOG.warning("a sheet cannot be worked out: %r", error)
        _LOG.debug("where it failed", exc_info=True)
        raise Damaged(_reason(error)) from error


def _reason(error: Exception) -> Fact:
    if isinstance(error, Refused):
        first = error.faults[0]
        return fact("damaged-at", pointer=Name(first.pointer), what=first.says)
    if isinstance(error, MetrionError):
        return error.says
    code: MessageCode = (
        "damaged-figure" if isinstance(error, ArithmeticError) else "damaged-otherwise"
    )
    return fact(code, reason=Name(str(error) or repr(error)))
