"""The reading desk: circumstances kept, blind reading, and entries that outlive a lost server."""

from pathlib import Path
from urllib.parse import urlsplit

from playwright.sync_api import Page, expect

from tests.browser.test_story import open_quantity, row
from tests.server import asked, running

FERRULE = "spare-parts/quantities/ferrule"


def test_ten_readings_by_figures_space_and_enter_alone(page: Page, server: str) -> None:
    open_quantity(page, server, "sail-film/quantities/film")
    for line in range(10):
        page.keyboard.type(f"1 {line % 4}")
        page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(10)
    read = page.locator("tr.reading td:nth-child(5)").all_inner_texts()
    # Its beam is numbered in centimetres, and so is what is said of it.
    assert read == [f"{1 + (line % 4) * 0.005:.3f}" for line in range(10)]


def test_a_server_that_stops_in_the_middle_of_a_series_loses_nothing(
    page: Page, tmp_path: Path
) -> None:
    with running(tmp_path) as address:
        port = str(urlsplit(address).port)
        open_quantity(page, address, FERRULE)
        page.keyboard.type("8 11")
        page.keyboard.press("Enter")
        expect(page.locator("tr.reading")).to_have_count(4)
    for figures in ("8 12", "8 13", "8.43 2"):
        page.keyboard.type(figures)
        expect(page.get_by_text("Metrion does not answer at the moment")).to_be_visible()
        page.keyboard.press("Enter")
    expect(page.locator("tr.waiting")).to_have_count(3)
    with running(tmp_path, port=port) as address:
        # The impossible one is refused with its reason and stays until it is discarded.
        expect(page.locator("tr.reading")).to_have_count(6)
        expect(page.locator("tr.waiting")).to_have_count(1)
        expect(page.locator("tr.waiting")).to_contain_text("8.43 is not a mark")
        page.reload()
        expect(page.locator("tr.reading")).to_have_count(6)
        assert "8.60" in row(page, 5)
        assert "8.65" in row(page, 6)
        page.get_by_role("button", name="Discard").click()
        expect(page.locator("tr.waiting")).to_have_count(0)


