"""Frames while the scales are dragged, in headless Chromium.

Drags the slide of each demo instrument to and fro for some seconds and notes the time from frame
to frame. Prints the median, the longest frame, and how many were over 33 ms; and, from a second
pass, the longest stretch of processor time that the page took at once, which a busy machine does
not change. An empty page beside them shows what the machine alone makes late.

Run with ``make benchmarks``.
"""

from __future__ import annotations

import json
import statistics
import sys
from pathlib import Path

from playwright.sync_api import Browser, Page

sys.path.insert(0, str(Path(__file__).parents[1]))

from tests.browser.conftest import demo_in_browser

WATCH = """
() => {
  window.frames_seen = [];
  let last = 0;
  const note = (now) => {
    if (last) window.frames_seen.push(now - last);
    last = now;
    if (window.watching) requestAnimationFrame(note);
  };
  window.watching = true;
  requestAnimationFrame(note);
}
"""
VIEWS = {
    "caliper, 20 lines on 39": "spare-parts/quantities/spreader",
    "screw gauge": "bridle-line/quantities/standoff",
    "odd slide, 10 on 7": "bridle-line/quantities/spool",
}
EMPTY = '<div class="strip-drawing" style="height: 240px">nothing</div>'
_LIMIT = 34
"""Two frames of a 60 Hz screen, and the jitter of its clock."""


def dragged(page: Page) -> list[float]:
    """Milliseconds from frame to frame while the slide goes to and fro."""
    box = page.locator(".strip-drawing").bounding_box()
    assert box is not None
    x, y = box["x"] + 420, box["y"] + 100
    page.mouse.move(x, y)
    page.mouse.down()
    page.wait_for_timeout(1500)
    page.evaluate(WATCH)
    for step in range(240):
        along = step % 120
        page.mouse.move(x + 2.5 * (along if along < 60 else 120 - along), y)
        page.wait_for_timeout(8)
    page.evaluate("window.watching = false")
    page.mouse.up()
    found: list[float] = page.evaluate("window.frames_seen")
    return found


def longest_work(browser: Browser, page: Page) -> float:
    """The most processor time, in ms, that the page's main thread took at once while dragged."""
    browser.start_tracing(page=page, categories=["toplevel"])
    dragged(page)
    events = json.loads(browser.stop_tracing())["traceEvents"]
    threads = {
        (event["pid"], event["tid"])
        for event in events
        if event["name"] == "thread_name" and event["args"]["name"] == "CrRendererMain"
    }
    return max(
        event.get("tdur", 0) / 1000
        for event in events
        if event["ph"] == "X" and (event["pid"], event["tid"]) in threads
    )


def main() -> None:
    """Print the table."""
    print(f"{'':26}{'frames':>8}{'median':>9}{'longest':>9}{'over 33 ms':>12}{'most work':>11}")
    with demo_in_browser() as (browser, address):
        for name, path in [("an empty page", None), *VIEWS.items()]:
            page = browser.new_page(viewport={"width": 1280, "height": 800})
            if path is None:
                page.set_content(EMPTY)
            else:
                page.goto(f"{address}/sheets/{path}")
            page.locator(".strip-drawing").wait_for()
            frames = dragged(page)
            over = sum(frame > _LIMIT for frame in frames)
            middle = statistics.median(frames)
            work = longest_work(browser, page)
            print(
                f"{name:26}{len(frames):8}{middle:9.1f}{max(frames):9.1f}{over:12}{work:11.1f}",
                flush=True,
            )
            page.close()


if __name__ == "__main__":
    main()
