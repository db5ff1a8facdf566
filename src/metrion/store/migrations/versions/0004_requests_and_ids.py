"""What was asked for before is kept; ids that could not stand in an address are renamed.

Ids were once any text. One like ``a/b`` or ``..`` can be neither opened nor deleted by its address,
so it gets one that can, and so does all that refers to it: entries, undo, and the id of a sheet.
"""

import json
import re
import unicodedata
from typing import Any

import sqlalchemy as sa
from alembic import context, op

revision = "0004"
down_revision = "0003"
branch_labels = None
depends_on = None

_REFERENCES = {
    "zero_checks": {"instrument": "instruments"},
    "measurements": {
        "instrument": "instruments", "zero": "zero_checks", "convention": "conventions",
    },
    "derived": {"convention": "conventions", "inputs": "measurements"},
}  # fmt: skip
"""Which fields of an entry hold ids of which section."""

_Names = dict[tuple[str, str], str]

# What an id was then, whatever it may be now.
_LONGEST_ID = 64
_BARRED = frozenset("/\\?#%")


def _fits(key: str) -> bool:
    """Whether an id could stand in an address."""
    return 1 <= len(key) <= _LONGEST_ID and key not in (".", "..") and not any(map(_barred, key))


def _barred(sign: str) -> bool:
    return sign in _BARRED or sign.isspace() or unicodedata.category(sign) == "Cc"


def upgrade() -> None:
    op.create_table(
        "requests",
        sa.Column("key", sa.Text(), primary_key=True),
        sa.Column("fingerprint", sa.Text(), nullable=False),
        sa.Column("answer", sa.Text(), nullable=True),
        sa.Column("at", sa.Text(), nullable=False),
    )
    connection = op.get_bind()
    connection.execute(
        sa.text("INSERT OR IGNORE INTO requests SELECT key, '', NULL, at FROM commands")
    )
    connection.execute(sa.text("PRAGMA defer_foreign_keys=ON"))
    renamed: list[tuple[str, str]] = []
    for (sheet,) in connection.execute(sa.text("SELECT id FROM sheets")).all():
        renamed += _rename_entries(connection, sheet)
    renamed += _rename_sheets(connection)
    context.config.attributes.setdefault("renamed", []).extend(renamed)


def _rename_entries(connection: sa.Connection, sheet: str) -> list[tuple[str, str]]:
    entries = connection.execute(
        sa.text("SELECT section, id, measurement, record FROM entries WHERE sheet_id = :sheet"),
        {"sheet": sheet},
    ).all()
    changes = connection.execute(
        sa.text(
            "SELECT changes.id, section, entry_id, before, after FROM changes JOIN commands "
            "ON commands.id = command_id WHERE sheet_id = :sheet"
        ),
        {"sheet": sheet},
    ).all()
    known = {(section, key) for section, key, *_ in entries}
    known |= {(section, key) for _, section, key, *_ in changes if section != "head"}
    names = _new_names(known)
    if not names:
        return []
    for section, key, measurement, record in entries:
        connection.execute(
            sa.text(
                "UPDATE entries SET id = :new, measurement = :of, record = :record "
                "WHERE sheet_id = :sheet AND section = :section AND id = :key"
            ),
            {
                "sheet": sheet, "section": section, "key": key,
                "new": names.get((section, key), key),
                "of": names.get(("measurements", measurement), measurement),
                "record": _written(_renamed(section, _read(record), names)),
            },
        )  # fmt: skip
    for change, section, key, before, after in changes:
        connection.execute(
            sa.text(
                "UPDATE changes SET entry_id = :new, before = :before, after = :after "
                "WHERE id = :id"
            ),
            {
                "id": change, "new": names.get((section, key), key),
                "before": _state(section, before, names), "after": _state(section, after, names),
            },
        )  # fmt: skip
    return [(key, new) for (_, key), new in names.items()]


def _rename_sheets(connection: sa.Connection) -> list[tuple[str, str]]:
    found = connection.execute(sa.text("SELECT id FROM sheets")).all()
    names = _new_names({("sheets", key) for (key,) in found})
    for (_, key), new in names.items():
        for table, column in (("sheets", "id"), ("entries", "sheet_id"), ("commands", "sheet_id")):
            connection.execute(
                sa.text(f"UPDATE {table} SET {column} = :new WHERE {column} = :key"),
                {"new": new, "key": key},
            )
    return [(key, new) for (_, key), new in names.items()]


def _new_names(known: set[tuple[str, str]]) -> _Names:
    """For each id that does not fit one that does, and that no other entry has."""
    found: _Names = {}
    for section, key in sorted(known):
        if not _fits(key):
            base = re.sub(r"[^\w.-]|^\.+$", "-", key)[: _LONGEST_ID - 6] or "-"
            new, count = base, 1
            while (section, new) in known:
                count += 1
                new = f"{base}-{count}"
            found[section, key] = new
            known = known | {(section, new)}
    return found


def _state(section: str, text: str | None, names: _Names) -> str | None:
    """The state of an entry before or after a change."""
    if text is None:
        return None
    state = _read(text)
    if state is None:
        return text
    state["id"] = names.get((section, state["id"]), state["id"])
    of = state.get("measurement")
    state["measurement"] = names.get(("measurements", of), of)
    state["record"] = _renamed(section, state["record"], names)
    return _written(state)


def _renamed(section: str, record: dict[str, Any], names: _Names) -> dict[str, Any]:
    """A record with its own id and those it refers to renamed."""
    found = dict(record)
    if isinstance(key := found.get("id"), str):
        found["id"] = names.get((section, key), key)
    for field, of in _REFERENCES.get(section, {}).items():
        if field in found:
            found[field] = _each(found[field], of, names)
    return found


def _each(value: Any, section: str, names: _Names) -> Any:
    """An id, or those in a list or of the inputs of a formula, renamed."""
    if isinstance(value, str):
        return names.get((section, value), value)
    if isinstance(value, list):
        return [_each(one, section, names) for one in value]
    # What an input is that is no id has fields of its own.
    return (
        {
            name: _each(one, section, names) if isinstance(one, str) else one
            for name, one in value.items()
        }
        if isinstance(value, dict)
        else value
    )


def _read(text: str) -> Any:
    # A number beyond any double was once kept as a word that is no JSON.
    return json.loads(text, parse_constant=lambda word: word)


def _written(value: object) -> str:
    return json.dumps(value, ensure_ascii=False)
