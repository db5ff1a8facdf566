"""A divided circle with two windows at the desk."""

from playwright.sync_api import Page, expect

CIRCLE = {
    "id": "circle", "name": "Divided circle C", "kind": "angular", "unit": "arcmin",
    "main_division": "20", "fine_divisions": 40, "span": 39,
}  # fmt: skip


def position(page: Page, figures: str) -> None:
    """One look, typed and kept."""
    before = page.locator(".part-read .term-label").first.inner_text()
    page.keyboard.type(figures)
    expect(page.locator(".part-read output")).to_contain_text("′")
    page.keyboard.press("Enter")
    expect(page.locator(".part-read .term-label").first).not_to_have_text(before)


def test_both_windows_are_read_at_each_position(page: Page, server: str) -> None:
    sheet = f"{server}/api/sheets/spare-parts"
    assert page.request.post(f"{sheet}/instruments", data=CIRCLE).ok
    page.goto(f"{server}/sheets/spare-parts")
    page.get_by_role("button", name="New quantity").click()
    page.get_by_label("What is measured").fill("Foil, first order")
    page.get_by_text("two positions, each in two windows").click()
    page.get_by_text("half of it: left and right of the middle").click()
    page.get_by_role("button", name="Measure it").click()
    expect(page.get_by_label("main reading")).to_be_focused()
    position(page, "341:20 11")
    # A window read one mark wrong is named while the telescope still stands there.
    page.keyboard.type("161:40 15")
    expect(page.get_by_text("one of them was read one main mark too high")).to_be_visible()
    page.keyboard.press("Escape")
    position(page, "161:20 15")
    position(page, "18:40 30")
    page.keyboard.type("198:40 32")
    expect(page.locator(".part-result output")).to_have_text("37°29.0′")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_contain_text("341°20′ / 18°40′ / 161°20′ / 198°40′")
    expect(page.get_by_test_id("sentence")).to_contain_text("18°44.5′ ± 0.3′")
