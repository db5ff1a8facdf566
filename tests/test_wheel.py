"""A wheel of Metrion, installed with what it declares and nothing else, starts and works."""

import subprocess
import sys
import urllib.request
import zipfile
from pathlib import Path

import pytest

from tests.server import asked, running

ROOT = Path(__file__).parents[1]


@pytest.fixture(scope="module")
def wheel(tmp_path_factory: pytest.TempPathFactory) -> Path:
    folder = tmp_path_factory.mktemp("wheel")
    subprocess.run(
        [sys.executable, "-m", "hatchling", "build", "-t", "wheel", "-d", str(folder)],
        cwd=ROOT, check=True, capture_output=True,
    )  # fmt: skip
    (built,) = folder.glob("*.whl")
    return built


def test_the_wheel_carries_front_end_migrations_demo_and_report_styles(wheel: Path) -> None:
    names = set(zipfile.ZipFile(wheel).namelist())
    assert {
        "metrion/web/static/index.html",
        "metrion/store/migrations/env.py",
        "metrion/store/migrations/versions/0001_first_tables.py",
        "metrion/demo/spare-parts.json",
        "metrion/core/README.md",
        "metrion/report/render/report.css",
        "metrion/report/render/report.typ",
    } <= names


def test_installed_into_an_empty_environment_it_starts_and_makes_what_it_can_make(
    wheel: Path, tmp_path: Path
) -> None:
    python = tmp_path / "environment" / "bin" / "python"
    uv = Path(sys.executable).with_name("uv")
    _run(uv, "venv", "--python", sys.executable, tmp_path / "environment")
    # What it declares decides what is there; the lock only says in which version.
    _run(uv, "pip", "install", "--python", python, "--constraint", "requirements.txt", wheel)
    command = [str(python.with_name("metrion"))]
    with running(tmp_path, command=command) as address:
        with urllib.request.urlopen(f"{address}/", timeout=20) as answer:
            page = answer.read()
        sheets = asked(address, "/sheets")
        report = asked(address, "/sheets/spare-parts/report.pdf")
        workbook = asked(address, "/sheets/spare-parts/workbook.xlsx")
    assert b'<div id="root">' in page
    assert (sheets[0], len(sheets[1]["sheets"])) == (200, 6)
    assert (report[0], report[1][:5]) == (200, b"%PDF-")
    assert (workbook[0], workbook[1][:2]) == (200, b"PK")


def _run(*words: object) -> None:
    done = subprocess.run(
        [str(word) for word in words], cwd=ROOT, capture_output=True, text=True, check=False
    )
    assert done.returncode == 0, done.stderr
