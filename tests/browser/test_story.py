"""The whole story, once with the keyboard alone and once with the mouse alone."""

import json
import subprocess
from pathlib import Path

from playwright.sync_api import Page, expect

from tests.server import COMMAND, running


def sentence(page: Page) -> str:
    return page.get_by_test_id("sentence").inner_text()


def press(page: Page, *keys: str) -> None:
    for key in keys:
        page.keyboard.press(key)


def tab_to(page: Page, name: str, *, most: int = 60) -> None:
    """Tab until something with this name has the focus."""
    for _ in range(most):
        page.keyboard.press("Tab")
        focused = page.evaluate(
            "(document.activeElement.ariaLabel || document.activeElement.innerText || '').trim()"
        )
        if focused.startswith(name):
            return
    raise AssertionError(f"{name} was not reached by Tab")


def open_quantity(page: Page, server: str, address: str = "spare-parts/quantities/ferrule") -> None:
    page.goto(f"{server}/sheets/{address}")
    expect(page.get_by_label("main reading")).to_be_focused()


def row(page: Page, number: int) -> str:
    return page.locator("tr.reading").nth(number - 1).inner_text()


def test_with_the_keyboard_alone(page: Page, server: str, tmp_path: Path) -> None:
    page.goto(server)
    expect(page.get_by_role("heading", name="Notebook")).to_be_visible()

    # A new sheet, a tool off the shelf, a quantity.
    tab_to(page, "New sheet")
    press(page, "Enter")
    expect(page.get_by_role("button", name="Begin with a quantity")).to_be_visible()
    tab_to(page, "Begin with a quantity")
    press(page, "Enter")
    expect(page.get_by_text("which mark does the last one meet")).to_be_visible()
    tab_to(page, "Caliper, twenty wide divisions")
    press(page, "Enter")
    expect(page.get_by_text("2 × 1 − 1.95 =")).to_be_visible()
    expect(page.locator("mfrac mrow")).to_have_text(["1", "20", "39×1", "20"])
    tab_to(page, "This is mine")
    press(page, "Enter")
    expect(page.get_by_label("What is measured")).to_be_focused()
    page.keyboard.type("Bridle ring, outside")
    press(page, "Tab")
    page.keyboard.type("R")
    tab_to(page, "Measure it")
    press(page, "Enter")
    expect(page.get_by_label("main reading")).to_be_focused()

    # Its zero: one mark below, line 17.
    tab_to(page, "zero error, tap to change")
    press(page, "Enter")
    expect(page.get_by_role("button", name="Look at the zero")).to_be_visible()
    tab_to(page, "Look at the zero")
    press(page, "Enter")
    expect(page.get_by_role("dialog").get_by_label("main reading")).to_be_focused()
    page.keyboard.type("-1 17")
    expect(page.get_by_test_id("zero-outcome")).to_have_text(
        "Zero error −0.15 mm: it reads too little, a negative zero error. The correction is "
        "+0.15 mm, the error with its sign turned round."
    )
    press(page, "Enter")
    expect(page.get_by_label("zero error, tap to change")).to_have_text("(−0.15)")

    # Readings: figures, space and Enter, nothing else.
    expect(page.get_by_label("main reading")).to_be_focused()
    for count, figures in enumerate(("6 3", "6 4", "6 3", "7 3"), start=1):
        page.keyboard.type(figures)
        press(page, "Enter")
        if count == 1:
            # Once for this tool: the third line, or the line printed 3.
            expect(page.get_by_role("button", name="line number 3")).to_be_focused()
            press(page, "Enter")
        expect(page.locator("tr.reading")).to_have_count(count)
    assert sentence(page) == "R = (6.6 ± 0.5) mm"
    expect(page.get_by_text("one second look open")).to_be_visible()
    expect(page.get_by_text("Without reading 4: (6.32 ± 0.03) mm")).to_be_visible()

    # The fourth is set aside with a reason; undo and redo.
    tab_to(page, "Set aside")
    press(page, "Enter")
    expect(page.get_by_label("Why does it not count?")).to_be_focused()
    page.keyboard.type("the mark was read, not passed")
    press(page, "Enter")
    expect(page.get_by_text("set aside: the mark was read, not passed")).to_be_visible()
    assert sentence(page) == "R = (6.32 ± 0.03) mm"
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.get_by_label("main reading").focus()
    press(page, "Control+z")
    expect(page.get_by_test_id("sentence")).to_have_text("R = (6.6 ± 0.5) mm")
    press(page, "Control+y")
    expect(page.get_by_test_id("sentence")).to_have_text("R = (6.32 ± 0.03) mm")

    # A reload comes back to the same place.
    page.reload()
    expect(page.get_by_test_id("sentence")).to_have_text("R = (6.32 ± 0.03) mm")
    expect(page.locator("tr.reading")).to_have_count(4)

    # Saved as a file, worked out on the command line, loaded on another machine.
    page.get_by_role("link", name="Sheet of").focus()
    press(page, "Enter")
    expect(page.get_by_role("button", name="Save as a file")).to_be_visible()
    tab_to(page, "Save as a file")
    with page.expect_download() as download:
        press(page, "Enter")
    saved = tmp_path / "saved.json"
    download.value.save_as(saved)
    reduced = subprocess.run([*COMMAND, "reduce", str(saved)], capture_output=True, check=True)
    (measured,) = json.loads(reduced.stdout)["measurements"]
    assert measured["text"] == "(6.32 ± 0.03) mm"
    assert measured["corrected"] == ["6.3", "6.35", "6.3", "7.3"]

    with running(tmp_path / "another-machine") as elsewhere:
        page.goto(elsewhere)
        page.get_by_label("logbook file").set_input_files(saved)
        page.get_by_role("button", name="Take it in").click()
        expect(page.locator(".sheet-quantity .sheet-sentence")).to_have_text("R = (6.32 ± 0.03) mm")


