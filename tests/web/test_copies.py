"""Copies of the notebook by the real commands: none that is needed goes, no other comes back."""

import shutil
import sqlite3
import subprocess
from contextlib import closing
from pathlib import Path

import pytest

from metrion.store import Store
from metrion.store.backups import back_up, backups
from metrion.store.database import FILE_NAME
from metrion.store.sheets import add_sheet
from tests.server import asked, running
from tests.web.test_storage import READ_ONLY, made, said, told

SAMPLES = Path(__file__).parents[1] / "store/samples"


def titles(database: Path) -> list[str]:
    with closing(sqlite3.connect(database)) as connection:
        return [title for (title,) in connection.execute("SELECT title FROM sheets ORDER BY 1")]


def with_copies(folder: Path, count: int) -> list[Path]:
    """Copies of a notebook that grew between them, the oldest first."""
    made_so_far = []
    for number in range(count):
        store = Store(folder)
        with store.writing() as session:
            add_sheet(session, f"Sheet {number}")
        made_so_far.append(store.back_up())
        store.close()
    return made_so_far


def test_the_oldest_copy_can_be_put_back_and_no_other_goes(tmp_path: Path) -> None:
    copies = with_copies(tmp_path, 3)
    store = Store(tmp_path)
    with store.writing() as session:
        add_sheet(session, "Not in a copy yet")
    store.close()
    done = said("restore", "--data", tmp_path, copies[0])
    assert done.returncode == 0, done.stderr
    assert titles(tmp_path / FILE_NAME) == ["Sheet 0"]
    there = backups(tmp_path)
    assert set(copies) < set(there)
    assert "Not in a copy yet" in titles(there[0])


def test_what_stands_in_the_log_of_a_copied_folder_only_is_put_back_too(tmp_path: Path) -> None:
    made(tmp_path / "own")
    with running(tmp_path / "other", "serve") as address:
        asked(address, "/sheets", {"title": "Written a moment ago"})
        shutil.copytree(tmp_path / "other", tmp_path / "as-it-was")
    given = tmp_path / "as-it-was" / FILE_NAME
    assert said("restore", "--data", tmp_path / "own", given).returncode == 0
    assert titles(tmp_path / "own" / FILE_NAME) == ["Written a moment ago"]


def empty(path: Path) -> None:
    path.touch()


def of_another_program(path: Path) -> None:
    with closing(sqlite3.connect(path)) as connection:
        connection.execute("CREATE TABLE birds (name TEXT)")
        connection.commit()


def with_tables_called_like_ours(path: Path) -> None:
    with closing(sqlite3.connect(path)) as connection:
        connection.execute("CREATE TABLE sheets (thread_count INTEGER)")
        connection.execute("CREATE TABLE alembic_version (version_num TEXT)")
        connection.execute("INSERT INTO alembic_version VALUES ('0001')")
        connection.commit()


def newer(path: Path) -> None:
    shutil.copy(SAMPLES / "0.2.0.sqlite", path)
    with closing(sqlite3.connect(path)) as connection:
        connection.execute("UPDATE alembic_version SET version_num = '9999'")
        connection.commit()