def test_entries_that_wait_outlive_a_reload_and_arrive_once(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.route("**/readings", lambda route: route.abort())
    for figures in ("8 11", "8 12"):
        page.keyboard.type(figures)
        expect(page.locator(".part-read output")).to_contain_text("8.")
        page.keyboard.press("Enter")
        expect(page.get_by_label("main reading")).to_have_value("")
    expect(page.locator("tr.waiting")).to_have_count(2)
    page.reload()
    expect(page.locator("tr.waiting")).to_have_count(2)
    page.unroute("**/readings")
    expect(page.locator("tr.reading")).to_have_count(5)
    expect(page.locator("tr.waiting")).to_have_count(0)


def test_two_windows_both_keep_their_readings(page: Page, server: str) -> None:
    other = page.context.new_page()
    for window in (page, other):
        open_quantity(window, server)
    for window, figures in ((page, "8 11"), (other, "8 12"), (page, "8 13")):
        window.keyboard.type(figures)
        window.keyboard.press("Enter")
        expect(window.get_by_label("main reading")).to_have_value("")
    for window in (page, other):
        expect(window.locator("tr.reading")).to_have_count(6)
    other.close()


def test_the_next_place_is_suggested_in_rotation(page: Page, server: str) -> None:
    open_quantity(page, server)
    place = page.get_by_role("combobox", name="place")
    place.fill("mouth")
    page.get_by_label("main reading").focus()
    page.keyboard.type("8 11")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(4)
    expect(place).to_have_value("mouth, 90°")


def test_how_a_reading_was_taken_is_kept_and_remarked_on(page: Page, server: str) -> None:
    open_quantity(page, server, "sail-film/quantities/film")
    page.get_by_role("button", name="More").click()
    page.get_by_label("read by").fill("Ane")
    for approach, lines in (("opening", ("3", "4")), ("closing", ("9", "8"))):
        page.get_by_text(approach, exact=True).click()
        for line in lines:
            page.get_by_label("main reading").fill("1")
            page.get_by_label("line that meets").fill(line)
            page.keyboard.press("Enter")
            expect(page.get_by_label("main reading")).to_have_value("")
    expect(
        page.get_by_text("Readings taken opening and closing differ by 0.025 cm")
    ).to_be_visible()
    expect(page.get_by_label("read by")).to_have_value("Ane")
    page.get_by_label("note", exact=True).fill("after a wipe")
    page.get_by_label("main reading").fill("1")
    page.get_by_label("line that meets").fill("8")
    page.keyboard.press("Enter")
    expect(page.locator(".tally .noted")).to_have_text(
        [*["approached by opening · read by Ane"] * 2, *["approached by closing · read by Ane"] * 2,
         "approached by closing · read by Ane · after a wipe"]
    )  # fmt: skip


def test_a_line_that_meets_another_mark_is_asked_about(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.get_by_role("button", name="More").click()
    page.get_by_label("the line meets the mark").fill("31")
    page.get_by_label("main reading").fill("8")
    page.get_by_label("line that meets").fill("11")
    page.keyboard.press("Enter")
    expect(page.get_by_text("line 11 meeting 31 would read").first).to_be_visible()


def test_earlier_figures_can_be_hidden(page: Page, server: str) -> None:
    open_quantity(page, server)
    page.get_by_role("button", name="More").click()
    page.get_by_label("hide earlier figures").check()
    expect(page.locator("tr.reading")).to_have_count(0)
    expect(page.get_by_text("3 readings recorded, hidden")).to_be_visible()
    expect(page.get_by_text("8.72")).to_have_count(0)
    page.get_by_label("hide earlier figures").uncheck()
    expect(page.locator("tr.reading")).to_have_count(3)


def test_the_other_turn_of_a_screw_is_a_tap_away(page: Page, server: str) -> None:
    open_quantity(page, server, "bridle-line/quantities/standoff")
    page.keyboard.type("4.5 48")
    turns = page.get_by_role("group", name="Which sleeve looks like yours?").get_by_role("button")
    expect(turns).to_have_count(2)
    expect(turns.nth(1)).to_have_attribute("aria-pressed", "true")
    expect(page.get_by_text("a mark that is just showing has not been passed")).to_be_visible()
    turns.nth(0).click()
    expect(page.locator(".part-read output")).to_have_text("4.48")
    expect(page.get_by_label("main reading")).to_have_value("4")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(5)
    assert "4.48" in row(page, 5)


def test_pairs_of_positions_are_entered_one_after_the_other(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    page.get_by_role("button", name="New quantity").click()
    page.get_by_label("What is measured").fill("Spacing of the eyelets")
    page.get_by_text("two positions, and what lies between").click()
    page.get_by_role("button", name="Measure it").click()
    expect(page.get_by_label("main reading")).to_be_focused()
    expect(page.get_by_text("cancels", exact=True)).to_be_visible()
    for count, (first, second) in enumerate((("12 5", "48 2"), ("48 3", "12 6")), start=1):
        page.keyboard.type(first)
        expect(page.locator(".part-read output")).to_contain_text(".")
        page.keyboard.press("Enter")
        expect(page.get_by_label("first position, tap to take it again")).to_be_visible()
        page.keyboard.type(second)
        expect(page.locator(".part-result output")).to_have_text("35.85")
        page.keyboard.press("Enter")
        expect(page.locator("tr.reading")).to_have_count(count)
    # Main mark and line of the first position, then of the second.
    expect(page.locator("tr.reading .looks").nth(1)).to_have_text("483126")
    expect(page.get_by_test_id("sentence")).to_contain_text("(35.85 ± 0.05) mm")
    # The first position of a third pair is taken again, and its figures are still there.
    page.keyboard.type("12 5")
    expect(page.locator(".part-read output")).to_contain_text("12.25")
    page.keyboard.press("Enter")
    page.get_by_label("first position, tap to take it again").click()
    expect(page.get_by_label("main reading")).to_have_value("12")
    expect(page.get_by_label("line that meets")).to_have_value("5")


def test_a_pair_is_changed_position_by_position(page: Page, server: str) -> None:
    quantity = {
        "id": "eyelets", "name": "Spacing of the eyelets", "instrument": "cal-a",
        "face": "outside", "items": 1, "zero": [], "pairs": True,
    }  # fmt: skip
    sheet = f"{server}/api/sheets/spare-parts"
    pair = {"a": {"main": "12", "fine": 5}, "b": {"main": "48", "fine": 2}}
    assert page.request.post(f"{sheet}/quantities", data=quantity).ok
    assert page.request.post(f"{sheet}/readings", data={"quantity": "eyelets", **pair}).ok
    open_quantity(page, server, "spare-parts/quantities/eyelets")
    page.get_by_label("Actions for reading 1").click()
    page.get_by_role("menuitem", name="Change its figures").click()
    for figures in ("12 5", "47 2"):
        page.keyboard.type(figures)
        expect(page.locator(".part-read output")).to_contain_text(
            ".10" if figures[0] == "4" else ".25"
        )
        page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_contain_text("34.85")
    expect(page.locator("tr.reading s").first).to_contain_text("12 / 48")


def test_places_that_differ_for_good_are_reported_apart(page: Page, server: str) -> None:
    sheet = f"{server}/api/sheets/spare-parts"
    quantity = {
        "id": "tube", "name": "Tapered spreader", "instrument": "cal-a", "face": "outside",
        "items": 1, "zero": ["z-outside"],
    }  # fmt: skip
    assert page.request.post(f"{sheet}/quantities", data=quantity).ok
    for place, line in (("thick end", 9), ("thin end", 1), ("thick end", 10), ("thin end", 2)):
        reading = {"quantity": "tube", "main": "8", "fine": line, "place": place}
        assert page.request.post(f"{sheet}/readings", data=reading).ok
    open_quantity(page, server, "spare-parts/quantities/tube")
    expect(page.get_by_text("Is the thing oval or tapered?")).to_be_visible()
    page.get_by_role("button", name="Report the places apart").click()
    places = page.locator(".result-places")
    expect(places).to_contain_text("thick end, 2 readings(8.63 ± 0.03) mm")
    expect(places).to_contain_text("thin end, 2 readings(8.23 ± 0.03) mm")
    expect(page.get_by_test_id("sentence")).to_contain_text("all together: (8.4 ± 0.2) mm")
    expect(page.get_by_text("Is the thing oval or tapered?")).to_have_count(0)
    page.reload()
    expect(places).to_be_visible()
    page.get_by_role("button", name="Report them together").click()
    expect(places).to_have_count(0)
    expect(page.get_by_text("Is the thing oval or tapered?")).to_be_visible()


def test_a_tool_that_is_gone_is_said_to_be_gone_not_the_server(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts/quantities/spreader")
    expect(page.get_by_label("main reading")).to_be_focused()
    # In another window the sheet was thrown away.
    assert page.request.delete(f"{server}/api/sheets/spare-parts").ok
    page.keyboard.type("6 3")
    expect(page.get_by_text("there is no sheet “spare-parts” here")).to_be_visible()
    expect(page.get_by_text("Metrion does not answer")).to_have_count(0)
    expect(page.get_by_label("main reading")).to_have_value("6")


def test_in_a_sheet_of_many_every_quantity_is_entered_and_followed(page: Page, server: str) -> None:
    looks = [{"main": "6", "fine": line} for line in (4, 4, 4)]
    logbook = {
        "format": "metrion-logbook", "version": 1, "title": "Many",
        "instruments": [{"id": "c", "kind": "vernier", "unit": "mm", "main_division": "1",
                         "fine_divisions": 20, "span": 39, "fine_as": "line"}],
        "measurements": [{"id": f"m{count}", "name": f"Spar {count}", "instrument": "c",
                          "convention": "half-division", "observations": looks}
                         for count in range(60)],
    }  # fmt: skip
    _, (taken,) = asked(server, "/arrivals/take?decision=new", logbook)
    at = f"{server}/sheets/{taken['id']}"
    page.goto(at)
    page.get_by_role("link", name="Spar 59", exact=True).click()
    rows, result = page.locator("tr.reading"), page.get_by_label("Result")
    expect(rows).to_have_count(3)
    expect(result).to_contain_text("6.20")
    page.keyboard.type("6 5")
    page.keyboard.press("Enter")
    expect(rows).to_have_count(4)
    expect(result).to_contain_text("6.2125")
    asked(server, f"/sheets/{taken['id']}/readings",
          {"quantity": "m59", "main": "6", "fine": 4})  # fmt: skip
    expect(rows).to_have_count(5)
    expect(result).to_contain_text("6.21 ")
    page.goto(f"{at}/quantities/none")
    expect(page.get_by_text("There is no such quantity here")).to_be_visible()
