"""The command line, run as a person runs it."""

import json
import re
import socket
import subprocess
import urllib.request
from pathlib import Path

import pytest
from click.testing import CliRunner

from metrion.cli import main
from metrion.demo import demo_file
from metrion.formats.forms import FORMS
from tests.hand_ins import handed, logbook_of, pdf_of, zip_of
from tests.server import COMMAND, running


def run(*words: str, stdin: bytes = b"") -> subprocess.CompletedProcess[bytes]:
    return subprocess.run([*COMMAND, *words], input=stdin, capture_output=True, check=False)


@pytest.fixture
def good(tmp_path: Path) -> str:
    path = tmp_path / "good.json"
    path.write_bytes(demo_file("spare-parts"))
    return str(path)


@pytest.fixture
def broken(tmp_path: Path) -> str:
    path = tmp_path / "broken.json"
    document = json.loads(demo_file("spare-parts"))
    document["measurements"][0]["observations"][0]["main"] = "6.4"
    document["zero_checks"][0]["fine"] = 21
    path.write_text(json.dumps(document))
    return str(path)


def test_a_file_is_worked_out(good: str) -> None:
    done = run("reduce", good)
    found = json.loads(done.stdout)
    assert (done.returncode, done.stderr) == (0, b"")
    assert found["format"] == "metrion-results"
    assert found["measurements"][0]["text"] == "(6.6 ± 0.5) mm"


def test_a_zero_a_mark_off_is_flagged_with_its_check_and_what_it_likely_was() -> None:
    case = Path(__file__).parent / "reference" / "case-057.json"
    flags = [
        (found["id"], flag["zero_check"], flag["level"], flag["suggestion"])
        for found in json.loads(run("reduce", str(case)).stdout)["measurements"]
        for flag in found["flags"]
        if flag["code"] == "zero-wrapped"
    ]
    assert flags == [
        ("m20", "z20", "warning", {"main": "-1"}),
        ("m21", "z20", "warning", {"main": "-1"}),
        ("m21", "z21", "warning", {"main": "-1"}),
    ]


def test_a_formula_that_would_keep_the_machine_busy_is_refused_at_once() -> None:
    document = json.loads(demo_file("spare-parts"))
    nines = "(" * 9 + "1/9" + ")**9" * 9
    document["derived"] = [
        {"id": "d", "formula": f"D*{nines}", "unit": "mm", "convention": "standard",
         "inputs": {"D": "spreader"}}
    ]  # fmt: skip
    done = run("reduce", "-", stdin=json.dumps(document).encode())
    assert (done.returncode, done.stdout) == (2, b"")
    assert done.stderr.startswith(b"/derived/0/formula: ")


def test_standard_input_is_read() -> None:
    done = run("reduce", "-", stdin=demo_file("wing-tip-nocks"))
    assert json.loads(done.stdout)["measurements"][0]["zero_error"] == "0.2"


def test_faults_go_to_standard_error_one_a_line(broken: str) -> None:
    done = run("reduce", broken)
    assert (done.returncode, done.stdout) == (2, b"")
    assert done.stderr.decode().splitlines() == [
        "/zero_checks/0/fine: Caliper A has no line 21; its lines run from 0 to 20",
        "/measurements/0/observations/0/main: "
        "6.4 is not a mark of Caliper A, whose marks are 1 mm apart",
    ]


def test_a_file_that_cannot_be_read_is_a_fault(tmp_path: Path) -> None:
    name = str(tmp_path / "nothing.json")
    for path, says in (
        (name, rf"{re.escape(name)} cannot be read: .+"),
        (str(tmp_path), "no logbook, PDF or ZIP is in it"),
    ):
        done = run("reduce", path)
        assert (done.returncode, done.stdout) == (2, b"")
        assert re.fullmatch(rf": {says}\n", done.stderr.decode())


def test_several_files_give_a_line_each(good: str, broken: str, tmp_path: Path) -> None:
    missing = str(tmp_path / "missing.json")
    done = run("reduce", good, broken, missing, good)
    lines = [json.loads(line) for line in done.stdout.decode().splitlines()]
    assert (done.returncode, done.stderr) == (2, b"")
    assert [line["format"] for line in lines] == [
        "metrion-results",
        "metrion-faults",
        "metrion-faults",
        "metrion-results",
    ]
    assert lines[1]["file"] == broken
    assert lines[1]["faults"][0]["pointer"] == "/zero_checks/0/fine"
    assert lines[2]["faults"][0]["pointer"] == ""


