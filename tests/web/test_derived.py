"""The board of derived quantities through the API."""

from typing import Any

from flask.testing import FlaskClient

SHEET = "/api/sheets/spare-parts"
WALL = {
    "id": "wall", "name": "Difference of the two", "formula": "a - b", "unit": "mm",
    "convention": "half-division", "inputs": {"a": "ferrule", "b": "spreader"},
}  # fmt: skip


def add(client: FlaskClient, **some: Any) -> Any:
    return client.post(f"{SHEET}/derived", json={**WALL, **some})


def wall(sheet: Any) -> Any:
    return next(one for one in sheet["derived"] if one["id"] == "wall")


def test_the_board_lists_what_is_ready(client: FlaskClient) -> None:
    recipes = {recipe["id"]: recipe for recipe in client.get("/api/board").json}
    assert recipes["wall"]["formula"] == "(D − d)/2"
    assert recipes["tube"]["unit"] == "mm³"
    assert [blank["symbol"] for blank in recipes["wall"]["blanks"]] == ["D", "d"]


def test_a_difference_of_two_quantities(client: FlaskClient) -> None:
    response = add(client)
    assert response.status_code == 201
    found = wall(response.json)
    assert found["sentence"] == "(2.2 ± 0.5) mm"
    assert [(given["symbol"], given["quantity"]) for given in found["inputs"]] == [
        ("a", "ferrule"),
        ("b", "spreader"),
    ]
    assert found["shared_zeros"] == [
        "Ferrule, outside and Lower spreader, outside were corrected by the same zero: "
        "its error cancels here."
    ]


def test_a_typed_in_input(client: FlaskClient) -> None:
    typed = {"value": "1.5", "uncertainty": "0.1", "unit": "mm"}
    found = wall(add(client, inputs={"a": "ferrule", "b": typed}).json)
    assert found["inputs"][1] == {
        "symbol": "b", "quantity": None, **typed, "words": "(1.5 ± 0.1) mm"
    }  # fmt: skip
    assert found["shared_zeros"] == []


def test_a_formula_as_people_write_it(client: FlaskClient) -> None:
    typed = {"value": "0,50", "uncertainty": "0", "unit": "µm"}
    inputs = {"a": "ferrule", "b": typed}
    found = wall(add(client, formula="π·a² ÷ 4 + b^2", unit="mm²", inputs=inputs).json)
    assert found["sentence"].endswith(" mm²")
    assert (found["formula"], found["unit"]) == ("π·a² / 4 + b²", "mm²")
    assert found["inputs"][1]["words"] == "(0.50 ± 0) µm"
    kept = client.get(f"{SHEET}/logbook").json["derived"][0]
    assert (kept["formula"], kept["unit"]) == ("pi*a**2 / 4 + b**2", "mm**2")
    assert kept["inputs"]["b"] == {"value": "0.50", "uncertainty": "0", "unit": "um"}


def test_what_does_not_go_together_is_refused_with_the_reason(client: FlaskClient) -> None:
    for some, said in (
        ({"unit": "mm**2"}, "mm**2"),
        ({"formula": "a -"}, "formula"),
        ({"formula": "a - c"}, "names c"),
        ({"inputs": {"a": "ferrule", "b": "nothing"}}, "nothing"),
    ):
        response = add(client, **some)
        assert response.status_code == 422
        assert said in str(response.json)
    assert client.get(SHEET).json["derived"] == []


def test_it_is_changed_removed_and_brought_back(client: FlaskClient) -> None:
    version = wall(add(client).json)["version"]
    seen = {"If-Match": str(version)}
    changed = client.patch(f"{SHEET}/derived/wall", json={"formula": "(a - b)/2"}, headers=seen)
    assert wall(changed.json)["sentence"] == "(1.1 ± 0.3) mm"
    stale = client.patch(f"{SHEET}/derived/wall", json={"name": "other"}, headers=seen)
    assert stale.status_code == 412
    seen = {"If-Match": str(wall(changed.json)["version"])}
    assert client.delete(f"{SHEET}/derived/wall", headers=seen).json["derived"] == []
    assert wall(client.post(f"{SHEET}/undo").json)["formula"] == "(a − b)/2"


def test_a_quantity_that_something_is_derived_from_stays(client: FlaskClient) -> None:
    add(client)
    sheet = client.get(SHEET).json
    ferrule = next(q for q in sheet["quantities"] if q["id"] == "ferrule")
    response = client.delete(
        f"{SHEET}/quantities/ferrule", headers={"If-Match": str(ferrule["version"])}
    )
    assert response.status_code == 422
