"""Every dialog and menu: no barrier, nothing off the screen, and the focus where the hand goes."""

from collections.abc import Callable

import pytest
from playwright.sync_api import Browser, Locator, Page, expect

from tests.browser.barriers import barriers

SHEET = "/sheets/spare-parts"
SPREADER = f"{SHEET}/quantities/spreader"
Opener = Callable[[Page], Locator]
"""What opens a dialog, found on its page."""


def button(name: str, *, exact: bool = False) -> Opener:
    return lambda page: page.get_by_role("button", name=name, exact=exact).first


def in_more(name: str) -> Opener:
    def found(page: Page) -> Locator:
        page.get_by_role("button", name="More", exact=True).click()
        return page.get_by_role("button", name=name)

    return found


def of_the_tool(page: Page) -> Locator:
    return page.locator(".tool-acts").get_by_role("button", name="Change")


DIALOGS: dict[str, tuple[str, Opener]] = {
    "new quantity": (SHEET, button("New quantity")),
    "quantity": (SHEET, button("Change", exact=True)),
    "new derived quantity": (SHEET, button("New derived quantity")),
    "new tool": (SHEET, button("Add a tool")),
    "tool": (SHEET, of_the_tool),
    "zero": (SHEET, button("Look at the zero")),
    "remove": (SHEET, button("Remove…")),
    "zero of the equation": (SPREADER, button("tap to change")),
    "row": (SPREADER, button("actions for reading 2")),
    "set aside": (SPREADER, button("Set aside…")),
    "working": (SPREADER, button("Working", exact=True)),
    "other conventions": (SPREADER, button("Other conventions")),
    "compare": (SPREADER, button("Compare…")),
    "another like it": (SPREADER, button("Another like it")),
    "table": (SPREADER, in_more("Readings from a table")),
    "convention": (SPREADER, lambda page: page.locator(".convention-chip:visible")),
    "own convention": ("/settings", button("Describe one")),
}
OVERLAY = ".ant-modal:visible, .ant-drawer:visible, .ant-popover:visible, .ant-dropdown:visible"
SIZES = [(390, 844), (844, 390), (640, 400)]
"""A phone, the same on its side, and the reference size with everything twice as large."""


def opened(page: Page, address: str, name: str) -> tuple[Locator, Locator]:
    """A dialog by its name, and what opened it."""
    path, opener = DIALOGS[name]
    page.goto(address + path)
    act = opener(page)
    act.click()
    overlay = page.locator(OVERLAY).last
    expect(overlay).to_be_visible()
    page.wait_for_timeout(350)
    return overlay, act


@pytest.mark.parametrize("name", DIALOGS)
def test_no_barrier_is_found_in_a_dialog(page: Page, unchanged: str, name: str) -> None:
    opened(page, unchanged, name)
    for scheme in ("light", "dark", "twice as large"):
        page.emulate_media(color_scheme="dark" if scheme == "dark" else "light")
        if scheme == "twice as large":
            page.set_viewport_size({"width": 640, "height": 400})
        page.wait_for_timeout(100)
        assert barriers(page) == [], scheme


@pytest.mark.parametrize("name", DIALOGS)
def test_the_focus_goes_into_a_dialog_and_back(page: Page, unchanged: str, name: str) -> None:
    overlay, act = opened(page, unchanged, name)
    assert overlay.evaluate("one => one.contains(document.activeElement)"), "not in it"
    page.keyboard.press("Escape")
    expect(overlay).to_be_hidden()
    expect(act).to_be_focused()


@pytest.mark.parametrize("name", DIALOGS)
def test_no_dialog_is_swept_sideways(browser: Browser, unchanged: str, name: str) -> None:
    for width, height in SIZES:
        context = browser.new_context(
            viewport={"width": width, "height": height}, reduced_motion="reduce", has_touch=True
        )
        page = context.new_page()
        overlay, _ = opened(page, unchanged, name)
        beyond = overlay.evaluate(
            """(one, width) => [one, ...one.querySelectorAll("*")]
                .filter((part) => !part.closest("svg") && part.offsetParent)
                .filter((part) => {
                    const box = part.getBoundingClientRect();
                    return box.width > 1 && (box.left < -1 || box.right > width + 1);
                }).map((part) => part.outerHTML.slice(0, 120))""",
            width,
        )
        assert beyond == [], (width, height)
        assert page.evaluate("document.documentElement.scrollWidth") <= width
        context.close()


