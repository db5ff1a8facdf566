"""What nobody would type on purpose: answered in a sentence, and nothing breaks by it."""

import json
import sqlite3
import zipfile
from collections.abc import Iterator
from contextlib import closing
from io import BytesIO
from pathlib import Path
from typing import Any

import pytest

from metrion.demo import demo_file, prepare
from metrion.store.database import FILE_NAME
from tests.server import asked, running
from tests.web.test_storage import said

CIRCLE = {
    "kind": "angular", "unit": "arcmin", "main_division": "1/7", "fine_divisions": 30, "span": 29,
    "name": "Odd circle",
}  # fmt: skip
SECONDS = "no whole seconds apart"


@pytest.fixture(scope="module")
def server(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    with running(tmp_path_factory.mktemp("odd")) as address:
        yield address


def refused(answer: tuple[int, Any]) -> str:
    """What a refusal says, the faults too."""
    status, told = answer
    assert status == 422, told
    return " ".join([told["message"], *(one["message"] for one in told["faults"])])


@pytest.mark.parametrize(
    ("path", "body"),
    [
        ("/sheets/spare-parts/instruments", CIRCLE),
        ("/tools", CIRCLE),
        ("/instruments/describe", CIRCLE),
        ("/instruments/look", {"seq": 1, "main": "0:00", "fine": "3", "record": CIRCLE}),
    ],
)
def test_a_circle_whose_marks_cannot_be_written_is_no_tool(
    server: str, path: str, body: dict[str, Any]
) -> None:
    assert SECONDS in refused(asked(server, path, body))
    assert asked(server, "/sheets/spare-parts")[0] == 200


def test_nor_does_one_come_in_a_file_or_by_a_change(server: str) -> None:
    document = json.loads(demo_file("foil-colours"))
    document["instruments"][0]["main_division"] = "0.01"
    document["measurements"], document["zero_checks"], document["derived"] = [], [], []
    status, answer = asked(server, "/arrivals", json.dumps(document).encode())
    assert (status, answer[0]["standing"]) == (200, "faulty")
    assert SECONDS in json.dumps(answer)
    own = {**CIRCLE, "main_division": "0.5", "id": "fine-circle"}
    assert asked(server, "/sheets/spare-parts/instruments", own)[0] == 201
    path = "/sheets/spare-parts/instruments/fine-circle"
    assert SECONDS in refused(asked(server, path, {"main_division": "1/7"}, "PATCH", version=1))


def test_a_file_that_is_only_worked_out_may_have_one(tmp_path: Path) -> None:
    document = {"format": "metrion-logbook", "version": 1, "instruments": [{**CIRCLE, "id": "c"}]}
    (tmp_path / "c.json").write_text(json.dumps(document))
    done = said("reduce", tmp_path / "c.json")
    assert (done.returncode, json.loads(done.stdout)["instruments"][0]["pattern"]) == (0, "direct")


@pytest.mark.parametrize("seed", ["9" * 5_000, "9" * 21, "", "x", "١"])
def test_a_seed_that_is_none_is_told(server: str, seed: str) -> None:
    answer = asked(server, "/bench/stand", {"simulated": f"{seed} take:caliper"})
    assert "seed" in refused(answer) or "bench" in refused(answer)


@pytest.mark.parametrize("sign", ["\x00", "\x07", "\ufffe", "\uffff"])
def test_titles_are_refused_when_they_are_new_as_when_they_are_changed(
    server: str, sign: str
) -> None:
    new = asked(server, "/sheets", {"title": f"a{sign}b"})
    version = asked(server, "/sheets/spare-parts")[1]["version"]
    changed = asked(server, "/sheets/spare-parts", {"title": f"a{sign}b"}, "PATCH", version=version)
    assert f"{ord(sign):04X}" in refused(new)
    assert f"{ord(sign):04X}" in refused(changed)


CUT, ODD = "substr(record, 1, 20)", "replace(record, '6', '6' || char(7))"


@pytest.fixture(params=[CUT, ODD, "'[]'", "'['"], ids=["cut", "control", "list", "open"])
def spoilt(request: pytest.FixtureRequest, tmp_path: Path) -> Path:
    """A notebook one of whose sheets has a reading that is no JSON any more."""
    folder = tmp_path / "demo"
    prepare(folder)
    with closing(sqlite3.connect(folder / FILE_NAME)) as connection:
        connection.execute(
            f"UPDATE entries SET record = {request.param} "
            "WHERE sheet_id = 'spare-parts' AND section = 'observations' AND position = 0"
        )
        connection.commit()
    return folder


def test_a_record_that_is_no_json_any_more_is_told_and_given_out_as_text(spoilt: Path) -> None:
    with running(spoilt, "serve") as address:
        sheets = {one["id"]: one for one in asked(address, "/sheets")[1]["sheets"]}
        assert "cannot be read any more" in sheets["spare-parts"]["damage"]
        assert len(sheets) > 3
        assert asked(address, "/sheets/spare-parts")[0] == 409
        status, text = asked(address, "/sheets/spare-parts/logbook")
        assert (status, b"Caliper A" in text) == (200, True)
        status, packed = asked(address, "/archive")
        assert asked(address, "/sheets/spare-parts", method="DELETE")[0] == 204
    with zipfile.ZipFile(BytesIO(packed)) as archive:
        manifest = json.loads(archive.read("manifest.json"))
        assert len(archive.namelist()) == len(sheets)
    assert [one["id"] for one in manifest["left_out"]] == ["spare-parts"]
    assert "cannot be read any more" in manifest["left_out"][0]["why"]


def test_the_command_gives_it_out_too_and_the_others_as_ever(spoilt: Path, tmp_path: Path) -> None:
    one = said("export", "--data", spoilt, "--sheet", "spare-parts")
    assert (one.returncode, "Caliper A" in one.stdout) == (0, True)
    assert "is left out" in one.stderr
    out = tmp_path / "all.zip"
    done = said("export", "--data", spoilt, "--to", out)
    assert (done.returncode, "is left out" in done.stderr) == (0, True)
    assert said("import", out, "--data", tmp_path / "again").returncode == 0


def test_a_bad_line_of_a_batch_is_answered_and_the_rest_goes_on(tmp_path: Path) -> None:
    tool = {"id": "c", "kind": "vernier", "unit": "mm", "main_division": "1",
            "fine_divisions": 10, "span": 9}  # fmt: skip
    asked_of = {"image": str(tmp_path / "none.png"), "instrument": tool, "edge": [[0, 0], [9, 9]]}
    lines = ["{", "[]", "{}", json.dumps(asked_of), "\ud800", "7"]
    (tmp_path / "batch").write_bytes("\n".join(lines).encode("utf-8", "surrogatepass"))
    done = said("photo", tmp_path / "batch")
    answers = [json.loads(line) for line in done.stdout.splitlines()]
    assert (done.returncode, done.stderr) == (2, "")
    assert len(answers) == len(lines)
    assert all(one["faults"] for one in answers)
