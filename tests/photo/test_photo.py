"""Photographs of scales: what meets in them, how surely, and when it cannot be told."""

from dataclasses import replace
from fractions import Fraction
from math import radians

import numpy as np
import pytest

from metrion.core.camera import (
    Flaws,
    Shot,
    photograph_circle,
    photograph_screw,
    photograph_vernier,
)
from metrion.core.instruments.instrument import Instrument
from metrion.core.photo.answer import PhotoAnswer, read_photo
from metrion.core.photo.fan import Fan
from metrion.core.photo.long_lines import longs_of
from metrion.core.photo.strip import Strip
from metrion.core.scales import Numbering, ScrewScale, VernierScale
from metrion.core.scales.plain import PlainScale
from metrion.core.traits import Kind

SIZE = (1000, 560)
HELD = Flaws(turned=7, tilted=(12, -14), blur=1.0, noise=0.02, shadow=0.4, dirt=6, thumb=2)


def caliper(lines: int, span: int, numbering: Numbering = Numbering.WITH) -> Instrument:
    scale = VernierScale(Fraction(1), lines, span, numbering)
    return Instrument("v", "V", Kind.VERNIER, "mm", scale)


def shot_of(lines: int, step: float, at: float, pixels: float, flaws: Flaws, seed: int = 3) -> Shot:
    random = np.random.default_rng(seed)
    return photograph_vernier(lines, step, at, pixels, flaws, random, SIZE)


def off(answer: PhotoAnswer, shot: Shot) -> float:
    assert answer.position is not None, answer.why.code
    half = answer.modulo / 2
    return (answer.position - shot.position + half) % answer.modulo - half


@pytest.mark.parametrize(
    ("lines", "span", "pixels"),
    [(10, 9, 30), (20, 19, 30), (20, 39, 18), (25, 24, 30), (10, 11, 40)],
)
@pytest.mark.parametrize("at", [0.2, 3.5, 7.97])
def test_a_vernier_is_read_to_parts_of_a_line(
    lines: int, span: int, pixels: float, at: float
) -> None:
    shot = shot_of(lines, span / lines, at, pixels, HELD)
    answer = read_photo(shot.picture, caliper(lines, span), shot.edge)
    assert abs(off(answer, shot)) < 0.1
    assert answer.modulo == lines
    assert answer.error is not None
    assert 0.001 < answer.error < 0.1
    assert shot.zero is not None
    assert answer.zero == pytest.approx(tuple(shot.zero), abs=8)


@pytest.mark.parametrize(("lines", "span", "pixels"), [(20, 39, 18), (50, 49, 15), (25, 24, 28)])
@pytest.mark.parametrize("height", [0.15, -0.3])
def test_a_fine_scale_that_lies_lower_or_higher_is_read_as_it_is_seen(
    lines: int, span: int, pixels: float, height: float
) -> None:
    """It looks smaller or larger then, and another line meets than from straight above."""
    flaws = replace(HELD, height=height)
    shot = shot_of(lines, span / lines, 7.4, pixels, flaws)
    assert abs(shot.position - 7.4) > 0.3
    assert abs(off(read_photo(shot.picture, caliper(lines, span), shot.edge), shot)) < 0.3


def test_between_two_lines_both_are_candidates() -> None:
    shot = shot_of(20, 0.95, 6.5, 30, HELD)
    answer = read_photo(shot.picture, caliper(20, 19), shot.edge)
    first, second = answer.candidates[:2]
    assert {first.line, second.line} == {6, 7}
    assert first.probability + second.probability > 0.95
    clear = read_photo((s := shot_of(20, 0.95, 7.0, 30, HELD)).picture, caliper(20, 19), s.edge)
    assert clear.line == 7
    assert clear.candidates[0].probability > 0.95


def test_lines_numbered_against_the_scale() -> None:
    # The zero of such a scale is at its right end.
    shot = shot_of(10, 1.1, 4.0, 40, HELD)
    tool = caliper(10, 11, Numbering.AGAINST)
    answer = read_photo(shot.picture, tool, shot.edge)
    assert answer.position is not None
    # Line 4 from the left is line 6 from the right.
    assert answer.position == pytest.approx(6, abs=0.1)


