"""What of a logbook uses an entry, and would not fit without it."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from metrion.core.facts import Fact, Name, fact
from metrion.core.logbook import Logbook
from metrion.core.quantity.derived import TypedValue
from metrion.core.quantity.measurements import Measurement


@dataclass(frozen=True)
class Use:
    """An entry that refers to another one.

    Attributes:
        section: the list of the logbook that it is in.
        id: its id there.
        says: what it is called.
    """

    section: str
    id: str
    says: Fact


def uses(logbook: Logbook, section: str, key: str) -> list[Use]:
    """Everything that needs one entry, in the order of the logbook.

    What was noted for the record only (a comparison) does not need it.
    """
    return [use for use, needs in _references(logbook) if (section, key) in needs]


def _references(logbook: Logbook) -> Iterator[tuple[Use, set[tuple[str, str]]]]:
    for check in logbook.zero_checks:
        says = fact("use-zero-look", phase=check.phase)
        if check.face:
            says = fact("use-zero-look-on-faces", phase=check.phase, face=Name(check.face))
        yield Use("zero_checks", check.id, says), {("instruments", check.instrument)}
    for one in logbook.measurements:
        needs = {("instruments", one.instrument.id)}
        needs |= {("zero_checks", check.id) for check in one.checks}
        yield Use("measurements", one.id, _named(one.label)), needs
    for derived in logbook.derived:
        needs = {
            ("measurements" if isinstance(given, Measurement) else "derived", given.id)
            for given in derived.inputs.values()
            if not isinstance(given, TypedValue)
        }
        yield Use("derived", derived.id, _named(derived.name or derived.id)), needs


def _named(name: str) -> Fact:
    return fact("use-by-name", name=Name(name))
