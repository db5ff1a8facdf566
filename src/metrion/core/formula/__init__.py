"""Formulas as trees: read, checked for units, evaluated, derived and written."""

from metrion.core.formula.evaluate import PI, NoValue, evaluate
from metrion.core.formula.expression import Expression
from metrion.core.formula.parse import (
    FUNCTIONS,
    RESERVED,
    SYMBOL,
    Formula,
    check_bounds,
    parse_formula,
)

__all__ = [
    "FUNCTIONS",
    "PI",
    "RESERVED",
    "SYMBOL",
    "Expression",
    "Formula",
    "NoValue",
    "check_bounds",
    "evaluate",
    "parse_formula",
]
