"""A notebook of 300 sheets: how soon it is shown, found in, grouped, and printed.

Run with ``make benchmarks``.
"""

from __future__ import annotations

import sys
import time
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from tempfile import TemporaryDirectory

from playwright.sync_api import Page, expect, sync_playwright

sys.path.insert(0, str(Path(__file__).parents[1]))

from metrion.store import Store
from metrion.store.sheets import take_in
from tests.browser.conftest import SWITCHES, executable
from tests.hand_ins import handed
from tests.server import running

SHEETS = 300
WANTED = "ida 290"


def main() -> None:
    """Print the times."""
    with TemporaryDirectory() as folder, sync_playwright() as playwright:
        filled(Path(folder))
        with running(Path(folder), "serve") as address:
            browser = playwright.chromium.launch(executable_path=executable(), args=SWITCHES)
            walked(browser.new_page(viewport={"width": 1280, "height": 800}), address)
            browser.close()


def walked(page: Page, address: str) -> None:
    """Show the notebook, find in it, group it, print it."""
    cards = page.locator(".sheet-card")
    page.goto(address)
    expect(cards.first).to_be_visible()
    print(f"{SHEETS} sheets")
    with told("shown"):
        page.reload()
        expect(cards.first).to_be_visible()
    find = page.get_by_role("textbox", name="Find")
    with told("found"):
        find.fill(WANTED)
        expect(cards).to_have_count(1)
    find.fill("")
    for by in ("Person", "Thing", "Date"):
        with told(f"by {by}"):
            page.get_by_text(by, exact=True).click()
            expect(page.locator(".notebook-group").first).to_be_visible()
    for length in ("full", "short"):
        with told(f"all as PDF, {length}"):
            at = f"{address}/api/notebook.pdf?length={length}"
            size = len(page.request.get(at, timeout=600_000).body())
        print(f"    {size / 1e6:.1f} MB")


def filled(folder: Path) -> None:
    """Put the sheets into a notebook."""
    store = Store(folder)
    with store.writing() as session:
        for number in range(SHEETS):
            take_in(session, handed(number), key=f"sheet-{number}")
    store.close()


@contextmanager
def told(what: str) -> Iterator[None]:
    """Print how long something took."""
    began = time.perf_counter()
    yield
    print(f"  {what}: {time.perf_counter() - began:.2f} s")


if __name__ == "__main__":
    main()
