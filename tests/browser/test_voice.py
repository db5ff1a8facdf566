"""Every view in a language of accents: no text stands outside the catalogue, nothing overflows."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect

from tests.browser.test_layout import VIEWS
from tests.server import running
from tests.voice.pseudo import LANGUAGE, accented, written_to
from tests.voice.unsaid import unsaid

SEEN_AND_HEARD = """() => {
  const found = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode())
    if (!node.parentElement.closest("style, script")) found.push(node.data.trim());
  for (const one of document.querySelectorAll("*"))
    for (const name of ["aria-label", "title", "placeholder", "alt"])
      if (one.hasAttribute(name)) found.push(one.getAttribute(name));
  return found.filter(Boolean);
}"""
CUT_OFF = """() => [...document.querySelectorAll("button, h1, h2, h3, th, label, legend, a")]
  .filter((one) => one.offsetParent && one.scrollWidth > one.clientWidth + 1
    && getComputedStyle(one).display !== "inline")
  .map((one) => one.textContent)"""


@pytest.fixture(scope="module")
def strange(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    catalogues = written_to(tmp_path_factory.mktemp("catalogues"))
    own = {"METRION_CATALOGUES": str(catalogues), "METRION_LANGUAGE": LANGUAGE}
    with running(tmp_path_factory.mktemp("data"), environment=own) as address:
        yield address


def looked_at(page: Page) -> None:
    expect(page.locator("h1").first).to_be_visible()
    page.wait_for_load_state("networkidle")
    # Other letters, until ours are there, are wider.
    page.evaluate("document.fonts.ready.then(() => null)")
    assert unsaid(page.evaluate(SEEN_AND_HEARD)) == []
    assert page.evaluate("document.documentElement.scrollWidth") <= page.viewport_size["width"]
    assert page.evaluate(CUT_OFF) == []


@pytest.mark.parametrize("view", [one for one in VIEWS if not one.endswith(("/report", "/help"))])
def test_all_that_is_seen_and_heard_is_said_from_the_catalogue(
    page: Page, strange: str, view: str
) -> None:
    page.goto(strange + view)
    looked_at(page)


def test_the_report_and_its_page(page: Page, strange: str) -> None:
    page.goto(f"{strange}/sheets/spare-parts/report")
    expect(page.frame_locator("iframe").locator("h1")).to_be_visible()
    looked_at(page)


@pytest.mark.parametrize("view", ["/", "/sheets/spare-parts/quantities/spreader", "/settings"])
def test_nothing_overflows_on_a_phone(browser: Browser, strange: str, view: str) -> None:
    context = browser.new_context(viewport={"width": 390, "height": 844})
    page = context.new_page()
    page.goto(strange + view)
    looked_at(page)
    context.close()


def test_dialogs_and_menus(page: Page, strange: str) -> None:
    page.goto(f"{strange}/sheets/spare-parts/quantities/spreader")
    page.get_by_role("button", name=accented("Working")).click()
    expect(page.get_by_role("dialog")).to_be_visible()
    looked_at(page)
    page.keyboard.press("Escape")
    page.get_by_role("button", name=accented("Other conventions")).click()
    looked_at(page)
    page.keyboard.press("Escape")
    page.goto(f"{strange}/sheets/spare-parts")
    for opened in ("New quantity", "Look at the zero", "New derived quantity", "Add a tool"):
        page.get_by_role("button", name=accented(opened)).first.click()
        expect(page.get_by_role("dialog").last).to_be_visible()
        looked_at(page)
        page.keyboard.press("Escape")
        expect(page.get_by_role("dialog")).to_have_count(0)
    page.goto(f"{strange}/settings")
    page.get_by_role("button", name=accented("Describe one")).click()
    looked_at(page)


def test_the_language_is_chosen_in_the_settings(page: Page, strange: str, tmp_path: Path) -> None:
    page.goto(f"{strange}/settings")
    choice = page.get_by_label(accented("Language"))
    choice.click()
    page.get_by_title("English", exact=True).click()
    expect(page.get_by_role("heading", name="Decimal sign")).to_be_visible()
    expect(page.get_by_role("link", name="Notebook")).to_be_visible()
    page.get_by_label("Language").click()
    page.locator(".ant-select-item-option").last.click()
    expect(page.get_by_role("heading", name=accented("Decimal sign"))).to_be_visible()
