"""Keep a database of the present code as a sample that later code must be able to open.

scripts/make_sample_database.py NAME      # the number of the release, or another name
"""

from __future__ import annotations

import sqlite3
import sys
import tempfile
from pathlib import Path
from typing import Any

from flask.testing import FlaskClient

from metrion.demo import prepare
from metrion.store.database import FILE_NAME
from metrion.web import create_app

SAMPLES = Path(__file__).parents[1] / "tests" / "store" / "samples"


def main(name: str) -> None:
    """Demo sheets with something of everything that can be done to them, in one file."""
    with tempfile.TemporaryDirectory() as folder:
        prepare(Path(folder))
        app = create_app(Path(folder))
        _use(app.test_client())
        app.extensions["notebook"].store.close()
        source = sqlite3.connect(Path(folder) / FILE_NAME)
        SAMPLES.mkdir(exist_ok=True)
        source.execute("VACUUM INTO ?", [str(SAMPLES / f"{name}.sqlite")])
        source.close()


def _use(client: FlaskClient) -> None:
    """A reading set aside, a command undone, a head of the report, a sheet in the trash …"""
    _done(client.patch("/api/settings", json={"decimal_sign": "comma", "words": {"line": "tick"}}))
    own = {
        "id": "ours", "name": "Our course", "family": "limit", "reading_limit": "1/2",
        "zero_look": True, "spread": "mean-deviation", "combine": "sum", "digits": "1-or-2",
    }  # fmt: skip
    _done(client.post("/api/conventions", json=own))
    head = {"aim": "See whether the film is even.", "authors": "Ada, Björn", "date": "2026-11-20"}
    _done(client.patch("/api/sheets/sail-film", json=head))
    _add(client, "wing-tip-nocks")
    _done(client.post("/api/sheets/wing-tip-nocks/undo"))
    _add(client, "bridle-line")
    _done(client.delete("/api/sheets/bridle-line"))
    _done(client.post("/api/arrivals/take?decision=new", json=_of_another_program()))
    last = _sheet(client, "spare-parts")["quantities"][0]["readings"][-1]
    _done(
        client.patch(
            f"/api/sheets/spare-parts/readings/{last['id']}",
            json={"excluded": "kept as a sample"},
            headers={"If-Match": f'"{last["version"]}"'},
        )
    )


def _of_another_program() -> dict[str, Any]:
    """A logbook with fields that are not ours, on every level."""
    tool = {
        "id": "tool", "kind": "vernier", "unit": "mm", "main_division": "1", "fine_divisions": 20,
        "span": 39, "colour": "blue",
    }  # fmt: skip
    reading = {"main": "6", "fine": 3, "lamp": {"on": True}, "history": [{"main": "7", "fine": 3}]}
    quantity = {
        "id": "m", "instrument": "tool", "convention": "standard", "observations": [reading],
        "shelf": 4,
    }  # fmt: skip
    return {
        "format": "metrion-logbook", "version": 1, "title": "By another program",
        "instruments": [tool], "measurements": [quantity], "written_by": {"name": "another"},
    }  # fmt: skip


def _sheet(client: FlaskClient, sheet: str) -> dict[str, Any]:
    found: dict[str, Any] = client.get(f"/api/sheets/{sheet}").get_json()
    return found


def _add(client: FlaskClient, sheet: str) -> None:
    quantity = _sheet(client, sheet)["quantities"][0]["id"]
    reading = {"quantity": quantity, "main": "6", "fine": 3}
    _done(client.post(f"/api/sheets/{sheet}/readings", json=reading))


def _done(answer: Any) -> None:
    assert answer.status_code < 300, answer.get_json()


if __name__ == "__main__":
    main(sys.argv[1])
