"""A learner reads a drawn scale, slips, is told how, and reads again."""

from itertools import islice

from playwright.sync_api import Page, expect

from metrion.formats.exercise import exercises_of

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
    page.goto(f"{unchanged}/practice")
    expect(page.locator(".practice-exercise")).to_be_visible()
    page.get_by_text("circle", exact=True).click()
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
