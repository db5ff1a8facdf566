"""Formulas that round a result as its convention states it; the rule is that of core's rounding.

A cell is a double: before it is cut off or rounded, a hair is added outwards, so that halves, and
what is whole but for the last bits, go the way they go when numbers are exact.
"""

from __future__ import annotations

from metrion.core.conventions.convention import Digits
from metrion.core.formula.notation import unit_after

_HAIR = "1E-9"


def first_place(size: str) -> str:
    """The power of ten of the first figure of an uncertainty; 0 where that is nought."""
    return f"IF({size}>0,INT(LOG10({size}*(1+{_HAIR}))),0)"


def decimals(size: str, first: str, digits: Digits) -> str:
    """How many decimals are stated; fewer than none where whole tens are.

    Args:
        size: the cell of the uncertainty.
        first: the cell of the place of its first figure.
        digits: the figures that are stated.
    """
    one = f"IF(INT({size}/10^{first}+{_HAIR})=1,2,1)" if digits == "1-or-2" else str(digits)
    places = f"({one}-1-{first})"
    # Rounding may carry into a new decade: there it has a figure less.
    carried = f"({rounded(size, places)}>=10^({first}+1)*(1-{_HAIR}))"
    return f"{places}-IF({carried},1,0)"


def rounded(value: str, places: str) -> str:
    """A number to so many decimals, halves away from zero."""
    return f"ROUND({value}+SIGN({value})*{_HAIR}*10^(-{places}),{places})"


def sentence(value: str, size: str, places: str, unit: str) -> str:
    """A result as it is stated, zeros kept: ``(12.30 ± 0.05) mm``, ``19°18.0′ ± 0.5′``."""
    kept, doubt = rounded(value, places), _fixed(rounded(size, places), places)
    full = f'{value}&" ± 0"'
    if unit == "arcmin":
        degrees = f"INT(ABS({kept})/60+{_HAIR})"
        minutes = _fixed(f"ABS({kept})-60*{degrees}", places)
        told = f'IF({kept}<0,"−","")&{degrees}&"°"&{minutes}&"′ ± "&{doubt}&"′"'
    elif unit == "1":
        told = f'{_fixed(kept, places)}&" ± "&{doubt}'
    else:
        told = f'"("&{_fixed(kept, places)}&" ± "&{doubt}&")"&{_text(unit_after(unit))}'
        full = f'"("&{full}&")"&{_text(unit_after(unit))}'
    return f"IF({size}>0,{_with_minus(told)},{_with_minus(full)})"


def _fixed(number: str, places: str) -> str:
    return f"FIXED({number},MAX(0,{places}),TRUE)"


def _text(text: str) -> str:
    return f'"{text}"'


def _with_minus(text: str) -> str:
    return f'SUBSTITUTE({text},"-","−")'
