"""Budgets, comparisons, conventions of one's own and the planner through the API."""

from typing import Any

import pytest
from flask.testing import FlaskClient

SHEET = "/api/sheets/spare-parts"
OTHERS = f"{SHEET}/quantities/spreader/others"
OURS = {
    "id": "ours", "name": "Our course", "family": "limit", "reading_limit": "1", "zero_look": True,
    "spread": "mean-deviation", "combine": "sum", "digits": "1-or-2",
}  # fmt: skip


def spreader(sheet: Any) -> Any:
    return sheet["quantities"][0]


def amend(client: FlaskClient, **fields: Any) -> Any:
    seen = spreader(client.get(SHEET).json)
    response = client.patch(
        f"{SHEET}/quantities/{seen['id']}", json=fields, headers={"If-Match": str(seen["version"])}
    )
    assert response.status_code == 200, response.json
    return spreader(response.json)


def test_a_quantity_comes_with_its_budget(client: FlaskClient) -> None:
    budget = spreader(client.get(SHEET).json)["budget"]
    assert [(s["label"], round(s["percent"]), s["lost"]) for s in budget["shares"]] == [
        ("scatter", 100, False), ("reading limit", 0, True),
    ]  # fmt: skip
    assert "settle the second look that is open first" in budget["sentences"][0]


def test_a_working_names_where_its_numbers_come_from(client: FlaskClient) -> None:
    steps = {step["key"]: step for step in spreader(client.get(SHEET).json)["working"]}
    assert steps["rounded"]["spans"][0]["source"] == "uncertainty"
    mean = steps["mean"]["spans"][0]
    assert (mean["form"], mean["first"][0]["source"]) == ("over", "reading_1")


def test_a_quantity_beside_an_expected_value(client: FlaskClient) -> None:
    expected = {"value": "6,30", "uncertainty": "0.1", "unit": "mm"}
    compared = amend(client, compare=expected)["compared"]
    assert compared["with"] == "(6,30 ± 0.1) mm"
    assert compared["sentences"][0] == "It is 0.26 mm more than that, 4.2 %."
    assert "the two agree" in compared["sentences"][1]
    assert amend(client, compare=None)["compared"] is None


def test_a_quantity_beside_another_of_the_sheet(client: FlaskClient) -> None:
    other = client.get(SHEET).json["quantities"][1]
    compared = amend(client, compare={"quantity": other["id"]})["compared"]
    assert (compared["quantity"], compared["with"]) == (other["id"], other["name"])
    assert "less than that" in compared["sentences"][0]


@pytest.mark.parametrize(
    ("given", "said"),
    [
        ({"value": "six", "uncertainty": "0", "unit": "mm"}, "six"),
        ({"value": "6", "uncertainty": "0", "unit": "furlong"}, "furlong is no unit"),
        ({"value": "6", "uncertainty": "0", "unit": "g"}, "cannot be compared"),
        ({"quantity": "gone"}, "is gone"),
    ],
)
def test_a_comparison_that_makes_none_is_said_and_loses_nothing(
    client: FlaskClient, given: dict[str, str], said: str
) -> None:
    compared = amend(client, compare=given)["compared"]
    assert said in compared["sentences"][0]
    assert compared["value"] == given.get("value", "")


def test_a_derived_quantity_has_working_budget_and_comparison(client: FlaskClient) -> None:
    first = spreader(client.get(SHEET).json)["id"]
    body = {
        "name": "Twice", "formula": "2*D", "unit": "mm", "inputs": {"D": first},
        "compare": {"value": "13", "uncertainty": "0", "unit": "mm"},
    }  # fmt: skip
    (derived,) = client.post(f"{SHEET}/derived", json=body).json["derived"]
    assert derived["working"][0]["label"] == "formula"
    assert [share["label"] for share in derived["budget"]["shares"]] == ["Lower spreader, outside"]
    assert "0.13 mm more" in derived["compared"]["sentences"][0]
    assert derived["dimension"] == spreader(client.get(SHEET).json)["dimension"]
    seen = {"If-Match": str(derived["version"])}
    address = f"{SHEET}/derived/{derived['id']}"
    beside = client.patch(address, json={"compare": {"quantity": first}}, headers=seen).json
    assert "6.6 mm more" in beside["derived"][0]["compared"]["sentences"][0]
    own = amend(client, compare={"derived": derived["id"]})
    assert (own["compared"]["derived"], own["compared"]["with"]) == (derived["id"], "Twice")


def test_a_convention_of_ones_own_is_described_kept_changed_and_taken_away(
    client: FlaskClient,
) -> None:
    body = {name: value for name, value in OURS.items() if name != "id"}
    described = client.post("/api/conventions/describe", json=body).json
    assert "Adds limit and scatter." in described["words"]
    kept = client.post("/api/conventions", json=OURS)
    assert kept.status_code == 201
    assert kept.json[-1]["record"] == body
    assert client.post("/api/conventions", json=OURS).status_code == 409
    changed = client.put("/api/conventions/ours", json={**body, "reading_limit": "1/2"})
    assert "Takes half a least count" in changed.json[-1]["words"][0]
    assert len(client.delete("/api/conventions/ours").json) == 4
    assert client.delete("/api/conventions/ours").status_code == 404


