"""Readings from tables that people make with a spreadsheet."""

import random
from fractions import Fraction

import pytest

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.desk.said.judging import NOTHING_TOLD, FigureOptions
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation, Sort
from metrion.core.scales import Indication, ScrewScale, VernierScale
from metrion.core.traits import Kind
from metrion.formats.csv_table import of_quantity, read_table
from metrion.formats.faults import Refused
from metrion.formats.readings_table import (
    Column,
    guessed_roles,
    readings_of,
    roles,
)
from metrion.formats.table import observation_table
from tests.said import said, saying

LINE = FigureOptions(FineAs.LINE)
CALIPER = Instrument("c", "Caliper", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))
CIRCLE = Instrument("o", "Circle", Kind.ANGULAR, "arcmin", VernierScale(Fraction(20), 40, 39))
TWO_TURNS = Instrument("t", "T", Kind.SCREW, "mm", ScrewScale(Fraction("0.5"), 50, Fraction(1)))
SCREW = Instrument("s", "Screw", Kind.SCREW, "mm", ScrewScale(Fraction("0.5"), 50, Fraction("0.5")))


@pytest.mark.parametrize("encoding", ["utf-8", "utf-8-sig", "cp1252"])
@pytest.mark.parametrize(("delimiter", "point"), [(";", ","), (";", "."), (",", "."), ("\t", ",")])
@pytest.mark.parametrize("end", ["\n", "\r\n"])
def test_signs_between_columns_and_of_decimals_are_understood(
    encoding: str, delimiter: str, point: str, end: str
) -> None:
    rows = [["Größe", "MSR", "thimble line"], ["A", f"4{point}5", "38"], ["B", "5", "2"]]
    text = end.join(delimiter.join(row) for row in rows) + end + end
    table = read_table(text.encode(encoding))
    assert table.delimiter == delimiter
    assert table.header == tuple(rows[0])
    found = readings_of(table, ["place", "main", "fine"], SCREW, Sort.SINGLE, LINE, estimates=False)
    assert found.faults == []
    assert [reading.record for reading in found.readings] == [
        {"main": "4.5", "fine": 38, "place": "A"}, {"main": "5", "fine": 2, "place": "B"},
    ]  # fmt: skip
    assert [reading.read for reading in found.readings] == ["4.88 mm", "5.02 mm"]


@pytest.mark.parametrize(
    ("header", "found"),
    [
        ("place;MSR;VSR;zero corrected", ["place", "main", "fine", ""]),
        ("No.;Main scale;Coinciding line;Total;Remark", ["", "main", "fine", "", "note"]),
        ("sleeve;thimble;observer", ["main", "fine", "reader"]),
        ("measurement;name;main;fine;observed;zero_error;corrected;excluded",
         ["", "", "main", "fine", "", "", "", "excluded"]),
        ("x;y", ["", ""]),
    ],
)  # fmt: skip
def test_headings_tell_what_a_column_holds(header: str, found: list[str]) -> None:
    row = ";".join(["1"] * len(found))
    table = read_table(f"{header}\n{row}\n".encode())
    assert guessed_roles(table, SCREW, Sort.SINGLE) == found


TURNS = ["main", "fine", "turn"]


def two_turns(text: str, columns: list[str]) -> tuple[list[dict[str, object]], list[str]]:
    table = read_table(text.encode())
    found = readings_of(table, columns, TWO_TURNS, Sort.SINGLE, LINE, estimates=False)
    return [one.record for one in found.readings], [said(fault) for fault in found.faults]


@pytest.mark.parametrize(
    ("word", "second"),
    [("first", False), ("2nd", True), ("yes", True), ("0", False), ("", False), ("X", True)],
)
def test_a_column_says_which_turn_was_read(word: str, second: bool) -> None:
    header = "sleeve;thimble;half mark passed"
    assert guessed_roles(read_table(f"{header}\n5;12;{word}".encode()), TWO_TURNS, Sort.SINGLE) == (
        TURNS
    )
    found, faults = two_turns(f"{header}\n5;12;{word}\n", TURNS)
    assert (found, faults) == ([{"main": "5", "fine": 12, "second_turn": second}], [])


