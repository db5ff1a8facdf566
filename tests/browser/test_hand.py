"""Readings and tools as people see and say them, typed and tapped in the browser."""

from playwright.sync_api import Browser, Page, Route, expect

from tests.browser.test_story import open_quantity
from tests.server import asked


def test_a_mark_is_typed_as_it_is_engraved(page: Page, server: str) -> None:
    open_quantity(page, server, "sail-film/quantities/film")
    expect(page.locator(".part-main").first).to_contain_text("cm")
    page.keyboard.type("5.2 16")
    expect(page.locator(".part-read output")).to_have_text("5.280")
    # After a space a unit belongs to the figure before it.
    page.keyboard.press("Escape")
    page.keyboard.type("52 mm")
    expect(page.get_by_label("main reading")).to_have_value("52 mm")
    page.get_by_label("line that meets").fill("16")
    expect(page.locator(".part-read output")).to_have_text("5.280")
    expect(page.locator(".equation-words")).to_contain_text("52 mm is 5.2 cm.")


def test_an_enter_before_the_answer_waits_for_it(page: Page, server: str) -> None:
    open_quantity(page, server)
    held: list[Route] = []
    late = True
    page.route("**/look", lambda route: held.append(route) if late else route.continue_())
    page.keyboard.type("6 5")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(3)
    late = False
    for look in held:
        look.continue_()
    expect(page.locator("tr.reading")).to_have_count(4)
    expect(page.locator("tr.reading").last).to_contain_text("6.25")


