"""Open formats in and out; files become core values, or a list of all their faults."""
