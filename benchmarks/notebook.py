"""A notebook of 300 sheets: how soon it is shown, found in, grouped, and printed.

Run with ``make benchmarks``.
"""

from __future__ import annotations

import sys
import time
from collections.abc import Callable
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
            page = browser.new_page(viewport={"width": 1280, "height": 800})
            cards = page.locator(".sheet-card")
            page.goto(address)
            expect(cards.first).to_be_visible()
            print(f"{SHEETS} sheets")
            told("shown", lambda: reloaded(page))
            find = page.get_by_role("textbox", name="Find")
            told("found", lambda: (find.fill(WANTED), expect(cards).to_have_count(1)))
            find.fill("")
            for by in ("Person", "Thing", "Date"):
                group = page.locator(".notebook-group").first
                told(
                    f"by {by}",
                    lambda by=by, group=group: (
                        page.get_by_text(by, exact=True).click(), expect(group).to_be_visible()
                    ),
                )  # fmt: skip
            for length in ("full", "short"):
                at = f"{address}/api/notebook.pdf?length={length}"
                told(f"all as PDF, {length}", lambda at=at: printed(page, at))
            browser.close()


def filled(folder: Path) -> None:
    """Put the sheets into a notebook."""
    store = Store(folder)
    with store.writing() as session:
        for number in range(SHEETS):
            take_in(session, handed(number), key=f"sheet-{number}")
    store.close()


def reloaded(page: Page) -> None:
    """Load the page anew until there are cards."""
    page.reload()
    expect(page.locator(".sheet-card").first).to_be_visible()


def printed(page: Page, at: str) -> None:
    """Fetch all reports."""
    answer = page.request.get(at, timeout=600_000)
    print(f"  {len(answer.body()) / 1e6:.1f} MB", end="")


def told(what: str, act: Callable[[], object]) -> None:
    """Do something and print how long it took."""
    began = time.perf_counter()
    act()
    print(f"  {what}: {time.perf_counter() - began:.2f} s")


if __name__ == "__main__":
    main()
