"""Disks and database files that cannot be used, told by the real command in one sentence each."""

import os
import sqlite3
import stat
import subprocess
import sys
from contextlib import closing
from pathlib import Path

import pytest

from metrion.store import Store
from metrion.store.backups import backups
from metrion.store.database import FILE_NAME
from metrion.store.sheets import add_sheet
from tests.server import COMMAND, asked, running

ROOT = Path(__file__).parents[2]


def said(*words: object, before: str = "") -> subprocess.CompletedProcess[str]:
    """What a command answers, in file systems of its own where something comes ``before``."""
    command = [*COMMAND, *map(str, words)]
    if before:
        alone = ["unshare", "--map-root-user", "--mount", "sh", "-c", f'{before}; exec "$@"', "sh"]
        command = [*alone, *command]
    return subprocess.run(
        command, cwd=ROOT, capture_output=True, text=True, check=False, timeout=60
    )


def made(folder: Path) -> Path:
    """The database of a new notebook."""
    store = Store(folder)
    with store.writing() as session:
        add_sheet(session, "Kept")
    store.close()
    return store.path


def titles(folder: Path) -> list[str]:
    with running(folder, "serve") as address:
        return [one["title"] for one in asked(address, "/sheets")[1]["sheets"]]


def told(done: subprocess.CompletedProcess[str]) -> str:
    """The one sentence of a command that gave up."""
    assert done.returncode == 1, done.stdout
    (line,) = done.stderr.splitlines()
    return line


def damaged(database: Path) -> None:
    content = bytearray(database.read_bytes())
    content[4096:8192] = b"\xa5" * 4096
    database.write_bytes(content)


def of_a_newer_metrion(database: Path) -> None:
    with closing(sqlite3.connect(database)) as connection:
        connection.execute("UPDATE alembic_version SET version_num = '9999'")
        connection.commit()


def of_another_program(database: Path) -> None:
    database.unlink()
    with closing(sqlite3.connect(database)) as connection:
        connection.execute("CREATE TABLE birds (name TEXT)")
        connection.commit()


@pytest.mark.parametrize(
    ("harm", "says"),
    [
        (damaged, "is damaged"),
        (lambda path: path.write_bytes(b"no database at all, but some text" * 99), "is damaged"),
        (lambda path: os.truncate(path, path.stat().st_size // 2), "is damaged"),
        (lambda path: os.truncate(path, 0), "is empty"),
        (of_a_newer_metrion, "newer Metrion (9999)"),
        (of_another_program, "another program"),
    ],
    ids=["page", "text", "half", "empty", "newer", "other"],
)
@pytest.mark.parametrize("command", ["serve", "export", "backup"])
def test_a_database_that_cannot_be_used_is_told_and_left_alone(
    tmp_path: Path, harm: object, says: str, command: str
) -> None:
    database = made(tmp_path)
    assert callable(harm)
    harm(database)
    before = database.read_bytes()
    assert says in told(said(command, "--data", tmp_path))
    assert database.read_bytes() == before


def test_after_damage_the_last_good_copy_is_put_back_and_the_damaged_one_kept(
    tmp_path: Path,
) -> None:
    database = made(tmp_path)
    copy = Path(said("backup", "--data", tmp_path).stdout.strip())
    assert stat.S_IMODE(copy.stat().st_mode) == 0o600
    damaged(database)
    done = said("restore", "--data", tmp_path)
    assert (done.returncode, str(copy) in done.stdout, ".damaged" in done.stdout) == (0, True, True)
    assert titles(tmp_path) == ["Kept"]


def test_a_backup_is_made_at_the_start_and_restored_only_when_nobody_is_at_work(
    tmp_path: Path,
) -> None:
    made(tmp_path)
    with running(tmp_path, "serve") as address:
        asked(address, "/sheets", {"title": "Later"})
        assert "is in use" in told(said("restore", "--data", tmp_path))
        assert said("backup", "--data", tmp_path, "--to", tmp_path / "out.sqlite").returncode == 0
    first = said("restore", "--list", "--data", tmp_path).stdout.splitlines()[-1].split("\t")[0]
    assert said("restore", "--data", tmp_path, first).returncode == 0
    assert titles(tmp_path) in ([], ["Kept"])
    assert said("restore", "--data", tmp_path, tmp_path / "out.sqlite").returncode == 0
    assert sorted(titles(tmp_path)) == ["Kept", "Later"]
    assert "no whole database" in told(said("restore", "--data", tmp_path, __file__))


def test_a_handful_of_backups_is_kept(tmp_path: Path) -> None:
    for count in range(6):
        with running(tmp_path, "serve") as address:
            asked(address, "/sheets", {"title": str(count)})
    assert len(backups(tmp_path)) == 3


READ_ONLY = 'mount --bind "{0}" "{0}"; mount -o remount,ro,bind "{0}"'


def test_a_folder_that_cannot_be_written_is_told(tmp_path: Path) -> None:
    made(tmp_path)
    before = READ_ONLY.format(tmp_path)
    assert "cannot be" in told(said("serve", "--data", tmp_path, before=before))
    assert "cannot be" in told(said("serve", "--data", tmp_path / "new", before=before))


_ON_A_SMALL_DISK = """
import sys
from pathlib import Path
from tests.server import asked, running
with running(Path(sys.argv[1]), "serve") as address:
    found, status = [], 201
    for count in range(2000):
        status, answer = asked(address, "/sheets", {"title": f"{count:04}" + "x" * 190})
        if status != 201:
            break
        found.append(answer["id"])
    there = {one["id"] for one in asked(address, "/sheets")[1]["sheets"]}
    print(status, "disk is full" in answer["message"], there == set(found), len(found) > 9)
"""


def test_a_full_disk_loses_nothing_and_says_so(tmp_path: Path) -> None:
    alone = 'mount -t tmpfs -o size=400k none "$0"; exec "$@"'
    done = subprocess.run(
        ["unshare", "--map-root-user", "--mount", "sh", "-c", alone, str(tmp_path),
         sys.executable, "-c", _ON_A_SMALL_DISK, str(tmp_path)],
        cwd=ROOT, capture_output=True, text=True, check=False, timeout=300,
    )  # fmt: skip
    assert done.stdout == "507 True True True\n", done.stderr
    assert "Traceback" not in done.stderr


def test_what_is_kept_is_for_its_owner_alone(tmp_path: Path) -> None:
    folder = tmp_path / "new"
    with running(folder, "serve") as address:
        asked(address, "/sheets", {"title": "Mine"})
        modes = {path.name: stat.S_IMODE(path.stat().st_mode) for path in folder.rglob("*")}
    assert {f"{FILE_NAME}{end}" for end in ("", "-wal", "-shm")} < modes.keys()
    assert {mode & 0o077 for mode in modes.values()} == {0}


def test_an_orderly_end_leaves_one_file_that_holds_everything(tmp_path: Path) -> None:
    database = made(tmp_path)
    assert not list(tmp_path.glob("*-wal"))
    with closing(sqlite3.connect(database)) as connection:
        assert connection.execute("SELECT title FROM sheets").fetchall() == [("Kept",)]
