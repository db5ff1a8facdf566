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
    keys = ["Tab", "ArrowDown", "ArrowDown", "ArrowDown"]
    for key in keys:
        page.keyboard.press(key)
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name="Stands on zero")).to_be_focused()
    page.keyboard.press("Enter")
    expect(page.get_by_label("main reading")).to_be_focused()
    figures = "6 3"
    page.keyboard.type(figures)
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_contain_text("6.15")
    return len(keys) + len(figures) + 4


def test_four_clicks_and_the_name(page: Page, empty: str) -> None:
    assert first_by_mouse(page, empty) == 4
    expect(page.get_by_label("zero error, tap to change")).to_have_text("(0.00)")


def test_eleven_keys_and_the_name(page: Page, empty: str) -> None:
    assert first_by_keys(page, empty) == 11
    expect(page.locator(".desk-head a")).to_contain_text("Caliper, 20")


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
