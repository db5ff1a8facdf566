"""Handing in, and files both ways, in the browser."""

import json
from pathlib import Path

from playwright.sync_api import Page, expect


def test_a_report_is_headed_looked_at_and_saved(page: Page, server: str, tmp_path: Path) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    page.get_by_role("button", name="Report").click()
    shown = page.frame_locator("iframe")
    expect(shown.locator("h1")).to_have_text("Two-line kite, spare parts")
    page.get_by_label("Names").fill("A. Segel")
    page.get_by_label("Aim").click()
    expect(shown.get_by_text("A. Segel")).to_be_visible()
    expect(page.get_by_label("Names")).to_have_value("A. Segel")
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
            page.get_by_role("link", name=button).click()
        saved = tmp_path / "saved"
        download.value.save_as(saved)
        assert saved.read_bytes().startswith(begins)


def test_the_whole_notebook_goes_out_and_comes_back_after_a_look(
    page: Page, server: str, tmp_path: Path
) -> None:
    page.goto(server)
    with page.expect_download() as download:
        page.get_by_role("link", name="Save all").click()
    packed = tmp_path / "notebook.zip"
    download.value.save_as(packed)
    # One sheet goes, another is changed.
    assert page.request.delete(f"{server}/api/sheets/sail-film").ok
    reading = {"quantity": "ferrule", "main": "8", "fine": 11}
    assert page.request.post(f"{server}/api/sheets/spare-parts/readings", data=reading).ok
    page.reload()
    page.get_by_label("logbook file").set_input_files(packed)
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_text("new here")).to_have_count(1)
    expect(dialog.get_by_text("here already, just the same")).to_have_count(4)
    expect(dialog.get_by_text("here already, but not the same")).to_have_count(1)
    dialog.get_by_label("What to do with Two-line kite, spare parts").click()
    page.get_by_title("replace the one here, as a new version").click()
    dialog.get_by_role("button", name="Take 2 in").click()
    expect(dialog).to_have_count(0)
    expect(page.locator(".sheet-card", has_text="Sail film")).to_have_count(1)
    page.get_by_role("link", name="Two-line kite, spare parts").click()
    expect(page.get_by_text("3 readings")).to_be_visible()
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_text("3 readings")).to_have_count(0)


def test_a_file_is_dropped_on_the_notebook(page: Page, server: str) -> None:
    page.goto(server)
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
    expect(page.get_by_text("Drop a logbook file")).to_be_visible()
    page.dispatch_event("body", "drop", {"dataTransfer": data})
    page.get_by_role("button", name="Take it in").click()
    expect(page.get_by_role("heading", name="Dropped")).to_be_visible()


def test_a_table_with_other_headings_is_matched_and_taken_in(
    page: Page, server: str, tmp_path: Path
) -> None:
    table = tmp_path / "nocks.csv"
    table.write_bytes("Stelle;Haupt;Strich\r\nlinks;6,5;3\r\nrechts;6;4\r\n".encode("cp1252"))
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
    expect(dialog.get_by_text("row 2, column “Haupt”: 6.5 is not a mark")).to_be_visible()
    expect(dialog.locator("td[data-faulty='true']")).to_have_text("6,5")
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
