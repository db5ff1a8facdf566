"""Many logbooks in one ZIP."""

import json
from io import BytesIO
from typing import Any
from zipfile import ZipFile

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.formats.archive import Filed, file_name, is_archive, unpack, write_archive
from metrion.formats.faults import Refused
from tests.said import said

MANIFEST = {"format": "metrion-manifest", "version": 1}


def zipped(**files: Any) -> bytes:
    packed = BytesIO()
    with ZipFile(packed, "w") as archive:
        for name, content in files.items():
            archive.writestr(f"{name}.json", json.dumps(content))
    return packed.getvalue()


filed = st.builds(Filed, st.text(max_size=5), st.text(max_size=12), st.binary(max_size=30))


@given(st.lists(filed, max_size=5))
def test_what_goes_in_comes_out_in_the_order_of_titles(sheets: list[Filed]) -> None:
    content = write_archive(sheets)
    assert is_archive(content)
    found = list(unpack(content).files)
    assert [(one.title, one.id) for one in found] == sorted((one.title, one.id) for one in sheets)
    assert sorted(one.content for one in found) == sorted(one.content for one in sheets)
    assert len({one.file for one in found}) == len(sheets)


def test_the_same_sheets_give_the_same_bytes_in_any_order() -> None:
    sheets = [Filed("a", "Kite", b"1"), Filed("b", "Kite", b"2"), Filed("c", "Sail", b"3")]
    assert write_archive(sheets) == write_archive(reversed(sheets))


@pytest.mark.parametrize(
    ("title", "name"), [("", "sheet"), ("Wing-tip: nocks!", "wing-tip-nocks"), ("…", "sheet")]
)
def test_a_title_gives_a_name_that_every_system_takes(title: str, name: str) -> None:
    assert file_name(title) == name


@pytest.mark.parametrize(
    ("content", "pointer", "says"),
    [
        (zipped(manifest={**MANIFEST, "version": 2}), "", "version 1"),
        (zipped(manifest=MANIFEST), "/logbooks", "must list the logbooks"),
        (zipped(manifest={**MANIFEST, "logbooks": [7]}), "/logbooks/0", "names its file"),
        (zipped(manifest={**MANIFEST, "logbooks": [{"file": "x"}]}), "/logbooks/0/file", "not in"),
        (b"PK\x03\x04 and then nothing", "", "cannot be read"),
    ],
)
def test_what_is_no_archive_of_ours_is_refused(content: bytes, pointer: str, says: str) -> None:
    with pytest.raises(Refused) as refused:
        unpack(content)
    (fault,) = refused.value.faults
    assert fault.pointer == pointer
    assert says in said(fault)


def test_what_is_unpacked_can_be_read_by_all_and_changed_by_its_owner() -> None:
    content = write_archive([Filed("a", "Kite", b"1", pictures={"0" * 64: b"2"})])
    with ZipFile(BytesIO(content)) as archive:
        rights = {one.filename: one.external_attr >> 16 for one in archive.infolist()}
    assert len(rights) == 3
    assert set(rights.values()) == {0o644}
