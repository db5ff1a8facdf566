"""Whatever was done beside the equation, the hand goes on with the figures, and Enter records."""

import re
from pathlib import Path

import pytest
from playwright.sync_api import Locator, Page, expect

from tests.browser.test_photo import brightness, desk, said, taken  # noqa: F401 - desk is a fixture

SPREADER = "/sheets/spare-parts/quantities/spreader"


def readings(page: Page) -> Locator:
    return page.locator(".tally tr.reading")


def opened(page: Page, server: str, path: str = SPREADER, count: int = 4) -> None:
    page.goto(server + path)
    expect(readings(page)).to_have_count(count)


def typed(page: Page, main: str, fine: str) -> None:
    blanks = page.locator(".stage .equation .blank")
    blanks.first.fill(main)
    blanks.last.fill(fine)
    expect(page.locator(".stage .equation")).to_have_attribute("data-settled", "true")


def settled(page: Page) -> None:
    expect(page.locator(".stage .equation")).to_have_attribute("data-settled", "true")
    expect(page.locator(".stage .equation output").first).not_to_have_text("…")


def dragged(page: Page, by: int) -> None:
    box = page.locator(".stage .strip-drawing").bounding_box()
    assert box is not None
    x, y = box["x"] + box["width"] / 2, box["y"] + 90
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x + by, y, steps=5)
    page.mouse.up()


def test_after_an_offer_is_tapped(page: Page, server: str) -> None:
    opened(page, server)
    typed(page, "0.7", "3")
    page.locator(".stage .offer").first.click()
    settled(page)
    expect(page.locator(".stage .blank").last).to_be_focused()
    page.keyboard.press("Enter")
    expect(readings(page)).to_have_count(5)


def test_after_an_offer_for_the_first_blank_the_second_is_next(page: Page, server: str) -> None:
    opened(page, server)
    page.locator(".stage .blank").first.fill("0.7373")
    page.locator(".stage .offer").first.click()
    page.keyboard.type("3")
    expect(page.locator(".stage .blank").last).to_have_value("3")


def test_after_a_drag(page: Page, server: str) -> None:
    opened(page, server)
    dragged(page, 60)
    settled(page)
    page.keyboard.press("Enter")
    expect(readings(page)).to_have_count(5)


def test_after_a_drag_a_figure_that_is_typed_takes_the_place_of_the_line(
    page: Page, server: str
) -> None:
    opened(page, server)
    dragged(page, 60)
    settled(page)
    page.keyboard.type("4")
    expect(page.locator(".stage .blank").last).to_have_value("4")


@pytest.mark.parametrize("way", ["button", "key"])
def test_after_an_undo(page: Page, server: str, way: str) -> None:
    opened(page, server)
    typed(page, "6", "3")
    page.keyboard.press("Enter")
    expect(readings(page)).to_have_count(5)
    if way == "button":
        page.get_by_role("button", name="Undo").click()
    else:
        page.keyboard.press("Control+z")
    expect(readings(page)).to_have_count(4)
    page.keyboard.type("6 4")
    settled(page)
    page.keyboard.press("Enter")
    expect(readings(page)).to_have_count(5)


def test_an_undo_leaves_what_is_being_typed_to_be_recorded(page: Page, server: str) -> None:
    opened(page, server)
    typed(page, "6", "3")
    page.keyboard.press("Enter")
    expect(readings(page)).to_have_count(5)
    typed(page, "6", "4")
    page.get_by_role("button", name="Undo").click()
    expect(readings(page)).to_have_count(4)
    settled(page)
    page.keyboard.press("Enter")
    expect(readings(page)).to_have_count(5)


def test_after_a_settled_question(page: Page, server: str) -> None:
    opened(page, server)
    page.locator(".look").get_by_role("button", name="It is right").first.click()
    expect(page.locator(".tally .look")).to_have_count(0)
    expect(page.locator(".stage .blank").first).to_be_focused()
    page.keyboard.type("6 3")
    settled(page)
    page.keyboard.press("Enter")
    expect(readings(page)).to_have_count(5)


@pytest.mark.parametrize("opener", ["Photograph the", "zero error"])
def test_after_a_dialog_is_closed(page: Page, server: str, opener: str) -> None:
    opened(page, server)
    typed(page, "6", "3")
    page.get_by_role("button", name=re.compile(opener)).first.click()
    expect(page.locator(".ant-modal, .ant-popover").first).to_be_visible()
    page.keyboard.press("Escape")
    expect(page.locator(".ant-modal:visible, .ant-popover:visible")).to_have_count(0)
    page.keyboard.press("Enter")
    expect(readings(page)).to_have_count(5)


def test_wherever_the_cursor_was_lost(page: Page, server: str) -> None:
    opened(page, server)
    typed(page, "6", "3")
    page.locator(".desk-head h1").click()
    page.keyboard.press("Enter")
    expect(readings(page)).to_have_count(5)


def zero_desk(page: Page, server: str) -> Locator:
    page.goto(server + SPREADER)
    page.get_by_role("button", name="zero error, tap to change").click()
    page.get_by_role("button", name="Look at the zero").click()
    return page.get_by_role("dialog")


@pytest.mark.parametrize(
    ("main", "says"),
    [("0.7373", "is not a mark"), ("abc", "not a number"), ("12", "Now the line that meets")],
)
def test_the_zero_desk_says_why_it_does_not_keep(
    page: Page, server: str, main: str, says: str
) -> None:
    dialog = zero_desk(page, server)
    dialog.get_by_label("main reading").fill(main)
    expect(dialog.locator(".equation-words")).to_contain_text(says)
    expect(dialog.locator(".equation-words")).to_be_visible()
    expect(dialog.get_by_role("button", name="Keep this zero")).to_be_disabled()


def test_an_offer_at_the_zero_desk_goes_on_to_be_kept(page: Page, server: str) -> None:
    dialog = zero_desk(page, server)
    dialog.get_by_label("main reading").fill("0.7373")
    dialog.locator(".offer").first.click()
    expect(dialog.locator(".blank").last).to_be_focused()
    # A quick hand does not wait for the answer.
    page.keyboard.type("0\n")
    expect(dialog).to_be_hidden()


def test_a_photograph_that_waits_speaks_as_soon_as_the_reading_is_recorded(
    page: Page,
    desk: str,  # noqa: F811
    tmp_path: Path,
) -> None:
    page.goto(desk)
    taken(page, tmp_path, brightness(7.05))
    expect(page.get_by_text("First type what you read yourself")).to_be_visible()
    page.get_by_role("button", name="Back to the equation").click()
    expect(page.get_by_role("dialog")).to_be_hidden()
    page.keyboard.type("63 7")
    settled(page)
    page.keyboard.press("Enter")
    assert "7" in said(page)
    page.get_by_role("button", name=re.compile("Keep ")).first.click()
    expect(page.get_by_role("dialog")).to_be_hidden()
    expect(readings(page)).to_have_count(1)