def test_several_good_files_exit_with_0(good: str) -> None:
    assert run("reduce", good, good).returncode == 0


@pytest.mark.parametrize(
    "content", [b"", b"\xff", b"[1", b'{"format": "metrion-logbook"}', b"null"]
)
def test_junk_is_refused_without_a_traceback(content: bytes) -> None:
    done = run("reduce", "-", stdin=content)
    assert (done.returncode, done.stdout) == (2, b"")
    assert b"Traceback" not in done.stderr
    assert done.stderr


def test_a_port_in_use_gives_one_sentence(tmp_path: Path) -> None:
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        port = taken.getsockname()[1]
        done = run("serve", "--data", str(tmp_path), "--port", str(port))
    assert done.returncode == 1
    (line,) = done.stderr.decode().splitlines()
    assert line.startswith(f"Port {port} on 127.0.0.1 cannot be used")


def test_the_demo_keeps_apart_from_a_users_data(tmp_path: Path) -> None:
    (tmp_path / "metrion.sqlite").write_bytes(b"a user's data")
    with (
        running(tmp_path, command=COMMAND) as address,
        urllib.request.urlopen(f"{address}/api/sheets", timeout=10) as answer,
    ):
        titles = [sheet["title"] for sheet in json.load(answer)["sheets"]]
    assert "Two-line kite, spare parts" in titles
    assert (tmp_path / "metrion.sqlite").read_bytes() == b"a user's data"
    assert (tmp_path / "demo" / "metrion.sqlite").exists()


def test_the_table_is_printed_instead(good: str) -> None:
    done = run("reduce", good, "--csv")
    assert (done.returncode, done.stderr) == (0, b"")
    assert done.stdout.startswith(b"measurement,name,instrument,unit,place,main,fine,observed,")
    assert done.stdout.endswith(b"\r\n")
    assert b"\r\r" not in done.stdout


def test_a_broken_file_has_no_table(broken: str) -> None:
    done = run("reduce", "--csv", broken)
    assert (done.returncode, done.stdout) == (2, b"")
    assert len(done.stderr.splitlines()) == 2


def test_the_table_takes_one_file(good: str) -> None:
    done = run("reduce", "--csv", good, good)
    assert (done.returncode, done.stdout) == (2, b"")
    assert b"--csv takes one FILE" in done.stderr


def test_a_notebook_goes_out_and_comes_in_and_is_the_same_file(tmp_path: Path) -> None:
    from metrion.demo import prepare

    here, there = tmp_path / "here", tmp_path / "there"
    prepare(here)
    packed = tmp_path / "all.zip"
    assert run("export", "--data", str(here), "--to", str(packed)).returncode == 0
    done = run("import", str(packed), "--data", str(there))
    assert (done.returncode, done.stdout.count(b"a new sheet")) == (0, 6)
    again = run("import", "-", "--data", str(there), stdin=packed.read_bytes())
    assert again.stdout.count(b"here already") == 6
    assert run("export", "--data", str(there)).stdout == packed.read_bytes()


def test_one_sheet_goes_out_as_its_logbook_and_replaces_what_differs(tmp_path: Path) -> None:
    from metrion.demo import prepare

    prepare(tmp_path)
    data = ["--data", str(tmp_path)]
    one = run("export", *data, "--sheet", "sail-film").stdout
    document = json.loads(one)
    assert document["format"] == "metrion-logbook"
    document["written_by"] = "somebody else"
    changed = json.dumps(document).encode()
    for _ in range(2):
        left = run("import", "-", *data, stdin=changed).stdout
        assert b"here already, but not the same (--replace" in left
    assert b"a new sheet" in run("import", "-", "--again", *data, stdin=changed).stdout
    document |= {"title": "Film", "authors": "Ida, Jon"}
    replaced = run("import", "-", "--replace", *data, stdin=json.dumps(document).encode())
    assert replaced.stdout == b"Film, by Ida, Jon: replaced\n"
    assert json.loads(run("export", *data, "--sheet", "sail-film").stdout) == document
    again = run("import", "-", *data, stdin=json.dumps(document).encode())
    assert again.stdout == b"Film, by Ida, Jon: here already\n"
    # With no id, or another one, it is another's, whatever its title.
    for key in ({}, {"id": "theirs"}):
        others = {name: value for name, value in document.items() if name != "id"} | key
        done = run("import", "-", "--replace", *data, stdin=json.dumps(others).encode())
        assert done.stdout == b"Film, by Ida, Jon: a new sheet\n"


