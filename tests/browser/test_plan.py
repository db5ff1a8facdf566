"""A plan: its places are asked for one after the other, and what is left is told."""

from playwright.sync_api import Page, expect

FERRULE = "sheets/spare-parts/quantities/ferrule"


def planned(page: Page, server: str, places: str, each: str) -> None:
    """Open a quantity and plan it by the keys."""
    page.goto(f"{server}/{FERRULE}")
    page.get_by_role("button", name="More", exact=True).click()
    page.get_by_role("button", name="Plan the readings").click()
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_label("Places")).to_be_focused()
    page.keyboard.type(places)
    dialog.get_by_label("Readings at each place").fill(each)
    dialog.get_by_label("after the readings").check()
    dialog.get_by_role("button", name="Plan it").click()
    expect(dialog).to_have_count(0)


def read(page: Page, fine: str) -> None:
    """Record a reading where the plan has it."""
    rows = page.locator("tr.reading")
    before = rows.count()
    page.get_by_label("main reading").fill("8")
    page.get_by_label("line that meets").fill(fine)
    page.keyboard.press("Enter")
    expect(rows).to_have_count(before + 1)


def test_the_equation_asks_for_the_next_place(page: Page, server: str) -> None:
    # Of the three readings that are there, one was taken at the waist.
    planned(page, server, "end B,Waist,", "2")
    place, nth = page.get_by_role("combobox", name="place"), page.locator(".place-nth")
    rows = page.locator("tr.planned")
    assert [" ".join(one.split()) for one in rows.all_inner_texts()] == [
        "end B 1 of 2", "end B 2 of 2", "Waist 2 of 2",
        "Look at the zero again, after the readings",
    ]  # fmt: skip
    asked = []
    for fine, which in (("11", 1), ("12", 2), ("11", 2)):
        expect(nth).to_have_text(f"{which} of 2")
        asked.append(place.input_value())
        read(page, fine)
    assert asked == ["end B", "end B", "Waist"]
    expect(nth).to_have_text("")
    expect(rows).to_have_count(1)
    expect(page.get_by_role("button", name="4 of 4 planned")).to_be_visible()
    page.goto(f"{server}/sheets/spare-parts")
    expect(page.locator(".sheet-left")).to_have_text(
        "Planned and still to do: a look at the zero after the readings."
    )


def test_another_place_may_be_said_and_the_plan_dropped(page: Page, server: str) -> None:
    planned(page, server, "end B,", "1")
    place = page.get_by_role("combobox", name="place")
    place.fill("elsewhere")
    read(page, "11")
    expect(page.locator("tr.reading").last).to_contain_text("elsewhere")
    # It was an extra one: the plan still asks for its own.
    expect(place).to_have_value("end B")
    page.get_by_role("button", name="0 of 1 planned").click()
    page.get_by_role("button", name="Without a plan").click()
    expect(page.locator("tr.planned")).to_have_count(0)
    expect(page.locator(".place-nth")).to_have_text("")


def test_a_phone_is_asked_over_its_keys(page: Page, server: str) -> None:
    planned(page, server, "end B,", "2")
    page.set_viewport_size({"width": 390, "height": 844})
    page.reload()
    expect(page.get_by_text("end B, 1 of 2")).to_be_visible()
