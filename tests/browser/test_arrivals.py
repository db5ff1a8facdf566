"""Files that people hand each other, taken in on the page."""

import json
import re
from base64 import b64encode
from pathlib import Path
from zipfile import ZipFile

from playwright.sync_api import Page, expect

from metrion.demo import demo_file
from tests.hand_ins import handed, logbook_of, pdf_of, zip_of


def hand_ins(folder: Path) -> Path:
    """A ZIP of two files with the title of a sheet that is here: that sheet's, and another's."""
    made = folder / "hand-ins.zip"
    document = json.loads(demo_file("spare-parts"))
    document["measurements"][0]["observations"].pop()
    heads = (
        {"id": "spare-parts", "authors": "Ida"},
        {"id": "theirs", "authors": "Mara, group 3", "date": "2031-05-04"},
    )
    files = {f"{number}.json": document | head for number, head in enumerate(heads)}
    listed = [{"file": name} for name in files]
    manifest = {"format": "metrion-manifest", "version": 1, "logbooks": listed}
    with ZipFile(made, "w") as archive:
        for name, content in {"manifest.json": manifest, **files}.items():
            archive.writestr(name, json.dumps(content))
    return made


def test_a_sheet_of_anothers_with_the_same_title_replaces_none(
    page: Page, server: str, tmp_path: Path
) -> None:
    page.goto(server)
    with page.expect_file_chooser() as chosen:
        page.get_by_role("button", name="Load files").click()
    chosen.value.set_files(hand_ins(tmp_path))
    expect(page.locator(".arrival-whose")).to_have_text(
        ["by Ida · 0.json", "by Mara, group 3 · 2031-05-04 · 1.json"]
    )
    ours, theirs = page.locator(".arrival").all()
    expect(ours).to_contain_text("here already, but not the same")
    expect(theirs).to_contain_text("new here")
    theirs.get_by_role("combobox").click()
    expect(page.get_by_title("replace the one here, as a new version")).to_have_count(0)
    page.keyboard.press("Escape")
    ours.get_by_role("combobox").click()
    page.get_by_title("replace the one here, as a new version").click()
    expect(ours).to_contain_text(
        "This would go, until you undo it: Two-line kite, spare parts, 2 quantities, 7 readings."
    )
    page.get_by_role("button", name="Take 2 in").click()
    same = page.locator(".sheet-card").filter(has_text="Two-line kite, spare parts")
    expect(same).to_have_count(2)
    page.get_by_role("textbox", name="Find a sheet").fill("mara")
    expect(page.locator(".sheet-card")).to_have_count(1)
    expect(page.locator(".sheet-card")).to_contain_text("by Mara, group 3 · 2031-05-04")


def folder_of(at: Path) -> list[Path]:
    """A folder as a class hands it in, and its files."""
    (at / "late").mkdir(parents=True)
    inside = {"3.json": logbook_of(handed(3)), "spoilt.json": b"{"}
    files = {
        "1.json": logbook_of(handed(1)), "2.pdf": pdf_of(handed(2)),
        "again.pdf": pdf_of(handed(1)), "late/3.zip": zip_of(inside), "notes.txt": b"text",
    }  # fmt: skip
    for name, content in files.items():
        (at / name).write_bytes(content)
    return [at / name for name in files]


def taken_in(page: Page) -> list[str]:
    """Take in what is offered; what became of each file."""
    page.get_by_role("button", name="Take 3 in").click()
    expect(page.get_by_role("dialog")).to_contain_text("3 sheets taken in, 3 left")
    rows = page.get_by_role("dialog").get_by_role("listitem").all_inner_texts()
    return [" ".join(one.split()) for one in rows]


def whose(page: Page) -> list[str]:
    """The authors of the sheets of the class that are in the notebook."""
    cards = page.locator(".sheet-card", has_text="2031-05-02").all_inner_texts()
    return sorted(re.findall(r"by (\w+ \d+)", " ".join(cards)))


OUTCOMES = [
    "1.json new sheet: Spare parts by Jon 1 · 2031-05-02",
    "2.pdf new sheet: Spare parts by Mia 2 · 2031-05-02",
    "again.pdf left: the same as 1.json",
]


def test_a_folder_comes_in_and_goes_out_again_at_once(
    page: Page, server: str, tmp_path: Path
) -> None:
    folder_of(tmp_path / "week")
    page.goto(server)
    with page.expect_file_chooser() as chosen:
        page.get_by_role("button", name="Load a folder").click()
    chosen.value.set_files(tmp_path / "week")
    told = taken_in(page)
    assert [one.replace("week/", "") for one in told[:3]] == OUTCOMES
    assert told[3:] == [
        "week/late/3.zip/3.json new sheet: Spare parts by Noor 3 · 2031-05-02",
        "week/late/3.zip/spoilt.json left: the file is not JSON: "
        "Expecting property name enclosed in double quotes (line 1, column 2)",
        "week/notes.txt left: neither a logbook nor a PDF or ZIP",
    ]
    page.get_by_role("button", name="Take all of it out again").click()
    expect(page.get_by_text("3 sheets are out again")).to_be_visible()
    expect(page.get_by_text("In the trash: 3")).to_be_visible()
    assert whose(page) == []


def test_many_files_let_go_over_the_page_come_in_at_once(
    page: Page, server: str, tmp_path: Path
) -> None:
    files = folder_of(tmp_path / "week")
    page.goto(server)
    held = page.evaluate_handle(
        """async (files) => {
            const held = new DataTransfer();
            for (const [name, content] of files) {
                const bytes = Uint8Array.from(atob(content), (one) => one.charCodeAt(0));
                held.items.add(new File([bytes], name));
            }
            return held;
        }""",
        [[one.name, b64encode(one.read_bytes()).decode()] for one in files],
    )
    page.locator("body").dispatch_event("dragover", {"dataTransfer": held})
    expect(page.get_by_text("Drop logbook files")).to_be_visible()
    page.locator("body").dispatch_event("drop", {"dataTransfer": held})
    expect(page.get_by_role("dialog")).to_contain_text("In 5 files")
    page.get_by_label("What to do with all that are: new here").click()
    page.get_by_title("leave it", exact=True).last.click()
    expect(page.get_by_role("button", name="Take it in")).to_be_disabled()
    page.get_by_label("What to do with all that are: new here").click()
    page.get_by_title("take it in as a new sheet", exact=True).last.click()
    assert [one for one in taken_in(page) if not one.startswith("3.zip")][:3] == OUTCOMES
    page.get_by_role("dialog").get_by_role("button", name="Close").last.click()
    assert whose(page) == ["Jon 1", "Mia 2", "Noor 3"]
