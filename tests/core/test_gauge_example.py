"""The published end-gauge example, JCGM 100:2008, H.1: 32 nm, 16 degrees of freedom, 93 nm."""

from fractions import Fraction

from metrion.core.conventions.convention import Convention, Coverage, Family
from metrion.core.formula.expression import number
from metrion.core.working.model import Component, Source
from metrion.core.working.steps import Working
from metrion.core.working.uncertainty import add_combination, stated

# Contributions of table H.1 in nanometres, with their degrees of freedom.
CONTRIBUTIONS = [("25", 18), ("5.8", 24), ("3.9", 5), ("6.7", 8), ("2.9", 50), ("16.6", 2)]
AT_99 = Convention(
    "c", "99 %", Family.STANDARD, Fraction(1, 2), True, 2,
    coverage=Coverage(Fraction(99), percentage=True),
)  # fmt: skip


def test_combined_uncertainty_degrees_of_freedom_and_expanded_uncertainty() -> None:
    working, components = Working("nm"), []
    for index, (size, freedom) in enumerate(CONTRIBUTIONS):
        working.given(f"part_{index}", Fraction(size))
        components.append(Component(f"part_{index}", Source.TYPED, number(freedom)))
    add_combination(working, components, AT_99)
    found = stated(working, AT_99)
    assert found.coverage_factor is not None
    assert round(found.size / found.coverage_factor) == 32
    assert found.degrees_of_freedom == 16
    assert round(found.coverage_factor, 2) == Fraction("2.92")
    # The guide multiplies the rounded 32 nm.
    assert round(found.coverage_factor * 32) == 93
