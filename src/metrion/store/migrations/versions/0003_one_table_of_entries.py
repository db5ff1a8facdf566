"""One table of entries, each with its record as a logbook has it, in place of a table a section."""

import json
from typing import Any

import sqlalchemy as sa
from alembic import op

revision = "0003"
down_revision = "0002"
branch_labels = None
depends_on = None

_JSON, _FLAG, _PLAIN = "json", "flag", "plain"
_SECTIONS: dict[str, dict[str, str]] = {
    "observations": {
        "main": _PLAIN, "fine": _JSON, "second_turn": _FLAG, "meets": _PLAIN, "a": _JSON,
        "b": _JSON, "a2": _JSON, "b2": _JSON, "place": _PLAIN, "excluded": _PLAIN,
    },
    "derived": {
        "name": _PLAIN, "formula": _PLAIN, "unit": _PLAIN, "convention": _PLAIN, "inputs": _JSON,
    },
    "zero_checks": {
        "instrument": _PLAIN, "face": _PLAIN, "main": _PLAIN, "fine": _JSON, "second_turn": _FLAG,
        "reference": _PLAIN, "phase": _PLAIN,
    },
    "measurements": {
        "name": _PLAIN, "symbol": _PLAIN, "instrument": _PLAIN, "face": _PLAIN, "items": _PLAIN,
        "divide_by": _PLAIN, "arc": _PLAIN, "zero": _JSON, "convention": _PLAIN,
    },
    "conventions": {
        "name": _PLAIN, "family": _PLAIN, "reading_limit": _PLAIN, "zero_look": _FLAG,
        "spread": _PLAIN, "combine": _PLAIN, "coverage": _PLAIN, "digits": _JSON,
        "estimate": _FLAG,
    },
    "instruments": {
        "name": _PLAIN, "kind": _PLAIN, "unit": _PLAIN, "main_division": _PLAIN, "pitch": _PLAIN,
        "fine_divisions": _PLAIN, "span": _PLAIN, "numbering": _PLAIN, "range": _JSON,
        "maker_limit": _PLAIN,
    },
}  # fmt: skip
"""The columns of each section that held fields of a record; those that refer to others first."""


def upgrade() -> None:
    op.create_table(
        "entries",
        sa.Column("sheet_id", sa.Text(), nullable=False),
        sa.Column("section", sa.Text(), nullable=False),
        sa.Column("id", sa.Text(), nullable=False),
        sa.Column("position", sa.Integer(), nullable=False),
        sa.Column("version", sa.Integer(), nullable=False),
        sa.Column("measurement", sa.Text(), nullable=True),
        sa.Column("record", sa.Text(), nullable=False),
        sa.ForeignKeyConstraint(["sheet_id"], ["sheets.id"], ondelete="CASCADE"),
        sa.PrimaryKeyConstraint("sheet_id", "section", "id"),
    )
    op.create_index("in_order", "entries", ["sheet_id", "section", "position"])
    connection = op.get_bind()
    put = sa.text(
        "INSERT INTO entries (sheet_id, section, id, position, version, measurement, record) "
        "VALUES (:sheet_id, :section, :id, :position, :version, :measurement, :record)"
    )
    for section, columns in _SECTIONS.items():
        rows = connection.execute(sa.text(f"SELECT * FROM {section}")).mappings().all()
        for row in rows:
            record = _record(dict(row), section, columns)
            known = {name: row[name] for name in ("sheet_id", "id", "position", "version")}
            text = json.dumps(record, ensure_ascii=False)
            parent = row.get("measurement")
            connection.execute(
                put, {**known, "section": section, "measurement": parent, "record": text}
            )
        op.drop_table(section)


def _record(row: dict[str, Any], section: str, columns: dict[str, str]) -> dict[str, Any]:
    """A row as the record it held: its id, the columns that had a value, and all others."""
    record: dict[str, Any] = {} if section == "observations" else {"id": row["id"]}
    for name, held in columns.items():
        value = row[name]
        if value is not None:
            record[name] = json.loads(value) if held == _JSON else value
            if held == _FLAG:
                record[name] = bool(value)
    record |= json.loads(row["extra"])
    return record