@pytest.mark.parametrize("flip", [False, True])
def test_it_does_not_matter_which_end_the_thumb_set_first(flip: bool) -> None:
    shot = shot_of(20, 0.95, 12.0, 30, HELD)
    edge = shot.edge[::-1] if flip else shot.edge
    assert read_photo(shot.picture, caliper(20, 19), edge).line == 12


@pytest.mark.parametrize("at", [1.25, 17.0])
@pytest.mark.parametrize("height", [0, 0.3, -0.2])
def test_a_circle_is_read_along_its_arc(at: float, height: float) -> None:
    scale = VernierScale(Fraction(30), 30, 29)
    tool = Instrument("c", "C", Kind.ANGULAR, "arcmin", scale)
    random, flaws = np.random.default_rng(8), replace(HELD, height=height)
    shot = photograph_circle(30, 29 / 30, at, 22, radians(0.5), flaws, random, SIZE)
    assert (abs(shot.position - at) > 0.3) == (height != 0)
    assert abs(off(read_photo(shot.picture, tool, shot.edge), shot)) < 0.06


@pytest.mark.parametrize("about", [-20, 20])
def test_a_circle_seen_aslant_is_an_ellipse(about: float) -> None:
    """Its lines still meet in one point, whatever the camera does."""
    scale = VernierScale(Fraction(60), 10, 9)
    tool = Instrument("c", "C", Kind.ANGULAR, "arcmin", scale)
    random, flaws = np.random.default_rng(8), replace(HELD, tilted=(about, -about))
    shot = photograph_circle(10, 9 / 10, 8.3, 60, radians(1), flaws, random, SIZE)
    assert abs(off(read_photo(shot.picture, tool, shot.edge), shot)) < 0.03


@pytest.mark.parametrize("upward", [True, False])
@pytest.mark.parametrize("at", [12.3, 41.0])
def test_a_screw_is_known_up_to_its_long_lines(upward: bool, at: float) -> None:
    tool = Instrument("s", "S", Kind.SCREW, "mm", ScrewScale(Fraction(1, 2), 50, Fraction(1, 2)))
    random = np.random.default_rng(5)
    shot = photograph_screw(50, at, 20, HELD, random, upward=upward, size=SIZE)
    answer = read_photo(shot.picture, tool, shot.edge, upward=upward)
    assert answer.modulo == 5
    assert abs(off(answer, shot)) < 0.02
    assert answer.zero is None
    wrong_way = read_photo(shot.picture, tool, shot.edge, upward=not upward)
    assert abs(off(wrong_way, shot)) > 0.2


@pytest.mark.parametrize(("lines", "pixels"), [(25, 40), (100, 14)])
@pytest.mark.parametrize("tilted", [(18, -20), (-15, 20)])
def test_a_thimble_is_round_and_its_edge_bent_when_seen_from_the_side(
    lines: int, pixels: float, tilted: tuple[float, float]
) -> None:
    tool = Instrument("s", "S", Kind.SCREW, "mm", ScrewScale(Fraction(1, 2), lines, Fraction(1, 2)))
    random, flaws = np.random.default_rng(5), replace(HELD, tilted=tilted)
    shot = photograph_screw(lines, 12.3, pixels, flaws, random, size=SIZE)
    answer = read_photo(shot.picture, tool, shot.edge)
    assert abs(off(answer, shot)) < 0.02
    assert answer.aslant
    # The sleeve lies lower than the thimble, so that another line meets than from straight above.
    assert abs(shot.position - 12.3 % 5) > 0.02


@pytest.mark.parametrize("part", [1.0, 0.7, 0.5])
def test_the_edge_of_a_thimble_may_be_set_in_part(part: float) -> None:
    tool = Instrument("s", "S", Kind.SCREW, "mm", ScrewScale(Fraction(1, 2), 50, Fraction(1, 2)))
    shot = photograph_screw(50, 12.3, 20, HELD, np.random.default_rng(5), size=SIZE)
    middle = shot.edge.mean(axis=0)
    answer = read_photo(shot.picture, tool, middle + part * (shot.edge - middle))
    assert abs(off(answer, shot)) < 0.02