@pytest.mark.parametrize(
    ("change", "said"),
    [
        ({"reading_limit": "0"}, "reading_limit"),
        ({"digits": 3}, "digits"),
        ({"spread": None}, "spread"),
        ({"family": "standard", "coverage": "120%"}, "coverage"),
        ({"id": "standard"}, "is built in"),
    ],
)
def test_a_convention_with_a_fault_is_not_kept(
    client: FlaskClient, change: dict[str, Any], said: str
) -> None:
    response = client.post("/api/conventions", json={**OURS, **change})
    assert response.status_code == 422
    assert said in str(response.json)
    assert len(client.get("/api/conventions").json) == 4


def test_a_sheet_takes_a_copy_of_a_convention_it_uses(client: FlaskClient) -> None:
    client.post("/api/conventions", json=OURS)
    assert [said["id"] for said in client.get(OTHERS).json][-1] == "ours"
    assert amend(client, convention="ours")["convention_name"] == "Our course"
    client.delete("/api/conventions/ours")
    document = client.get(f"{SHEET}/logbook").json
    assert document["conventions"] == [OURS]
    assert spreader(client.get(SHEET).json)["convention_name"] == "Our course"
    # Undo takes the copy away with the choice that brought it.
    undone = client.post(f"{SHEET}/undo").json
    assert spreader(undone)["convention"] == "half-division"
    assert client.get(f"{SHEET}/logbook").json["conventions"] == []


def test_the_notebook_takes_a_convention_of_ones_own(client: FlaskClient) -> None:
    assert client.patch("/api/settings", json={"convention": "ours"}).status_code == 422
    client.post("/api/conventions", json=OURS)
    assert client.patch("/api/settings", json={"convention": "ours"}).json["convention"] == "ours"
    body = {"id": "q", "name": "New", "instrument": "cal-a", "zero": []}
    sheet = client.post(f"{SHEET}/quantities", json=body).json
    assert sheet["quantities"][-1]["convention"] == "ours"
    client.delete("/api/conventions/ours")
    assert client.get("/api/settings").json["convention"] == "half-division"


def wish(**fields: str) -> dict[str, str]:
    usual = {"size": "0,5", "unit": "mm", "percent": "1", "convention": "half-division"}
    return {**usual, **fields}


def test_the_planner_says_what_each_tool_would_give(client: FlaskClient) -> None:
    tools = {tool["id"]: tool for tool in client.get("/api/tools").json}
    found = client.post("/api/planner", json=wish()).json
    lengths = {key for key, tool in tools.items() if tool["kind"] != "angular"}
    assert {plan["tool"] for plan in found if plan["own"]} == lengths
    # The common ones stand beside them, but for those that read as one's own do.
    common = {plan["name"] for plan in found if not plan["own"]}
    assert "Caliper, lines backwards" in common
    read_alike = {plan["least_count_text"] for plan in found if plan["own"]}
    assert read_alike & {plan["least_count_text"] for plan in found if not plan["own"]}
    assert found[0]["verdict"] == "enough"
    assert all(plan["reasons"] for plan in found)


@pytest.mark.parametrize(
    ("fields", "said"),
    [
        ({"size": "0"}, "size must be above 0"), ({"percent": "-1"}, "percentage must be above 0"),
        ({"size": "half"}, "half"), ({"convention": "nobody"}, "no convention nobody"),
    ],
)  # fmt: skip
def test_a_wish_that_is_none_is_refused(
    client: FlaskClient, fields: dict[str, str], said: str
) -> None:
    for address in ("/api/planner", "/api/planner/chart"):
        response = client.post(address, json=wish(**fields))
        assert response.status_code == 422
        assert said in str(response.json)


def test_the_chart_has_the_plans_in_their_order_and_figures_as_the_reader_writes_them(
    client: FlaskClient,
) -> None:
    client.patch("/api/settings", json={"decimal_sign": "comma"})
    plans = client.post("/api/planner", json=wish()).json
    chart = client.post("/api/planner/chart", json=wish()).json
    assert [course["tool"] for course in chart["courses"]] == [plan["tool"] for plan in plans]
    assert chart["sizes"][0] == {"at": 0.1, "text": "0,1"}
    best = chart["courses"][0]["path"][-1]
    assert best["percent"] <= chart["percent"] == 1


def test_a_difference_is_seen_as_two_bands_on_one_rule(client: FlaskClient) -> None:
    body = {
        "name": "gap",
        "formula": "F - D",
        "unit": "mm",
        "inputs": {"F": "ferrule", "D": "spreader"},
    }
    sheet = client.post(f"{SHEET}/derived", json=body).json
    (found,) = (one["subtracted"] for one in sheet["derived"] if one["name"] == "gap")
    ferrule, spreader = found["bands"]
    assert (ferrule["label"], ferrule["sentence"]) == ("Ferrule, outside", "(8.72 ± 0.03) mm")
    assert found["low"] < spreader["low"] < spreader["at"] < ferrule["low"] < found["high"]
    assert all(mark["text"].endswith(" mm") for mark in found["marks"])


def test_without_tools_the_common_ones_are_planned_with(client: FlaskClient) -> None:
    for tool in client.get("/api/tools").json:
        client.delete(f"/api/tools/{tool['id']}", headers={"If-Match": str(tool["version"])})
    found = client.post("/api/planner", json=wish(convention="standard-95")).json
    assert "Screw gauge, half-millimetre turns" in {plan["name"] for plan in found}
