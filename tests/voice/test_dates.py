"""Days and times as people write them."""

import time
from collections.abc import Iterator

import pytest

from metrion.voice.dates import written_date


@pytest.fixture(params=["Asia/Kolkata", "America/Caracas"])
def zone(request: pytest.FixtureRequest, monkeypatch: pytest.MonkeyPatch) -> Iterator[str]:
    monkeypatch.setenv("TZ", request.param)
    time.tzset()
    yield request.param
    monkeypatch.undo()
    time.tzset()


def test_a_moment_is_told_where_the_reader_is(zone: str) -> None:
    local = {
        "Asia/Kolkata": "2 May 2026, 05:00", "America/Caracas": "1 May 2026, 19:30",
    }[zone]  # fmt: skip
    assert written_date("2026-05-01T23:30:00+00:00", "en") == local
    assert written_date("2026-05-01T23:30:00Z", "en") == local


def test_a_day_is_that_day_everywhere(zone: str) -> None:
    assert written_date("2026-05-02", "en") == "2 May 2026"
    assert written_date("2026-05-02", "de") == "2. Mai 2026"
    assert written_date("2026-05-02", "xx-unknown") == "2 May 2026"


@pytest.mark.parametrize("text", ["", "2 May", "spring", "2026-13-01", "9999-12-31T23:59:00-23:00"])
def test_what_is_no_date_stays_as_it_was_typed(text: str) -> None:
    assert written_date(text, "en") == text