def test_where_too_little_of_a_thimble_is_in_the_picture_any_line_may_be_the_long_one() -> None:
    strip = Strip(np.zeros((6, 400)), np.arange(5.0, -1, -1), np.arange(400.0))
    fan = Fan(25, 200.0, 40.0, np.array([25 / 2 / np.pi, 0, 0, 0, 0, 0, 0]), np.zeros((7, 7)))
    assert fan.numbers(2.5).tolist() == [-2, -1, 0, 1, 2]
    assert longs_of(strip, fan, fan.numbers(2.5)) == (0.2,) * 5


def test_where_glare_hides_how_long_lines_are_a_thimble_cannot_be_told() -> None:
    tool = Instrument("s", "S", Kind.SCREW, "mm", ScrewScale(Fraction(1, 2), 50, Fraction(1, 2)))
    shot = photograph_screw(50, 12.3, 20, Flaws(), np.random.default_rng(5), size=SIZE)
    picture, ends = shot.picture.copy(), int(shot.edge[:, 0].mean()) + 30
    picture[:, ends:] = 1.0
    assert refused(picture, tool, shot.edge) == "photo-no-long-lines"


def test_glare_over_the_coincidence_leaves_it_to_the_other_lines() -> None:
    flaws = Flaws(turned=3, glare=1, over_coincidence=True, noise=0.01)
    shot = shot_of(20, 0.95, 9.3, 30, flaws)
    assert abs(off(read_photo(shot.picture, caliper(20, 19), shot.edge), shot)) < 0.1


def refused(picture: np.ndarray, tool: Instrument, edge: object) -> str:
    answer = read_photo(picture, tool, np.array(edge, dtype=float))
    assert answer.position is None
    assert answer.candidates == ()
    return answer.why.code


def test_what_cannot_be_told_is_not() -> None:
    random = np.random.default_rng(1)
    blank = np.clip(0.7 + random.normal(0, 0.02, (560, 1000)), 0, 1)
    edge = [[200.0, 280.0], [800.0, 285.0]]
    assert refused(blank, caliper(20, 19), edge).startswith("photo-no-")
    shot = shot_of(20, 0.95, 5, 20, Flaws(blur=12, noise=0.05))
    assert refused(shot.picture, caliper(20, 19), shot.edge).startswith("photo-")
    sharp = shot_of(20, 0.95, 5, 30, Flaws())
    assert refused(sharp.picture, caliper(20, 19), [[10, 10], [30, 10]]) == "photo-edge"
    assert refused(sharp.picture, caliper(20, 19), [[-400, 280], [900, 280]]) == "photo-edge"
    ruler = Instrument("r", "R", Kind.PLAIN, "mm", PlainScale(Fraction(1)))
    assert refused(sharp.picture, ruler, sharp.edge) == "photo-no-fine-scale"


def test_where_lines_are_not_where_they_should_be_none_is_told() -> None:
    """So blurred that what stands out is dirt and the light: that seldom lies as lines do."""
    told = []
    for seed in range(12):
        shot = shot_of(20, 0.95, 6.3, 24, replace(HELD, blur=10.0), seed)
        told.append(read_photo(shot.picture, caliper(20, 19), shot.edge).position)
    assert told.count(None) >= 11


@pytest.mark.parametrize("hidden", [(0.2, 0.45), (0.5, 0.8)])
def test_lines_that_are_blinded_are_not_miscounted(hidden: tuple[float, float]) -> None:
    # Aslant, the lines are closer at one end: what is hidden is not as many as in the middle.
    flaws = replace(HELD, tilted=(4, 20), blur=0.8)
    shot = shot_of(20, 39 / 20, 7.3, 18, flaws)
    picture, along = shot.picture.copy(), np.linspace(*shot.edge[:, 0], 101)
    begin, end = (int(along[round(100 * part)]) for part in hidden)
    picture[:, begin:end] = 1.0
    assert abs(off(read_photo(picture, caliper(20, 39), shot.edge), shot)) < 0.1


def test_the_error_means_what_it_says() -> None:
    """Over many pictures the answer is off by about its error."""
    away = []
    for seed in range(24):
        at = 20 * seed / 24 + 0.1
        shot = shot_of(20, 0.95, at, 24, HELD, seed)
        answer = read_photo(shot.picture, caliper(20, 19), shot.edge)
        assert answer.error is not None
        away.append(off(answer, shot) / answer.error)
    assert 0.4 < 1.4826 * float(np.median(np.abs(away))) < 1.6
