"""Formulas and units as people write them, and as a logbook holds them.

A logbook holds plain text that any program can read, ``pi*d**2/4`` in ``g/cm**3``; a person
writes and reads ``π·d²/4`` in ``g/cm³``. Printing never changes what a formula or a unit means,
and what is printed can be typed again.
"""

from __future__ import annotations

import re

from metrion.core.formula.evaluate import PI
from metrion.core.formula.parse import FUNCTIONS

_RAISED = str.maketrans("-0123456789", "⁻⁰¹²³⁴⁵⁶⁷⁸⁹")
_LOWERED = str.maketrans("⁻⁰¹²³⁴⁵⁶⁷⁸⁹", "-0123456789")
_POWER = re.compile(r"\*\*(-?[0-9]+)(?![.\w]|\*\*)")
_RAISED_POWER = re.compile(r"[⁻⁰¹²³⁴⁵⁶⁷⁸⁹]+")
_SIGNS = str.maketrans({"×": "*", "·": "*", "⋅": "*", "÷": "/", "−": "-", "–": "-", "^": "**"})
_UNIT_SIGNS = {"µ": "u", "μ": "u", "°": "deg", "′": "arcmin"}
_UNIT_WORDS = {"um": "µm", "deg": "°", "arcmin": "′"}


def printed_formula(text: str) -> str:
    """A formula of a logbook as it is shown.

    >>> printed_formula("pi*(D**2 - d**2)*h**2/4"), printed_formula("x**(1/2)")
    ('π·(D² − d²)·h²/4', 'x^(1/2)')
    """
    raised = _POWER.sub(lambda power: power[1].translate(_RAISED), text)
    signs = raised.replace("**", "^").replace("*", "·").replace("-", "−")
    return re.sub(r"\bpi\b", "π", signs)


def typed_formula(text: str) -> str:
    """A formula that was typed as a logbook holds it; what is no formula stays what it is.

    Products need no sign, and functions no brackets around a single name or number. What could be
    meant in two ways stays as it is, and is no formula then: how far a slash reaches over a
    product without a sign (but for a plain fraction like ``4/3 r``), and a function over more than
    one name.

    >>> typed_formula("π·(D² − d²)·h/4"), typed_formula("0,5 x^2")
    ('pi*(D**2 - d**2)*h/4', '0.5*x**2')
    >>> typed_formula("πD²h/4"), typed_formula("4/3 π r³"), typed_formula("√2 sin t")
    ('pi*D**2*h/4', '4/3*pi*r**3', 'sqrt(2)*sin(t)')
    >>> typed_formula("m/2r"), typed_formula("sin 2t")
    ('m/2r', 'sin 2t')
    """
    apart = re.sub(rf"({_RAISED_POWER.pattern})(?=[0-9])", r"\1 ", text.strip())
    plain = _lowered(apart).translate(_SIGNS)
    plain = re.sub(r"(?<=[0-9]),(?=[0-9])", ".", plain)
    return _spelt([*map(_Typed, _TYPED.finditer(plain))]) or text.strip()


_TYPED = re.compile(
    r"(?P<blank>\s*)(?:(?P<name>[A-Za-z_][A-Za-z0-9_]*|π|√)"
    r"|(?P<number>[0-9]+(?:\.[0-9]+)?(?![eE.][0-9.]))|\*\*|\S)"
)


class _Typed:
    """A name, a number or a sign of a formula, with the blanks before it."""

    def __init__(self, found: re.Match[str]) -> None:
        self.blank = found["blank"]
        self.word = {"π": PI, "√": "sqrt"}.get(found[0].strip(), found[0].strip())
        self.function = self.word in FUNCTIONS
        self.operand = bool(found["name"] or found["number"]) and not self.function
        self.number = bool(found["number"])

    @property
    def ends(self) -> bool:
        """Whether a product may go on after it."""
        return self.operand or self.word == ")"

    def begins_after(self, before: _Typed) -> bool:
        """Whether a product goes on with it."""
        if self.word != "(":
            return before.ends and (self.operand or self.function)
        # A longer word before a bracket is a function that is not known.
        return before.ends and (not before.operand or before.number or len(before.word) == 1)


def _spelt(typed: list[_Typed]) -> str:
    """The same with the signs of products and the brackets of functions; empty if it is unclear."""
    written: list[str] = []
    for at, one in enumerate(typed):
        before, after = (
            typed[at - 1] if at else None,
            typed[at + 1] if at + 1 < len(typed) else None,
        )
        if before and before.function and one.operand:
            # More than a single name or number after it: how far does it reach?
            if after and (after.operand or after.word in ("**", "(")):
                return ""
            written.append(f"({one.word})")
        elif before and one.begins_after(before):
            if not _clear(typed, at):
                return ""
            written.append(f"*{one.word}")
        else:
            written.append(f"{one.blank}{one.word}")
    return "".join(written)


def _clear(typed: list[_Typed], at: int) -> bool:
    """Whether no slash before a product without a sign may be meant to reach over it."""
    first = _operand_begins(typed, at - 1)
    if first == 0 or typed[first - 1].word != "/":
        return True
    return first == at - 1 and typed[first].number and bool(typed[at].blank)


def _operand_begins(typed: list[_Typed], at: int) -> int:
    """Where the operand begins that ends there: its bracket, its function, what is raised."""
    depth = 0
    while True:
        depth += {")": 1, "(": -1}.get(typed[at].word, 0)
        if depth <= 0:
            if at and typed[at - 1].function:
                at -= 1
            if at < 2 or typed[at - 1].word != "**":
                return at
            at -= 1
        if at == 0:
            return 0
        at -= 1


def printed_unit(text: str) -> str:
    """A unit of a logbook as it is shown.

    >>> printed_unit("g/cm**3"), printed_unit("um"), printed_unit("mm**-1")
    ('g/cm³', 'µm', 'mm⁻¹')
    """
    raised = _POWER.sub(lambda power: power[1].translate(_RAISED), text)
    named = re.sub(r"[a-z]+", lambda name: _UNIT_WORDS.get(name[0], name[0]), raised)
    return named.replace("*", "·")


def typed_unit(text: str) -> str:
    """A unit that was typed as a logbook holds it; what is no unit stays what it is.

    >>> typed_unit("g / cm³"), typed_unit("µm"), typed_unit("mm2")
    ('g/cm**3', 'um', 'mm**2')
    """
    plain = _lowered(re.sub(r"\s*([*/·×])\s*", r"\1", text.strip())).translate(_SIGNS)
    for sign, word in _UNIT_SIGNS.items():
        plain = plain.replace(sign, word)
    return re.sub(r"(?<=[a-z])(?=[0-9])", "**", plain)


def unit_after(unit: str) -> str:
    """A unit as it follows a number: with a blank before it, or close to the number.

    >>> f"5{unit_after('mm**2')}", f"5{unit_after('arcmin')}", f"5{unit_after('1')}"
    ('5 mm²', '5′', '5')
    """
    if unit in ("deg", "arcmin"):
        return printed_unit(unit)
    return "" if unit == "1" else f" {printed_unit(unit)}"


def _lowered(text: str) -> str:
    return _RAISED_POWER.sub(lambda power: f"**{power[0].translate(_LOWERED)}", text)
