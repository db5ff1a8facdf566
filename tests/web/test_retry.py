"""What a client is told that should come again, or of whose wishes one is wrong."""

import sqlite3
from pathlib import Path
from urllib.error import HTTPError
from urllib.request import Request, urlopen

from flask.testing import FlaskClient

from metrion.store.database import FILE_NAME
from tests.server import asked, running


def test_beside_a_locked_database_a_write_is_told_when_to_come_again(tmp_path: Path) -> None:
    with running(tmp_path, "serve") as server:
        assert asked(server, "/sheets", {"title": "Kites", "id": "k"})[0] == 201
        with sqlite3.connect(tmp_path / FILE_NAME) as other:
            other.execute("BEGIN IMMEDIATE")
            wanted = Request(
                f"{server}/api/sheets", b'{"title": "Sails"}', {"Content-Type": "application/json"}
            )
            try:
                with urlopen(wanted, timeout=60) as answer:
                    found = answer.status, None
            except HTTPError as error:
                with error:
                    found = error.status, error.headers["Retry-After"]
            other.rollback()
        other.close()
    assert found == (503, "1")


def test_of_settings_that_are_not_all_in_order_none_is_kept(client: FlaskClient) -> None:
    before = client.get("/api/settings").json
    for wrong in ({"convention": "nobodys"}, {"language": "xx"}, {"decimal_sign": "semicolon"}):
        answer = client.patch("/api/settings", json={"theme": "dark", **wrong})
        assert answer.status_code == 422
        assert client.get("/api/settings").json == before
