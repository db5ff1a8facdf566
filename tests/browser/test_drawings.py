"""A drawing that is asked about holds what the answer needs, at every width."""

import random
from typing import Any

import pytest
from playwright.sync_api import Page, expect

from tests.server import asked

WIDTHS = (320, 360, 412, 540, 640, 701, 735, 768, 900, 1024, 1100, 1280, 1400, 1536, 1920)
"""Between and beside those where a layout changes."""

NEEDED = """(root) => {
  const svg = root.querySelector('svg.strip-drawing');
  const whole = svg.getBoundingClientRect();
  const across = (box) => box.left >= Math.max(whole.left, 0) - 1
    && box.right <= Math.min(whole.right, window.innerWidth) + 1;
  const inside = (one) => {
    const box = one.getBoundingClientRect();
    return box.width + box.height > 0 && across(box)
      && box.top >= whole.top - 1 && box.bottom <= whole.bottom + 1;
  };
  const all = (css) => [...svg.querySelectorAll(css)];
  const seen = (css) => all(css).filter(inside).length;
  // Where on the screen a line ends: circles bend, so that their lines are aslant.
  const end = (line, which) => new DOMPoint(line[`x${which}`].baseVal.value,
    line[`y${which}`].baseVal.value).matrixTransform(line.getScreenCTM());
  const far = (a, b) => Math.hypot(a.x - b.x, a.y - b.y);
  const marks = all('.beam .mark > line').filter(inside).map((one) => end(one, 2));
  const meets = all('.fine-scale .meeting').map((one) => end(one.querySelector('line'), 1));
  return {
    fine: [all('.fine-scale .line').filter((one) => inside(one.querySelector('line'))).length,
           all('.fine-scale .line').length],
    meeting: [seen('.meeting > line:first-child'), all('.meeting').length],
    mark: meets.map((at) => Math.min(...marks.map((one) => far(one, at)), 99)),
    passed: [seen('.passed > line'), all('.passed').length],
    numerals: seen('.beam .mark text, .sleeve-mark text'),
    fineNumerals: seen('.fine-scale text, .thimble-line text'),
    edge: seen('.thimble-line > line'),
    datum: seen('.datum'),
    pointer: all('.pointer').filter((one) => across(one.getBoundingClientRect())).length,
  };
}"""
DRAWN = """() => new Promise((done) =>
  requestAnimationFrame(() => requestAnimationFrame(done)))"""


def lacks(kind: str, found: dict[str, Any]) -> list[str]:
    """What of a drawing the answer needs and cannot be seen."""
    wanted = {
        "a numeral of the main scale": found["numerals"] > 0,
        "the mark that was passed": found["passed"][0] == found["passed"][1],
    }
    if kind == "plain":
        return [name for name, there in (wanted | {"the end": found["pointer"] == 1}).items()
                if not there]  # fmt: skip
    wanted["the line that meets"] = found["meeting"][0] == found["meeting"][1] > 0
    wanted["a numeral of the fine scale"] = found["fineNumerals"] > 0
    if kind == "screw":
        wanted["lines of the thimble"] = found["edge"] > 4
        wanted["the datum line"] = found["datum"] == 1
    else:
        wanted["every fine line"] = found["fine"][0] >= found["fine"][1]
        # Measured on the screen: the middle of a line, and of the mark it is to meet.
        wanted["the mark it meets"] = max(found["mark"], default=99) < 1.5
    return [name for name, there in wanted.items() if not there]


@pytest.mark.parametrize("kind", ["vernier", "screw", "angular", "plain"])
def test_an_exercise_shows_all_that_its_answer_needs(page: Page, server: str, kind: str) -> None:
    luck, missing = random.Random(kind), []
    page.set_viewport_size({"width": 1280, "height": 900})
    for _ in range(3):
        seed = luck.randrange(10**6)
        page.goto(f"{server}/practice?way=pick&kind={kind}&question=reading&seed={seed}&at=1")
        for at in range(1, 5):
            page.get_by_role("button", name="Show me").click()
            figures = page.locator(".practice-exercise figure")
            expect(figures.locator(".passed, .meeting, .pointer").first).to_be_attached()
            for width in luck.sample(WIDTHS, 5):
                page.set_viewport_size({"width": width, "height": 900})
                page.evaluate(DRAWN)
                for figure in figures.all():
                    found = figure.evaluate(NEEDED)
                    missing += [(seed, at, width, one) for one in lacks(kind, found)]
            page.get_by_role("button", name="Next").click()
    assert not missing, missing


MM = {"unit": "mm", "main_division": "1"}
TOOLS = {
    "v10": {**MM, "kind": "vernier", "fine_divisions": 10, "span": 9},
    "v20w": {**MM, "kind": "vernier", "fine_divisions": 20, "span": 39},
    "v50": {**MM, "kind": "vernier", "fine_divisions": 50, "span": 49},
    "v10a": {**MM, "kind": "vernier", "fine_divisions": 10, "span": 11, "numbering": "against"},
    "s50": {**MM, "kind": "screw", "main_division": "0.5", "fine_divisions": 50, "pitch": "0.5"},
    "s100": {**MM, "kind": "screw", "fine_divisions": 100, "pitch": "1"},
}
RANGES = {"vernier": ("0", "150"), "screw": ("0", "25")}


@pytest.mark.parametrize("tool", TOOLS)
def test_a_quantity_shows_them_at_both_ends_of_the_range(
    page: Page, server: str, tool: str
) -> None:
    record = TOOLS[tool]
    kind = str(record["kind"])
    low, high = RANGES[kind]
    sheet = asked(server, "/sheets", {"title": "Ends"})[1]["id"]
    made = {**record, "id": "t", "name": "Tool", "range": [low, high], "fine_as": "line"}
    assert asked(server, f"/sheets/{sheet}/instruments", made)[0] == 201
    quantity = {"id": "q", "name": "Spar", "instrument": "t"}
    assert asked(server, f"/sheets/{sheet}/quantities", quantity)[0] == 201
    last, missing = int(record["fine_divisions"]) - 1, []  # type: ignore[call-overload]
    before = str(int(high) - 1)
    page.goto(f"{server}/sheets/{sheet}/quantities/q")
    for main, fine in ((low, 1), (low, last), (before, 1), (before, last), (high, 0)):
        page.keyboard.press("Escape")
        page.get_by_label("main reading").fill(main)
        page.locator(".equation .blank").last.fill(str(fine))
        expect(page.locator(".equation")).to_have_attribute("data-settled", "true")
        for width in (320, 390, 702, 766, 900, 1280, 1920):
            page.set_viewport_size({"width": width, "height": 900})
            page.evaluate(DRAWN)
            found = page.locator(".stage .strip").evaluate(NEEDED)
            missing += [(main, fine, width, one) for one in lacks(kind, found)]
    assert not missing, missing