def test_a_half_mark_in_the_main_column_is_the_second_turn() -> None:
    found, faults = two_turns("5,5;12\n5;40\n", ["main", "fine"])
    assert faults == []
    assert [(one["main"], one["second_turn"]) for one in found] == [("5", True), ("5", False)]


def test_a_table_that_does_not_say_the_turn_is_not_guessed_at() -> None:
    assert two_turns("5;12\n6;1\n", ["main", "fine"])[1] == [
        "no column says which turn was read: first or second"
    ]
    (fault,) = two_turns("sleeve;thimble;turn\n5;12;1\n", TURNS)[1]
    assert fault == "row 2, column “turn”: 1 names no turn of the thimble; write first or second"
    assert "turn" not in roles(SCREW, Sort.SINGLE)
    assert roles(TWO_TURNS, Sort.PAIR)[:6] == [*TURNS, "main 2", "fine 2", "turn 2"]


def test_two_columns_without_headings_are_main_and_line() -> None:
    table = read_table(b"6,3\n6,4\n")
    assert (table.header, table.lines) == ((), (1, 2))
    assert guessed_roles(table, SCREW, Sort.SINGLE) == ["main", "fine"]


def test_faults_are_told_by_row_and_column_and_name_every_one() -> None:
    table = read_table(b"where;main;line\n\nA;6.45;3\n\nB;7;21\nC;seven;\n")
    faults = readings_of(
        table, ["place", "main", "fine"], CALIPER, Sort.SINGLE, LINE, estimates=False
    ).faults
    assert [said(fault).split(":")[0] for fault in faults] == [
        "row 3, column “main”", "row 5, column “line”", "row 6, column “main”",
    ]  # fmt: skip
    assert "6.45 is not a mark of Caliper" in said(faults[0])
    assert faults[0].pointer == "/rows/0/1"


def test_a_column_that_is_missing_is_named() -> None:
    table = read_table(b"6,3\n")
    found = readings_of(table, ["main", ""], CALIPER, Sort.SINGLE, LINE, estimates=False)
    assert found.readings == []
    assert said(found.faults[0]) == "no column is said to hold: line"


def test_the_fine_column_may_hold_what_a_line_is_worth() -> None:
    table = read_table(b"main;fine\n6;0,15\n")
    (reading,) = readings_of(
        table, ["main", "fine"], CALIPER, Sort.SINGLE, FigureOptions(FineAs.WORTH), estimates=False
    ).readings
    assert reading.record == {"main": "6", "fine": 3}


def asked_of(text: str, told: FigureOptions = NOTHING_TOLD) -> tuple[list[Column], int, int]:
    table = read_table(text.encode())
    found = readings_of(table, ["main", "fine"], CALIPER, Sort.SINGLE, told, estimates=False)
    return found.asked, len(found.readings), found.doubtful


def test_what_a_column_holds_is_asked_once_for_the_table() -> None:
    both = Column("fine", (FineAs.LINE, FineAs.NUMERAL))
    assert asked_of("6;3\n6;4\n7;17\n") == ([both], 1, 2)
    assert asked_of("6;3\n6;4\n", LINE) == ([], 2, 0)
    assert asked_of("6;3\n6;4\n", FigureOptions(FineAs.NUMERAL)) == ([], 2, 0)
    # What can be but one reading is not asked about.
    assert asked_of("6;12\n7;17\n6;0,15\n") == ([], 3, 0)
    # Each answer has to fit every row that is doubtful.
    assert asked_of("6;3\n7;15\n") == ([Column("fine", (FineAs.LINE,))], 0, 2)


def test_pairs_of_angles_have_four_columns() -> None:
    table = read_table("a;b;c;d\n341:20;11;18°40′;30\n".encode())
    assert roles(CIRCLE, Sort.PAIR)[:4] == ["main", "fine", "main 2", "fine 2"]
    found = readings_of(
        table, ["main", "fine", "main 2", "fine 2"], CIRCLE, Sort.PAIR, LINE, estimates=False
    )
    assert found.faults == []
    assert found.readings[0].record == {
        "a": {"main": "341:20", "fine": 11}, "b": {"main": "18:40", "fine": 30},
    }  # fmt: skip


