"""From a typed digit to the changed strip and sum on screen, in headless Chromium.

Types two-figure fine readings on a demo quantity and times each key from its event to the frame
after strip and corrected reading have both changed. Prints the median, the 95th percentile, and
the median as a ratio to a bare request for the same answer.

Run with ``make benchmarks``.
"""

from __future__ import annotations

import statistics
import sys
from pathlib import Path

from playwright.sync_api import Page

sys.path.insert(0, str(Path(__file__).parents[1]))

from tests.browser.conftest import demo_in_browser

WATCH = """
() => {
  window.times = [];
  const strip = document.querySelector('.strip-drawing');
  const sum = document.querySelector('.part-result output');
  let began = 0, before = '';
  const state = () => strip.getAttribute('aria-valuenow') + ' ' + sum.textContent;
  addEventListener('keydown', () => { began = performance.now(); before = state(); }, true);
  new MutationObserver(() => {
    if (!began || !/[0-9]/.test(sum.textContent)) return;
    const [oldPlace, oldSum] = before.split(' '), [place, text] = state().split(' ');
    if (place === oldPlace || text === oldSum) return;
    const from = began;
    began = 0;
    requestAnimationFrame(() => window.times.push(performance.now() - from));
  }).observe(document.body, {
    subtree: true, childList: true, characterData: true, attributes: true,
  });
}
"""
BARE = """
async () => {
  const times = [];
  for (let i = 0; i < 60; i++) {
    const from = performance.now();
    await (await fetch('/api/sheets/spare-parts/look', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ seq: i, instrument: 'cal-a', main: '6', fine: String(i % 20) }),
    })).json();
    times.push(performance.now() - from);
  }
  return times;
}
"""


def typed(page: Page) -> list[float]:
    """Milliseconds for each of 60 keys."""
    page.keyboard.type("6 ")
    for line in [*range(1, 10)] * 7:
        page.keyboard.press("Control+a")
        page.keyboard.press(str(line))
        page.wait_for_timeout(60)
    found: list[float] = page.evaluate("window.times")
    return found


def main() -> None:
    """Print the table."""
    with demo_in_browser() as (browser, address):
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        page.goto(f"{address}/sheets/spare-parts/quantities/spreader")
        page.get_by_label("main reading").wait_for()
        page.evaluate(WATCH)
        keys = sorted(typed(page))
        bare = statistics.median(page.evaluate(BARE))
    middle = statistics.median(keys)
    print(f"keys measured                  {len(keys)}")
    print(f"digit to strip and sum, median {middle:6.1f} ms")
    print(f"  95th percentile              {keys[int(len(keys) * 0.95)]:6.1f} ms")
    print(f"bare request, median           {bare:6.1f} ms")
    print(f"ratio                          {middle / bare:6.1f}")


if __name__ == "__main__":
    main()
