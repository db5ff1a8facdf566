"""The zero desk in the browser: the same words as the equation, and nothing decided unasked."""

import pytest
from playwright.sync_api import Browser, Page, expect

from tests.browser.test_story import open_quantity
from tests.browser.test_workshop import zero_desk
from tests.server import asked

PHONE = {"width": 390, "height": 844}


def either(page: Page, name: str) -> list[str]:
    return page.get_by_role("group", name=name).get_by_role("button").all_inner_texts()


@pytest.mark.parametrize(
    ("typed", "outcome"),
    [
        ("0.02", "0.02 mm: it reads too much, a positive zero error"),
        ("-0.03", "−0.03 mm: it reads too little, a negative zero error"),
        ("-0.4 mm", "−0.40 mm: it reads too little"),
        (".5", "0.50 mm: it reads too much"),
        ("0 20", "The zero error is 0"),
    ],
)
def test_a_zero_is_said_as_people_say_it(
    page: Page, unchanged: str, typed: str, outcome: str
) -> None:
    open_quantity(page, unchanged)
    zero_desk(page)
    page.keyboard.type(typed)
    said = page.get_by_test_id("zero-outcome")
    expect(said).to_contain_text(outcome)
    # Every line that is shown is true.
    ways = page.locator(".zero-finding li").all_inner_texts()
    for line in (way for way in ways if "=" in way):
        *_, left, right = line.replace("−", "-").replace("×", "*").split(": ")[-1].split(" = ")
        assert eval(left) == pytest.approx(float(right.removesuffix(" mm")))


def test_faults_offers_and_questions_are_seen_there(page: Page, unchanged: str) -> None:
    open_quantity(page, unchanged)
    dialog = zero_desk(page)
    page.keyboard.type("abc")
    expect(dialog.get_by_role("alert")).to_contain_text("abc is not a number")
    page.get_by_label("main reading").last.fill("-0")
    dialog.get_by_label("line that meets").fill("3")
    choices = either(page, "Which do you mean?")
    expect(dialog.get_by_role("group", name="Which do you mean?")).to_be_visible()
    assert [one.split("\n")[-1] for one in choices or either(page, "Which do you mean?")] == [
        "−0.15 mm", "−0.85 mm", "0.15 mm",
    ]  # fmt: skip


def test_a_tapped_choice_never_turns_into_its_opposite_unasked(page: Page, server: str) -> None:
    open_quantity(page, server, "wing-tip-nocks/quantities/nock")
    dialog = zero_desk(page)
    dialog.get_by_role("button", name="Run past it").click()
    expect(dialog.locator(".part-fine .blank")).to_have_value("9")
    dialog.get_by_label("main reading").fill("0")
    dialog.locator(".part-fine .blank").fill("3")
    which = dialog.get_by_role("group", name="Which zero is it?")
    expect(which).to_contain_text("You said that it has run past zero")
    before = page.get_by_test_id("zero-outcome").inner_text()
    assert "too much" in before
    # Keeping it waits for the answer.
    dialog.get_by_role("button", name="Keep this zero").click()
    expect(which.get_by_role("button").first).to_be_focused()
    which.get_by_role("button").first.click()
    expect(page.get_by_test_id("zero-outcome")).to_contain_text("it reads too little")
    expect(which).to_have_count(0)


def another_look(page: Page, typed: str) -> None:
    zero_desk(page).get_by_text("before the readings").click()
    page.get_by_role("dialog").get_by_label("main reading").focus()
    page.keyboard.type(typed)
    page.keyboard.press("Enter")


def test_looks_that_differ_are_asked_about_and_replaced_in_one_step(
    page: Page, server: str
) -> None:
    open_quantity(page, server)
    another_look(page, "0 2")
    which = page.get_by_role("group", name="Which look holds?")
    expect(which).to_contain_text("The earlier look said −0.15 mm")
    expect(which.locator("svg")).to_have_count(2)
    # Enter leads to the answer: by keyboard alone.
    expect(which.get_by_role("button", name="The new one replaces it")).to_be_focused()
    page.keyboard.press("Enter")
    expect(page.get_by_role("dialog")).to_have_count(0)
    expect(page.get_by_label("zero error, tap to change")).to_have_text("(0.10)")
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_label("zero error, tap to change")).to_have_text("(−0.15)")


def test_both_may_hold_and_are_flagged(page: Page, server: str) -> None:
    open_quantity(page, server)
    another_look(page, "0 2")
    page.get_by_role("button", name="Both hold").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    expect(page.get_by_text("the readings differ by 0.25 mm").first).to_be_visible()


def test_a_look_after_readings_is_one_after_and_stands_on_the_line_of_time(
    page: Page, server: str
) -> None:
    open_quantity(page, server)
    dialog = zero_desk(page)
    page.keyboard.type("-1 18")
    expect(page.get_by_test_id("zero-outcome")).to_contain_text("−0.10 mm")
    page.keyboard.press("Enter")
    expect(dialog).to_have_count(0)
    [*_, kept] = asked(server, "/sheets/spare-parts")[1]["zero_checks"]
    assert kept["phase"] == "after"
    zero_desk(page)
    line = page.locator(".zero-time-line li")
    expect(line.first).to_contain_text("−0.15 mm before")
    expect(line.filter(has_text="3 readings")).to_have_count(1)
    expect(line.last).to_contain_text("−0.10 mm after")


def test_the_zero_of_the_slide_is_offered_first_for_depth_too(page: Page, server: str) -> None:
    depth = {"id": "deep", "name": "Depth", "instrument": "cal-a", "face": "depth"}
    asked(server, "/sheets/spare-parts/quantities", depth)
    open_quantity(page, server, "spare-parts/quantities/deep")
    page.get_by_label("zero error, tap to change").click()
    take = page.get_by_role("button", name="Take over the outside zero")
    expect(take).to_be_focused()
    page.keyboard.press("Enter")
    expect(page.get_by_label("zero error, tap to change")).to_have_text("(−0.15)")


def test_what_differs_is_asked_on_a_phone(browser: Browser, unchanged: str) -> None:
    page = browser.new_page(viewport=PHONE, reduced_motion="reduce")
    page.goto(f"{unchanged}/sheets/spare-parts/quantities/ferrule")
    zero_desk(page).get_by_text("before the readings").click()
    page.get_by_role("dialog").get_by_label("main reading").fill("0")
    page.get_by_role("dialog").get_by_label("line that meets").fill("2")
    which = page.get_by_role("group", name="Which look holds?")
    which.scroll_into_view_if_needed()
    for one in which.get_by_role("button").all():
        box = one.bounding_box()
        assert box
        assert box["x"] >= 0
        assert box["x"] + box["width"] <= PHONE["width"]
    page.close()
