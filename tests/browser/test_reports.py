"""Handing in, and files both ways, in the browser."""

import json
import time
from pathlib import Path

import pytest
from playwright.sync_api import Page, Route, expect
from pypdf import PdfReader

from metrion.demo import prepare
from tests.formats.test_faults import changed
from tests.server import asked, running
from tests.store.unchecked import keep_unchecked


def test_a_report_is_headed_looked_at_and_saved(page: Page, server: str, tmp_path: Path) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    page.get_by_role("button", name="Report").click()
    shown = page.frame_locator("iframe")
    expect(shown.locator("h1")).to_have_text("Two-line kite, spare parts")
    page.get_by_label("Names").fill("A. Segel")
    page.get_by_label("Aim").click()
    expect(shown.get_by_text("A. Segel")).to_be_visible()
    expect(page.get_by_label("Names")).to_have_value("A. Segel")
    # Who says so at a first report is not asked again.
    page.get_by_role("button", name="On every sheet from now on").click()
    expect(page.get_by_role("button", name="On every sheet from now on")).to_have_count(0)
    assert asked(server, "/settings")[1]["authors"] == "A. Segel"
    page.get_by_label("Report of").click()
    page.get_by_title("Ferrule, outside").click()
    expect(shown.get_by_role("heading", name="Ferrule, outside")).to_be_visible()
    expect(shown.get_by_role("heading", name="Lower spreader, outside")).to_have_count(0)
    for button, begins in (
        ("PDF", b"%PDF"),
        ("Table as CSV", b"measurement,"),
        ("Spreadsheet", b"PK"),
    ):
        with page.expect_download() as download:
            page.get_by_role("button", name=button).click()
        saved = tmp_path / "saved"
        download.value.save_as(saved)
        assert saved.read_bytes().startswith(begins)


@pytest.mark.parametrize("word", ["kestrel", "swift", "plover", "heron"])
def test_a_report_holds_what_was_typed_last(
    page: Page, server: str, tmp_path: Path, word: str
) -> None:
    page.goto(f"{server}/sheets/spare-parts/report")
    # A server that takes its time with changes, as one under load does.
    page.route("**/api/sheets/spare-parts", _late)
    for times in range(1, 4):
        page.get_by_label("Aim").fill(f"{word} {times}")
        with page.expect_download() as download:
            page.get_by_role("button", name="PDF").click()
        saved = tmp_path / "report.pdf"
        download.value.save_as(saved)
        text = " ".join(one.extract_text() for one in PdfReader(saved).pages)
        assert f"{word} {times}" in text


def _late(route: Route) -> None:
    if route.request.method == "PATCH":
        time.sleep(0.3)
    route.continue_()


