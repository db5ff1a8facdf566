"""Every error of the core says what is wrong, in full; and the critical values of the outlier test."""

from collections.abc import Callable
from fractions import Fraction

import pytest

from metrion.core.desk.desk import consider
from metrion.core.desk.typed import typed_number
from metrion.core.errors import MetrionError, shortened
from metrion.core.exact.bounds import check_id, check_number, check_text, check_unit
from metrion.core.facts import Name
from metrion.core.formula import check_bounds, parse_formula
from metrion.core.formula.dimensions import resolve
from metrion.core.formula.units import LENGTH, MASS, parse_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.review.slips import _grubbs_critical_squared
from metrion.core.scales import ScrewScale, VernierScale
from metrion.core.traits import Kind
from tests.said import said

CALIPER = Instrument("c", "C", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))
KNOWN = {"a": LENGTH, "m": MASS}


def formula(text: str) -> Callable[[], object]:
    return lambda: parse_formula(text)


def bounded(text: str) -> Callable[[], object]:
    return lambda: check_bounds(parse_formula(text))


def resolved(text: str) -> Callable[[], object]:
    return lambda: resolve(parse_formula(text), KNOWN)


def amiss(main: str, fine: str = "") -> Callable[[], object]:
    """What is wrong with figures that were typed, as an error."""

    def consider_it() -> object:
        heard = consider(CALIPER, main, fine).heard
        if fault := heard.main_fault or heard.fine_fault:
            raise MetrionError(fault.code, **fault.about)
        return heard

    return consider_it


@pytest.mark.parametrize(
    ("wrong", "says"),
    [
        (formula("a ; b"), "the formula a ; b holds something other than numbers, names, + - * / ** and brackets"),
        (formula("a +"), "something is missing in the formula after +"),
        (formula("log(a)"), "log(…) is no function; known are sqrt, sin, cos, tan, asin, acos, atan"),
        (formula("a // a"), "the formula holds something other than + - * / ** and functions"),
        (formula("sin + 1"), "sin needs its argument in brackets"),
        (formula("a**(1/0)"), "an exponent of the formula has no value"),
        (formula("a**10"), "exponents must be whole or half numbers from -9 to 9"),
        (formula("a**(1/3)"), "exponents must be whole or half numbers from -9 to 9"),
        (formula("a**a"), "an exponent must be a constant number"),
        (bounded("a+" * 260 + "a"), "the formula has 521 characters, but may have 500"),
        (bounded("(" * 33 + "a" + ")" * 33), "the formula has brackets 33 deep, but may have them 32 deep"),
        (bounded("9**9**9*9**9**9"), "exponents must be whole or half numbers from -9 to 9"),
        (bounded("*".join(["999999999"] * 35)), "a number of the formula, or a part made of numbers, is beyond 10^300 or closer to nothing than 10^-300"),
        (bounded("1/(" + "*".join(["999999999"] * 35) + ")"), "a number of the formula, or a part made of numbers, is beyond 10^300 or closer to nothing than 10^-300"),
        (resolved("a + b + c"), "the formula names b, c, which is no input"),
        (resolved("a + m"), "the units on the two sides of + in the formula do not match"),
        (resolved("asin(a)"), "asin takes a bare number, and is given one with a unit"),
        (resolved("sin(a)"), "sin takes an angle or a bare number, and is given another unit"),
        (lambda: parse_unit("mm mm"), "mm mm is no unit: units are names joined by * or /, each with **k if it is a power, like g/cm**3; or 1 for a bare number"),
        (lambda: parse_unit("furlong"), "furlong is no unit known here; known are mm, cm, m, in, um, nm, g, kg, arcmin, deg, rad"),
        (lambda: parse_unit("rad**999"), "this power of a unit is too large to be worked with"),
        (lambda: check_unit("mm**10"), "the powers of a unit run from -9 to 9"),
        (lambda: check_id(""), "an id has 1 to 64 characters, and this one 0"),
        (lambda: check_id("a b"), '"a b" cannot be an id: no blanks, no control characters, none of / \\ ? # %, and not . or .. alone'),
        (lambda: check_text("abc", 2), "abc has 3 characters, but may have at most 2"),
        (lambda: check_text("a\x07", 9), "a\x07 holds the character U+0007, which text here cannot"),
        (lambda: check_number("1/1234567890123", Fraction(1, 1234567890123)), "1/1234567890123 has parts of more digits than the 12 that each part of a fraction may have"),
        (lambda: typed_number("1" + "0" * 12), "1000000000000 is too large; a number here is below 10^12"),
        (lambda: typed_number("0." + "0" * 12 + "1"), "0.0000000000001 is too small; a number here is 0, or at least 10^-12 in size"),
        (lambda: typed_number("1" * 41), f"{'1' * 40}… has 41 characters, but a number has at most 40"),
        (lambda: typed_number("six"), "six is not a number as it is written here: digits with a point (12.35), or a fraction (1/16)"),
        (amiss("6.437"), "6.437 is not a mark of C, whose marks are 1 mm apart"),
        (amiss("6", "21"), "C has no line 21; its lines run from 0 to 20"),
        (amiss("6", "3.3"), "3.3 is no line of C, and no numeral or worth of one; its lines run from 0 to 20"),
        (amiss("6", "12-17"), "12-17 are more than 5 lines; look again which of them meet"),
        (amiss("6", "14-12"), "14-12 are no lines beside each other: give the lower one first, like 15-16"),
        (amiss("6", "19-21"), "C has no lines 19-21; the lines that can be taken for each other run from 0 to 20"),
        (lambda: ScrewScale(Fraction(1, 2), 50, Fraction(3, 10)), "sleeve marks 0.3 apart do not fit a pitch of 0.5: they must be the pitch, twice the pitch, or go a whole number of times into it"),
        (VernierScale(Fraction(1), 10, 20).refuse_useless, "10 fine divisions over 20 main divisions all coincide at once, so the fine scale tells nothing; a span such as 9 would make one"),
        (VernierScale(Fraction(1), 1, 7).refuse_useless, "one fine division tells nothing; a fine scale needs at least two"),
    ],
)  # fmt: skip
def test_what_is_wrong_is_said(wrong: Callable[[], object], says: str) -> None:
    with pytest.raises(MetrionError) as error:
        wrong()
    assert said(error.value) == says


def test_what_is_just_within_bounds_is_taken() -> None:
    for fine in ("a+" * 249 + "a", "(" * 32 + "a" + ")" * 32, "a**9", "a**(-9)", "a**(1/2)"):
        check_bounds(parse_formula(fine))
    check_bounds(parse_formula("*".join(["999999999"] * 33)))
    check_unit("mm**9*g**-9")
    check_id("a" * 64)
    check_text("a\tb\n" + "c" * 6, 10)


def test_what_somebody_wrote_is_cut_off_after_forty_signs() -> None:
    assert shortened("x" * 40) == Name("x" * 40)
    assert shortened("x" * 41) == Name("x" * 40 + "…")


@pytest.mark.parametrize(
    ("count", "critical"),
    [(4, 1.496), (5, 1.764), (6, 1.973), (7, 2.139), (8, 2.274), (10, 2.482), (20, 3.001)],
)
def test_the_critical_values_of_grubbs_at_one_per_cent(count: int, critical: float) -> None:
    """Two-sided, as printed in tables."""
    assert _grubbs_critical_squared(count) ** 0.5 == pytest.approx(critical, abs=6e-4)
