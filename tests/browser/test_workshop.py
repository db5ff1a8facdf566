"""The instrument workshop, the zero desk and the words, as a person uses them."""

from pathlib import Path

import pytest
from playwright.sync_api import Locator, Page, expect

from tests.browser.test_story import open_quantity
from tests.server import asked, running


def describe(page: Page, **blanks: str) -> None:
    for label, text in blanks.items():
        page.get_by_label(label.replace("_", " "), exact=True).fill(text)
        page.keyboard.press("Tab")


def test_a_tool_never_seen_before_is_described_from_its_numbers(page: Page, server: str) -> None:
    page.goto(f"{server}/instruments")
    describe(page, fine_divisions="25", main_divisions="24", main_division="0,5")
    expect(page.get_by_test_id("least-count")).to_have_text("0.02 mm")
    expect(page.get_by_text("0.5 − 0.48 =")).to_be_visible()
    expect(page.locator("mfrac mrow")).to_have_text(["0.5", "25", "24×0.5", "25"])

    # Line after line, the gap written out.
    page.get_by_role("slider", name="step of the slide").focus()
    for _ in range(3):
        page.keyboard.press("ArrowRight")
    expect(page.get_by_test_id("slide")).to_have_text("line 3 meets: the gap is 3 × 0.02 = 0.06 mm")
    expect(page.locator(".fine-scale .meeting")).to_have_count(1)

    # Open at any value by hand.
    scales = page.get_by_role("slider", name="scales of the described tool")
    scales.focus()
    page.keyboard.press("Shift+ArrowRight")
    expect(page.get_by_test_id("slide")).to_have_text("reads 0.26 mm")

    # Kept, and there to be picked for a sheet.
    page.get_by_placeholder("Caliper A").fill("Club caliper")
    page.get_by_role("button", name="Keep this tool").click()
    expect(page.get_by_role("heading", name="Club caliper")).to_be_visible()
    page.goto(f"{server}/sheets/sail-film")
    page.get_by_role("button", name="Add a tool").click()
    page.get_by_role("button", name="Club caliper").click()
    page.get_by_role("button", name="This is mine").click()
    expect(page.get_by_role("heading", name="Club caliper")).to_be_visible()
    expect(page.get_by_text("least count 0.02 mm")).to_be_visible()


def test_two_lines_that_meet_at_once_are_shown(page: Page, server: str) -> None:
    page.goto(f"{server}/instruments")
    describe(page, fine_divisions="10", main_divisions="8")
    expect(page.get_by_text("2 lines meet at once, lines 1 and 6")).to_be_visible()
    page.get_by_role("button", name="Show it").click()
    expect(page.locator(".fine-scale .meeting")).to_have_count(2)
    expect(page.get_by_test_id("slide")).to_contain_text("lines 1 and 6 meet")


def test_a_useless_scale_is_drawn_with_the_reason(page: Page, server: str) -> None:
    page.goto(f"{server}/instruments")
    describe(page, fine_divisions="10", main_divisions="20")
    expect(page.get_by_text("every line meets a mark at once")).to_be_visible()
    expect(page.get_by_test_id("least-count")).to_have_text("none")


def test_numbers_that_make_no_scale_are_explained_and_stay(page: Page, server: str) -> None:
    page.goto(f"{server}/instruments")
    page.get_by_text("screw gauge", exact=True).click()
    describe(page, main_division="0.3")
    expect(page.get_by_role("alert")).to_contain_text("do not fit a pitch of 0.5")
    expect(page.get_by_label("main division", exact=True)).to_have_value("0.3")


def test_the_pitch_worksheet_fills_the_description(page: Page, server: str) -> None:
    page.goto(f"{server}/instruments")
    page.get_by_text("screw gauge", exact=True).click()
    for trial, (before, after) in enumerate((("0", "10"), ("2", "12")), start=1):
        page.get_by_label(f"before, trial {trial}").fill(before)
        page.get_by_label(f"after, trial {trial}").fill(after)
    page.get_by_role("button", name="Work it out").click()
    expect(page.get_by_test_id("pitch")).to_contain_text("so it must be 1 mm")
    page.get_by_role("button", name="Use it").click()
    expect(page.get_by_label("pitch", exact=True)).to_have_value("1")
    expect(page.get_by_test_id("least-count")).to_have_text("0.02 mm")


def test_a_part_tells_what_it_is_for(page: Page, server: str) -> None:
    page.goto(f"{server}/instruments")
    page.get_by_role("button", name="depth rod").hover()
    expect(page.locator(".parts-words")).to_contain_text("how deep a hole is")
    page.get_by_text("screw gauge", exact=True).click()
    page.get_by_role("button", name="ratchet").focus()
    expect(page.locator(".parts-words")).to_contain_text("always the same force")


def test_a_tool_that_was_removed_comes_back(page: Page, server: str) -> None:
    page.goto(f"{server}/instruments")
    card = page.locator(".tool-on-shelf", has_text="Odd slide from the drawer")
    card.get_by_role("button", name="Remove").click()
    expect(card).to_have_count(0)
    page.get_by_role("button", name="Undo").click()
    expect(card).to_have_count(1)


