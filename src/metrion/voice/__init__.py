"""The one place where facts become text: one catalogue of messages, one way to write numbers."""

from metrion.voice.numbers import DecimalSign, Numbers
from metrion.voice.speaker import Speaker, plainly

__all__ = ["DecimalSign", "Numbers", "Speaker", "plainly"]