def half(path: Path) -> None:
    content = (SAMPLES / "0.2.0.sqlite").read_bytes()
    path.write_bytes(content[: len(content) // 2])


@pytest.mark.parametrize(
    ("make", "says"),
    [
        (empty, "no whole database of Metrion"),
        (of_another_program, "no whole database of Metrion"),
        (with_tables_called_like_ours, "no whole database of Metrion"),
        (half, "no whole database of Metrion"),
        (newer, "newer Metrion (9999)"),
    ],
)
def test_what_is_no_notebook_of_ours_is_not_put_back(
    tmp_path: Path, make: object, says: str
) -> None:
    database = made(tmp_path / "own")
    before = database.read_bytes()
    assert callable(make)
    make(tmp_path / "given")
    answer = told(said("restore", "--data", tmp_path / "own", tmp_path / "given"))
    assert says in answer
    assert str(tmp_path / "given") in answer
    assert database.read_bytes() == before
    assert backups(tmp_path / "own") == []


def test_a_copy_of_an_earlier_release_is_put_back(tmp_path: Path) -> None:
    made(tmp_path)
    done = said("restore", "--data", tmp_path, SAMPLES / "0.1.0.sqlite")
    assert done.returncode == 0, done.stderr
    assert "Sail film, folded in sixteen" in titles(tmp_path / FILE_NAME)


def test_a_copy_is_never_written_over_a_database_in_use(tmp_path: Path) -> None:
    own, other = made(tmp_path / "own"), tmp_path / "other" / FILE_NAME
    (tmp_path / "linked.sqlite").symlink_to(own)
    with running(tmp_path / "other", "serve") as address:
        asked(address, "/sheets", {"title": "Theirs"})
        for target in (other, own, tmp_path / "linked.sqlite"):
            answer = told(said("backup", "--data", tmp_path / "own", "--to", target))
            assert "is in use" in answer
    assert (titles(own), titles(other)) == (["Kept"], ["Theirs"])
    resting = tmp_path / "out.sqlite"
    for _ in range(2):
        assert said("backup", "--data", tmp_path / "own", "--to", resting).returncode == 0
    assert titles(resting) == ["Kept"]


def test_copies_are_in_the_order_in_which_they_were_made_whatever_the_clock_says(
    tmp_path: Path,
) -> None:
    made(tmp_path)
    folder = tmp_path / "backups"
    folder.mkdir(exist_ok=True)
    # Made before there were numbers, by a clock that was years ahead; one put there by hand.
    for name in ("2031-01-01", "2031-01-02", "2031-01-03", "2031-01-04"):
        shutil.copy(SAMPLES / "0.2.0.sqlite", folder / f"{name}T000000.000000Z.sqlite")
    shutil.copy(SAMPLES / "0.2.0.sqlite", folder / "before the exam.sqlite")
    copies = with_copies(tmp_path, 2)
    there = [path.name for path in backups(tmp_path)]
    assert there[:2] == [path.name for path in reversed(copies)]
    assert there[2] == "before the exam.sqlite" or there[2].startswith("2031-01-04")
    assert "before the exam.sqlite" in there


def test_the_copy_before_a_migration_stays(tmp_path: Path) -> None:
    shutil.copy(SAMPLES / "0.1.0.sqlite", tmp_path / FILE_NAME)
    Store(tmp_path).close()
    (kept,) = backups(tmp_path)
    with_copies(tmp_path, 6)
    assert kept in backups(tmp_path)
    assert len(backups(tmp_path)) == 4


def test_what_was_left_unfinished_goes_at_the_next_start_and_what_is_at_work_stays(
    tmp_path: Path,
) -> None:
    database = made(tmp_path)
    back_up(database)
    left = [tmp_path / "metrion.sqlite.12.part", tmp_path / "backups" / "000009-x.sqlite.part"]
    for one in left:
        one.write_bytes(b"half")
    at_work = tmp_path / "backups" / "000010-x.sqlite.99.part"
    at_work.touch()
    with subprocess.Popen(["flock", str(at_work), "cat"], stdin=subprocess.PIPE) as holding:
        while subprocess.run(["flock", "-n", str(at_work), "true"], check=False).returncode == 0:
            pass
        assert said("backup", "--data", tmp_path).returncode == 0
        assert [one.exists() for one in left] == [False, False]
        assert at_work.exists()
        assert holding.stdin is not None
        holding.stdin.close()


def test_the_list_says_what_is_in_each_copy(tmp_path: Path) -> None:
    copies = with_copies(tmp_path, 2)
    (tmp_path / "backups" / "broken.sqlite").write_bytes(b"no database")
    second, first, broken = said("restore", "--list", "--data", tmp_path).stdout.splitlines()
    assert (second.split("\t")[0], first.split("\t")[0]) == (str(copies[1]), str(copies[0]))
    assert "2 sheets" in second
    assert "“Sheet 1”, “Sheet 0”" in second
    assert "1 sheet" in first
    assert "cannot be read" in broken


def test_from_a_folder_that_cannot_be_written_all_is_read_the_log_too(tmp_path: Path) -> None:
    with running(tmp_path / "at-work", "serve") as address:
        asked(address, "/sheets", {"title": "In the log only"})
        folder = tmp_path / "as-it-was"
        shutil.copytree(tmp_path / "at-work", folder)
    assert (folder / f"{FILE_NAME}-wal").stat().st_size > 0
    (folder / f"{FILE_NAME}-shm").unlink()
    alone = READ_ONLY.format(folder)
    out = tmp_path / "out.sqlite"
    copied = said("backup", "--data", folder, "--to", out, before=alone)
    assert copied.returncode == 0, copied.stderr
    assert titles(out) == ["In the log only"]
    exported = said("export", "--data", folder, before=alone)
    assert '"In the log only"' in exported.stdout
    assert "cannot be" in told(said("backup", "--data", folder, before=alone))
