"""The notebook with more sheets than can be looked over: grouped, and found as one types."""

import re
from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Page, expect

from metrion.store import Store
from metrion.store.sheets import take_in
from tests.hand_ins import NAMES, handed
from tests.server import running

SHEETS = 45


@pytest.fixture
def full(tmp_path: Path) -> Iterator[str]:
    """The address of a notebook with many sheets, of ten people and two days."""
    store = Store(tmp_path)
    with store.writing() as session:
        for number in range(SHEETS):
            head = {"authors": NAMES[number % 10], "date": f"2031-05-0{number % 2 + 1}"}
            take_in(session, handed(number, **head), key=f"sheet-{number}")
    store.close()
    with running(tmp_path, "serve") as address:
        yield address


def test_many_sheets_are_grouped_and_found(page: Page, full: str) -> None:
    page.goto(full)
    cards, groups = page.locator(".sheet-card"), page.locator(".notebook-group summary")
    expect(cards).to_have_count(40)
    page.get_by_role("button", name="Show 5 more").click()
    expect(cards).to_have_count(SHEETS)
    page.get_by_text("Date", exact=True).click()
    expect(groups).to_have_text(["2031-05-0222 sheets", "2031-05-0123 sheets"])
    page.get_by_text("Person", exact=True).click()
    expect(groups).to_have_count(10)
    expect(cards).to_have_count(0)
    groups.first.click()
    expect(cards).to_have_count(5)
    expect(cards.first).to_contain_text("by Ida")
    page.get_by_role("textbox", name="Find").fill("siv 2031-05-02")
    expect(groups).to_have_text(["Siv4 sheets"])
    # Few enough to be looked over: they lie open. Who comes back finds it so.
    expect(cards).to_have_count(4)
    cards.first.get_by_role("link").first.click()
    expect(page.get_by_role("heading", level=1)).to_be_visible()
    page.go_back()
    expect(page.get_by_role("textbox", name="Find")).to_have_value("siv 2031-05-02")
    expect(groups).to_have_text(["Siv4 sheets"])
    page.get_by_role("textbox", name="Find").fill("")
    page.get_by_text("Thing", exact=True).click()
    expect(groups).to_have_text([f"Ferrule{SHEETS} sheets", f"Lower spreader{SHEETS} sheets"])
    groups.first.focus()
    page.keyboard.press("Enter")
    expect(cards.first).to_contain_text("Ferrule, outside")
    expect(cards.first).not_to_contain_text("Lower spreader, outside")


def test_all_reports_come_short(page: Page, server: str) -> None:
    page.goto(server)
    page.get_by_role("button", name="All as PDF").click()
    with page.expect_download() as saved:
        page.get_by_role("menuitem", name="Short ones").click()
    short = saved.value.path().stat().st_size
    page.get_by_role("button", name="All as PDF").click()
    with page.expect_download() as saved:
        page.get_by_role("menuitem", name="Whole reports").click()
    assert 0 < short < saved.value.path().stat().st_size


def test_what_a_quantity_is_of_can_be_said_and_changed(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    page.get_by_role("button", name="New quantity").click()
    page.get_by_label("What is measured").fill("Collar, inside")
    page.get_by_label("Of which thing").fill("ferr")
    page.get_by_title("Ferrule").click()
    page.get_by_role("button", name="Measure it").click()
    expect(page).to_have_url(re.compile(r"/sheets/spare-parts/quantities/\w+"))
    page.goto(f"{server}/?by=thing&find=ferrule")
    first = page.locator(".notebook-group").first
    expect(first).to_contain_text("Collar, inside")
    expect(first).to_contain_text("Ferrule, outside")
