"""Both scales in one plane: one projective map for all lines, and how far one scale is off."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from metrion.core.arrays import Array
from metrion.core.photo.fit import steadied
from metrion.core.photo.strip import Edge

_NO_BETTER = 1e-6
"""Main divisions: no middle of a line is known better."""
_WIDEST = 1.2
"""Radians from the middle of a circle beyond which nothing of it is in a picture."""


@dataclass(frozen=True)
class Marks:
    """Places of lines whose numbers are known.

    Attributes:
        along, off: of each place, in pixels.
        number: the line's, counted along the picture.
        weight: how much it says.
    """

    along: Array
    off: Array
    number: Array
    weight: Array


@dataclass(frozen=True)
class LinePattern:
    """How the lines of a main scale are ruled: side by side, or through the centre of a circle.

    Where a line crosses a straight edge tells all of both; across a circle these places are apart
    like tangents, whatever the camera does, since it keeps lines through one point as they are.

    Attributes:
        edge: along which they are, in a picture.
        arc: of a circle, one main division in radians; 0 where the scale is straight.
    """

    edge: Edge
    arc: float = 0.0

    def crossing(self, divisions: Array) -> Array:
        """Where lines so many divisions from the middle cross a straight edge, in divisions."""
        angle = np.clip(self.arc * divisions, -_WIDEST, _WIDEST)
        found: Array = np.tan(angle) / self.arc if self.arc else divisions
        return found

    def divisions(self, crossing: Array) -> Array:
        """The converse of `crossing`."""
        found: Array = np.arctan(self.arc * crossing) / self.arc if self.arc else crossing
        return found

    def flat(self, along: Array, off: Array) -> tuple[Array, Array]:
        """Places in parts of the length of the edge."""
        x, y = self.edge.flat(along, off)
        return x / self.edge.length, y / self.edge.length


@dataclass(frozen=True)
class Plane:
    """Main divisions at every place: ``u (d x + e y + 1) = a x + b y + c`` for their crossing u.

    Attributes:
        ruling: of the main scale.
        terms: a, b, c, d, e.
        middle: main divisions from which crossings count.
        start: where line 0 of the fine scale lies, in main divisions.
        step: from each fine line to the next as they are seen: what lies lower looks smaller.
        centre: the fine line about which that was found.
        covariance: of where that line lies, and of the step as a part of itself.
        spread: the usual distance of a line from where it should be, in main divisions.
    """

    ruling: LinePattern
    terms: Array
    middle: float
    start: float
    step: float
    centre: float
    covariance: Array
    spread: float

    def error(self, line: float) -> float:
        """The standard error of where a fine line lies, in main divisions."""
        part = np.array([1.0, self.step * (line - self.centre)])
        return float(np.sqrt(max(part @ self.covariance @ part, 0.0)))

    def divisions(self, along: Array, off: Array) -> Array:
        """Main divisions at a place."""
        a, b, c, d, e = self.terms
        x, y = self.ruling.flat(along, off)
        return self.middle + self.ruling.divisions((a * x + b * y + c) / (d * x + e * y + 1))

    def along_of(self, divisions: Array, off: float) -> Array:
        """Where so many main divisions lie along a row."""
        a, b, c, d, e = self.terms
        u, edge = self.ruling.crossing(divisions - self.middle), self.ruling.edge
        return edge.crossed(a - u * d, b - u * e, (u - c) * edge.length, off)

    def aslant(self, ends: Array) -> float:
        """How much wider divisions are at one end of a scale on the edge than at the other.

        Args:
            ends: in main divisions.
        """
        pitch = self.along_of(ends + 0.5, 0.0) - self.along_of(ends - 0.5, 0.0)
        return float(abs(pitch[1] / pitch[0] - 1))


def fitted(main: Marks, fine: Marks, step: float, ruling: LinePattern, stretch: float) -> Plane:
    """The map on which the lines of both scales lie best.

    Args:
        step: between two fine lines as they are made, in main divisions, along the picture.
        stretch: by what part the fine scale usually looks smaller or larger than it is made.
    """
    x, y = ruling.flat(
        np.concatenate([main.along, fine.along]), np.concatenate([main.off, fine.off])
    )
    is_fine = np.concatenate([np.zeros(len(main.along)), np.ones(len(fine.along))])
    number = np.concatenate([main.number, step * fine.number])
    middle, centre = float(np.mean(main.number)), float(np.mean(fine.number))
    line = 2 * np.round(np.concatenate([main.number, fine.number])) + is_fine
    number, beside = number - middle, is_fine * (number - step * centre)

    def system(terms: Array) -> tuple[Array, Array]:
        divisions = number + terms[5] * is_fine + terms[6] * beside
        u = ruling.crossing(divisions)
        # So much wider apart are crossings than divisions.
        wider = 1 + (ruling.arc * u) ** 2
        rows = np.column_stack([x, y, np.ones_like(x), -u * x, -u * y]) / wider[:, None]
        return np.column_stack([rows, -is_fine, -beside]), number + u / wider - divisions

    fit = steadied(
        system, line, np.zeros(7), np.array([*[np.inf] * 6, stretch]),
        least=_NO_BETTER, weight=np.concatenate([_even(main.weight), _even(fine.weight)]),
    )  # fmt: skip
    start = float(fit.terms[5] - fit.terms[6] * step * centre)
    return Plane(
        ruling, fit.terms[:5], middle, start, float(step * (1 + fit.terms[6])), centre,
        fit.covariance[-2:, -2:], fit.spread,
    )  # fmt: skip


def _even(weight: Array) -> Array:
    return weight / max(float(np.median(weight)), 1e-12)
