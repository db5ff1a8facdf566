"""Hypothesis strategies for what Metrion works with."""

from __future__ import annotations

from fractions import Fraction
from typing import Any

from hypothesis import strategies as st

from metrion.core.exact.numbers import to_text
from metrion.core.scales import Numbering, ScrewScale, VernierScale

NOTES = st.characters(exclude_categories=["Cs", "Cc"], exclude_characters="\ufffe\uffff")
"""Characters that a text of a logbook may hold."""

DIVISIONS = [Fraction(1), Fraction(1, 2), Fraction(1, 10), Fraction(1, 16), Fraction(20)]


def decimals(low: int = -1000, high: int = 1000) -> st.SearchStrategy[Fraction]:
    """Numbers with up to four decimals."""
    return st.integers(low * 10_000, high * 10_000).map(lambda whole: Fraction(whole, 10_000))


@st.composite
def verniers(draw: st.DrawFn) -> VernierScale:
    """Any fine scale that tells something."""
    division = draw(st.sampled_from(DIVISIONS))
    lines, span = draw(st.integers(2, 60)), draw(st.integers(1, 130))
    numbering = draw(st.sampled_from(Numbering))
    if span % lines == 0:
        span += 1
    return VernierScale(division, lines, span, numbering)


@st.composite
def screws(draw: st.DrawFn) -> ScrewScale:
    """Screws with every sort of sleeve."""
    pitch = draw(st.sampled_from([Fraction(1), Fraction(1, 2), Fraction(1, 40)]))
    ratio = draw(st.sampled_from([Fraction(2), Fraction(1), Fraction(1, 2), Fraction(1, 5)]))
    return ScrewScale(pitch, draw(st.sampled_from([25, 50, 100])), pitch * ratio)


@st.composite
def observations(draw: st.DrawFn, scale: VernierScale) -> dict[str, Any]:
    """A single observation that fits a scale, as a file holds it."""
    record: dict[str, Any] = {
        "main": to_text(draw(st.integers(-1, 80)) * scale.main_division),
        "fine": draw(st.integers(0, scale.fine_divisions)),
    }
    if draw(st.booleans()):
        record["place"] = draw(st.sampled_from(["end A", "middle", "90°", ""]))
    if draw(st.booleans()):
        record["excluded"] = draw(st.sampled_from([None, "", "a burr between the jaws"]))
    if draw(st.booleans()):
        record["note"] = draw(st.text(NOTES, max_size=12))
    return record


@st.composite
def logbooks(draw: st.DrawFn) -> dict[str, Any]:
    """Logbook documents with one vernier, its zero checks and some quantities."""
    scale = draw(verniers())
    instrument = {
        "id": "tool", "kind": "vernier", "unit": draw(st.sampled_from(["mm", "cm", "in"])),
        "main_division": to_text(scale.main_division), "fine_divisions": scale.fine_divisions,
        "span": scale.span, "numbering": str(scale.numbering), "of_ours": {"kept": [1, None]},
    }  # fmt: skip
    checks = [
        {"id": f"z{i}", "instrument": "tool", **draw(observations(scale))}
        for i in range(draw(st.integers(0, 2)))
    ]
    for check in checks:
        check.pop("excluded", None)
    quantities = [
        {
            "id": f"m{i}", "instrument": "tool", "items": draw(st.integers(1, 20)),
            "zero": [check["id"] for check in checks][: draw(st.integers(0, 2))],
            "convention": draw(st.sampled_from(["half-division", "standard-95"])),
            "observations": draw(st.lists(observations(scale), max_size=5)),
        }
        for i in range(draw(st.integers(0, 3)))
    ]  # fmt: skip
    return {
        "format": "metrion-logbook", "version": 1, "title": draw(st.sampled_from(["", "Kites"])),
        "instruments": [instrument], "zero_checks": checks, "measurements": quantities,
        "written_by": "somebody else",
    }  # fmt: skip


def formulas() -> st.SearchStrategy[str]:
    """Formulas of the bare numbers x, y and z, with everything but the angle functions' inverses.

    Built so that values stay within reach: roots of what is positive, no division by nothing.
    """
    leaves = st.sampled_from(["x", "y", "z", "2", "0.5", "pi", "x", "y", "z"])

    def grown(inner: st.SearchStrategy[str]) -> st.SearchStrategy[str]:
        return st.one_of(
            st.builds("({} {} {})".format, inner, st.sampled_from("+-*"), inner),
            st.builds("({} / (3 + sin({})))".format, inner, inner),
            st.builds("sqrt(2 + cos({}))".format, inner),
            st.builds(
                "(2 + sin({}))**{}".format, inner, st.sampled_from(["2", "-1", "(1/2)", "1.5"])
            ),
            st.builds("-{}".format, inner),
        )

    return st.recursive(leaves, grown, max_leaves=8)
