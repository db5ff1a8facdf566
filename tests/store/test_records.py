"""Rows hold a record just as it came, whatever stands in its fields."""

from typing import Any

from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from metrion.store import Store
from metrion.store.models import EntryRow
from metrion.store.records import SECTIONS, EntryVersion, add_rows, kept
from metrion.store.sheets import add_sheet, new_id
from metrion.store.types import JsonText

VALUES = st.recursive(
    st.none() | st.booleans() | st.integers() | st.text(max_size=5) | st.just("6.15"),
    lambda inner: st.lists(inner, max_size=3) | st.dictionaries(st.text(max_size=3), inner),
    max_leaves=6,
)
RECORDS = st.dictionaries(st.text(max_size=5), VALUES)


@settings(suppress_health_check=[HealthCheck.function_scoped_fixture], max_examples=40)
@given(st.sampled_from(SECTIONS), RECORDS, RECORDS)
def test_any_record_comes_back_as_it_was_and_as_it_was_changed(
    store: Store, section: str, first: dict[str, Any], second: dict[str, Any]
) -> None:
    key = new_id()
    with store.writing() as session:
        add_sheet(session, "Kites", key)
        add_rows(session, key, [(section, EntryVersion("x", first, 3, 1, "m"))])
    with store.writing() as session:
        row = session.get_one(EntryRow, (key, section, "x"))
        assert kept(row) == EntryVersion("x", first, 3, 1, "m")
        row.record = second
    with store.reading() as session:
        assert session.get_one(EntryRow, (key, section, "x")).record == second


def test_what_is_read_of_a_row_can_be_changed_without_changing_it(store: Store) -> None:
    with store.writing() as session:
        key = add_sheet(session, "Kites").id
        add_rows(session, key, [("instruments", EntryVersion("x", {"id": "x"}, 0, 1))])
        row = session.get_one(EntryRow, (key, "instruments", "x"))
        kept(row).record["name"] = "Caliper"
        assert row.record == {"id": "x"}


@given(VALUES.filter(lambda value: value is not None))
def test_a_json_column_gives_back_what_it_was_given(value: Any) -> None:
    from sqlalchemy.dialects import sqlite

    column, dialect = JsonText(), sqlite.dialect()
    assert column.process_result_value(column.process_bind_param(value, dialect), dialect) == value
