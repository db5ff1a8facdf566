"""From an empty notebook to the first recorded reading: clicks, keys, and seconds.

Walks the two ways that `tests/browser/test_first.py` walks, in headless Chromium. Figures are typed
in both; the name is not counted. The seconds are those of the machine alone.

Run with ``make benchmarks``.
"""

from __future__ import annotations

import sys
import time
from pathlib import Path
from tempfile import TemporaryDirectory

from playwright.sync_api import sync_playwright

sys.path.insert(0, str(Path(__file__).parents[1]))

from tests.browser.conftest import SWITCHES, executable
from tests.browser.test_first import first_by_keys, first_by_mouse
from tests.server import running


def main() -> None:
    """Print both ways."""
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path=executable(), args=SWITCHES)
        for what, way in (("clicks", first_by_mouse), ("keys", first_by_keys)):
            with TemporaryDirectory() as folder, running(Path(folder), "serve") as address:
                page = browser.new_page(viewport={"width": 1280, "height": 800})
                began = time.perf_counter()
                count = way(page, address)
                print(f"{count} {what} and the name, {time.perf_counter() - began:.1f} s")
        browser.close()


if __name__ == "__main__":
    main()
