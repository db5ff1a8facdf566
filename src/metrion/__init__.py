"""Metrion: least counts, readings, zero errors and averaged results for the physics lab."""

__version__ = "0.2.0"
