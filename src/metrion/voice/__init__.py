"""The one place where facts become text: catalogues of messages, one way to write numbers."""

from metrion.voice.catalogues import DEFAULT, catalogue, languages, usual
from metrion.voice.numbers import DecimalSign, Numbers
from metrion.voice.speaker import Speaker, plainly

__all__ = [
    "DEFAULT", "DecimalSign", "Numbers", "Speaker", "catalogue", "languages", "plainly", "usual",
]  # fmt: skip
