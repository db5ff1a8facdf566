"""What Metrion answers stays what it was, unless the record says otherwise."""

from tests.recorded.record import SOON, Difference, compared, differences


def test_every_answer_is_as_recorded() -> None:
    found = [str(one) for one in compared(SOON)]
    assert found[:20] == []


def test_a_difference_is_told_with_its_place() -> None:
    was = {"one": {"report": "a\nb\nc", "rows": [1, 2], "gone": 1}}
    now = {"one": {"report": "a\nB\nc", "rows": [1, 3]}}
    assert list(differences(was, now)) == [
        Difference("one/report/1", "b", "B"),
        Difference("one/rows/1", 2, 3),
        Difference("one/gone", 1, None),
    ]
    assert Difference("one/rows/1", 2, 3).sort == "rows/*"
