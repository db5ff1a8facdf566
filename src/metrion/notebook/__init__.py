"""Notebooks: what is kept in a store, worked out, remembered and changed; any number of them.

Nothing here knows of HTTP or of a command line: `web` and `cli` ask here.
"""

from metrion.notebook.evaluated import EvaluatedSheet
from metrion.notebook.notebook import Changed, Notebook

__all__ = ["Changed", "EvaluatedSheet", "Notebook"]