def test_what_is_typed_last_stands_in_what_is_printed(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts/report")
    shown = page.frame_locator("iframe")
    expect(shown.locator("h1")).to_be_visible()
    page.evaluate(
        """() => {
            window.printed = [];
            const note = (frame) => {
                frame.contentWindow.print = () =>
                    window.printed.push(frame.contentDocument.body.innerText);
            };
            note(document.querySelector("iframe"));
            new MutationObserver(() => {
                const frame = document.querySelector("iframe");
                frame.addEventListener("load", () => note(frame), { capture: true });
            }).observe(document.body, { childList: true, subtree: true });
        }"""
    )
    page.get_by_label("Aim").fill("kestrel")
    page.get_by_role("button", name="Print").click()
    page.wait_for_function("() => window.printed.length > 0")
    assert "kestrel" in page.evaluate("window.printed[0]")


def test_nothing_is_made_while_something_typed_cannot_be_saved(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts/report")
    page.get_by_label("Aim").fill("kestrel")
    page.route("**/api/sheets/spare-parts", lambda route: route.abort())
    made: list[str] = []
    page.on("request", lambda request: made.append(request.url))
    page.get_by_role("button", name="PDF").click()
    expect(page.get_by_text("Metrion does not answer; nothing typed is lost.")).to_be_visible()
    expect(page.get_by_label("Aim")).to_have_value("kestrel")
    assert not [url for url in made if "report.pdf" in url]


def test_the_whole_notebook_goes_out_and_comes_back_after_a_look(
    page: Page, server: str, tmp_path: Path
) -> None:
    page.goto(server)
    with page.expect_download() as download:
        page.get_by_role("button", name="Save all").click()
    packed = tmp_path / "notebook.zip"
    download.value.save_as(packed)
    # One sheet goes, another is changed.
    assert page.request.delete(f"{server}/api/sheets/sail-film").ok
    reading = {"quantity": "ferrule", "main": "8", "fine": 11}
    assert page.request.post(f"{server}/api/sheets/spare-parts/readings", data=reading).ok
    page.reload()
    page.get_by_label("logbook file").set_input_files(packed)
    dialog = page.get_by_role("dialog")
    expect(dialog.locator("article", has_text="new here")).to_have_count(1)
    for standing, count in (("just the same", 4), ("but not the same", 1)):
        rows = dialog.locator("article", has_text=f"here already, {standing}")
        expect(rows).to_have_count(count)
    dialog.get_by_label("What to do with Two-line kite, spare parts").click()
    page.get_by_title("replace the one here, as a new version").click()
    dialog.get_by_role("button", name="Take 2 in").click()
    expect(page.get_by_role("dialog")).to_contain_text("2 sheets taken in, 4 left")
    page.keyboard.press("Enter")
    expect(page.get_by_role("dialog")).to_have_count(0)
    expect(page.locator(".sheet-card", has_text="Sail film")).to_have_count(1)
    page.get_by_role("link", name="Two-line kite, spare parts").click()
    expect(page.get_by_text("3 readings")).to_be_visible()
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_text("3 readings")).to_have_count(0)


def test_a_file_is_dropped_on_the_notebook(page: Page, server: str) -> None:
    page.goto(server)
    expect(page.locator("h1")).to_be_visible()
    document = json.dumps(
        {"format": "metrion-logbook", "version": 1, "title": "Dropped", "instruments": [],
         "zero_checks": [], "measurements": []}
    )  # fmt: skip
    data = page.evaluate_handle(
        """(text) => {
            const data = new DataTransfer();
            data.items.add(new File([text], "kite.json", { type: "application/json" }));
            return data;
        }""",
        document,
    )
    page.dispatch_event("body", "dragover", {"dataTransfer": data})
    expect(page.get_by_text("Drop logbook files")).to_be_visible()
    page.dispatch_event("body", "drop", {"dataTransfer": data})
    page.get_by_role("button", name="Take it in").click()
    expect(page.get_by_role("heading", name="Dropped")).to_be_visible()


def test_a_table_with_other_headings_is_matched_and_taken_in(
    page: Page, server: str, tmp_path: Path
) -> None:
    table = tmp_path / "nocks.csv"
    table.write_bytes("Stelle;Haupt;Strich\r\nlinks;6,25;3\r\nrechts;6;4\r\n".encode("cp1252"))
    page.goto(f"{server}/sheets/spare-parts/quantities/spreader")
    page.get_by_role("button", name="More", exact=True).click()
    page.get_by_role("button", name="Readings from a table").click()
    page.get_by_label("table file").set_input_files(table)
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_text("no column is said to hold: main, line")).to_be_visible()
    for column, role in ((1, "place"), (2, "main"), (3, "line")):
        dialog.get_by_label(f"column {column} holds").click()
        page.locator(".ant-select-dropdown:visible").get_by_title(role, exact=True).click()
        expect(page.locator(".ant-select-dropdown:visible")).to_have_count(0)
    expect(dialog.get_by_text("row 2, column “Haupt”: 6.25 is not a mark")).to_be_visible()
    expect(dialog.get_by_label("row 1, column 2")).to_have_value("6,25")
    table.write_text("Stelle;Haupt;Strich\nlinks;6;3\nrechts;6;4\n")
    page.get_by_label("table file").set_input_files(table)
    # What was chosen holds for the corrected file.
    for column, role in ((1, "place"), (2, "main"), (3, "line")):
        expect(dialog.locator("th").nth(column - 1)).to_contain_text(role)
    expect(dialog.get_by_text("6.15 mm")).to_be_visible()
    dialog.get_by_role("button", name="Take 2 in").click()
    expect(dialog).to_have_count(0)
    expect(page.locator("tr.reading")).to_have_count(6)
    expect(page.locator("tr.reading").last).to_contain_text("rechts")


