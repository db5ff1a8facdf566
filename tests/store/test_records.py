"""Rows hold a record just as it came, whatever stands in its fields."""

from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.store.models import SECTIONS, InstrumentRow
from metrion.store.records import Kept, fill, kept, new_row
from metrion.store.types import ExactText, JsonText, is_exact

VALUES = st.recursive(
    st.none() | st.booleans() | st.integers() | st.text(max_size=5) | st.just("6.15"),
    lambda inner: st.lists(inner, max_size=3) | st.dictionaries(st.text(max_size=3), inner),
    max_leaves=6,
)
NAMES = st.sampled_from(
    ["name", "kind", "main_division", "fine_divisions", "range", "main", "fine", "second_turn",
     "excluded", "zero", "items", "note", "history", "of_ours", "extra", "a", "looked_again"]
)  # fmt: skip


@given(st.sampled_from(sorted(SECTIONS)), st.dictionaries(NAMES, VALUES))
def test_any_record_comes_back_as_it_was(section: str, record: dict[str, Any]) -> None:
    if section != "observations":
        record = {"id": "x", **record}
    parent = "m" if section == "observations" else None
    row = new_row(section, "s", Kept("x", record, 3, 1, parent))
    back = kept(row)
    assert back.record == record
    assert (back.id, back.position, back.measurement) == ("x", 3, parent)


@given(st.dictionaries(NAMES, VALUES), st.dictionaries(NAMES, VALUES))
def test_filling_a_row_anew_leaves_nothing_of_the_old_record(
    first: dict[str, Any], second: dict[str, Any]
) -> None:
    row = new_row("instruments", "s", Kept("x", {"id": "x", **first}, 0, 1))
    fill(row, {"id": "x", **second})
    assert kept(row).record == {"id": "x", **second}


def test_what_a_column_can_hold_stands_in_it() -> None:
    record = {"id": "x", "main_division": "1/16", "fine_divisions": 20, "numerals": "cm"}
    row = new_row("instruments", "s", Kept("x", record, 0, 1))
    assert isinstance(row, InstrumentRow)
    assert (row.main_division, row.fine_divisions) == ("1/16", 20)
    assert row.extra == {"numerals": "cm"}


@pytest.mark.parametrize(
    ("value", "exact"),
    [("6.0", True), ("1/16", True), ("214:30", True), ("6,0", False), (6, False), (None, False)],
)
def test_exact_texts_are_told_from_others(value: object, exact: bool) -> None:
    assert is_exact(value) is exact


def test_a_column_for_exact_texts_refuses_others() -> None:
    from sqlalchemy.dialects import sqlite

    column = ExactText()
    assert column.process_bind_param("6.0", sqlite.dialect()) == "6.0"
    with pytest.raises(ValueError, match="no exact number"):
        column.process_bind_param("6,0", sqlite.dialect())


@given(VALUES.filter(lambda value: value is not None))
def test_a_json_column_gives_back_what_it_was_given(value: Any) -> None:
    from sqlalchemy.dialects import sqlite

    column, dialect = JsonText(), sqlite.dialect()
    assert column.process_result_value(column.process_bind_param(value, dialect), dialect) == value
