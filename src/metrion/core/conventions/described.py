"""What a convention does, in words, and how two of them differ."""

from __future__ import annotations

from fractions import Fraction

from metrion.core.conventions.convention import Combine, Convention, Family, Spread
from metrion.core.facts import Fact, fact

_DIGITS = {1: "one", 2: "two", "1-or-2": "one-or-two"}


def phrases(convention: Convention) -> dict[str, Fact]:
    """What a convention does, by aspect; each phrase goes on from its name."""
    standard = convention.family is Family.STANDARD
    limits = {Fraction(1, 2): "half", Fraction(1): "whole"}
    spread = Spread.STANDARD_ERROR if standard else convention.spread
    combine = Combine.QUADRATURE if standard else convention.combine
    return {
        "look": fact(
            "convention-look",
            size=limits.get(convention.reading_limit, "other"),
            limit=convention.reading_limit,
        ),
        "limits": fact("convention-limits", family=str(convention.family)),
        "zero": fact("convention-zero", counts="yes" if convention.zero_look else "no"),
        "scatter": fact("convention-scatter", spread=str(spread)),
        "combine": fact("convention-combine", combine=str(combine)),
        "coverage": _coverage(convention),
        "digits": fact("convention-digits", digits=_DIGITS[convention.digits]),
        "estimate": fact("convention-estimate", tenths="yes" if convention.estimate else "no"),
    }


def _coverage(convention: Convention) -> Fact:
    if convention.family is Family.LIMIT:
        return fact("convention-covers-limits")
    coverage = convention.coverage
    if coverage.percentage:
        return fact("convention-covers-percent", number=coverage.number)
    if coverage.number == 1:
        return fact("convention-covers-nothing")
    return fact("convention-covers-times", number=coverage.number)


def described(convention: Convention) -> tuple[Fact, ...]:
    """A convention in sentences."""
    return tuple(fact("sentence", phrase=phrase) for phrase in phrases(convention).values())


def difference(
    yours: Convention, theirs: Convention, *, zero_looked_at: bool = True
) -> Fact | None:
    """Why theirs may say something else than yours; None for the same rules.

    Args:
        zero_looked_at: whether a look at the zero enters at all; else its rule makes no difference.
    """
    before, after = phrases(yours), phrases(theirs)
    if not zero_looked_at:
        del after["zero"]
    changed = tuple(phrase for aspect, phrase in after.items() if phrase != before[aspect])
    return fact("convention-differs", phrases=changed) if changed else None