def test_a_table_on_the_notebook_is_offered_mended_and_taken_in(
    page: Page, server: str, tmp_path: Path
) -> None:
    table = tmp_path / "nocks.csv"
    rows = [*["mouth,8,11"] * 3, "waist,8.25,12", "foot,8,99"]
    written = "".join(f'"Ferrule, outside",{row}\n' for row in rows)
    table.write_text(f"quantity,place,main,line\n{written}")
    page.goto(server)
    page.get_by_label("logbook file").set_input_files(table)
    dialog = page.get_by_role("dialog")
    expect(dialog).to_contain_text("Two-line kite, spare parts: Ferrule, outside (5 readings)")
    expect(dialog.get_by_text("2 rows have faults")).to_be_visible()
    expect(dialog.get_by_role("button", name="Take in the 3 that can be read")).to_be_enabled()
    cell = dialog.get_by_label("row 4, column 3")
    cell.fill("8")
    cell.press("Enter")
    expect(dialog.get_by_text("One row has a fault")).to_be_visible()
    dialog.get_by_role("button", name="Take in the 4 that can be read").click()
    expect(page).to_have_url(f"{server}/sheets/spare-parts/quantities/ferrule")
    expect(page.locator("tr.reading")).to_have_count(7)
    expect(page.locator("tr.reading").last).to_contain_text("waist")


def test_a_damaged_sheet_is_told_saved_and_thrown_away(page: Page, tmp_path: Path) -> None:
    document = changed(("/instruments/0/maker_limit", "9" * 400))
    document["title"] = "Old lines"
    prepare(tmp_path / "demo")
    keep_unchecked(tmp_path / "demo", "old", document)
    with running(tmp_path) as server:
        page.goto(server)
        card = page.locator(".sheet-card", has_text="Old lines")
        expect(card.get_by_role("alert")).to_contain_text("too large or too small")
        expect(page.locator(".sheet-card")).to_have_count(7)
        card.get_by_role("link", name="Old lines").click()
        expect(page.get_by_text("A damaged sheet")).to_be_visible()
        with page.expect_download() as download:
            page.get_by_role("button", name="Save as a file").click()
        saved = tmp_path / "saved.json"
        download.value.save_as(saved)
        assert json.loads(saved.read_text())["title"] == "Old lines"
        page.get_by_role("button", name="Trash").click()
        expect(page.get_by_role("heading", name="Notebook")).to_be_visible()
        expect(page.locator(".sheet-card")).to_have_count(6)


def test_the_report_follows_while_the_head_is_typed(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/sail-film/report")
    shown = page.frame_locator("iframe")
    expect(shown.locator("h1")).to_be_visible()
    page.get_by_label("Names").click()
    page.keyboard.type("Ada and Björn")
    expect(shown.get_by_text("Ada and Björn")).to_be_visible()
    expect(page.get_by_label("Names")).to_be_focused()


def test_a_short_report_has_results_and_zeros_and_no_working(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts/report")
    shown = page.frame_locator("iframe")
    expect(shown.get_by_role("heading", name="Working").first).to_be_visible()
    page.get_by_text("short", exact=True).click()
    expect(shown.get_by_role("heading", name="Working")).to_have_count(0)
    expect(shown.get_by_role("heading", name="Results")).to_be_visible()
    page.get_by_text("working only", exact=True).click()
    expect(shown.get_by_role("heading", name="Results")).to_have_count(0)
