"""A learner reads a drawn scale, slips, is told how, and reads again."""

import re
from itertools import islice

from playwright.sync_api import Page, expect

from metrion.formats.exercise import exercises_of
from tests.browser.barriers import barriers

ADDRESS = "/practice?seed=4&at=1&kind=vernier&question=corrected"


def test_a_slip_is_named_and_the_same_picture_read_again(page: Page, unchanged: str) -> None:
    first, second = islice(exercises_of(4, "vernier", "corrected"), 2)
    page.goto(unchanged + ADDRESS)
    expect(page.get_by_label("What is the reading")).to_be_focused()
    page.keyboard.type(str(float(first.instrument.reading(first.looks[0]))))
    page.keyboard.press("Enter")
    said = page.get_by_role("status")
    expect(said).to_contain_text("The zero error was not taken off.")
    # What was typed is typed over.
    page.keyboard.type(first.answer)
    page.keyboard.press("Enter")
    expect(said).to_contain_text("Right.")
    expect(page.locator(".meeting")).not_to_have_count(0)
    expect(page.get_by_role("button", name="Next")).to_be_focused()
    page.keyboard.press("Enter")
    expect(page.get_by_role("region", name=second.id)).to_be_visible()
    expect(page.get_by_label("What is the reading")).to_be_focused()
    # A reload comes back to the same picture.
    page.reload()
    expect(page.get_by_role("region", name=second.id)).to_be_visible()
    page.get_by_role("button", name="Show me").click()
    expect(said).to_contain_text(f"It is {second.answer}")


def test_a_kind_has_the_questions_that_can_be_asked_of_it(page: Page, unchanged: str) -> None:
    page.goto(f"{unchanged}/practice?way=pick")
    expect(page.locator(".practice-exercise")).to_be_visible()
    page.get_by_text("circle", exact=True).click()
    # Its first exercise has the focus when it comes, which closes what is open.
    page.wait_for_load_state("networkidle")
    page.get_by_role("combobox", name="question").click()
    page.get_by_title("an angle swept").click()
    expect(page.locator(".practice-exercise figcaption")).to_have_text(
        ["first position", "second position"]
    )
    page.get_by_text("screw gauge", exact=True).click()
    expect(page.get_by_text("any question").first).to_be_visible()


def test_a_magnifier_follows_pointer_and_arrow_keys(page: Page, unchanged: str) -> None:
    page.goto(unchanged + ADDRESS)
    # What an eye sees is its name, for those who hear it.
    scales = page.get_by_role("img", name="reading: The zero line has passed")
    magnifier = page.locator(".magnifier")
    scales.hover()
    expect(magnifier).to_be_visible()
    seen = magnifier.get_attribute("viewBox")
    scales.focus()
    page.keyboard.press("ArrowRight")
    expect(magnifier).not_to_have_attribute("viewBox", seen or "")
    page.keyboard.press("Tab")
    expect(magnifier).to_be_hidden()


def test_ten_exercises_from_knowing_nothing(page: Page, server: str) -> None:
    page.goto(f"{server}/practice")
    expect(page.get_by_text("picture 1 of 6")).to_be_visible()
    for at in range(1, 11):
        blank = page.locator(".practice-answer input")
        expect(blank).to_be_focused()
        page.keyboard.type("0.01")
        page.keyboard.press("Enter")
        said = page.locator(".practice-said")
        expect(said).to_have_attribute("data-verdict", re.compile("wrong|right|rounded"))
        if said.get_attribute("data-verdict") == "wrong":
            page.get_by_role("button", name="Show me").click()
        expect(said).to_contain_text("It is ")
        page.keyboard.press("Enter")
        if at < 6:
            expect(page.get_by_text(f"picture {at + 1} of 6")).to_be_visible()
    expect(page.get_by_text("of 6.")).to_have_count(0)
    expect(page.locator(".skills .course :is(circle, polyline)")).not_to_have_count(0)
    expect(page.locator(".practice-answer input")).to_be_focused()
    assert barriers(page) == []
    page.get_by_role("button", name="Begin anew").click()
    page.get_by_role("tooltip").get_by_role("button", name="Begin anew").click()
    expect(page.get_by_text("picture 1 of 6")).to_be_visible()


def test_a_photograph_is_as_hard_as_is_wished(page: Page, unchanged: str) -> None:
    page.goto(unchanged + ADDRESS)
    page.get_by_text("as a photograph").click()
    expect(page.locator(".photo").first).to_be_visible()
    page.get_by_text("How hard?").click()
    blur = page.get_by_role("slider", name="blur")
    before = page.locator("feGaussianBlur").first.get_attribute("stdDeviation")
    blur.focus()
    page.keyboard.press("ArrowRight")
    expect(page.locator("feGaussianBlur").first).not_to_have_attribute("stdDeviation", before or "")
    # What an eye sees is told of a photograph as of a drawing, and it is remembered.
    page.reload()
    expect(page.get_by_role("img", name="reading: The zero line has passed")).to_be_visible()
    expect(page.locator(".photo").first).to_be_visible()
    assert barriers(page) == []


def test_the_answers_of_a_printed_sheet_are_typed_in_by_number(page: Page, unchanged: str) -> None:
    page.goto(f"{unchanged}/practice?way=sheet")
    made = list(islice(exercises_of(7), 2))
    page.get_by_label("number of the sheet").fill("7")
    page.get_by_label("answer 1", exact=True).fill(made[0].answer)
    page.get_by_label("answer 2", exact=True).fill("12345")
    page.keyboard.press("Enter")
    expect(page.get_by_text("1 of 2 right.")).to_be_visible()
    assert barriers(page) == []


def test_ten_pictures_against_the_clock(page: Page, server: str) -> None:
    page.goto(f"{server}/practice?way=drill&kind=screw&question=least-count&seed=3")
    page.get_by_role("button", name="Begin").click()
    for at in range(1, 11):
        expect(page.get_by_text(f"picture {at} of 10")).to_be_visible()
        expect(page.locator(".practice-answer input")).to_be_focused()
        page.keyboard.type("0.01")
        page.keyboard.press("Enter")
    expect(page.get_by_text("of 10 right;")).to_be_visible()
    assert barriers(page) == []