@pytest.mark.parametrize(
    ("content", "says"),
    [(b"", "empty"), (b" ;\n;\n", "empty"), (b"PK\x03\x04\0\0", "is no text")],
)
def test_what_is_no_table_is_refused(content: bytes, says: str) -> None:
    with pytest.raises(Refused, check=saying(says)):
        read_table(content)


def test_any_bytes_are_read_or_refused() -> None:
    chance = random.Random(5)
    for _ in range(200):
        content = bytes(chance.choices(b'";,\t\n\r16.ab\xe9\xff', k=chance.randrange(1, 60)))
        try:
            table = read_table(content)
        except Refused:
            continue
        assert all(len(row) == table.width for row in table.rows)


def test_the_table_of_observations_that_goes_out_comes_in_again() -> None:
    """Also pairs, whose positions share a cell, and angles; each quantity takes its own rows."""
    singles = Measurement(
        "one", "Spreader", CALIPER, BUILT_IN["half-division"],
        tuple(
            Observation((Indication(Fraction(main), line),), place, excluded)
            for main, line, place, excluded in (
                (-1, 17, "=end", ""), (6, 3, "", "slip"), (6, 4, "end / middle", ""),
            )
        ),
    )  # fmt: skip
    pairs = Measurement(
        "two", "Green", CIRCLE, BUILT_IN["standard"],
        (Observation((Indication(Fraction(20480), 11), Indication(Fraction(1120), 30))),),
    )  # fmt: skip
    table = read_table(observation_table([singles, pairs]).encode())
    found = {}
    for measurement in (singles, pairs):
        own = of_quantity(table, measurement.id)
        instrument, sort = measurement.instrument, measurement.sort
        columns = guessed_roles(own, instrument, sort)
        # What a table of our own holds is not asked about.
        read = readings_of(own, columns, instrument, sort, estimates=False)
        assert (read.faults, read.asked) == ([], [])
        found[measurement.id] = [reading.record for reading in read.readings]
    assert found == {
        "one": [
            {"main": "-1", "fine": 17, "place": "=end"},
            {"main": "6", "fine": 3, "excluded": "slip"},
            {"main": "6", "fine": 4, "place": "end / middle"},
        ],
        "two": [{"a": {"main": "341:20", "fine": 11}, "b": {"main": "18:40", "fine": 30}}],
    }
    assert of_quantity(table, "three") == table


@pytest.mark.parametrize(
    "first", ["0,0", "0;0", "0\t0", "-1;17", "0 mm;line 0", "½;3", ".5;3", "A;0;0", "−1;0"]
)
def test_a_first_row_that_holds_a_figure_is_a_reading(first: str) -> None:
    table = read_table(f"{first}\n{first}\n".encode())
    assert (table.header, len(table.rows)) == ((), 2)


@pytest.mark.parametrize(
    "first", ["main,fine", "main,fine,main 2,fine 2", "place;sleeve [0.5 mm];line", "a;b"]
)
def test_a_first_row_without_a_figure_is_headings(first: str) -> None:
    table = read_table(f"{first}\n6,3\n".encode())
    assert (table.header != (), len(table.rows)) == (True, 1)


@pytest.mark.parametrize(
    ("first", "headed"),
    [
        ("1st main mark;1st line", True), ("main;line", True), ("a;b", True),
        ("6;main line", False), ("6 mmm;l2", False), ("6;3", False), ("1;2;", False),
    ],
)  # fmt: skip
def test_a_row_of_headings_is_no_reading(first: str, headed: bool) -> None:
    table = read_table(f"{first}\n6;3\n7;4\n".encode())
    assert len(table.rows) == (2 if headed else 3)
    assert table.header == (tuple(first.split(";")) if headed else ())