def test_a_failed_form_puts_the_cursor_on_its_fault(page: Page, unchanged: str) -> None:
    page.goto(unchanged + SHEET)
    page.get_by_role("button", name="New quantity").click()
    page.get_by_label("How many alike").fill("1")
    page.get_by_role("button", name="Measure it").click()
    expect(page.get_by_label("What is measured")).to_be_focused()
    page.keyboard.press("Escape")
    page.get_by_role("button", name="New derived quantity").click()
    page.get_by_role("button", name="Difference of two lengths").click()
    page.get_by_label("Given in").fill("qq")
    page.get_by_role("button", name="Work it out").click()
    expect(page.get_by_label("Given in")).to_be_focused()
    expect(page.get_by_role("alert")).to_contain_text("qq is no unit known here")
    page.goto(f"{unchanged}/settings")
    page.get_by_role("button", name="Describe one").click()
    page.get_by_label("Its name").fill("Ours")
    page.get_by_label("One look may be off by").fill("half")
    page.get_by_role("button", name="Keep it").click()
    expect(page.get_by_label("One look may be off by")).to_be_focused()


def test_what_still_uses_a_thing_is_named_and_leads_there(page: Page, unchanged: str) -> None:
    page.goto(unchanged + SHEET)
    page.get_by_role("region", name="tools").get_by_role("button", name="Remove…").click()
    # By the arrow keys: the tool, then its zeros.
    expect(page.get_by_role("menuitem", name="Caliper A")).to_be_focused()
    page.keyboard.press("ArrowDown")
    expect(page.get_by_role("menuitem", name="zero error −0.15 mm")).to_be_focused()
    page.keyboard.press("Enter")
    uses = page.get_by_role("dialog")
    expect(uses).to_contain_text("This is still used in 2 places.")
    uses.get_by_role("link", name="Ferrule, outside").click()
    expect(page.locator("h1")).to_have_text("Ferrule, outside")
    expect(uses).to_be_hidden()
    page.go_back()
    page.get_by_role("region", name="tools").get_by_role("button", name="Remove…").click()
    page.get_by_role("menuitem", name="Caliper A").click()
    expect(uses).to_contain_text("This is still used in 3 places.")
    uses.get_by_role("link", name="its zero, looked at before the readings (outside)").click()
    expect(page.locator(".tool-zeros li")).to_be_focused()


def test_the_tool_in_the_hand_is_played_line_after_line(page: Page, unchanged: str) -> None:
    page.goto(unchanged + SPREADER)
    expect(page.get_by_label("main reading")).to_be_focused()
    page.keyboard.type("6")
    page.get_by_role("button", name="More", exact=True).click()
    page.get_by_role("button", name="Line after line").click()
    expect(page.get_by_role("button", name="Pause")).to_be_focused()
    page.get_by_role("slider", name="step of the slide").focus()
    page.keyboard.press("Home")
    page.keyboard.press("ArrowRight")
    expect(page.get_by_test_id("slide")).to_have_text("line 1 meets: the gap is 1 × 0.05 = 0.05 mm")
    page.get_by_role("button", name="Back to the reading").click()
    expect(page.get_by_test_id("slide")).to_be_hidden()
    expect(page.get_by_label("main reading")).to_be_focused()
    expect(page.get_by_label("main reading")).to_have_value("6")


def test_a_small_form_is_gone_along_by_the_arrow_keys(page: Page, unchanged: str) -> None:
    page.goto(unchanged + SPREADER)
    page.get_by_label("zero error, tap to change").click()
    expect(page.get_by_role("checkbox", name="looked at before")).to_be_focused()
    page.keyboard.press("ArrowDown")
    expect(page.get_by_role("button", name="Look at the zero")).to_be_focused()
    page.keyboard.press("ArrowDown")
    expect(page.get_by_role("checkbox", name="Take it as exact")).to_be_focused()
    page.keyboard.press("ArrowUp")
    page.keyboard.press("Enter")
    expect(page.get_by_role("dialog")).to_contain_text("Zero of Caliper A")
