"""What many files come to: out of ZIPs, PDFs and folders, whatever else lies there."""

import json
from hashlib import sha256
from io import BytesIO
from pathlib import Path
from zipfile import ZipFile

import pytest

from metrion.formats import collected
from metrion.formats.archive import Filed, write_archive
from metrion.formats.collected import Collection, uploaded
from metrion.formats.faults import Refused
from metrion.given import collected as given
from tests.hand_ins import handed, logbook_of, pdf_of, zip_of
from tests.said import said

LOGBOOK, OTHER = logbook_of(handed(1)), logbook_of(handed(2))


def files_of(*named: tuple[str, bytes]) -> dict[str, str]:
    """The files that were found, each with the title in it or why it has none."""
    found = uploaded(Filed("", "", content, name) for name, content in named)
    logbooks = Collection(found.files, found.passed_over).logbooks()
    return {
        one.file: said(one.faults[0]) if one.faults else json.loads(one.content)["authors"]
        for one in logbooks
    }


def test_logbooks_pdfs_and_zips_are_told_apart_by_what_they_are() -> None:
    found = files_of(
        ("report", pdf_of(handed(2))), ("b.json", LOGBOOK), ("packed", zip_of({"x.json": OTHER}))
    )
    # In the order of their names, whatever they are.
    in_order = [("b.json", "Jon 1"), ("packed/x.json", "Mia 2"), ("report", "Mia 2")]
    assert list(found.items()) == in_order


def test_what_a_class_packs_comes_out_in_order_and_nothing_else() -> None:
    inner = zip_of({"d.json": logbook_of(handed(4)), "e.zip": zip_of({"f.json": OTHER})})
    packed = zip_of({
        "Week 3/z.JSON": LOGBOOK, "Week 3/a/b.pdf": pdf_of(handed(3)), "Week 3/c.zip": inner,
        "Week 3/notes.docx": b"text", "__MACOSX/._z.JSON": b"", "Week 3/.hidden.json": b"",
        "Week 3/empty/": b"",
    })  # fmt: skip
    found = Collection([Filed("", "", packed, "all.zip")])
    assert [one.file.removeprefix("all.zip/Week 3/") for one in found.logbooks()] == [
        "a/b.pdf", "c.zip/d.json", "c.zip/e.zip", "z.JSON",
    ]  # fmt: skip
    assert found.passed_over == ["all.zip/Week 3/notes.docx"]
    told = {one.file: said(one.faults[0]) for one in found.files if one.faults}
    assert told == {
        "all.zip/Week 3/c.zip/e.zip": "this ZIP lies in a ZIP that lies in a ZIP: unpack it first"
    }


def test_a_broken_one_keeps_no_other_out() -> None:
    spoilt = bytearray(zip_of({"a.json": LOGBOOK, "b.json": OTHER}))
    spoilt[spoilt.index(LOGBOOK) + 5] ^= 1
    assert files_of(
        ("all.zip", bytes(spoilt)), ("cut.pdf", b"%PDF-1.7 and nothing"), ("zip.zip", b"PK\3\4"),
        ("empty.zip", zip_of({"readme.md": b""})),
    ) == {
        "all.zip/a.json": "the ZIP cannot be read: Bad CRC-32 for file 'a.json'",
        "all.zip/b.json": "Mia 2",
        "cut.pdf": "the PDF cannot be read: Stream has ended unexpectedly",
        "empty.zip": "no logbook, PDF or ZIP is in it",
        "zip.zip": "the ZIP cannot be read: File is not a zip file",
    }  # fmt: skip


@pytest.mark.parametrize("content", [b"PK\3\4", b"%PDF-1.7", zip_of({}), zip_of({"a.txt": b""})])
def test_a_single_file_that_cannot_be_opened_is_refused(content: bytes) -> None:
    with pytest.raises(Refused):
        list(Collection([Filed("", "", content, "x")]).logbooks())


def test_an_archive_that_was_unpacked_and_packed_again_is_one_still() -> None:
    picture = b"\xff\xd8 a picture"
    name = sha256(picture).hexdigest()
    ours = write_archive([Filed("old-id", "Kite", LOGBOOK)])
    again = Collection(
        [
            Filed(
                "",
                "",
                zip_of({"kites/manifest.json": manifest(ours), "kites/kite.metrion.json": LOGBOOK}),
                "",
            )
        ]
    )
    assert [(one.id, one.file) for one in again.logbooks()] == [("old-id", "kite.metrion.json")]
    # One of another program is a file like any other; ours, lying loose, is none.
    loose = {
        "manifest.json": b'{"name": "web app"}',
        "a.json": LOGBOOK,
        "s/manifest.json": manifest(ours),
    }
    found = Collection([Filed("", "", zip_of(loose), "x.zip")])
    assert [one.file for one in found.files] == ["x.zip/a.json", "x.zip/manifest.json"]
    assert found.passed_over == []
    # An entry that is no name at all stops nothing.
    unnamed = Collection([Filed("", "", zip_of({".": b"x", "a.json": LOGBOOK}), "x")])
    assert [one.file for one in unnamed.files] == ["x/a.json"]
    # What only bears the name of a picture is no picture.
    odd = Collection([Filed("", "", zip_of({"a.json": LOGBOOK, f"{name}.jpg": picture}), "x")])
    assert odd.passed_over == [f"x/{name}.jpg"]


def manifest(archive: bytes) -> bytes:
    return ZipFile(BytesIO(archive)).read("manifest.json")


def test_many_small_files_cannot_come_to_more_than_a_machine_holds(
    monkeypatch: pytest.MonkeyPatch,
) -> None:
    monkeypatch.setattr(collected, "LARGEST_PACKED", 3 * len(LOGBOOK))
    packed = [(f"{at}.zip", zip_of({"a.json": LOGBOOK})) for at in range(4)]
    *first, last = files_of(*packed).values()
    assert first == ["Jon 1"] * 3
    assert last == "the ZIP is too large once it is unpacked"


def test_a_folder_is_taken_with_all_below(tmp_path: Path) -> None:
    (tmp_path / "in" / "deep").mkdir(parents=True)
    (tmp_path / "none").mkdir()
    (tmp_path / "in" / "b.json").write_bytes(LOGBOOK)
    (tmp_path / "in" / "deep" / "a.pdf").write_bytes(pdf_of(handed(2)))
    (tmp_path / "in" / "deep" / "a.txt").write_text("text")
    (tmp_path / "in" / ".git").mkdir()
    (tmp_path / "in" / ".git" / "x.json").write_text("{}")
    (tmp_path / "in" / "loop").symlink_to(tmp_path / "in")
    folder, missing = f"{tmp_path}/in", f"{tmp_path}/missing.json"
    found = given([f"{folder}/", f"{tmp_path}/none", missing])
    assert [(one.file, bool(one.faults)) for one in found.logbooks()] == [
        (f"{folder}/b.json", False), (f"{folder}/deep/a.pdf", False),
        (f"{tmp_path}/none", True), (missing, True),
    ]  # fmt: skip
    assert found.passed_over == [f"{folder}/deep/a.txt"]
    for path in (missing, f"{tmp_path}/none"):
        with pytest.raises(Refused):
            given([path])