def test_a_screw_is_read_and_its_negative_zero_is_found(page: Page, server: str) -> None:
    open_quantity(page, server, "bridle-line/quantities/standoff")
    page.keyboard.type("4.5 38")
    expect(page.locator(".part-read output")).to_have_text("4.88")
    expect(page.locator(".part-result output")).to_have_text("4.95")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(5)

    page.get_by_label("zero error, tap to change").click()
    page.get_by_role("button", name="Look at the zero").click()
    page.get_by_role("button", name="Run past it").click()
    page.get_by_role("dialog").get_by_label("thimble line").fill("45")
    expect(page.get_by_test_id("zero-outcome")).to_contain_text("Zero error −0.05 mm")
    expect(page.get_by_text("counted back from the end: −(50 − 45) × 0.01")).to_be_visible()
    page.get_by_role("button", name="Keep this zero").click()
    # Two looks now, −0.07 and −0.05: their mean corrects every reading, visibly.
    expect(page.get_by_label("zero error, tap to change")).to_have_text("(−0.06)")
    expect(page.locator("tr.reading").first).to_contain_text("4.94")


def test_a_zero_counted_from_the_wrong_turn_is_asked_about_and_mended(
    page: Page, server: str
) -> None:
    open_quantity(page, server, "bridle-line/quantities/standoff")
    page.get_by_label("zero error, tap to change").click()
    page.get_by_role("button", name="Look at the zero").click()
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_label("main reading")).to_be_focused()
    page.keyboard.type("0 48")
    question = dialog.get_by_role("group", name="Which zero is it?")
    expect(question).to_contain_text("nearer to a full turn than to nothing")
    question.get_by_role("button", name="had run past the datum line").click()
    expect(page.get_by_test_id("zero-outcome")).to_contain_text("Zero error −0.02 mm")
    expect(question).to_have_count(0)
    # Kept all the same: it stays a second look on the quantity until it is mended there.
    dialog.get_by_label("main reading").fill("0")
    question.get_by_role("button", name="was still short of the datum line").click()
    expect(question).to_have_count(0)
    dialog.get_by_role("button", name="Keep this zero").click()
    expect(dialog).to_have_count(0)
    result = page.get_by_role("region", name="result")
    expect(result.get_by_text("nearer to a full turn than to nothing")).to_be_visible()
    result.get_by_role("button", name="It was −0.02 mm").click()
    expect(result.get_by_text("nearer to a full turn than to nothing")).to_have_count(0)


