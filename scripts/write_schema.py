"""Write the published JSON Schema of the logbook, docs/metrion-logbook.schema.json."""

from __future__ import annotations

import json
from pathlib import Path

from metrion.formats.logbook.json_schema import logbook_schema

TARGET = Path(__file__).parents[1] / "docs" / "metrion-logbook.schema.json"


def text() -> str:
    """The file as it has to be."""
    return json.dumps(logbook_schema(), indent=2, ensure_ascii=False) + "\n"


if __name__ == "__main__":
    TARGET.write_text(text(), encoding="utf-8")
