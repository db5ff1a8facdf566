"""Two windows at one sheet: each is asked before it takes back what the other did."""

from playwright.sync_api import Page, expect

SHEET = "sheets/spare-parts/quantities/ferrule"


# What is still on its way may stand in both windows, and is not counted.
KEPT = ".tally tr.reading"


def read(page: Page, main: str, fine: str) -> None:
    """Record a reading."""
    rows = page.locator(KEPT)
    expect(rows.first).to_be_visible()
    before = rows.count()
    page.get_by_label("main reading").fill(main)
    page.get_by_label("line that meets").fill(fine)
    page.keyboard.press("Enter")
    expect(rows).to_have_count(before + 1)


def test_a_step_of_another_window_is_named_before_it_is_undone(page: Page, server: str) -> None:
    other = page.context.new_page()
    for one in (page, other):
        one.goto(f"{server}/{SHEET}")
    read(page, "8", "13")
    rows = other.locator(KEPT)
    count = page.locator(KEPT).count()
    expect(rows).to_have_count(count)
    read(other, "8", "14")
    expect(page.locator(KEPT)).to_have_count(count + 1)
    page.keyboard.press("Escape")
    page.get_by_role("button", name="Undo").focus()
    page.keyboard.press("Control+z")
    question = page.get_by_role("dialog")
    expect(question).to_contain_text("another window’s: record the reading 8.70 mm, just now.")
    page.keyboard.press("Enter")
    expect(question).to_have_count(0)
    expect(rows).to_have_count(count + 1)
    page.get_by_role("button", name="Undo").click()
    page.get_by_role("dialog").get_by_role("button", name="Undo").click()
    expect(rows).to_have_count(count)
    # After it was loaded anew it is the same window: its own step it is not asked about.
    page.reload()
    expect(page.locator(KEPT)).to_have_count(count)
    page.get_by_role("button", name="Undo").click()
    expect(rows).to_have_count(count - 1)


def test_a_sheet_that_another_window_shows_is_not_thrown_away_unasked(
    page: Page, server: str
) -> None:
    other = page.context.new_page()
    other.goto(f"{server}/{SHEET}")
    page.goto(server)
    card = page.locator(".sheet-card", has_text="Two-line kite, spare parts")
    for answer, left in (("Cancel", 1), ("Trash", 0)):
        card.get_by_role("button", name="Trash").click()
        question = page.get_by_role("dialog")
        expect(question).to_contain_text("Another window has this sheet open.")
        question.get_by_role("button", name=answer).click()
        expect(card).to_have_count(left)
    other.close()
