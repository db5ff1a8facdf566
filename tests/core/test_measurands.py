"""What can be measured of a thing: which tools take it, and which names tell of it."""

import pytest

from metrion.core.quantity.measurands import TAKEN, Measurand, told_by
from metrion.core.traits import Kind

WORDS = {
    Measurand.INSIDE: ["inner", "bore"], Measurand.DEPTH: ["depth"],
    Measurand.ANGLE: ["angle"], Measurand.HALF_ANGLE: ["half"],
}  # fmt: skip


@pytest.mark.parametrize(
    ("name", "told"),
    [
        ("Ferrule", []), ("Inner diameter", ["inside"]), ("ferrule,BORE", ["inside"]),
        ("borehole", []), ("bore, depth", ["inside", "depth"]), ("half-angle", ["half-angle"]),
        ("the angle", ["angle"]), ("", []),
    ],
)  # fmt: skip
def test_a_name_tells_by_whole_words(name: str, told: list[str]) -> None:
    assert told_by(name, WORDS) == told


@pytest.mark.parametrize(
    ("measurand", "kinds"),
    [
        ("outside", {"vernier", "screw", "plain"}), ("inside", {"vernier", "plain"}),
        ("depth", {"vernier", "plain"}), ("thickness", {"vernier", "screw", "plain"}),
        ("stack", {"vernier", "screw", "plain"}), ("ends", {"vernier", "plain"}),
        ("difference", {"vernier", "screw", "plain"}), ("angle", {"angular"}),
        ("half-angle", {"angular"}),
    ],
)  # fmt: skip
def test_which_tools_take_it(measurand: str, kinds: set[str]) -> None:
    taken = TAKEN[Measurand(measurand)]
    assert {str(kind) for kind in Kind if taken.fits(kind)} == kinds


def test_each_is_taken_in_its_way() -> None:
    assert set(TAKEN) == set(Measurand)
    assert [one for one, taken in TAKEN.items() if taken.count > 1] == [Measurand.DIFFERENCE]
    assert [one for one, taken in TAKEN.items() if taken.stacked] == [Measurand.STACK]
    assert [one for one, taken in TAKEN.items() if taken.divide_by == 2] == [Measurand.HALF_ANGLE]
