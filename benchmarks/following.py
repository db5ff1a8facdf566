"""How soon another window shows a reading, in headless Chromium.

Enters readings at one window and notes how long each takes until it stands in another browser's
window, beside how long it takes in its own. Prints the median and the longest of both.

Run with ``make benchmarks``.
"""

from __future__ import annotations

import statistics
import sys
import time
from pathlib import Path

from playwright.sync_api import Page

sys.path.insert(0, str(Path(__file__).parents[1]))

from tests.browser.conftest import demo_in_browser

_READINGS = 20
_THERE = "count => document.querySelectorAll('tr.reading').length >= count"


def seconds(own: Page, other: Page, count: int) -> tuple[float, float]:
    """From Enter until a reading is the so-manieth in its own window, and in the other."""
    own.keyboard.type("6 4")
    began = time.perf_counter()
    own.keyboard.press("Enter")
    own.wait_for_function(_THERE, arg=count, polling=10)
    here = time.perf_counter() - began
    other.wait_for_function(_THERE, arg=count, polling=10)
    return here, time.perf_counter() - began


def main() -> None:
    """Print the table."""
    with demo_in_browser() as (browser, address):
        page, other = (browser.new_context().new_page() for _ in range(2))
        for window in (page, other):
            window.goto(f"{address}/sheets/spare-parts/quantities/spreader")
            window.wait_for_selector("tr.reading")
        there = page.locator("tr.reading").count()
        times = [seconds(page, other, there + one) for one in range(1, _READINGS + 1)]
    for name, found in zip(("its own window", "another's"), zip(*times, strict=True), strict=True):
        median, longest = statistics.median(found), max(found)
        print(f"{name:<16} {median:.2f} s to see a reading, {longest:.2f} s at the longest")


if __name__ == "__main__":
    main()