def test_a_broken_file_is_not_imported(broken: str, tmp_path: Path) -> None:
    data = tmp_path / "data"
    done = run("import", broken, "--data", str(data))
    assert (done.returncode, done.stdout) == (2, b"")
    assert len(done.stderr.splitlines()) == 2
    assert run("import", str(tmp_path / "nothing"), "--data", str(data)).returncode == 2
    assert (
        run("export", "--data", str(data), "--sheet", "x").stderr
        == b"there is no sheet \xe2\x80\x9cx\xe2\x80\x9d here.\n"
    )


@pytest.mark.parametrize(("key", "begins"), [
    ("html", b"<!doctype html>"), ("pdf", b"%PDF-"), ("xlsx", b"PK"), ("ods", b"PK"),
    ("csv", b"measurement,name,"), ("csv-to-read", b"quantity,"), ("md", b"# "),
    ("tex", b"\\documentclass"), ("tables", b"% Needs"),
])  # fmt: skip
def test_a_sheet_is_written_in_every_form(tmp_path: Path, key: str, begins: bytes) -> None:
    file, to = tmp_path / "sheet.json", tmp_path / "out"
    file.write_bytes(demo_file("spare-parts"))
    done = CliRunner().invoke(main, ["report", str(file), f"--{key}", "--to", str(to)])
    assert done.exit_code == 0, done.output
    assert key in FORMS
    assert to.read_bytes().startswith(begins)


def test_hand_ins_of_every_sort_are_worked_out_and_say_whose_they_are(tmp_path: Path) -> None:
    folder = tmp_path / "week"
    folder.mkdir()
    (folder / "1.json").write_bytes(logbook_of(handed(1)))
    (folder / "2.pdf").write_bytes(pdf_of(handed(2)))
    (folder / "3.zip").write_bytes(zip_of({"a.json": logbook_of(handed(3)), "b.json": b"{}"}))
    (folder / "notes.txt").write_text("text")
    done = run("reduce", str(folder))
    lines = [json.loads(line) for line in done.stdout.splitlines()]
    assert [(one["file"].removeprefix(str(folder)), one.get("authors")) for one in lines] == [
        ("/1.json", "Jon 1"), ("/2.pdf", "Mia 2"), ("/3.zip/a.json", "Noor 3"),
        ("/3.zip/b.json", None),
    ]  # fmt: skip
    assert (done.returncode, lines[3]["format"]) == (2, "metrion-faults")
    assert done.stderr.decode().strip().endswith(f"PDF or ZIP: {folder}/notes.txt")
    assert lines[0]["title"] == "Spare parts"
    first = json.loads(logbook_of(handed(1)))
    for section in ("instruments", "measurements", "derived"):
        named = [(one["id"], one["name"]) for one in lines[0][section]]
        assert named == [(one["id"], one["name"]) for one in first.get(section, [])]
    # One that carries one logbook is a file like a logbook.
    alone = run("reduce", str(folder / "2.pdf"))
    (tmp_path / "2.json").write_bytes(logbook_of(handed(2)))
    assert alone.stdout == run("reduce", str(tmp_path / "2.json")).stdout
    assert run("reduce", "--csv", str(folder / "2.pdf")).stdout.startswith(b"measurement,")
    assert b"take one logbook" in run("reduce", "--csv", str(folder)).stderr


def test_many_are_imported_and_what_became_of_each_is_told(tmp_path: Path) -> None:
    data, folder = ["--data", str(tmp_path / "data")], tmp_path / "week"
    folder.mkdir()
    for number in (1, 2):
        (folder / f"{number}.json").write_bytes(logbook_of(handed(number)))
    (folder / "3.pdf").write_bytes(pdf_of(handed(1)))
    (folder / "4.json").write_bytes(logbook_of({**handed(1), "aim": "to know"}))
    (folder / "5.pdf").write_bytes(b"%PDF-1.7")
    refused = run("import", str(folder), *data)
    assert (refused.returncode, refused.stdout) == (2, b"")
    assert refused.stderr.decode().startswith(f"{folder}/5.pdf: : the PDF cannot be read")
    done = run("import", str(folder), "--leave-faulty", *data)
    told = [line.partition(": Spare parts, by ")[2] for line in done.stdout.decode().splitlines()]
    assert told == [
        "Jon 1: a new sheet", "Mia 2: a new sheet", f"Jon 1: the same as {folder}/1.json",
        f"Jon 1: another state of the sheet in {folder}/1.json (--again takes it in beside it)",
    ]  # fmt: skip
    assert done.returncode == 2
