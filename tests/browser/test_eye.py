"""Where the eye is: what is odd is asked at the equation, and looked at again there."""

from playwright.sync_api import Browser, Page, expect

from tests.browser.test_story import open_quantity, row

SPREADER = "spare-parts/quantities/spreader"
ODD = "Reading 4 stands one mark above the others."


def test_what_is_odd_about_a_reading_is_asked_under_the_equation(page: Page, server: str) -> None:
    open_quantity(page, server)
    words = page.locator(".equation-words")
    for figures in ("8 12", "9 12"):
        page.keyboard.type(figures)
        page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(5)
    expect(words).to_contain_text("Reading 5 stands one mark above the others.")
    expect(page.locator(".tally .second-look")).to_contain_text("Reading 5 stands one mark above")
    # Who goes on is not disturbed; it waits until the blanks are empty again.
    page.keyboard.type("8")
    expect(words).not_to_contain_text("Reading 5")
    page.keyboard.press("Escape")
    words.get_by_role("button", name="I misread, it was 8").click()
    expect(page.locator(".second-look")).to_have_count(0)
    expect(page.get_by_label("main reading")).to_be_focused()
    assert "8.75" in row(page, 5)


def look_again(page: Page, server: str) -> None:
    """Open the odd reading of the spreader to be looked at again."""
    open_quantity(page, server, SPREADER)
    page.get_by_role("button", name="Look again").click()


def test_look_again_opens_the_row_with_empty_blanks_and_enter_replaces_it(
    page: Page, server: str
) -> None:
    look_again(page, server)
    expect(page.get_by_text("Reading 4 again: what do you see now?")).to_be_visible()
    expect(page.get_by_label("main reading")).to_be_focused()
    expect(page.get_by_label("main reading")).to_have_value("")
    assert "7.15" not in row(page, 4)
    assert "looked at again" in row(page, 4)
    page.keyboard.type("6 4")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading s").first).to_have_text("7")
    assert "6.35" in row(page, 4)
    expect(page.locator("tr.reading")).to_have_count(4)
    page.keyboard.type("6 3")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(5)


def test_a_look_is_left_as_it_was(page: Page, server: str) -> None:
    look_again(page, server)
    page.keyboard.type("6")
    page.keyboard.press("Escape")
    expect(page.locator(".equation-words")).to_contain_text(ODD)
    expect(page.locator("tr.reading").nth(3)).to_contain_text("7.30")
    page.get_by_label("Actions for reading 2").click()
    page.get_by_role("menuitem", name="Change its figures").click()
    expect(page.get_by_text("Reading 2: put right what is wrong.")).to_be_visible()
    page.get_by_role("button", name="Leave it").click()
    expect(page.get_by_text("Reading 2: put right")).to_have_count(0)


def test_who_looks_again_and_sees_the_same_lets_it_stand(page: Page, server: str) -> None:
    look_again(page, server)
    page.keyboard.type("7 3")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading").nth(3)).to_contain_text("7.30")
    expect(page.locator(".second-look")).to_have_count(0)
    expect(page.locator("tr.reading s")).to_have_count(0)


def test_on_a_phone_it_is_asked_over_the_key_pad(browser: Browser, server: str) -> None:
    page = browser.new_page(viewport={"width": 390, "height": 844}, has_touch=True)
    page.goto(f"{server}/sheets/{SPREADER}")
    pad = page.get_by_role("group", name="key pad")
    expect(pad).to_contain_text(ODD)
    expect(page.get_by_label("main reading")).to_be_in_viewport()
    pad.get_by_role("button", name="Look again").tap()
    expect(pad).to_contain_text("Reading 4 again: what do you see now?")
    for key in ("6", "Next blank", "4"):
        pad.get_by_role("button", name=key, exact=True).tap()
    expect(pad).to_contain_text("6.35 mm")
    pad.get_by_role("button", name="Record by thumb").tap()
    expect(page.locator("tr.reading s").first).to_have_text("7")
    page.close()


def test_a_thumb_moves_by_one_line_and_in_the_fine_gear(browser: Browser, server: str) -> None:
    page = browser.new_page(viewport={"width": 390, "height": 844}, has_touch=True)
    page.goto(f"{server}/sheets/spare-parts/quantities/ferrule")
    pad = page.get_by_role("group", name="key pad")
    for key in ("8", "Next blank", "1", "1"):
        pad.get_by_role("button", name=key, exact=True).tap()
    read = page.locator(".part-read output")
    expect(read).to_have_text("8.55")
    page.get_by_role("button", name="one line on").tap()
    expect(read).to_have_text("8.60")
    page.get_by_role("button", name="one line back").tap()
    expect(read).to_have_text("8.55")

    def dragged(down: int) -> float:
        """How far the scales went for 40 px, the hand so far below where it took hold."""
        before = float(read.inner_text())
        page.mouse.move(200, 150)
        page.mouse.down()
        page.mouse.move(200, 150 + down)
        page.mouse.move(240, 150 + down, steps=8)
        page.mouse.up()
        expect(read).not_to_have_text(f"{before:.2f}")
        # Answers come while the hand moves: the last one counts.
        expect(page.locator(".equation")).to_have_attribute("data-settled", "true")
        return float(read.inner_text()) - before

    coarse, fine = dragged(0), dragged(100)
    assert 6 < coarse / fine < 11
    page.close()
