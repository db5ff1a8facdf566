"""What a wheel of Metrion carries."""

import subprocess
import sys
import zipfile
from pathlib import Path

ROOT = Path(__file__).parents[1]


def test_the_wheel_carries_front_end_migrations_demo_and_report_styles(tmp_path: Path) -> None:
    subprocess.run(
        [sys.executable, "-m", "hatchling", "build", "-t", "wheel", "-d", str(tmp_path)],
        cwd=ROOT, check=True, capture_output=True,
    )  # fmt: skip
    (wheel,) = tmp_path.glob("*.whl")
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
