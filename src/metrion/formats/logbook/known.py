"""What a logbook has defined so far, for what refers to it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import TypeVar

from metrion.core.codes import MessageCode
from metrion.core.conventions.convention import BUILT_IN, Convention
from metrion.core.errors import shortened
from metrion.core.facts import Name
from metrion.core.formula.units import Unit, parse_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.derived import Derived
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.traits import Kind
from metrion.formats.logbook.fields import Fields

_Value = TypeVar("_Value")


@dataclass(frozen=True)
class Sketch:
    """As much of an instrument as can be told although it has faults.

    Attributes:
        kind: which it is.
        unit: the one it has, or the usual one of its kind.
    """

    kind: Kind
    unit: str


@dataclass
class Known:
    """Things by id; None for those that stand in the file but have faults of their own.

    What can be told of those all the same is kept beside them, so that one fault hides no other.

    Attributes:
        sketches: of instruments.
        measured: of the instruments that measurements were made with.
        made_on: the instrument that a zero check names.
        reused: instruments that are the same as in an earlier document.
        derived: those that stand earlier in their list.
        derived_units: the units they are given in.
        has_convention: whether the logbook says which convention holds where none is named.
        usual: that convention; None if there is none, or it has faults.
    """

    instruments: dict[str, Instrument | None] = field(default_factory=dict)
    zero_checks: dict[str, ZeroCheck | None] = field(default_factory=dict)
    conventions: dict[str, Convention | None] = field(default_factory=dict)
    measurements: dict[str, Measurement | None] = field(default_factory=dict)
    derived: dict[str, Derived | None] = field(default_factory=dict)
    derived_units: dict[str, Unit] = field(default_factory=dict)
    sketches: dict[str, Sketch] = field(default_factory=dict)
    measured: dict[str, Sketch] = field(default_factory=dict)
    made_on: dict[str, str] = field(default_factory=dict)
    reused: set[str] = field(default_factory=set)
    has_convention: bool = False
    usual: Convention | None = None

    def made_of(self, key: str) -> Measurement | Derived | None:
        """What a derived quantity is made of; a measurement comes before one of its id."""
        return self.measurements.get(key) if key in self.measurements else self.derived.get(key)

    def read_input(self, inputs: Fields, symbol: str) -> Measurement | Derived | None:
        """What the id of an input leads to; one that leads to nothing earlier is noted."""
        key = inputs.record[symbol]
        if key in self.derived and key not in self.measurements:
            return look_up(inputs, symbol, self.derived, "input")
        return look_up(inputs, symbol, self.measurements, "input")

    def unit_of_input(self, key: str) -> Unit | None:
        """The unit of what a derived quantity is made of, as far as it can be told."""
        if key in self.measurements:
            sketch = self.measured.get(key)
            return parse_unit(sketch.unit) if sketch else None
        return self.derived_units.get(key)

    def sketch(self, fields: Fields) -> Sketch | None:
        """What can be told of the instrument that the field ``instrument`` refers to."""
        key = fields.record.get("instrument")
        return self.sketches.get(key) if isinstance(key, str) else None

    def instrument(self, fields: Fields) -> Instrument | None:
        """The instrument that the field ``instrument`` refers to."""
        return look_up(fields, "instrument", self.instruments, "instrument")

    def read_usual(self, logbook: Fields) -> Convention | None:
        """Note the convention that holds where none is named, if the logbook has one."""
        if "convention" in logbook:
            self.usual = self.convention(logbook)
            self.has_convention = True
        return self.usual

    def convention(self, fields: Fields) -> Convention | None:
        """The convention that the field ``convention`` refers to, built in or defined.

        Where nothing is named it is the one of the logbook, if that has one.
        """
        if self.has_convention and "convention" not in fields:
            return self.usual
        conventions: dict[str, Convention | None] = {**self.conventions, **BUILT_IN}
        return look_up(fields, "convention", conventions, "convention")


def look_up(
    fields: Fields, name: str, known: Mapping[str, _Value | None], what: str
) -> _Value | None:
    """What a required reference leads to; a reference to nothing is noted.

    Args:
        what: the code of what it should be, as the catalogue has it.
    """
    key = fields.text(name, required=True)
    if key is None:
        return None
    if key not in known:
        some = ", ".join(f'"{one}"' for one in list(known)[:6])
        code: MessageCode = "no-such-entry-but" if some else "no-such-entry"
        fields.fault(name, code, what=what, key=shortened(key), known=Name(some))
    return known.get(key)
