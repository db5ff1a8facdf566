"""The reading desk through the API."""

from typing import Any

from flask.testing import FlaskClient

SHEET = "/api/sheets/spare-parts"


def indication(client: FlaskClient, **typed: Any) -> Any:
    body = {"seq": 1, "instrument": "cal-a", "zero": ["z-outside"], **typed}
    return client.post(f"{SHEET}/look", json=body).json


def test_a_look_at_the_zero_is_judged(client: FlaskClient) -> None:
    finding = indication(client, main="-1", fine="17", zero=[], reference="")["finding"]
    assert finding["error"] == -0.15
    assert finding["ways"] == [
        "mark below zero and line: −1 + 17 × 0.05 = −0.15 mm",
        "counted back from the end: −(20 − 17) × 0.05 = −3 × 0.05 = −0.15 mm",
    ]
    on_piece = indication(client, main="25", fine="1", zero=[], reference="25")
    assert on_piece["finding"]["words"].startswith(
        "Zero error 0.05 mm: it reads too much, a positive zero error."
    )
    wrong = indication(client, main="25", fine="1", zero=[], reference="a ring")
    assert (wrong["finding"], bool(wrong["reference_fault"])) == (None, True)


def test_what_is_typed_is_answered(client: FlaskClient) -> None:
    answer = indication(client, seq=7, main="6", fine="3")
    assert (answer["seq"], answer["read"], answer["corrected"]) == (7, "6.15", "6.30")
    assert answer["fine"] == {
        "value": "3", "typed": "3", "numeral": "1½", "worth": "0.15", "fault": "", "offers": [],
        "seen": [3],
    }  # fmt: skip
    assert answer["bounds"] == ["6", "7"]
    assert [n["words"] for n in answer["neighbours"]] == ["0.05 right of 10", "0.05 left of 14"]


def test_a_slider_comes_to_the_nearest_reading(client: FlaskClient) -> None:
    answer = indication(client, position=6.1372)
    assert (answer["main"]["value"], answer["fine"]["value"], answer["read"]) == ("6", "3", "6.15")


def test_half_an_entry_is_answered_as_far_as_it_goes(client: FlaskClient) -> None:
    answer = indication(client, main="6,437", fine="")
    assert "is not a mark" in answer["main"]["fault"]
    assert (answer["read"], answer["position"]) == (None, None)
    assert indication(client, main="6")["position"] == 6.0
