"""Numbers with their units for LaTeX's ``siunitx``, from what is printed."""

from __future__ import annotations

import re

from metrion.core.errors import UnitError
from metrion.core.formula.notation import typed_unit
from metrion.core.formula.units import parse_unit

_NUMBER = r"−?\d+(?:[.,]\d+)?"
_AMOUNT = re.compile(rf"(?P<value>{_NUMBER})(?: ± (?P<doubt>{_NUMBER}))?(?: ?(?P<unit>\D\S*))?")
_BRACKETED = re.compile(rf"\((?P<value>{_NUMBER}) ± (?P<doubt>{_NUMBER})\) ?(?P<unit>\D\S*)")
_ANGLE = re.compile(
    rf"(?P<minus>−?)(?P<degrees>\d+)°(?:(?P<minutes>\d+(?:[.,]\d+)?)′)?"
    rf"(?: ± (?P<doubt>{_NUMBER})′)?"
)
_UNITS = {
    "mm": r"\milli\metre", "cm": r"\centi\metre", "m": r"\metre", "um": r"\micro\metre",
    "nm": r"\nano\metre", "in": r"\inch", "g": r"\gram", "kg": r"\kilo\gram",
    "arcmin": r"\arcminute", "deg": r"\degree", "rad": r"\radian",
}  # fmt: skip


def si_amount(text: str) -> str:
    """A number, with its uncertainty and its unit, for ``siunitx``; empty for anything else.

    >>> si_amount("(12.21 ± 0.03) mm²")
    '\\\\qty{12.21 \\\\pm 0.03}{\\\\milli\\\\metre\\\\tothe{2}}'
    >>> si_amount("23°30′ ± 0.5′"), si_amount("line 3")
    ('\\\\ang{23;30;} \\\\pm \\\\ang{;0.5;}', '')
    """
    if found := _ANGLE.fullmatch(text):
        value = rf"\ang{{{_sign(found['minus'])}{found['degrees']};{found['minutes'] or ''};}}"
        return rf"{value} \pm \ang{{;{found['doubt']};}}" if found["doubt"] else value
    found = _BRACKETED.fullmatch(text) or _AMOUNT.fullmatch(text)
    if found is None:
        return ""
    doubt = rf" \pm {_sign(found['doubt'])}" if found["doubt"] else ""
    number = f"{_sign(found['value'])}{doubt}"
    if not found["unit"]:
        return rf"\num{{{number}}}"
    unit = _unit(found["unit"])
    return rf"\qty{{{number}}}{{{unit}}}" if unit else ""


def _sign(text: str) -> str:
    return text.replace("−", "-")


def _unit(printed: str) -> str:
    """A unit that is printed; empty for what is none."""
    if printed == "%":
        return r"\percent"
    try:
        powers = parse_unit(typed_unit(printed)).powers
    except UnitError:
        return ""
    return "".join(_power(name, power) for name, power in powers.items() if power)


def _power(name: str, power: int) -> str:
    per = r"\per" if power < 0 else ""
    raised = rf"\tothe{{{abs(power)}}}" if abs(power) != 1 else ""
    return f"{per}{_UNITS[name]}{raised}"