def test_what_cannot_be_is_answered_with_what_can(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.keyboard.type("6.25 3")
    expect(page.get_by_role("alert")).to_contain_text("6.25 is not a mark of Caliper A")
    page.get_by_role("button", name="7 mm", exact=True).click()
    expect(page.get_by_label("main reading")).to_have_value("7")
    expect(page.locator(".part-read output")).to_have_text("7.15")


def changed_tool(server: str, **changes: object) -> None:
    """Caliper A of the spare parts, with other things said of it."""
    _, sheet = asked(server, "/sheets/spare-parts")
    [version] = [one["version"] for one in sheet["instruments"] if one["id"] == "cal-a"]
    path = "/sheets/spare-parts/instruments/cal-a"
    assert asked(server, path, changes, "PATCH", version)[0] == 200


def test_figures_that_fit_twice_are_asked_about_once(page: Page, server: str) -> None:
    changed_tool(server, fine_as=None)
    open_quantity(page, server)
    page.keyboard.type("6 5")
    page.keyboard.press("Enter")
    choices = page.get_by_role("group", name="Which do you mean?")
    expect(choices.get_by_role("button")).to_have_count(2)
    # Both are drawn, and the cursor waits on the first.
    expect(choices.locator("svg")).to_have_count(2)
    expect(choices.get_by_role("button", name="line number 5 6.25 mm")).to_be_focused()
    expect(page.locator("tr.reading")).to_have_count(3)
    choices.get_by_role("button", name="the line printed 5 6.50 mm").click()
    # Enter has been pressed: it goes on with the answer.
    expect(page.locator("tr.reading").last).to_contain_text("6.50")
    # What was answered is kept with the tool, and seen over the blank; one step takes both back.
    expect(page.get_by_label("numeral that meets")).to_be_visible()
    page.keyboard.type("7 5")
    expect(page.locator(".part-read output")).to_have_text("7.50")
    page.keyboard.press("Escape")
    page.get_by_role("button", name="Undo").click()
    expect(page.locator("tr.reading")).to_have_count(3)
    page.keyboard.type("7 5")
    expect(choices).to_be_visible()


def test_a_beam_that_turns_out_numbered_in_centimetres(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.keyboard.type("5.1 3")
    choices = page.get_by_role("group", name="Is it this?")
    expect(choices).to_contain_text("51 mm: is the beam numbered in centimetres?")
    choices.get_by_role("button").click()
    expect(page.locator(".part-read output")).to_have_text("51.15")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(4)
    # The beam is drawn and read in centimetres from now on, unasked.
    expect(page.locator(".part-main").first).to_contain_text("cm")
    page.keyboard.type("5.2 4")
    expect(page.locator(".part-read output")).to_have_text("5.220")


def test_a_whole_reading_is_taken_apart_before_it_is_recorded(page: Page, server: str) -> None:
    open_quantity(page, server, "bridle-line/quantities/standoff")
    before = page.locator("tr.reading").count()
    for typed, read in (("5.78", "5.78"), ("1 + 0.5 + 30", "1.80")):
        page.keyboard.type(typed)
        expect(page.locator(".part-read output")).to_have_text(read)
        page.keyboard.press("Enter")
        expect(page.get_by_label("main reading")).to_have_value("5.5" if read == "5.78" else "1.5")
        expect(page.get_by_label("thimble line")).to_have_value("28" if read == "5.78" else "30")
        expect(page.locator("tr.reading")).to_have_count(before)
        page.keyboard.press("Enter")
        before += 1
        expect(page.locator("tr.reading")).to_have_count(before)
        expect(page.locator("tr.reading").last).to_contain_text(read)


def test_lines_that_cannot_be_told_apart_are_kept_as_seen(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.keyboard.type("8 15-16")
    expect(page.locator(".part-read output")).to_have_text("8.775")
    expect(page.locator(".lens-cell.seems")).to_have_count(2)
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(4)
    expect(page.locator("tr.reading").last).to_contain_text("15–16")
    page.get_by_role("button", name="Working").click()
    expect(page.get_by_role("dialog")).to_contain_text("limit of a look in which 2 lines")


def test_a_ruler_and_a_finer_tool_stand_on_one_sheet(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    page.get_by_role("button", name="Add a tool").click()
    page.get_by_text("Ruler", exact=True).click()
    page.get_by_role("button", name="This is mine").click()
    page.get_by_role("button", name="New quantity").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("What is measured").fill("Ferrule, by ruler")
    dialog.get_by_role("button", name="Measure it").click()
    expect(page.get_by_label("main reading")).to_be_focused()
    expect(page.get_by_label("line that meets")).to_have_count(0)
    page.keyboard.type("0.9")
    expect(page.locator(".part-read output")).to_have_text("0.9")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(1)
    expect(page.get_by_test_id("sentence")).to_have_text("(0.90 ± 0.05) cm")


def test_a_tool_is_changed_and_the_old_one_kept_for_what_was_read(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    card = page.locator(".tool-card").first
    card.get_by_role("button", name="Change").last.click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("number engraved on it").fill("N-7")
    dialog.get_by_role("button", name="Change it").click()
    expect(dialog).to_have_count(0)
    card.get_by_role("button", name="Change").last.click()
    expect(dialog.get_by_label("number engraved on it")).to_have_value("N-7")
    # Readings at whole millimetres cannot have been made on these marks.
    dialog.get_by_label("main division", exact=True).fill("7")
    dialog.get_by_role("button", name="Change it").click()
    expect(dialog.get_by_role("alert")).to_contain_text("6 is not a mark of Caliper A")
    dialog.get_by_role("button", name="Keep the old tool for them").click()
    expect(page.locator(".tool-card")).to_have_count(2)
    page.get_by_role("button", name="Undo").click()
    expect(page.locator(".tool-card")).to_have_count(1)


def test_another_unit_converts_what_was_given(page: Page, server: str) -> None:
    page.goto(f"{server}/instruments")
    page.get_by_role("combobox", name="unit").click()
    page.locator(".ant-select-item-option", has_text="cm").click()
    expect(page.get_by_label("main division", exact=True)).to_have_value("0.1")
    expect(page.get_by_label("highest reading")).to_have_value("15")
    expect(page.get_by_test_id("least-count")).to_have_text("0.005 cm")
    page.get_by_label("main division", exact=True).fill("1")
    expect(page.get_by_text("ten times what such tools usually have")).to_be_visible()


def in_centimetres(page: Page, server: str, answer: str) -> None:
    """Describe Caliper A, with which something was read, in centimetres."""
    page.goto(f"{server}/sheets/spare-parts")
    page.locator(".tool-card").first.get_by_role("button", name="Change").last.click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("unit").first.click()
    page.locator(".ant-select-dropdown:visible").get_by_title("cm", exact=True).click()
    # Nothing changes before the answer.
    expect(dialog).to_contain_text("something was read with this tool. Which is it?")
    expect(dialog.get_by_label("main division", exact=True)).to_have_value("1")
    dialog.get_by_role("button", name=answer).click()
    expect(dialog.get_by_label("main division", exact=True)).to_have_value(
        "0.1" if "lengths" in answer else "1"
    )
    dialog.get_by_role("button", name="Change it").click()
    expect(dialog).to_have_count(0)
    page.goto(f"{server}/sheets/spare-parts/quantities/ferrule")


def test_the_same_lengths_in_another_unit(page: Page, server: str) -> None:
    in_centimetres(page, server, "Same lengths")
    expect(page.get_by_test_id("sentence")).to_have_text("F = (0.872 ± 0.003) cm")
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_test_id("sentence")).to_have_text("F = (8.72 ± 0.03) mm")


def test_the_same_figures_where_the_description_was_wrong(page: Page, server: str) -> None:
    in_centimetres(page, server, "Same figures")
    expect(page.get_by_test_id("sentence")).to_have_text("F = (8.72 ± 0.03) cm")


def test_quantities_and_looks_at_the_zero_are_changed_afterwards(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    page.locator(".sheet-quantity").first.get_by_role("button", name="Change").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("What is measured").fill("Spreader")
    dialog.get_by_label("Its letter").fill("S")
    dialog.get_by_role("button", name="Change it").click()
    expect(page.locator(".sheet-quantity").first).to_contain_text("S = ")
    page.locator(".tool-zeros").get_by_role("button", name="Change").click()
    page.get_by_text("after", exact=True).click()
    page.get_by_role("tooltip").get_by_role("button", name="Change it").click()
    expect(page.locator(".tool-zeros")).to_contain_text("after")
    checks = asked(server, "/sheets/spare-parts")[1]["zero_checks"]
    assert [check["phase"] for check in checks] == ["after"]


def test_the_result_in_another_unit_is_a_tap_away_and_stays(page: Page, server: str) -> None:
    open_quantity(page, server)
    result = page.get_by_role("region", name="result")
    result.get_by_role("button", name="in", exact=True).click()
    expect(result.get_by_text("(0.343 ± 0.001) in")).to_be_visible()
    page.reload()
    expect(result.get_by_text("(0.343 ± 0.001) in")).to_be_visible()


def test_the_convention_is_seen_and_changed_where_it_holds(page: Page, server: str) -> None:
    open_quantity(page, server)
    chip = page.locator("header .convention-chip")
    expect(chip).to_contain_text("half division")
    chip.click()
    page.get_by_role("combobox", name="Convention").click()
    page.locator(".ant-select-item-option", has_text="95 % coverage").click()
    page.get_by_role("button", name="This one only").click()
    expect(chip).to_contain_text("95 % coverage")
    page.goto(f"{server}/sheets/spare-parts")
    expect(chip).to_contain_text("several")
    chip.click()
    expect(page.get_by_text("are stated by different conventions")).to_be_visible()
    page.get_by_role("combobox", name="Convention").click()
    page.locator(".ant-select-item-option", has_text="Whole division").click()
    page.get_by_role("button", name="All quantities of this sheet").click()
    expect(chip).to_contain_text("whole division")
    page.goto(f"{server}/")
    expect(chip).to_contain_text("new sheets")


def test_two_edges_of_a_beam_are_two_tools(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    page.get_by_role("button", name="Add a tool").click()
    page.get_by_text("Caliper, fifty divisions", exact=True).click()
    page.get_by_text("The other edge shows inches").click()
    page.get_by_role("button", name="This is mine").click()
    expect(page.locator(".tool-card")).to_have_count(3)
    expect(page.locator(".tool-card").last).to_contain_text("inch edge")
    expect(page.locator(".tool-card").last).to_contain_text("0.0078125 in")


def test_marks_that_show_early_are_drawn_so(page: Page, server: str) -> None:
    open_quantity(page, server, "bridle-line/quantities/standoff")
    page.keyboard.type("4.5 48")
    expect(page.locator(".part-read output")).to_have_text("4.98")
    expect(page.locator(".sleeve-mark")).to_have_count(10)
    page.get_by_label("zero error, tap to change").click()
    page.get_by_role("button", name="Look at the zero").click()
    page.get_by_role("dialog").get_by_label("Its marks show").fill("5")
    page.get_by_role("button", name="Close").click()
    # The mark at 5 has not been passed, and shows already.
    expect(page.locator(".sleeve-mark")).to_have_count(11)


def test_what_could_be_meant_is_asked_over_the_key_pad(browser: Browser, server: str) -> None:
    page = browser.new_page(viewport={"width": 390, "height": 844})
    changed_tool(server, fine_as=None)
    page.goto(f"{server}/sheets/spare-parts/quantities/ferrule")
    pad = page.get_by_role("group", name="key pad")
    for key in ("6", "Next blank", "5"):
        pad.get_by_role("button", name=key, exact=True).click()
    pad.get_by_role("button", name="the line printed 5").click()
    expect(page.locator(".part-read output")).to_have_text("6.50")
    page.close()
