"""Write the OpenAPI description of the API to a file, for the front end's types to be made from."""

from __future__ import annotations

import sys
import tempfile
from pathlib import Path

from metrion.web import create_app


def main(target: Path) -> None:
    """Write the description to ``target``."""
    with tempfile.TemporaryDirectory() as folder:
        app = create_app(Path(folder))
        target.parent.mkdir(parents=True, exist_ok=True)
        target.write_bytes(app.test_client().get("/api/openapi.json").get_data())


if __name__ == "__main__":
    main(Path(sys.argv[1]))
