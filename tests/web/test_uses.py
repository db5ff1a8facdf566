"""What still uses an entry that is to go."""

import pytest
from flask.testing import FlaskClient

SHEET = "/api/sheets/foil-colours"


def removal(client: FlaskClient, section: str, key: str, version: int) -> dict[str, object]:
    headers = {"If-Match": str(version)}
    answer = client.delete(f"{SHEET}/{section}/{key}", headers=headers)
    return {"status": answer.status_code, **answer.json}


def test_it_is_named_and_nothing_is_lost(client: FlaskClient) -> None:
    before = client.get(SHEET).json
    tool, green = before["instruments"][0], before["quantities"][0]
    found = removal(client, "instruments", tool["id"], tool["version"])
    assert found["status"] == 422
    named = [(use["section"], use["name"]) for use in found["uses"]]
    assert named == [("measurements", one["name"]) for one in before["quantities"]]
    found = removal(client, "quantities", green["id"], green["version"])
    assert found["message"] == "This is still used. Change or remove what uses it first:"
    assert found["uses"] == [
        {"section": "derived", "id": "spacing", "name": "Spacing of the foil's lines"}
    ]
    assert client.get(SHEET).json == before


@pytest.mark.parametrize("section", ["derived", "quantities"])
def test_what_nothing_uses_goes(client: FlaskClient, section: str) -> None:
    before = client.get(SHEET).json
    last = before[section][-1]
    found = removal(client, section, last["id"], last["version"])
    assert found["status"] == 200
    left = client.get(SHEET).json[section]
    assert [one["id"] for one in left] == [one["id"] for one in before[section][:-1]]
