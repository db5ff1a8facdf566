"""Formulas and units as people write them, and as a logbook holds them.

A logbook holds plain text that any program can read, ``pi*d**2/4`` in ``g/cm**3``; a person
writes and reads ``π·d²/4`` in ``g/cm³``. Printing never changes what a formula or a unit means,
and what is printed can be typed again.
"""

from __future__ import annotations

import re

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

    >>> typed_formula("π·(D² − d²)·h/4"), typed_formula("0,5 x^2")
    ('pi*(D**2 - d**2)*h/4', '0.5 x**2')
    """
    plain = _lowered(text.strip()).translate(_SIGNS)
    plain = plain.replace("π", "pi").replace("√", "sqrt")
    return re.sub(r"(?<=[0-9]),(?=[0-9])", ".", plain)


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
