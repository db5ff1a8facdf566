"""Metrion: least counts, readings, zero errors and averaged results for the physics lab."""

__version__ = "0.1.0"
