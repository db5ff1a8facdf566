"""Numbers, angles and units, exact, and how large they may be."""
