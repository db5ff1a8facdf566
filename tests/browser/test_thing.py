"""Beginning with a thing: what can be measured of it, taken with one tool."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Page, expect

from tests.server import running


@pytest.fixture
def empty(tmp_path: Path) -> Iterator[str]:
    """The address of a Metrion with an empty notebook."""
    with running(tmp_path, "serve") as address:
        yield address


def read(page: Page, main: str, line: str) -> None:
    """Record a reading."""
    expect(page.get_by_label("main reading")).to_be_focused()
    page.keyboard.type(f"{main} {line}\n")
    expect(page.locator("tr.reading")).to_have_count(1)


def test_three_quantities_of_a_ferrule(page: Page, empty: str) -> None:
    page.goto(empty)
    clicks = 0

    def click(name: str, role: str = "button") -> None:
        nonlocal clicks
        clicks += 1
        page.get_by_role(role, name=name).click()  # type: ignore[arg-type]

    click("Measure something")
    expect(page.get_by_label("What do you measure?")).to_be_focused()
    page.keyboard.type("Ferrule")
    click("across, inside", "checkbox")
    click("depth", "checkbox")
    click("Stands on zero")
    read(page, "12", "3")
    for name in ("inside", "depth"):
        click(f"Ferrule, {name}", "link")
        click("zero error, tap to change")
        click("Take over the outside zero")
        read(page, "8", "4")
    assert clicks <= 12
    # A key leads on to the next of the thing, and round.
    heading = page.get_by_role("heading", level=1)
    for key, name in (("PageDown", "outside"), ("PageUp", "depth"), ("PageUp", "inside")):
        page.keyboard.press(key)
        expect(heading).to_have_text(f"Ferrule, {name}")
    page.goto(empty)
    results = page.locator(".sheet-result")
    expect(results).to_have_count(3)
    expect(results.nth(1)).to_contain_text("Ferrule, inside")
    page.get_by_text("Thing", exact=True).click()
    expect(page.locator(".notebook-group summary")).to_have_text(["Ferruleone sheet"])


def chosen(page: Page) -> list[str]:
    """The pictures that are chosen."""
    boxes = page.locator(".begin-of-it label", has=page.locator("input:checked"))
    return [" ".join(one.split()) for one in boxes.all_inner_texts()]


def test_a_name_is_met_with_its_picture_and_a_tool_that_can(page: Page, empty: str) -> None:
    page.goto(f"{empty}/begin")
    for name, picture in (
        ("Spar", "across, outside"), ("Bore of the spar", "across, inside"),
        ("Slot, depth", "depth"), ("Half sweep of the foil", "half an angle"),
    ):  # fmt: skip
        page.get_by_label("What do you measure?").fill(name)
        expect(page.locator(".begin-of-it label", has=page.locator("input:checked"))).to_have_text(
            [picture]
        )
    expect(page.get_by_role("radio", name="Divided circle, half degrees")).to_be_checked()
    # Who taps decides; a tool that cannot take it gives way.
    page.get_by_role("checkbox", name="across, inside").click()
    expect(page.get_by_role("radio", name="Caliper, ten divisions")).to_be_checked()
    page.get_by_role("radio", name="Screw gauge, half-millimetre turns").click()
    assert chosen(page) == ["across, outside"]


def test_a_stack_and_two_to_compare(page: Page, empty: str) -> None:
    page.goto(f"{empty}/begin")
    page.get_by_label("What do you measure?").fill("Film")
    page.get_by_role("checkbox", name="a stack of").click()
    page.get_by_role("checkbox", name="across, outside").click()
    page.get_by_label("how many in the stack").fill("16")
    page.get_by_role("checkbox", name="two to compare").click()
    assert chosen(page) == ["a stack of 16", "two to compare"]
    page.get_by_role("button", name="Stands on zero").click()
    read(page, "6", "3")
    page.locator(".desk-head a").first.click()
    quantities = page.locator(".sheet-quantity h2")
    expect(quantities).to_have_text(["Film, in a stack", "Film 1", "Film 2"])
    expect(page.locator(".sheet-quantity").first).to_contain_text("16")
    expect(page.get_by_text("Film, difference")).to_be_visible()


def test_the_pictures_are_one_stop_of_the_tab_key(page: Page, empty: str) -> None:
    page.goto(f"{empty}/begin")
    expect(page.get_by_label("What do you measure?")).to_be_focused()
    expect(page.get_by_role("checkbox")).to_have_count(9)
    page.keyboard.press("Tab")
    expect(page.get_by_role("checkbox", name="across, outside")).to_be_focused()
    for key in ("ArrowRight", "Space", "ArrowLeft", "ArrowLeft"):
        page.keyboard.press(key)
    expect(page.get_by_role("checkbox", name="half an angle")).to_be_focused()
    assert chosen(page) == ["across, outside", "across, inside"]
    page.keyboard.press("Tab")
    expect(page.get_by_role("radio", name="Caliper, ten divisions")).to_be_focused()


def test_another_like_it_asks_for_the_faces_and_what_it_is_can_be_changed(
    page: Page, server: str
) -> None:
    page.goto(f"{server}/sheets/spare-parts/quantities/ferrule")
    page.get_by_role("button", name="Another like it").click()
    page.get_by_label("What is measured").fill("Ferrule, inside")
    page.get_by_text("inside jaws", exact=True).click()
    page.get_by_role("button", name="Measure it").click()
    heading = page.get_by_role("heading", level=1)
    expect(heading).to_have_text("Ferrule, inside")
    # Of the same thing, on other faces: their zero is still to be looked at.
    expect(page.locator(".of-the-thing a")).to_have_count(2)
    expect(page.get_by_label("zero error, tap to change")).to_have_text("not looked at")
    page.get_by_role("button", name="More", exact=True).click()
    page.get_by_role("button", name="What it is").click()
    page.get_by_label("How many alike").fill("4")
    page.get_by_role("button", name="Change it").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.goto(f"{server}/sheets/spare-parts")
    expect(page.locator(".sheet-quantity", has_text="Ferrule, inside")).to_contain_text("4")
