"""A round at the simulated bench: worked by hand, written down like any other, and revealed."""

import re
from urllib.request import Request, urlopen

import pytest
from playwright.sync_api import Page, expect

from metrion.core.bench.catalogue import INSTRUMENTS, Tool
from tests.browser.barriers import barriers


def begin(page: Page, address: str, tool: str, part: str) -> None:
    page.goto(f"{address}/bench")
    page.get_by_role("radio", name=re.compile(f"^{tool}")).first.check()
    page.get_by_role("radio", name=re.compile(f"^{part}")).check()
    page.get_by_role("button", name="Measure it").click()
    expect(page.locator(".simulated-mark")).to_have_text("simulated")


def press(page: Page, *names: str) -> None:
    for name in names:
        page.get_by_role("button", name=name, exact=True).click()


def stands(page: Page) -> tuple[str, str]:
    """What a careful eye reads: the mark that has been passed, and the nearest line."""
    shown = float(page.locator(".bench [role=slider]").get_attribute("data-position") or "nan")
    tool = INSTRUMENTS[Tool.SCREW]
    look = tool.scale.nearest(round(shown / float(tool.least_count)) * tool.least_count)
    return str(float(look.main)), str(look.line)


def settled(page: Page, **state: str) -> None:
    expect(page.get_by_role("button", name="Unlock", exact=True)).to_be_visible()
    expect(page.get_by_role("button", name="Lift to the eye")).to_be_disabled()


def test_a_round_from_the_drawer_to_the_truth(page: Page, server: str) -> None:
    begin(page, server, "Screw gauge", "Standoff")
    press(page, "Wipe the faces")
    page.locator(".term-tap").click()
    press(page, "Look at the zero")
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_role("status").first).to_contain_text("bare faces closed")
    for name in ("Turn the ratchet", "Lock", "Lift to the eye"):
        dialog.get_by_role("button", name=name).click()
    expect(dialog.get_by_role("button", name="Lift to the eye")).to_have_count(0)
    shown = dialog.locator("[role=slider]").get_attribute("data-position")
    tool = INSTRUMENTS[Tool.SCREW]
    zero = tool.scale.nearest(round(float(shown or "nan") / 0.01) * tool.least_count)
    expect(dialog.get_by_role("textbox", name="main reading")).to_be_focused()
    page.keyboard.type(f"{float(zero.main):g} {zero.line}")
    dialog.get_by_role("button", name="Keep this zero").click()
    expect(dialog).to_have_count(0)
    for at, place in enumerate(("one end", "middle", "other end"), start=1):
        press(page, "Unlock", "Open", place, "Turn the part", "Turn the ratchet", "Lock")
        press(page, "Lift to the eye")
        settled(page)
        page.keyboard.type(" ".join(stands(page)))
        page.keyboard.press("Enter")
        expect(page.locator(".tally tbody tr")).to_have_count(at)
    expect(page.locator(".tally")).to_contain_text("other end")
    press(page, "Reveal the truth")
    truth = page.get_by_role("dialog")
    expect(truth).to_contain_text("Your result")
    expect(truth.get_by_role("table")).to_contain_text(re.compile("adds|takes"))
    assert barriers(page) == []
    page.keyboard.press("Escape")
    # A reload comes back to the bench as it stands.
    page.reload()
    expect(page.get_by_role("button", name="Unlock", exact=True)).to_be_visible()
    page.get_by_role("button", name="Undo").click()
    expect(page.locator(".tally tbody tr")).to_have_count(2)


def test_forcing_says_what_it_does_and_keys_move_the_thimble(page: Page, server: str) -> None:
    begin(page, server, "Screw gauge", "Wing-tip nock")
    scales = page.get_by_role("slider", name="Screw gauge (simulated) at the bench.")
    before = float(scales.get_attribute("data-position") or "nan")
    scales.focus()
    page.keyboard.press("Shift+ArrowLeft")
    expect(scales).not_to_have_attribute("data-position", str(before))
    assert float(scales.get_attribute("data-position") or "nan") == pytest.approx(before - 0.1)
    press(page, "middle", "Turn the thimble tight")
    expect(page.locator(".bench-says")).to_contain_text("was forced")
    assert barriers(page) == []


def test_a_drag_stops_at_the_part(page: Page, server: str) -> None:
    begin(page, server, "Caliper", "Wing-tip nock")
    press(page, "middle")
    scales = page.get_by_role("slider", name="Caliper (simulated) at the bench.")
    box = scales.bounding_box()
    assert box is not None
    page.mouse.move(box["x"] + 600, box["y"] + 90)
    page.mouse.down()
    for step in range(1, 11):
        page.mouse.move(box["x"] + 600 - 50 * step, box["y"] + 90)
    page.mouse.up()
    expect(page.locator(".bench-says")).to_contain_text("The jaws press")
    assert 8 < float(scales.get_attribute("data-position") or "nan") < 11


def test_the_data_button_sends_through_the_door(page: Page, server: str) -> None:
    begin(page, server, "Caliper with a display", "Standoff")
    press(page, "Wipe the faces", "middle", "Close gently", "Data button")
    shown = page.locator(".digits text").first.text_content()
    expect(page.locator(".tally tbody tr")).to_have_count(1)
    expect(page.locator(".tally tbody tr")).to_contain_text(shown or "?")
    # Another program on this machine leaves readings at the same door.
    page.wait_for_event(
        "requestfinished", lambda one: "/api/now" in one.url and "quantities" in one.url
    )
    left = Request(f"{server}/api/readings", b"2.88\n2.89\n", {"Content-Type": "text/plain"})
    with urlopen(left) as answer:
        assert answer.status == 201
    expect(page.locator(".tally tbody tr")).to_have_count(3)
    # A device that acts as a keyboard types into the same place.
    page.keyboard.type("2.87\n")
    expect(page.locator(".tally tbody tr")).to_have_count(4)


def test_a_circle_shows_the_line_behind_the_cross_hair(page: Page, server: str) -> None:
    begin(page, server, "Divided circle", "Foil")
    press(page, "left line", "Bring the cross-hair on", "Through the magnifier")
    expect(page.locator(".line-of-light")).to_have_count(1)
    assert barriers(page) == []
