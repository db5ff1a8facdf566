"""Angles at the desk: pairs, arcs, two windows."""

from playwright.sync_api import Page, expect

CIRCLE = {
    "id": "circle", "name": "Divided circle C", "kind": "angular", "unit": "arcmin",
    "main_division": "20", "fine_divisions": 40, "span": 39,
}  # fmt: skip


def position(page: Page, figures: str) -> None:
    """One look, typed and kept."""
    before = page.locator(".equation .part-main .term-label").first.inner_text()
    page.keyboard.type(figures)
    expect(page.locator(".part-read output")).to_contain_text("′")
    page.keyboard.press("Enter")
    expect(page.locator(".equation .part-main .term-label").first).not_to_have_text(before)


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
    windows = page.locator("tr.reading .looks > span")
    expect(windows.nth(0)).to_have_text("1341°20′1118°40′30")
    expect(windows.nth(1)).to_have_text("2161°20′15198°40′32")
    expect(page.get_by_test_id("sentence")).to_contain_text("18°44.5′ ± 0.3′")


def test_a_pair_through_zero_is_entered_without_a_thought(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/foil-colours/quantities/red")
    expect(page.get_by_label("main reading")).to_be_focused()
    expect(page.get_by_text("Reading 3 is one main mark (20′) more").first).to_be_visible()
    position(page, "350:20 4")
    page.keyboard.type("10:40 8")
    expect(page.locator(".part-result output")).to_have_text("20°22.0′")
    expect(page.get_by_text("The arc runs through the zero of the circle")).to_be_visible()
    expect(page.get_by_text("Half of it is 10°11.0′.")).to_be_visible()
    # 10° less 350° is no 20°: no minus sign claims it.
    expect(page.locator(".equation .sign")).to_have_text(["+", "=", "="])
    expect(page.locator(".sign-word")).to_have_text("from")
    expect(page.locator(".ring-swept")).to_have_count(1)
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(4)


def test_a_position_that_was_misread_is_put_right(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/foil-colours/quantities/red")
    expect(page.get_by_text("its second position stands one mark from those").first).to_be_visible()
    expect(page.get_by_text("one second look open")).to_be_visible()
    expect(page.get_by_text("Without reading 3: 21°16.63′ ± 0.16′")).to_be_attached()
    page.get_by_role("button", name="I misread, it was 105°20′").click()
    expect(page.locator("tr.reading").nth(2)).to_contain_text("42°33.5′")
    expect(page.locator("tr.reading").nth(2).locator("s").first).to_contain_text("62°40′ / 105°40′")
    expect(page.get_by_text("one second look open")).to_have_count(0)


def test_the_other_arc_is_chosen_and_found_impossible(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/foil-colours/quantities/red")
    page.get_by_role("button", name="More", exact=True).click()
    page.get_by_text("onward, as the figures grow").click()
    expect(page.get_by_role("radio", name="onward")).to_be_checked()
    page.get_by_label("main reading").focus()
    position(page, "18:40 30")
    page.keyboard.type("341:20 11")
    expect(page.get_by_text("a deflection is never over 90°: the wrong arc was")).to_be_visible()
    page.keyboard.press("Escape")
    page.keyboard.type("57.123")
    expect(page.get_by_role("alert")).to_contain_text("57.123 is no mark, neither with minutes")
    page.get_by_role("button", name="57°20′").click()
    expect(page.get_by_label("main reading")).to_have_value("57:20")


def test_the_next_colour_is_begun_and_decimals_are_had_on_request(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/foil-colours/quantities/green")
    also = page.get_by_role("group", name="also in")
    also.get_by_role("button").click()
    expect(also).to_contain_text("18.7444° ± 0.0022°")
    expect(page.get_by_test_id("sentence")).to_contain_text("18°44.67′ ± 0.13′")
    page.get_by_role("button", name="Another like it").click()
    page.get_by_label("What is measured").fill("Blue, first order")
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="Blue, first order")).to_be_visible()
    expect(page.get_by_text("first position, window 1")).to_be_visible()
    expect(page.get_by_text("no reading yet, so no result")).to_be_visible()


def test_a_pair_looked_at_again_shows_its_sweep(page: Page, unchanged: str) -> None:
    page.goto(f"{unchanged}/sheets/foil-colours/quantities/green")
    page.get_by_label("Actions for reading 2").click()
    page.get_by_role("menuitem", name="Show it on the scales").click()
    expect(page.locator(".ring-swept")).to_have_count(1)
    expect(page.locator("tr.reading[aria-current='true']")).to_contain_text("37°29.25′")


def test_a_pair_is_entered_while_the_server_is_away(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/foil-colours/quantities/red")
    expect(page.get_by_label("main reading")).to_be_focused()
    for address in ("**/look", "**/readings"):
        page.route(address, lambda route: route.abort())
    for figures, kept in (("62:40 22", "62:40 + 22"), ("105:20 10", None)):
        page.keyboard.type(figures)
        expect(page.get_by_text("Metrion does not answer")).to_be_visible()
        page.keyboard.press("Enter")
        if kept:
            expect(page.get_by_label("first position, tap to take it again")).to_have_text(kept)
    expect(page.locator("tr.waiting")).to_contain_text("62:40 / 105:20")
    for address in ("**/look", "**/readings"):
        page.unroute(address)
    expect(page.locator("tr.reading")).to_have_count(4)
    expect(page.locator("tr.reading").last).to_contain_text("42°34.0′")
