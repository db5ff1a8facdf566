"""A tool: its scale, unit, range and limits, its parts, how it looks."""
