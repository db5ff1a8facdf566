"""The published end-gauge example, JCGM 100:2008, H.1: 32 nm, 16 degrees of freedom, 93 nm."""

from fractions import Fraction

from metrion.core.conventions import Convention, Coverage, Family
from metrion.core.uncertainty import Part, Source, combine_parts

# Contributions of table H.1 in nanometres, with their degrees of freedom.
PARTS = [
    Part(Source.TYPED, Fraction(25) ** 2, 18),
    Part(Source.SCATTER, Fraction("5.8") ** 2, 24),
    Part(Source.TYPED, Fraction("3.9") ** 2, 5),
    Part(Source.TYPED, Fraction("6.7") ** 2, 8),
    Part(Source.TYPED, Fraction("2.9") ** 2, 50),
    Part(Source.TYPED, Fraction("16.6") ** 2, 2),
]
AT_99 = Convention(
    "c", "99 %", Family.STANDARD, Fraction(1, 2), True, 2,
    coverage=Coverage(Fraction(99), percentage=True),
)  # fmt: skip


def test_combined_uncertainty_degrees_of_freedom_and_expanded_uncertainty() -> None:
    found = combine_parts(PARTS, AT_99)
    assert found.coverage_factor is not None
    assert round(found.size / found.coverage_factor) == 32
    assert found.degrees_of_freedom == 16
    assert round(found.coverage_factor, 2) == Fraction("2.92")
    # The guide multiplies the rounded 32 nm.
    assert round(found.coverage_factor * 32) == 93
