"""What can be seen and reached: sizes, both themes, names for everything."""

import pytest
from axe_playwright_python.sync_playwright import Axe
from playwright.sync_api import Browser, Page, expect

VIEWS = [
    "/",
    "/sheets/spare-parts",
    "/sheets/spare-parts/quantities/spreader",
    "/sheets/bridle-line/quantities/standoff",
    "/instruments",
    "/begin",
    "/help",
    "/words",
    "/settings",
    "/planner",
    "/sheets/spare-parts/report",
    "/sheets/foil-colours",
    "/sheets/foil-colours/quantities/green",
]


@pytest.mark.parametrize("scheme", ["light", "dark"])
@pytest.mark.parametrize("view", VIEWS)
def test_no_barrier_is_found(page: Page, unchanged: str, view: str, scheme: str) -> None:
    page.emulate_media(color_scheme="light" if scheme == "light" else "dark")
    page.goto(unchanged + view)
    expect(page.locator("h1")).to_be_visible()
    if view.endswith("/report"):
        expect(page.frame_locator("iframe").locator("h1")).to_be_visible()
    else:
        page.wait_for_load_state("networkidle")
    found = Axe().run(page)
    serious = [
        (violation["id"], [node["html"][:120] for node in violation["nodes"]])
        for violation in found.response["violations"]
        if violation["impact"] in ("serious", "critical")
    ]
    assert serious == []


def test_strip_equation_and_tally_are_in_sight_without_scrolling(
    page: Page, unchanged: str
) -> None:
    page.goto(f"{unchanged}/sheets/spare-parts/quantities/spreader")
    for selector in (".strip-drawing", ".equation", ".tally", ".result-sentence", ".look-acts"):
        box = page.locator(selector).first.bounding_box()
        assert box is not None
        assert box["y"] + box["height"] <= 800, selector
    assert page.evaluate("document.documentElement.scrollHeight") <= 800


@pytest.mark.parametrize("view", VIEWS)
@pytest.mark.parametrize(("width", "height"), [(390, 844), (1920, 1080)])
def test_nothing_scrolls_sideways(
    browser: Browser, unchanged: str, view: str, width: int, height: int
) -> None:
    context = browser.new_context(viewport={"width": width, "height": height})
    page = context.new_page()
    page.goto(unchanged + view)
    expect(page.locator("h1")).to_be_visible()
    assert page.evaluate("document.documentElement.scrollWidth") <= width
    context.close()


@pytest.mark.parametrize(("width", "height"), [(390, 844), (844, 390)])
def test_ten_readings_by_touch_on_a_phone(
    browser: Browser, server: str, width: int, height: int
) -> None:
    context = browser.new_context(viewport={"width": width, "height": height}, has_touch=True)
    page = context.new_page()
    page.goto(f"{server}/sheets/sail-film/quantities/film")
    expect(page.get_by_label("main reading")).to_be_focused()
    pad = page.get_by_role("group", name="key pad")
    record = pad.get_by_role("button", name="Record by thumb")
    for line in range(10):
        for key in ("1", "Next blank", str(line)):
            pad.get_by_role("button", name=key, exact=True).tap()
        expect(pad.locator("output")).to_have_text(f"{10 + line * 0.05:.2f} mm")
        record.tap()
        expect(page.get_by_label("main reading")).to_have_value("")
        expect(pad.locator("output")).to_have_text(f"kept {10 + line * 0.05:.2f} mm")
    expect(page.locator("tr.reading")).to_have_count(10)
    for button in pad.get_by_role("button").all():
        box = button.bounding_box()
        assert box is not None
        assert box["height"] >= 44
        assert box["y"] + box["height"] <= height
    assert page.evaluate("document.documentElement.scrollWidth") <= width
    context.close()


def test_a_wrong_key_is_erased(browser: Browser, server: str) -> None:
    context = browser.new_context(viewport={"width": 390, "height": 844}, has_touch=True)
    page = context.new_page()
    page.goto(f"{server}/sheets/sail-film/quantities/film")
    expect(page.get_by_label("main reading")).to_be_focused()
    for key in ("minus", "1", "7", "Erase"):
        page.get_by_role("button", name=key, exact=True).tap()
    expect(page.get_by_label("main reading")).to_have_value("-1")
    context.close()