def test_with_the_mouse_alone(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/sail-film/quantities/film")
    strip = page.get_by_role("slider", name="scales of Caliper C")
    expect(strip).to_be_visible()
    box = strip.bounding_box()
    assert box is not None

    def drag(by: float) -> None:
        start = box["x"] + 300, box["y"] + 95
        page.mouse.move(*start)
        page.mouse.down()
        page.mouse.move(start[0] + by / 2, start[1], steps=4)
        page.mouse.move(start[0] + by, start[1], steps=4)
        page.mouse.up()

    # Drag until something is read; the blanks follow, the scales come to rest on a line.
    drag(70)
    main, fine = page.get_by_label("main reading"), page.get_by_label("line that meets")
    expect(main).not_to_have_value("")
    expect(fine).not_to_have_value("")
    read = page.locator(".part-read output")

    def together() -> str:
        # The beam is numbered in centimetres.
        return f"{float(main.input_value()) + int(fine.input_value()) * 0.005:.3f}"

    # Blanks and sum follow the hand, and come to rest shortly after it.
    first = ""
    for _ in range(100):
        before, first = first, read.inner_text()
        if first == together() == before:
            break
        page.wait_for_timeout(100)
    assert first == together()

    # One notch of the wheel is one least count.
    page.mouse.wheel(0, 40)
    expect(read).to_have_text(f"{float(first) + 0.005:.3f}")
    page.get_by_role("button", name="Record").click()
    expect(page.locator("tr.reading")).to_have_count(1)
    expect(main).to_have_value("")

    # Two more, one of them a mark too far; look again, then correct it.
    for distance in (0, 40):
        drag(distance + 1)
        expect(page.get_by_role("button", name="Record")).to_be_enabled()
        page.get_by_role("button", name="Record").click()
        expect(main).to_have_value("")
    expect(page.locator("tr.reading")).to_have_count(3)
    expect(page.get_by_test_id("sentence")).to_contain_text("t = (")

    # Set one aside by the menu of its row, and count it again.
    page.get_by_label("Actions for reading 3").click()
    page.get_by_role("menuitem", name="Set aside…").click()
    page.get_by_label("Why does it not count?").fill("the fold had opened")
    page.get_by_role("button", name="Set aside", exact=True).click()
    expect(page.get_by_text("set aside: the fold had opened")).to_be_visible()
    page.get_by_label("Actions for reading 3").click()
    page.get_by_role("menuitem", name="Count it again").click()
    expect(page.get_by_text("set aside: the fold had opened")).to_have_count(0)


def test_a_slip_is_corrected_and_the_old_figure_stays(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts/quantities/spreader")
    expect(page.get_by_text("Reading 4 stands one mark above the others.").first).to_be_visible()
    page.get_by_role("button", name="I misread, it was 6").click()
    expect(page.get_by_test_id("sentence")).to_have_text("D = (6.31 ± 0.03) mm")
    expect(page.locator("tr.reading s")).to_have_text("7")
    expect(page.locator(".second-look")).to_have_count(0)


def test_a_reading_that_stands_is_counted_and_no_longer_asked_about(
    page: Page, server: str
) -> None:
    page.goto(f"{server}/sheets/spare-parts/quantities/spreader")
    page.get_by_role("button", name="It is right").click()
    expect(page.locator(".second-look")).to_have_count(0)
    expect(page.get_by_test_id("sentence")).to_have_text("D = (6.6 ± 0.5) mm")
    expect(page.get_by_text("second look open")).to_have_count(0)


def test_figures_typed_anywhere_begin_a_reading(page: Page, server: str) -> None:
    open_quantity(page, server)
    expect(page.locator("tr.reading")).to_have_count(3)
    page.locator("h1").click()
    page.keyboard.type("8 12")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(4)
    assert "8.75" in row(page, 4)


def test_arrow_keys_move_by_a_mark_and_by_a_line(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.keyboard.type("8 11")
    read = page.locator(".part-read output")
    expect(read).to_have_text("8.55")
    page.keyboard.press("ArrowUp")
    expect(read).to_have_text("8.60")
    page.keyboard.press("Shift+ArrowDown")
    expect(read).to_have_text("8.10")
    page.get_by_label("main reading").focus()
    page.keyboard.press("ArrowUp")
    expect(read).to_have_text("9.10")


def test_several_lines_that_seem_to_meet(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.keyboard.type("8 12-14")
    expect(page.locator(".part-read output")).to_have_text("8.65")


def test_a_mark_that_is_none_is_explained_and_stays_typed(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.keyboard.type("8.43 3")
    expect(page.get_by_role("alert")).to_have_text(
        "8.43 is not a mark of Caliper A, whose marks are 1 mm apart."
    )
    expect(page.locator(".offer")).to_have_text(["8 mm", "9 mm"])
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(3)
    expect(page.get_by_label("main reading")).to_have_value("8.43")
    expect(page.get_by_label("line that meets")).to_have_value("3")


def test_what_is_wrong_with_a_file_is_told_in_full(page: Page, server: str, tmp_path: Path) -> None:
    broken = tmp_path / "broken.json"
    broken.write_text(json.dumps({"format": "metrion-logbook", "version": 9}))
    page.goto(server)
    page.get_by_label("logbook file").set_input_files(broken)
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_text("Nothing was stored.")).to_be_visible()
    expect(dialog.locator("li")).to_have_count(2)
    expect(dialog.get_by_role("button", name="Take it in")).to_be_disabled()
    dialog.get_by_role("button", name="Cancel").click()
    expect(page.locator(".sheet-card")).to_have_count(6)


def test_the_trash_can_be_undone(page: Page, server: str) -> None:
    page.goto(server)
    card = page.locator(".sheet-card", has_text="Wing-tip nocks")
    card.get_by_role("button", name="Trash").click()
    expect(card).to_have_count(0)
    page.get_by_role("button", name="Undo").click()
    expect(card).to_have_count(1)


def test_a_decimal_comma_is_written_where_it_was_chosen(page: Page, server: str) -> None:
    page.goto(f"{server}/settings")
    page.get_by_text("comma, 6,30").click()
    page.get_by_role("link", name="Notebook").click()
    expect(page.get_by_text("F = (8,72 ± 0,03) mm")).to_be_visible()


def test_the_server_away_and_back(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.route("**/look", lambda route: route.abort())
    page.keyboard.type("8 3")
    expect(page.locator(".part-result output")).to_have_text("waiting")
    expect(page.get_by_label("main reading")).to_have_value("8")
    page.unroute("**/look")
    expect(page.locator(".part-result output")).to_have_text("8.30")


def test_a_machine_without_a_network_works_on(page: Page, server: str) -> None:
    open_quantity(page, server)
    before = page.locator("tr.reading").count()
    page.evaluate("window.dispatchEvent(new Event('offline'))")
    page.keyboard.type("8 11")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(before + 1)
    page.get_by_role("button", name="Undo").click()
    expect(page.locator("tr.reading")).to_have_count(before)


def test_figures_are_changed_in_the_equation_and_the_old_ones_stay(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.get_by_label("Actions for reading 2").click()
    page.get_by_role("menuitem", name="Change its figures").click()
    expect(page.get_by_label("main reading")).to_have_value("8")
    expect(page.get_by_label("line that meets")).to_have_value("12")
    page.get_by_label("line that meets").fill("13")
    expect(page.locator(".part-read output")).to_have_text("8.65")
    page.get_by_role("button", name="Change it").click()
    expect(page.locator("tr.reading s")).to_have_text("12")
    assert "8.80" in row(page, 2)
    assert "mouth, 90°" in row(page, 2)
    expect(page.get_by_role("button", name="Record")).to_be_visible()
