"""Uncertainties carried through formulas, against the ``uncertainties`` package."""

import math
from fractions import Fraction

from hypothesis import assume, given
from hypothesis import strategies as st
from uncertainties import ufloat, umath

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.formula import parse_formula
from metrion.core.formula.dimensions import resolve
from metrion.core.formula.units import NONE, parse_unit
from metrion.core.quantity.derived import Derived, TypedValue
from metrion.core.quantity.derived_result import reduce_derived
from tests.strategies import formulas

ONE = parse_unit("1")
FUNCTIONS = {name: getattr(umath, name) for name in ("sqrt", "sin", "cos")}
hundredths = st.integers(10, 300).map(lambda n: Fraction(n, 100))


@given(formulas(), st.tuples(hundredths, hundredths, hundredths), st.tuples(*[hundredths] * 3))
def test_random_formulas_carry_what_the_package_carries(
    text: str, values: tuple[Fraction, ...], uncertainties: tuple[Fraction, ...]
) -> None:
    parsed = parse_formula(text)
    assume(parsed.names)
    resolved, _ = resolve(parsed, dict.fromkeys("xyz", NONE))
    typed = {
        name: TypedValue(value, uncertainty / 100, ONE)
        for name, value, uncertainty in zip("xyz", values, uncertainties, strict=True)
    }
    found = reduce_derived(Derived("d", "", resolved, ONE, BUILT_IN["standard"], typed))
    theirs = eval(
        text,
        {
            **FUNCTIONS, "pi": math.pi,
            **{n: ufloat(float(one.value), float(one.uncertainty)) for n, one in typed.items()},
        },
    )  # fmt: skip
    assert found.value is not None
    assert found.uncertainty is not None
    assert math.isclose(float(found.value), theirs.nominal_value, rel_tol=1e-9, abs_tol=1e-9)
    assert math.isclose(float(found.uncertainty.size), theirs.std_dev, rel_tol=1e-7, abs_tol=1e-9)
