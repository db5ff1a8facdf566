"""From a document to a `Logbook` of the core."""

from __future__ import annotations

from collections.abc import Callable
from functools import partial

from metrion.core.conventions.convention import Convention
from metrion.core.declared import Entries, fields_of
from metrion.core.errors import NoWholeSeconds, shortened
from metrion.core.exact.bounds import MOST_OBSERVATIONS
from metrion.core.facts import Name, fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Json, Record, records_in
from metrion.core.logbook import Logbook
from metrion.formats.faults import Fault, Faults, Refused, child, refusal
from metrion.formats.logbook.conventions import parse_convention
from metrion.formats.logbook.declared import Values, read_fields
from metrion.formats.logbook.derived import parse_derived
from metrion.formats.logbook.earlier import EarlierDocument, LogbookEntry
from metrion.formats.logbook.fields import Fields
from metrion.formats.logbook.instruments import parse_instrument
from metrion.formats.logbook.known import Known
from metrion.formats.logbook.measurements import parse_measurement
from metrion.formats.logbook.zero_checks import parse_zero_check
from metrion.formats.strict_json import read_json

_HEAD = ("format", "version", "id")


def read_logbook(content: bytes) -> Logbook:
    """Read a logbook file.

    Raises:
        Refused: with every fault of the file.
    """
    return parse_logbook(read_json(content))


def parse_logbook(
    document: Json, *, kept: bool = False, earlier: EarlierDocument | None = None
) -> Logbook:
    """Check a parsed document and build its logbook.

    Args:
        kept: whether it was kept here, perhaps before there were bounds, so that they do not hold.
        earlier: one that was read before: what the two have in common is not read again.

    Raises:
        Refused: with every fault of the document.
    """
    if not isinstance(document, dict):
        raise refusal("logbook-no-object")
    faults = Faults(kept=kept)
    fields = Fields(document, "", faults)
    _check_head(fields)
    if not kept:
        _check_counts(document)
    known = Known()
    section = partial(_section, fields, known, earlier)
    instruments = section("instruments", known.instruments, parse_instrument, required=True)
    checks = section("zero_checks", known.zero_checks, parse_zero_check)
    conventions = section("conventions", known.conventions, lambda item, _: parse_convention(item))
    usual = known.read_usual(fields)
    measurements = section(
        "measurements",
        known.measurements,
        lambda item, known: parse_measurement(item, known, earlier),
    )
    derived = section("derived", known.derived, parse_derived)
    own = {name: value for name, value in document.items() if name not in _HEAD}
    head = read_fields(Logbook, Fields(own, "", faults))
    if faults:
        raise Refused(faults)
    return Logbook(
        **{
            **head,
            "instruments": instruments,
            "zero_checks": checks,
            "conventions": conventions,
            "convention": usual,
            "measurements": measurements,
            "derived": derived,
        }
    )


def parse_for_notebook(document: Json, *, earlier: EarlierDocument | None = None) -> Logbook:
    """Check a document that comes into a notebook, where its scales are drawn and read.

    Args:
        earlier: as for `parse_logbook`.

    Raises:
        Refused: with every fault; a circle whose marks cannot be written is one too.
    """
    logbook = parse_logbook(document, earlier=earlier)
    faults = Faults()
    for index, tool in enumerate(logbook.instruments):
        _check_marks(tool, child(child("/instruments", str(index)), "main_division"), faults)
    if faults:
        raise Refused(faults)
    return logbook


def _check_marks(tool: Instrument, pointer: str, faults: Faults) -> None:
    try:
        tool.check_marks()
    except NoWholeSeconds as error:
        faults.append(Fault(pointer, error.says))


def read_drawn_instrument(record: Record, *, kept: bool = False) -> Instrument:
    """An instrument that is only to be drawn and talked about, even if it is of no use.

    Args:
        kept: as for `parse_logbook`.

    Raises:
        Refused: with the faults of its description.
    """
    faults = Faults(kept=kept)
    instrument = parse_instrument(Fields(record, "", faults), Known(), drawn=True)
    if instrument is not None and not kept:
        _check_marks(instrument, "/main_division", faults)
    if faults or instrument is None:
        raise Refused(faults)
    return instrument


def parse_own_convention(record: Record, *, kept: bool = False) -> Convention:
    """A convention of one's own by itself.

    Args:
        kept: as for `parse_logbook`.

    Raises:
        Refused: with the faults of its description.
    """
    faults = Faults(kept=kept)
    fields = Fields(record, "", faults)
    convention = parse_convention(fields)
    if faults or convention is None:
        raise Refused(faults)
    return convention


def _check_counts(document: Record) -> None:
    """Refuse a logbook of too many entries; nothing else is then looked at."""
    counts = {
        section.name: (len(listed), section.holds.most or len(listed))
        for section in fields_of(Logbook)
        if isinstance(section.holds, Entries)
        and isinstance(listed := document.get(section.name), list)
    }
    faults = [
        Fault(child("", name), fact("too-many-entries", field=Name(name), count=count, most=most))
        for name, (count, most) in counts.items()
        if count > most
    ]
    measurements = records_in(document, "measurements")
    observed = [one for of in measurements if isinstance(one := of.get("observations"), list)]
    if (count := sum(map(len, observed))) > MOST_OBSERVATIONS:
        says = fact("too-many-observations", count=count, most=MOST_OBSERVATIONS)
        faults.append(Fault("/measurements", says))
    if faults:
        raise Refused(faults)


def _check_head(fields: Fields) -> None:
    name = fields.text("format", required=True)
    if name not in (None, "metrion-logbook"):
        fields.fault("format", "other-format", format=shortened(name or ""))
    version = fields.integer("version", required=True)
    if version not in (None, 1):
        fields.fault("version", "other-version", version=Name(str(version)[:40]))


def _section(
    fields: Fields,
    known: Known,
    earlier: EarlierDocument | None,
    name: str,
    by_id: Values,
    parse: Callable[[Fields, Known], LogbookEntry | None],
    *,
    required: bool = False,
) -> tuple[LogbookEntry, ...]:
    """Parse a list of things with ids; note each under its id, also one with faults (as None)."""
    found = []
    for item in fields.objects(name, required=required):
        value = (earlier and earlier.entry(item.record, known)) or parse(item, known)
        key = item.key
        if key is not None and key in by_id:
            item.fault("id", "id-twice", key=shortened(key))
        elif key is not None:
            by_id[key] = value
        if value is not None:
            found.append(value)
    return tuple(found)
