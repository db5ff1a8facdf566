"""The ``metrion-logbook`` file, version 1: read whole, or refused with all that is wrong."""

from metrion.formats.logbook.earlier import EarlierDocument
from metrion.formats.logbook.parse import (
    parse_for_notebook,
    parse_logbook,
    parse_own_convention,
    read_drawn_instrument,
    read_logbook,
)

FORMAT = "metrion-logbook"
VERSION = 1

__all__ = [
    "FORMAT", "VERSION", "EarlierDocument", "parse_for_notebook", "parse_logbook",
    "parse_own_convention",
    "read_drawn_instrument", "read_logbook",
]  # fmt: skip
