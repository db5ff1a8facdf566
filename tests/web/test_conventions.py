"""The conventions through the API: chosen for the notebook, for one quantity, compared."""

from dataclasses import replace
from typing import Any

from flask.testing import FlaskClient

from metrion.core.conventions.convention import BUILT_IN, Combine, Spread
from metrion.core.conventions.described import described
from metrion.voice.speaker import plainly

SHEET = "/api/sheets/spare-parts"


def ferrule(sheet: Any) -> Any:
    return next(quantity for quantity in sheet["quantities"] if quantity["id"] == "ferrule")


def test_each_way_to_take_scatter_has_words_of_its_own(client: FlaskClient) -> None:
    found = client.get("/api/conventions/choices").json
    for name, ways in (("spread", Spread), ("combine", Combine)):
        assert [one["value"] for one in found[name]] == list(ways)
        assert len({one["label"] for one in found[name]}) == len(ways)
        told = [described(replace(BUILT_IN["half-division"], **{name: way})) for way in ways]
        words = {tuple(map(plainly().say, one)) for one in told}
        assert len(words) == len(ways)


def test_the_conventions_are_described(client: FlaskClient) -> None:
    found = {one["id"]: one for one in client.get("/api/conventions").json}
    assert list(found) == ["whole-division", "half-division", "standard", "standard-95"]
    assert "Takes the zero as exact." in found["half-division"]["words"]


def test_the_notebook_begins_with_one_and_keeps_another(client: FlaskClient) -> None:
    assert client.get("/api/settings").json["convention"] == "half-division"
    changed = client.patch("/api/settings", json={"convention": "standard"})
    assert changed.json["convention"] == "standard"
    body = {"id": "new", "name": "New", "instrument": "cal-a", "zero": []}
    sheet = client.post(f"{SHEET}/quantities", json=body).json
    assert [new["convention"] for new in sheet["quantities"]] == ["standard"]
    # What was measured before keeps its own.
    assert ferrule(client.get(SHEET).json)["convention"] == "half-division"


def test_a_convention_that_is_none_is_refused(client: FlaskClient) -> None:
    assert client.patch("/api/settings", json={"convention": "none"}).status_code == 422


def test_every_convention_says_its_sentence_with_the_reason(client: FlaskClient) -> None:
    others = {one["id"]: one for one in client.get(f"{SHEET}/quantities/ferrule/others").json}
    assert others["half-division"]["sentence"] == "(8.72 ± 0.03) mm"
    assert others["half-division"]["why"] == ""
    assert others["whole-division"]["sentence"] == "(8.7 ± 0.1) mm"
    assert others["whole-division"]["why"].startswith("It takes a whole least count")


def test_a_quantity_takes_another_convention(client: FlaskClient) -> None:
    seen = {"If-Match": str(ferrule(client.get(SHEET).json)["version"])}
    sheet = client.patch(
        f"{SHEET}/quantities/ferrule", json={"convention": "whole-division"}, headers=seen
    ).json
    assert ferrule(sheet)["result"]["sentence"] == "(8.7 ± 0.1) mm"
    assert ferrule(sheet)["convention_name"] == "Whole division"
    assert sheet["undo"] == "change the quantity"
