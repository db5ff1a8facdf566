"""What a photograph says beside what was read, where its edge may lie, and how it lies there."""

from dataclasses import replace
from fractions import Fraction

import numpy as np
import pytest

from metrion.core.camera import Flaws, photograph_circle, photograph_screw, photograph_vernier
from metrion.core.facts import fact
from metrion.core.instruments.appearance import Appearance, Side
from metrion.core.instruments.instrument import Instrument
from metrion.core.photo.answer import Candidate, PhotoAnswer, read_photo
from metrion.core.photo.edge import proposed_edge
from metrion.core.photo.said import said
from metrion.core.quantity.photographs import Photograph, PhotographVerdict
from metrion.core.scales import Indication, Scale, ScrewScale, VernierScale
from metrion.core.scales.base import Undecided
from metrion.core.traits import Kind

CALIPER = VernierScale(Fraction(1), 20, 19)
THIMBLE = ScrewScale(Fraction(1, 2), 50, Fraction(1, 2))
SIZE = (1000, 560)
HELD = Flaws(turned=6, tilted=(8, -6), blur=1.0, noise=0.02, shadow=0.3, dirt=4)


def tool(scale: VernierScale | ScrewScale, kind: Kind = Kind.VERNIER) -> Instrument:
    return Instrument("t", "T", kind, "mm" if kind is not Kind.ANGULAR else "arcmin", scale)


def answer(modulo: int, position: float, *odds: tuple[int, float]) -> PhotoAnswer:
    candidates = tuple(Candidate(line, odd) for line, odd in odds)
    return PhotoAnswer(fact("photo-by-lines", count=modulo), position, 0.1, modulo, candidates)


def read(line: int | Fraction | Undecided) -> Indication:
    return Indication.seen(Fraction(6), line)


@pytest.mark.parametrize(
    ("own", "odds", "verdict"),
    [
        (7, [(7, 0.98)], PhotographVerdict.AGREES),
        (8, [(7, 0.98)], PhotographVerdict.DIFFERS),
        (8, [(7, 0.7), (8, 0.3)], PhotographVerdict.CLOSE),
        (8, [(7, 0.96), (8, 0.04)], PhotographVerdict.DIFFERS),
        (Undecided(7, 8), [(7, 0.6), (8, 0.4)], PhotographVerdict.AGREES),
        (Fraction(15, 2), [(7, 0.6), (8, 0.4)], PhotographVerdict.AGREES),
        (Fraction(71, 10), [(8, 0.99)], PhotographVerdict.DIFFERS),
    ],
)
def test_it_agrees_with_what_is_likely(
    own: int | Fraction | Undecided, odds: list[tuple[int, float]], verdict: PhotographVerdict
) -> None:
    found = said(answer(20, 7.2, *odds), read(own), CALIPER, estimates=False)
    assert found.verdict is verdict


@pytest.mark.parametrize(
    ("scale", "modulo", "position", "own", "line", "near"),
    [
        (THIMBLE, 5, 2.1, 38, 37, 37.1),
        (THIMBLE, 5, 0.2, 49, 0, 0.2),
        (THIMBLE, 5, 4.9, 0, 0, 49.9),
        (CALIPER, 20, 0.1, 20, 20, 0.1),
        (CALIPER, 20, 19.8, 0, 0, 19.8),
    ],
)
def test_of_lines_that_look_alike_it_means_the_nearest_to_what_was_read(
    scale: Scale, modulo: int, position: float, own: int, line: int, near: float
) -> None:
    found = said(
        answer(modulo, position, (round(position) % modulo, 0.99)), read(own), scale,
        estimates=False,
    )  # fmt: skip
    assert found.line == line
    assert found.position == pytest.approx(near)


def test_a_tenth_may_be_taken_where_tenths_are_estimated_and_mean_something() -> None:
    shown = answer(5, 2.38, (2, 0.99))
    taken = said(shown, read(38), THIMBLE, estimates=True).takes
    assert [one.line for one in taken] == [37, Fraction(374, 10)]
    assert len(said(shown, read(38), THIMBLE, estimates=False).takes) == 1


def test_the_main_mark_follows_over_the_end_of_the_fine_scale() -> None:
    [taken] = said(answer(20, 19.0, (19, 0.99)), read(0), CALIPER, estimates=False).takes
    assert (taken.main, taken.line) == (5, 19)


def test_what_is_noted_says_what_it_said_and_what_was_read_before() -> None:
    told = Photograph(line="7", position="6.94", standard_error="0.06", own="8").says
    assert told.code == "photograph-told"
    assert Photograph(own="8").says.code == "photograph-told-nothing"


def test_a_fine_scale_above_the_main_scale_is_read_as_well() -> None:
    random = np.random.default_rng(3)
    shot = photograph_vernier(20, 0.95, 7.3, 28, HELD, random, SIZE)
    turned = shot.picture[::-1]
    edge = np.column_stack([shot.edge[:, 0], SIZE[1] - 1 - shot.edge[:, 1]])
    above = replace(tool(CALIPER), appearance=Appearance(fine_side=Side.ABOVE))
    found = read_photo(turned, above, edge)
    assert found.position == pytest.approx(7.3, abs=0.1)
    assert found.zero is not None
    assert shot.zero is not None
    assert found.zero == pytest.approx((shot.zero[0], SIZE[1] - 1 - shot.zero[1]), abs=4)
    assert found.laid is not None
    assert all(one.out_y < 0 for one in found.laid.rail)
    proposed = read_photo(turned, above, proposed_edge(turned, above))
    assert proposed.position == pytest.approx(7.3, abs=0.2)


@pytest.mark.parametrize("seed", range(4))
def test_an_edge_is_proposed_from_which_the_scales_can_be_read(seed: int) -> None:
    random = np.random.default_rng(seed)
    straight = photograph_vernier(20, 0.95, 7.3, 28, HELD, random, SIZE)
    round_one = photograph_circle(30, 29 / 30, 4.2, 22, np.radians(0.5), HELD, random, SIZE)
    screw = photograph_screw(50, 12.3, 18, HELD, random, size=SIZE)
    circle = VernierScale(Fraction(30), 30, 29)
    for shot, shown in (
        (straight, tool(CALIPER)),
        (round_one, tool(circle, Kind.ANGULAR)),
        (screw, tool(THIMBLE, Kind.SCREW)),
    ):
        found = read_photo(shot.picture, shown, proposed_edge(shot.picture, shown))
        assert found.position == pytest.approx(shot.position, abs=0.3)


def test_where_no_scale_is_seen_the_edge_lies_within_the_picture() -> None:
    for picture in (np.full((300, 500), 0.5), np.zeros((40, 60)), np.ones((1, 1))):
        for shown in (tool(CALIPER), tool(THIMBLE, Kind.SCREW)):
            ends = proposed_edge(picture, shown)
            assert np.isfinite(ends).all()
            assert (ends >= 0).all()
            assert (ends <= np.array(picture.shape[::-1])).all()
