"""What an instrument looks like, and how its owner reads it, beyond what its readings need."""

from __future__ import annotations

from enum import StrEnum
from fractions import Fraction

from metrion.core.declared import (
    Boolean,
    Choice,
    Count,
    Exact,
    declared,
    entry,
)
from metrion.core.exact.bounds import MOST_FINE_DIVISIONS


class PrintedUnit(StrEnum):
    """Which unit the numerals of a metric main scale stand for."""

    MM = "mm"
    CM = "cm"


class FineAs(StrEnum):
    """What the figure in the fine blank stands for."""

    LINE = "line"
    NUMERAL = "numeral"
    WORTH = "worth"


class MainAs(StrEnum):
    """In which unit figures in the main blank are typed, where the numerals have one of their own.

    A member is the way in which a main figure is then taken.
    """

    ENGRAVED = "engraved"
    UNIT = "unit"


class Side(StrEnum):
    """On which side of a line or scale something lies."""

    ABOVE = "above"
    BELOW = "below"


class Growth(StrEnum):
    """Which way the numerals of a thimble grow, seen with the frame to the left."""

    UP = "up"
    DOWN = "down"


@entry()
class Appearance:
    """What an instrument looks like beyond what its readings need; for the record only.

    Attributes:
        numerals: the unit its main numerals stand for; None for that of the instrument.
        fine_as: what the student types for the fine reading; None where that was not said.
        main_as: in which unit the student types the main reading; None where that was not said.
        fine_side: whether the fine scale lies below or above the main scale.
        half_marks: whether the half marks of a sleeve lie below or above the datum line.
        thimble_numerals: which way the numerals of the thimble grow.
        numbered_every: fine lines from one numeral to the next; None for the usual.
        marks_early: by how many thimble lines the marks of a sleeve show early; negative for late.
        display: whether a plain scale shows digits instead of marks.
        second_edge: whether the other edge of the beam shows inches.
    """

    numerals: PrintedUnit | None = declared(Choice(PrintedUnit), default=None, for_the_record=True)
    fine_as: FineAs | None = declared(Choice(FineAs), default=None, for_the_record=True)
    main_as: MainAs | None = declared(Choice(MainAs), default=None, for_the_record=True)
    fine_side: Side = declared(Choice(Side), default=Side.BELOW, for_the_record=True)
    half_marks: Side = declared(Choice(Side), default=Side.BELOW, for_the_record=True)
    thimble_numerals: Growth = declared(Choice(Growth), default=Growth.UP, for_the_record=True)
    numbered_every: int | None = declared(
        Count(MOST_FINE_DIVISIONS), default=None, for_the_record=True
    )
    marks_early: Fraction = declared(Exact(), default=Fraction(0), for_the_record=True)
    display: bool = declared(Boolean(), default=False, for_the_record=True)
    second_edge: bool = declared(Boolean(), default=False, for_the_record=True)
