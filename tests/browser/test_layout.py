"""What can be seen and reached: sizes, both themes, names for everything."""

import pytest
from playwright.sync_api import Browser, Page, expect

from tests.browser.barriers import barriers

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
    "/practice",
    "/practice?seed=1&at=3&kind=vernier&question=corrected",
    "/practice?way=sheet",
    "/bench",
    "/sheets/spare-parts/report",
    "/sheets/foil-colours",
    "/sheets/foil-colours/quantities/green",
]


@pytest.mark.parametrize("scheme", ["light", "dark", "twice as large"])
@pytest.mark.parametrize("view", VIEWS)
def test_no_barrier_is_found(page: Page, unchanged: str, view: str, scheme: str) -> None:
    page.emulate_media(color_scheme="dark" if scheme == "dark" else "light")
    if scheme == "twice as large":
        page.set_viewport_size({"width": 640, "height": 400})
    page.goto(unchanged + view)
    expect(page.locator("h1")).to_be_visible()
    if view.endswith("/report"):
        expect(page.frame_locator("iframe").locator("h1")).to_be_visible()
    else:
        page.wait_for_load_state("networkidle")
    assert barriers(page) == []


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
@pytest.mark.parametrize(("width", "height"), [(390, 844), (640, 400), (1920, 1080)])
def test_nothing_scrolls_sideways(
    browser: Browser, unchanged: str, view: str, width: int, height: int
) -> None:
    """On a phone, at the reference size with everything twice as large, on a large screen."""
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
        expect(pad.locator("output")).to_have_text(f"{1 + line * 0.005:.3f} cm")
        record.tap()
        expect(page.get_by_label("main reading")).to_have_value("")
        expect(pad.locator("output")).to_have_text(f"kept {1 + line * 0.005:.3f} cm")
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


def test_a_large_screen_is_used_and_the_hand_stays_on_what_it_drags(
    browser: Browser, unchanged: str
) -> None:
    context = browser.new_context(viewport={"width": 1920, "height": 1080})
    page = context.new_page()
    page.goto(f"{unchanged}/sheets/spare-parts/quantities/spreader")
    drawing = page.locator(".strip-drawing")
    ten, twenty = (
        drawing.locator(".beam text", has_text=text).first.bounding_box() for text in ("10", "20")
    )
    strip = drawing.bounding_box()
    assert strip is not None
    assert strip["height"] > 300
    assert ten is not None
    assert twenty is not None
    before = float(drawing.get_attribute("aria-valuenow") or "")
    y = strip["y"] + 40
    page.mouse.move(ten["x"], y)
    page.mouse.down()
    page.mouse.move(twenty["x"], y, steps=5)
    page.mouse.up()
    after = float(drawing.get_attribute("aria-valuenow") or "")
    assert after - before == pytest.approx(10, abs=0.1)
    context.close()


@pytest.mark.parametrize(
    "view", ["spare-parts/quantities/spreader", "bridle-line/quantities/standoff"]
)
def test_on_its_side_a_phone_shows_the_whole_equation_and_begins_the_sentence(
    browser: Browser, unchanged: str, view: str
) -> None:
    context = browser.new_context(viewport={"width": 844, "height": 390}, has_touch=True)
    page = context.new_page()
    page.goto(f"{unchanged}/sheets/{view}")
    expect(page.get_by_label("main reading")).to_be_focused()
    page.keyboard.type("6 3")
    words = page.locator(".equation-words")
    expect(words).to_contain_text("is worth" if "standoff" in view else "is printed")
    tops = [
        box["y"]
        for output in page.locator(".equation output").all()
        if (box := output.bounding_box())
    ]
    assert max(tops) - min(tops) < 4
    box = words.bounding_box()
    assert box is not None
    assert tops[0] < box["y"] < 390 - 20
    context.close()


FAULTS = [
    "6 99",
    "6 3x",
    "six",
    "-3 2",
    "900 2",
    "6.5 3",
    "1 2/3",
    "6 3-9",
    "6in 3",
    "6 0.4mm",
    "99999999",
]


@pytest.mark.parametrize(
    "view", ["spare-parts/quantities/spreader", "bridle-line/quantities/standoff"]
)
def test_nothing_moves_when_an_error_appears(page: Page, unchanged: str, view: str) -> None:
    page.goto(f"{unchanged}/sheets/{view}")
    main = page.get_by_label("main reading")
    expect(main).to_be_focused()
    tally = page.locator(".tally-panel")
    before = tally.bounding_box()
    moved = {}
    for typed in FAULTS:
        page.keyboard.type(typed)
        page.wait_for_timeout(400)
        if tally.bounding_box() != before:
            moved[typed] = page.locator(".stage").inner_text()
        page.keyboard.press("Escape")
        main.fill("")
        page.locator(".equation .part-fine .blank").fill("")
        main.focus()
    assert moved == {}
