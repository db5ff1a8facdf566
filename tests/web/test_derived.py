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


def test_a_formula_as_on_paper_and_what_is_not_clear_in_it(client: FlaskClient) -> None:
    inputs = {"D": "ferrule", "h": "spreader"}
    found = wall(add(client, formula="πD²h/4", unit="cm³", inputs=inputs).json)
    assert (found["formula"], found["sentence"][-3:]) == ("π·D²·h/4", "cm³")
    unclear = add(client, id="other", formula="h/πD²", unit="cm**-1", inputs=inputs)
    assert unclear.status_code == 422
    assert "where π meets D" in unclear.json["faults"][0]["message"]


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


def test_what_is_derived_of_it_follows_and_keeps_it(client: FlaskClient) -> None:
    add(client)
    double = {"id": "double", "name": "Twice", "formula": "2*w", "inputs": {"w": "wall"}}
    assert add(client, **double).status_code == 201
    assert sentences(client) == {"wall": "(2.2 ± 0.5) mm", "double": "(4 ± 1) mm"}
    # A change of what the inner one is made of reaches both.
    sheet = client.get(SHEET).json
    ferrule = next(one for one in sheet["quantities"] if one["id"] == "ferrule")
    reading = ferrule["readings"][0]
    moved = client.patch(
        f"{SHEET}/readings/{reading['id']}",
        json={"main": "9"},
        headers={"If-Match": f'"{reading["version"]}"'},
    )
    assert moved.status_code == 200
    changed = sentences(client)
    assert changed["double"] != "(4 ± 1) mm"
    assert set(changed) == {"wall", "double"}
    # It cannot go while it is used, nor be made of what stands on it.
    found = wall(client.get(SHEET).json)
    seen = {"If-Match": f'"{found["version"]}"'}
    gone = client.delete(f"{SHEET}/derived/wall", headers=seen)
    assert (gone.status_code, gone.json["uses"][0]["id"]) == (422, "double")
    turned = client.patch(
        f"{SHEET}/derived/wall", json={"inputs": {"a": "double", "b": "ferrule"}}, headers=seen
    )
    assert turned.status_code == 422


def sentences(client: FlaskClient) -> dict[str, str]:
    return {one["id"]: one["sentence"] for one in client.get(SHEET).json["derived"]}


def test_the_board_of_a_sheet_finds_what_stands_in_its_blanks(client: FlaskClient) -> None:
    recipes = {recipe["id"]: recipe for recipe in client.get(f"{SHEET}/board").json}
    found = {blank["symbol"]: blank["found"] for blank in recipes["difference"]["blanks"]}
    # Nothing but the values tells them apart: the larger comes first.
    assert found == {"a": "ferrule", "b": "spreader"}
    assert recipes["density"]["blanks"][0]["found"] is None
    assert client.get("/api/sheets/nowhere/board").status_code == 404
