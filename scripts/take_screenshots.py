"""Take one PNG of each main view at 1280x800 from fresh demo data."""

from __future__ import annotations

import sys
from collections.abc import Callable
from pathlib import Path

import numpy as np
from playwright.sync_api import FilePayload, Page

from metrion.core.camera import Flaws, photograph_vernier
from metrion.formats.pictures import written_picture

sys.path.insert(0, str(Path(__file__).parents[1]))

from tests.browser.conftest import demo_in_browser


def _say_what(page: Page) -> None:
    page.get_by_label("What do you measure?").fill("Upper spar")
    page.get_by_role("radio", name="Fifty-line caliper").check()


def _type_a_reading(page: Page) -> None:
    page.keyboard.type("6 3")
    page.locator(".part-result output", has_text="6.30").wait_for()


def _look_at_the_zero(page: Page) -> None:
    page.get_by_label("zero error, tap to change").click()
    page.get_by_role("button", name="Look at the zero").click()
    page.get_by_role("dialog").get_by_label("main reading").wait_for()
    page.keyboard.type("-1 17")


def _photograph(page: Page) -> None:
    """Somebody read line 4 where line 3 meets."""
    flaws = Flaws(turned=4, tilted=(6, 3), noise=0.01, shadow=0.3, glare=1, dirt=4)
    random = np.random.default_rng(8)
    shot = photograph_vernier(20, 39 / 20, 3.05, 24, flaws, random, passed=6)
    picture: FilePayload = {
        "name": "scales.jpg", "mimeType": "image/jpeg",
        "buffer": written_picture(shot.picture).content,
    }  # fmt: skip
    page.keyboard.type("6 4")
    page.get_by_role("button", name="Photograph the scales").click()
    with page.expect_file_chooser() as chosen:
        page.get_by_role("button", name="Choose a picture").click()
    chosen.value.set_files(picture)
    page.locator(".photo-task", has_text="The line should lie").wait_for()
    page.get_by_role("button", name="then ask the picture").click()
    page.locator(".photo-words").wait_for()


def _open_the_shelf(page: Page) -> None:
    page.get_by_role("button", name="Add a tool").click()
    page.get_by_text("One of yours").wait_for()


def _turn_the_screw(page: Page) -> None:
    page.keyboard.type("4.5 38")
    page.locator(".part-result output", has_text="4.95").wait_for()


def _third_line(page: Page) -> None:
    page.get_by_role("slider", name="step of the slide").focus()
    for _ in range(3):
        page.keyboard.press("ArrowRight")


def _turn_the_circle(page: Page) -> None:
    page.get_by_text("divided circle", exact=True).click()
    # The scales are drawn anew when it is known what they are.
    page.locator(".strip[data-drawing=circle]").wait_for()
    page.get_by_role("slider", name="scales of the described tool").focus()
    for _ in range(9):
        page.keyboard.press("Shift+ArrowRight")
    page.keyboard.press("ArrowRight")


def _by_thumb(page: Page) -> None:
    page.set_viewport_size({"width": 390, "height": 844})
    page.get_by_role("group", name="key pad").wait_for()
    for key in ("8", "Next blank", "1", "1"):
        page.get_by_role("button", name=key, exact=True).click()


def _follow_the_working(page: Page) -> None:
    page.get_by_role("button", name="Working").click()
    page.get_by_role("dialog").locator(".follow").last.click()


def _plan(page: Page) -> None:
    page.get_by_label("about how large").fill("0.5")
    page.locator(".plan").first.wait_for()


_EXERCISE = "/practice?seed=6&at=6&kind=vernier&question=corrected"


def _slip(page: Page) -> None:
    page.get_by_text("as a photograph").click()
    page.get_by_label("What is the reading").fill("38.26")
    page.keyboard.press("Enter")
    page.get_by_text("was not taken off").wait_for()


def _at_the_bench(page: Page) -> None:
    page.get_by_role("radio", name="Ferrule").check()
    page.get_by_role("button", name="Measure it").click()
    for name in ("Wipe the faces", "middle", "Turn the part", "Turn the ratchet", "Lock"):
        page.get_by_role("button", name=name, exact=True).click()
    page.get_by_role("button", name="Unlock").wait_for()


def _read_the_report(page: Page) -> None:
    page.frame_locator("iframe").locator("h1").wait_for()


def _sweep(page: Page) -> None:
    page.keyboard.type("341:20 11")
    page.locator(".part-read output", has_text="341").wait_for()
    page.keyboard.press("Enter")
    page.keyboard.type("18:40 30")
    page.locator(".part-result output", has_text="37").wait_for()


Act = Callable[[Page], None]
VIEWS: dict[str, tuple[str, str, Act | None]] = {
    "notebook": ("light", "/", None),
    "sheet": ("light", "/sheets/foil-colours", None),
    "quantity": ("light", "/sheets/spare-parts/quantities/spreader", _type_a_reading),
    "bench": ("dark", "/bench", _at_the_bench),
    "zero": ("light", "/sheets/spare-parts/quantities/ferrule", _look_at_the_zero),
    "tool": ("light", "/sheets/sail-film", _open_the_shelf),
    "photograph": ("light", "/sheets/spare-parts/quantities/spreader", _photograph),
    "screw": ("light", "/sheets/bridle-line/quantities/standoff", _turn_the_screw),
    "instruments": ("light", "/instruments", _third_line),
    "circle": ("dark", "/instruments", _turn_the_circle),
    "angle": ("light", "/sheets/foil-colours/quantities/red", _sweep),
    "working": ("light", "/sheets/spare-parts/quantities/spreader", _follow_the_working),
    "planner": ("light", "/planner", _plan),
    "practice": ("light", _EXERCISE, _slip),
    "report": ("light", "/sheets/spare-parts/report", _read_the_report),
    "phone": ("light", "/sheets/spare-parts/quantities/ferrule", _by_thumb),
    "begin": ("light", "/begin", _say_what),
    "words": ("light", "/words", None),
    "settings": ("light", "/settings", None),
}


def main(target: Path) -> None:
    """Write the pictures into ``target``."""
    target.mkdir(parents=True, exist_ok=True)
    with demo_in_browser() as (browser, address):
        for name, (scheme, path, act) in VIEWS.items():
            page = browser.new_page(
                viewport={"width": 1280, "height": 800},
                color_scheme="dark" if scheme == "dark" else "light",
                reduced_motion="reduce",
            )
            page.goto(address + path)
            page.locator("h1").wait_for()
            # The report waits for its own page, which the network of this one knows nothing of.
            page.wait_for_load_state("load" if name == "report" else "networkidle")
            if act:
                act(page)
            page.wait_for_timeout(400)
            page.screenshot(path=target / f"{name}.png")
            page.close()


if __name__ == "__main__":
    main(Path(sys.argv[1]))