def test_inside_jaws_have_a_zero_of_their_own(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.get_by_label("zero error, tap to change").click()
    page.get_by_role("button", name="Look at the zero").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_text("inside jaws").click()
    expect(dialog.get_by_text("cannot close on each other")).to_be_visible()
    dialog.get_by_label("on a setting piece of").fill("20")
    dialog.get_by_label("main reading").fill("20")
    dialog.get_by_label("line that meets").fill("1")
    expect(page.get_by_test_id("zero-outcome")).to_contain_text("Zero error 0.05 mm")
    dialog.get_by_role("button", name="Keep this zero").click()
    expect(page.get_by_text("Each pair of faces has a zero of its own")).to_be_visible()


def zero_desk(page: Page) -> Locator:
    page.get_by_label("zero error, tap to change").click()
    page.get_by_role("button", name="Look at the zero").click()
    return page.get_by_role("dialog")


def test_a_zero_that_stands_exactly_is_kept_at_once(page: Page, server: str) -> None:
    open_quantity(page, server, "old-standoffs/quantities/standoff")
    dialog = zero_desk(page)
    dialog.get_by_role("button", name="Stands on zero").click()
    expect(dialog).to_have_count(0)
    expect(page.get_by_label("zero error, tap to change")).to_have_text("(0.0)")


def test_a_zero_that_has_run_past_is_stepped_to_or_typed_over(page: Page, server: str) -> None:
    open_quantity(page, server)
    dialog = zero_desk(page)
    outcome = page.get_by_test_id("zero-outcome")
    dialog.get_by_role("button", name="Run past it").click()
    expect(outcome).to_contain_text("Zero error −0.05 mm")
    dialog.get_by_role("button", name="one line back").click()
    expect(outcome).to_contain_text("Zero error −0.10 mm")
    dialog.get_by_role("button", name="Run past it").click()
    expect(dialog.get_by_label("line that meets")).to_be_focused()
    expect(outcome).to_contain_text("Zero error −0.05 mm")
    page.keyboard.type("16")
    expect(dialog.get_by_label("line that meets")).to_have_value("16")
    expect(outcome).to_contain_text("Zero error −0.20 mm")
    # Counted back from the zero, with nothing said about the mark below it.
    dialog.get_by_label("main reading").fill("0")
    dialog.get_by_label("line that meets").fill("-3")
    expect(outcome).to_contain_text("Zero error −0.15 mm")
    dialog.get_by_role("button", name="Still short of it").click()
    expect(outcome).to_contain_text("Zero error 0.05 mm")


def test_the_outside_zero_is_taken_over_by_the_inside_jaws(page: Page, server: str) -> None:
    bore = {"id": "bore", "name": "Bore", "instrument": "cal-a", "face": "inside"}
    asked(server, "/sheets/spare-parts/quantities", bore)
    asked(server, "/sheets/spare-parts/readings", {"quantity": "bore", "main": "6", "fine": 3})
    open_quantity(page, server, "spare-parts/quantities/bore")
    dialog = zero_desk(page)
    expect(dialog).not_to_contain_text("closed")
    expect(dialog).to_contain_text("both faces ride on one slide")
    dialog.get_by_role("button", name="Take over the outside zero").click()
    expect(dialog).to_have_count(0)
    expect(page.get_by_label("zero error, tap to change")).to_have_text("(−0.15)")
    expect(page.get_by_text("was taken over: both ride on one slide")).to_have_count(0)
    page.goto(f"{server}/sheets/spare-parts/report")
    report = page.frame_locator("iframe")
    expect(report.get_by_text("was taken over: both ride on one slide")).to_be_visible()


def test_a_sleeve_with_every_second_turn_marked_asks_for_the_turn(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/sail-film")
    page.get_by_role("button", name="Add a tool").click()
    page.get_by_role("button", name="Screw gauge, two turns to a mark").click()
    page.get_by_role("button", name="This is mine").click()
    page.get_by_role("button", name="New quantity").click()
    page.get_by_label("What is measured").fill("Nock, thickness")
    page.get_by_role("button", name="Measure it").click()
    expect(page.get_by_label("main reading")).to_be_focused()
    page.keyboard.type("4 38")
    turns = page.get_by_role("group", name="Which do you mean?")
    expect(turns.get_by_role("button")).to_contain_text(["first turn", "second turn"])
    turns.get_by_role("button").first.click()
    expect(page.locator(".part-read output")).to_have_text("4.38")
    page.get_by_role("checkbox").check()
    expect(page.locator(".part-read output")).to_have_text("4.88")
    page.get_by_role("button", name="Record").click()
    expect(page.locator("tr.reading")).to_contain_text("4.88")


def test_a_depth_is_measured_with_its_own_face(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    page.get_by_role("button", name="New quantity").click()
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_text("Jaw points and cut edges are sharp.")).to_be_visible()
    dialog.get_by_label("What is measured").fill("Ferrule, depth")
    dialog.get_by_text("depth rod: depths").click()
    dialog.get_by_role("button", name="Measure it").click()
    # The zero of the outside jaws is not that of the depth rod.
    expect(page.get_by_label("zero error, tap to change")).to_have_text("not looked at")
    page.keyboard.type("21 4")
    expect(page.locator(".part-result output")).to_have_text("21.20")


def test_the_word_of_the_course_is_used_everywhere(page: Page, server: str) -> None:
    page.goto(f"{server}/words")
    for word in ("vernier constant", "drum"):
        page.get_by_label(word).click()
        expect(page.get_by_label(word)).to_be_checked()
    expect(page.get_by_role("heading", name="drum")).to_be_visible()
    page.get_by_role("link", name="Instruments").click()
    expect(page.get_by_role("heading", name="Vernier constant")).to_be_visible()
    page.get_by_text("screw gauge", exact=True).click()
    expect(page.get_by_text("One turn of the drum travels")).to_be_visible()


@pytest.mark.parametrize("width", [390, 1920])
def test_new_views_fit(page: Page, unchanged: str, width: int) -> None:
    page.set_viewport_size({"width": width, "height": 844})
    for view in ("/instruments", "/words", "/sheets/bridle-line/quantities/standoff"):
        page.goto(unchanged + view)
        expect(page.locator("h1")).to_be_visible()
        page.wait_for_load_state("networkidle")
        assert page.evaluate("document.documentElement.scrollWidth") <= width, view


def test_a_file_with_pairs_is_shown_with_its_results(page: Page, tmp_path: Path) -> None:
    case = Path(__file__).parents[1] / "reference" / "case-026.json"
    with running(tmp_path) as address:
        page.goto(address)
        page.get_by_label("logbook file").set_input_files(case)
        page.get_by_role("button", name="Take it in").click()
        page.locator(".sheet-quantity a").first.click()
        expect(page.get_by_test_id("sentence")).to_contain_text("°")
        rows = page.locator("tr.reading")
        expect(rows).to_have_count(10)
        # Another pair goes through the zero of the circle.
        for position in ("350:00 0", "10:00 0"):
            page.keyboard.type(position)
            expect(page.locator(".part-read output")).to_contain_text("°")
            if position.startswith("10"):
                expect(page.get_by_text("runs through the zero of the circle")).to_be_visible()
            page.keyboard.press("Enter")
        expect(rows).to_have_count(11)
        expect(rows.last).to_contain_text("20°")
