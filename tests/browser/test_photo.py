"""A photograph of a reading: taken, its edge set, asked after the reader, kept, and seen again."""

import json
import re
from collections.abc import Iterator
from pathlib import Path
from urllib.request import Request, urlopen

import numpy as np
import pytest
from playwright.sync_api import BrowserType, Page, expect

from metrion.core.camera import Flaws, photograph_vernier
from metrion.formats.pictures import written_picture
from tests.browser.barriers import barriers
from tests.browser.conftest import SWITCHES, executable

HELD = Flaws(turned=4, tilted=(5, 3), blur=1.0, noise=0.01, shadow=0.3, glare=1, dirt=4)
BLURRED = Flaws(blur=28.0)
PHONE = {"width": 390, "height": 844}


def brightness(
    position: float, flaws: Flaws = HELD, size: tuple[int, int] = (1600, 1000)
) -> np.ndarray:
    random = np.random.default_rng(3)
    pixels = 45 * size[0] / 1600
    return photograph_vernier(20, 0.95, position, pixels, flaws, random, size, passed=63).picture


def posted(address: str, path: str, body: object) -> dict[str, str]:
    headers = {"Content-Type": "application/json"}
    with urlopen(Request(address + path, json.dumps(body).encode(), headers)) as answer:
        found: dict[str, str] = json.load(answer)
    return found


@pytest.fixture
def desk(server: str) -> str:
    """The address of a quantity that is measured with a caliper, without readings yet."""
    sheet = posted(server, "/api/sheets", {"title": "Spars"})["id"]
    tool = {
        "id": "cal", "name": "Spar caliper", "kind": "vernier", "unit": "mm",
        "main_division": "1", "fine_divisions": 20, "span": 19, "fine_as": "line",
    }  # fmt: skip
    posted(server, f"/api/sheets/{sheet}/instruments", tool)
    quantity = {"id": "spar", "name": "Spar", "instrument": "cal"}
    posted(server, f"/api/sheets/{sheet}/quantities", quantity)
    return f"{server}/sheets/{sheet}/quantities/spar"


def typed(page: Page, main: str, line: str) -> None:
    page.get_by_label("main reading").first.fill(main)
    page.get_by_label("line that meets").first.fill(line)


def taken(page: Page, folder: Path, picture: np.ndarray, opener: str = "Photograph the") -> None:
    """Opens the dialog and chooses a picture; its edge is found."""
    file = folder / "scales.jpg"
    file.write_bytes(written_picture(picture).content)
    page.get_by_role("button", name=re.compile(opener)).click()
    with page.expect_file_chooser() as chosen:
        page.get_by_role("button", name="Choose a picture").click()
    chosen.value.set_files(file)
    expect(page.locator(".photo-task")).to_contain_text("The line should lie")


def said(page: Page) -> str:
    words = page.locator(".photo-words")
    expect(words).to_be_visible(timeout=60_000)
    return words.inner_text()


def test_the_picture_speaks_after_the_reader_and_its_line_is_taken_with_history(
    page: Page, desk: str, tmp_path: Path
) -> None:
    page.goto(desk)
    taken(page, tmp_path, brightness(7.05))
    # Blind first: without a line of one's own there is nothing to ask.
    expect(page.get_by_text("First type what you read yourself")).to_be_visible()
    expect(page.get_by_role("button", name="ask the picture")).to_have_count(0)
    page.get_by_role("button", name="Back to the equation").click()
    typed(page, "63", "8")
    page.get_by_role("button", name="The photograph that waits").click()
    page.get_by_role("button", name="Record 63.40 mm, then ask the picture").click()
    assert "The picture says line 7 (99 of 100)" in said(page)
    assert "You read 8." in said(page)
    expect(page.locator(".photo-lenses figure")).to_have_count(2)
    expect(page.locator(".photo-says .laid").last).to_be_visible()
    assert barriers(page) == []
    page.get_by_role("button", name="Take 7 instead (reads 63.35)").click()
    row = page.locator("tr.reading")
    expect(row.locator(".part-fine s")).to_have_text("8")
    expect(row.locator(".part-fine .figures")).to_have_text("7")
    page.get_by_role("button", name="Photograph of reading 1").click()
    expect(page.get_by_role("dialog")).to_contain_text("line 8 was read before it spoke")
    assert "It agrees with you." in said(page)


