"""The first minute: from an empty notebook to the first reading, by mouse and by keyboard."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect

from tests.server import running


@pytest.fixture
def empty(tmp_path: Path) -> Iterator[str]:
    """The address of a Metrion with an empty notebook."""
    with running(tmp_path, "serve") as address:
        yield address


def first_by_mouse(page: Page, empty: str) -> int:
    """Record a first reading, its name and figures typed, all else clicked; how many clicks."""
    page.goto(empty)
    page.get_by_role("button", name="Measure something").click()
    expect(page.get_by_label("What do you measure?")).to_be_focused()
    page.keyboard.type("Standoff")
    page.get_by_role("radio", name="Screw gauge, half-millimetre turns").click()
    page.get_by_role("button", name="Stands on zero").click()
    expect(page.get_by_label("main reading")).to_be_focused()
    page.keyboard.type("4.5 31")
    page.get_by_role("button", name="Record").click()
    expect(page.locator("tr.reading")).to_contain_text("4.81")
    return 4


def first_by_keys(page: Page, empty: str) -> int:
    """The same by keys alone; how many besides those of the name."""
    page.goto(empty)
    expect(page.get_by_role("button", name="Measure something")).to_be_focused()
    page.keyboard.press("Enter")
    expect(page.get_by_label("What do you measure?")).to_be_focused()
    page.keyboard.type("Spar")
    keys = ["Tab", "Tab", "ArrowDown", "ArrowDown", "ArrowDown"]
    for key in keys:
        page.keyboard.press(key)
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name="Stands on zero")).to_be_focused()
    page.keyboard.press("Enter")
    expect(page.get_by_label("main reading")).to_be_focused()
    figures = "6 3"
    page.keyboard.type(figures)
    page.keyboard.press("Enter")
    # Which line is meant is asked once for the tool; what Enter was pressed for goes on then.
    expect(page.get_by_role("button", name="line number 3")).to_be_focused()
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_contain_text("6.15")
    return len(keys) + len(figures) + 5


def test_four_clicks_and_the_name(page: Page, empty: str) -> None:
    assert first_by_mouse(page, empty) == 4
    expect(page.get_by_label("zero error, tap to change")).to_have_text("(0.00)")


def test_thirteen_keys_and_the_name(page: Page, empty: str) -> None:
    assert first_by_keys(page, empty) == 13
    expect(page.locator(".desk-head a")).to_have_text("Spar")
    # The second reading takes no tap more, and one undo takes the first back with its answer.
    page.keyboard.type("6 4\n")
    expect(page.locator("tr.reading")).to_have_count(2)
    page.keyboard.press("Control+z")
    expect(page.locator("tr.reading")).to_have_count(1)
    page.keyboard.press("Control+z")
    expect(page.locator("tr.reading")).to_have_count(0)
    page.keyboard.type("6 3")
    expect(page.get_by_role("button", name="line number 3")).to_be_visible()


def test_a_zero_that_is_off_is_looked_at_first(page: Page, empty: str) -> None:
    page.goto(f"{empty}/begin")
    page.keyboard.type("Rod")
    page.get_by_role("button", name="Run past it").click()
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_label("line that meets")).to_be_focused()
    page.keyboard.type("8")
    expect(dialog.get_by_test_id("zero-outcome")).to_contain_text("−0.2 mm")
    page.keyboard.press("Enter")
    expect(page.get_by_label("zero error, tap to change")).to_have_text("(−0.2)")
    page.reload()
    expect(page.get_by_label("main reading")).to_be_focused()
    expect(page.get_by_role("dialog")).to_have_count(0)


def test_a_circle_has_no_zero_and_a_finished_example_is_a_tap_away(
    browser: Browser, empty: str
) -> None:
    page = browser.new_page(viewport={"width": 390, "height": 844}, has_touch=True)
    page.goto(empty)
    page.get_by_role("button", name="Look at a finished example").tap()
    expect(page.get_by_test_id("sentence")).to_contain_text("N = (13.6 ± 0.1) mm")
    page.goto(f"{empty}/begin")
    page.get_by_role("radio", name="Divided circle, half degrees").tap()
    page.get_by_role("button", name="Read it").tap()
    expect(page.get_by_role("heading", name="First quantity")).to_be_visible()
    expect(page.get_by_label("main reading")).to_be_focused()
    page.close()


def test_the_guide_is_at_hand_without_a_network(page: Page, empty: str) -> None:
    page.goto(empty)
    page.get_by_role("link", name="Help").click()
    expect(page.get_by_role("heading", name="For the demonstrator")).to_be_visible()
    expect(page.get_by_role("table")).to_contain_text("the next mark was read, not the last one")
    pictures = page.locator("a[href$='.png']")
    assert pictures.count() >= 9
    for link in pictures.all():
        answer = page.request.get(f"{empty}{link.get_attribute('href')}")
        assert answer.headers["content-type"] == "image/png"


def test_by_touch_alone_from_an_empty_notebook_to_a_result(browser: Browser, empty: str) -> None:
    context = browser.new_context(
        viewport={"width": 390, "height": 844}, has_touch=True, reduced_motion="reduce"
    )
    page = context.new_page()
    page.goto(empty)
    page.get_by_role("button", name="Measure something").tap()
    page.get_by_label("What do you measure?").fill("Spreader")
    page.get_by_role("radio", name="Caliper, twenty wide divisions").tap()
    page.get_by_role("button", name="Run past it").tap()
    dialog = page.get_by_role("dialog")
    # It begins one line back, and goes two more.
    dialog.get_by_role("button", name="one line back").first.tap()
    dialog.get_by_role("button", name="one line back").first.tap()
    expect(page.get_by_test_id("zero-outcome")).to_contain_text("Zero error −0.15 mm")
    dialog.get_by_role("button", name="Keep this zero").tap()
    expect(dialog).to_be_hidden()
    pad = page.get_by_role("group", name="key pad")
    for mark, line in ("63", "64", "63", "73"):
        for key in (mark, "Next blank", line):
            pad.get_by_role("button", name=key, exact=True).tap()
        if page.locator("tr.reading").count() == 0:
            page.get_by_role("button", name="line number 3").tap()
        pad.get_by_role("button", name="Record by thumb").tap()
        expect(page.get_by_label("main reading")).to_have_value("")
    expect(pad).to_contain_text("Reading 4 stands one mark above the others.")
    pad.get_by_role("button", name="Look again").tap()
    for key in ("6", "Next blank", "3"):
        pad.get_by_role("button", name=key, exact=True).tap()
    pad.get_by_role("button", name="Record by thumb").tap()
    expect(page.get_by_test_id("sentence")).to_have_text("(6.31 ± 0.03) mm")
    page.get_by_role("button", name="Actions for reading 2").tap()
    page.get_by_role("menuitem", name="Set aside…").tap()
    page.get_by_label("Why does it not count?").fill("a burr")
    page.get_by_role("button", name="Set aside", exact=True).tap()
    expect(page.get_by_text("set aside: a burr")).to_be_visible()
    page.get_by_role("button", name="Working", exact=True).tap()
    expect(page.get_by_role("dialog", name="Working: Spreader")).to_be_visible()
    context.close()
