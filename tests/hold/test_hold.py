"""Short forms of the long checks (`make hold`)."""

import pytest

from tests.hold import exhausting
from tests.hold.bounds import FILES, measured
from tests.hold.exhausting import CASES
from tests.hold.fuzzed import fuzzed
from tests.hold.kills import Held, killed_while_starting, killed_while_writing
from tests.hold.load import carried
from tests.hold.mutated import tried_by_all

IDLE = "110 idle connections"


@pytest.mark.parametrize("kill", [killed_while_writing, killed_while_starting])
def test_a_killed_server_has_kept_what_it_acknowledged(kill: object) -> None:
    assert callable(kill)
    held: Held = kill(3)
    assert held.acknowledged
    assert (held.lost, held.doubled, held.damaged) == (set(), set(), 0)


@pytest.mark.parametrize("one_sheet", [False, True])
def test_many_clients_are_all_served(one_sheet: bool) -> None:
    found = carried(10, 10, one_sheet=one_sheet)
    assert found.statuses == {201: 100}
    assert (len(found.written), found.lost, found.doubled) == (100, 0, 0)


def test_the_api_answers_as_it_is_described() -> None:
    found = fuzzed(3, "fuzzing")
    assert found.generated > 100
    assert found.passed == found.generated, found.said


def test_what_is_out_of_bounds_is_refused_in_little_memory() -> None:
    for name, wanted, make in FILES:
        if wanted == 2:
            status, _, memory = measured(make())
            assert (name, status) == (name, wanted)
            assert memory < 500


def test_what_would_exhaust_a_server_is_measured_beside_typing() -> None:
    answered, seconds, memory, wait = exhausting.measured(dict(CASES)[IDLE], "").split(" | ")
    assert answered == "200"
    assert 0 < float(wait) < float(seconds) + 60
    assert int(memory) > 20


def test_mutated_files_are_refused_in_words_or_come_back_the_same() -> None:
    found = tried_by_all(250, processes=1)
    assert found.troubles == []
    assert 5 < found.accepted < 60