def test_one_that_agrees_is_kept_and_taken_away_and_brought_back(
    page: Page, desk: str, tmp_path: Path
) -> None:
    page.goto(desk)
    typed(page, "63", "7")
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(1)
    page.get_by_role("button", name="Actions for reading 1").click()
    page.get_by_role("menuitem", name="Photograph it").click()
    file = tmp_path / "scales.jpg"
    file.write_bytes(written_picture(brightness(7.05)).content)
    with page.expect_file_chooser() as chosen:
        page.get_by_role("button", name="Choose a picture").click()
    chosen.value.set_files(file)
    page.get_by_role("button", name="You read line 7. Ask the picture").click()
    assert "It agrees with you." in said(page)
    page.set_viewport_size(PHONE)
    page.emulate_media(color_scheme="dark")
    assert barriers(page) == []
    assert page.evaluate("document.documentElement.scrollWidth") <= PHONE["width"]
    page.get_by_role("button", name="Keep 7, with the picture").click()
    mark = page.get_by_role("button", name="Photograph of reading 1")
    mark.click()
    page.get_by_role("button", name="Take the photograph away").click()
    expect(mark).to_have_count(0)
    page.get_by_role("button", name="Undo").click()
    expect(mark).to_have_count(1)


def test_what_cannot_be_told_is_said_with_what_to_do(page: Page, desk: str, tmp_path: Path) -> None:
    page.goto(desk)
    typed(page, "63", "7")
    taken(page, tmp_path, brightness(7.05, BLURRED))
    page.get_by_role("button", name="then ask the picture").click()
    assert "Go nearer" in said(page)
    expect(page.locator(".photo-lenses")).to_have_count(0)
    expect(page.get_by_role("button", name=re.compile("^Take "))).to_have_count(0)
    page.get_by_role("button", name="Another picture").click()
    expect(page.get_by_role("button", name="Choose a picture")).to_be_visible()


def test_a_picture_that_was_asked_does_not_wait_for_the_next_reading(
    page: Page, desk: str, tmp_path: Path
) -> None:
    page.goto(desk)
    taken(page, tmp_path, brightness(7.05))
    page.keyboard.press("Escape")
    # One that was not asked yet waits.
    typed(page, "63", "8")
    page.get_by_role("button", name="The photograph that waits").click()
    page.get_by_role("button", name="then ask the picture").click()
    said(page)
    page.keyboard.press("Escape")
    expect(page.get_by_role("button", name="Photograph the scales")).to_be_visible()
    expect(page.locator("tr.reading")).to_have_count(1)


def test_the_key_pad_does_not_say_that_the_old_figure_is_kept(
    page: Page, desk: str, tmp_path: Path
) -> None:
    page.set_viewport_size(PHONE)
    page.goto(desk)
    typed(page, "63", "8")
    taken(page, tmp_path, brightness(7.05))
    page.get_by_role("button", name="then ask the picture").click()
    said(page)
    page.get_by_role("button", name="Take 7 instead").click()
    expect(page.locator("tr.reading .part-fine .figures")).to_have_text("7")
    expect(page.get_by_role("group", name="key pad").locator("output")).to_have_text("…")


def ends(page: Page) -> list[tuple[float, float]]:
    """Where both ends of the edge are, in pixels of the picture."""
    places = page.locator(".edge-end").evaluate_all(
        "all => all.map((one) => one.getAttribute('transform'))"
    )
    return [tuple(map(float, re.findall(r"[-\d.]+", one)[:2])) for one in places]  # type: ignore[misc]


def test_the_edge_is_set_by_keys_by_drag_and_by_two_clicks(
    page: Page, desk: str, tmp_path: Path
) -> None:
    page.set_viewport_size(PHONE)
    page.goto(desk)
    taken(page, tmp_path, brightness(7.05))
    (x, y), other = ends(page)
    page.get_by_role("slider", name="end 1 of the edge").focus()
    page.keyboard.press("ArrowUp")
    page.keyboard.press("Shift+ArrowRight")
    assert ends(page) == [(x + 10, y - 1), other]
    # By drag, with a loupe while it lasts.
    box = page.get_by_role("slider", name="end 2 of the edge").bounding_box()
    assert box is not None
    assert min(box["width"], box["height"]) >= 40
    page.mouse.move(box["x"] + box["width"] / 2, box["y"] + box["height"] / 2)
    page.mouse.down()
    page.mouse.move(box["x"] + box["width"] / 2 - 20, box["y"] + box["height"] / 2 + 10, steps=4)
    expect(page.locator(".loupe")).to_be_visible()
    page.mouse.up()
    expect(page.locator(".loupe")).to_have_count(0)
    assert ends(page)[1][0] < other[0] - 40
    # By two clicks on the picture.
    picture = page.locator(".edge-on-picture > svg").bounding_box()
    assert picture is not None
    for share in (0.2, 0.8):
        page.mouse.click(
            picture["x"] + share * picture["width"], picture["y"] + 0.9 * picture["height"]
        )
    first, second = ends(page)
    assert first == (pytest.approx(320, abs=8), pytest.approx(900, abs=8))
    assert second == (pytest.approx(1280, abs=8), pytest.approx(900, abs=8))


def test_the_drawing_is_moved_by_keys_over_the_picture(
    page: Page, desk: str, tmp_path: Path
) -> None:
    page.goto(desk)
    typed(page, "63", "7")
    taken(page, tmp_path, brightness(7.05))
    page.get_by_role("button", name="then ask the picture").click()
    said(page)
    zero = page.locator(".photo-says > .edge-on-picture .laid-fine line").first
    before = float(zero.get_attribute("x1") or "nan")
    page.get_by_role("slider", name="the line that meets in the drawing").focus()
    for _ in range(20):
        page.keyboard.press("ArrowRight")
    expect(page.get_by_text("drawn with line 8.05 meeting")).to_be_visible()
    # One line more is a twentieth of a division more.
    assert float(zero.get_attribute("x1") or "nan") - before == pytest.approx(45 / 20, abs=0.4)
    page.get_by_label("the drawing over it").uncheck()
    expect(page.locator(".laid")).to_have_count(0)


def test_the_bench_is_photographed_through_the_same_door(page: Page, server: str) -> None:
    page.goto(f"{server}/bench")
    page.get_by_role("radio", name=re.compile("^Screw gauge")).first.check()
    page.get_by_role("radio", name=re.compile("^Standoff")).check()
    page.get_by_role("button", name="Measure it").click()
    for name in ("middle", "Turn the ratchet", "Lock", "Lift to the eye"):
        page.get_by_role("button", name=name, exact=True).click()
    expect(page.get_by_role("button", name="Lift to the eye")).to_be_disabled()
    typed_screw(page)
    page.get_by_role("button", name="Photograph the scales").click()
    page.get_by_role("button", name="Photograph the bench").click()
    expect(page.locator(".photo-task")).to_contain_text("The line should lie")
    page.get_by_role("button", name="then ask the picture").click()
    assert "The picture says line" in said(page)
    page.get_by_role("button", name=re.compile("^Keep ")).click()
    expect(page.get_by_role("button", name="Photograph of reading 1")).to_be_visible()


def typed_screw(page: Page) -> None:
    page.get_by_label("main reading").first.fill("20")
    page.get_by_label("thimble line").first.fill("3")


@pytest.fixture
def seeing(browser_type: BrowserType, tmp_path: Path) -> Iterator[Page]:
    """A page of a browser whose camera sees the scales."""
    width, height = 1280, 720
    light = (brightness(7.05, size=(width, height)) * 219 + 16).astype(np.uint8).tobytes()
    film = tmp_path / "scales.y4m"
    colour = bytes([128]) * (width * height // 2)
    film.write_bytes(
        f"YUV4MPEG2 W{width} H{height} F10:1 Ip A1:1 C420jpeg\n".encode()
        + 3 * (b"FRAME\n" + light + colour)
    )
    camera = [
        "--use-fake-ui-for-media-stream", "--use-fake-device-for-media-stream",
        f"--use-file-for-fake-video-capture={film}",
    ]  # fmt: skip
    browser = browser_type.launch(executable_path=executable(), args=[*SWITCHES, *camera])
    yield browser.new_page(viewport={"width": 1280, "height": 800}, reduced_motion="reduce")
    browser.close()


def test_a_camera_takes_the_picture(seeing: Page, desk: str) -> None:
    seeing.goto(desk)
    typed(seeing, "63", "8")
    seeing.get_by_role("button", name="Photograph the scales").click()
    seeing.get_by_role("button", name="Take it with the camera").click()
    seeing.get_by_role("button", name="Take it", exact=True).click()
    expect(seeing.locator(".photo-task")).to_contain_text("The line should lie", timeout=60_000)
    seeing.get_by_role("button", name="then ask the picture").click()
    assert "The picture says line 7" in said(seeing)


def test_without_a_camera_it_says_so_and_offers_a_file(page: Page, desk: str) -> None:
    page.goto(desk)
    page.get_by_role("button", name="Photograph the scales").click()
    page.get_by_role("button", name="Take it with the camera").click()
    expect(page.get_by_role("alert")).to_contain_text("The camera cannot be used")
    expect(page.get_by_role("button", name="Choose a picture")).to_be_visible()
