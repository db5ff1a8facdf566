"""Many logbook files in one ZIP, with a manifest that lists them.

The same sheets give the same bytes, whenever and wherever they are written.
"""

from __future__ import annotations

import re
from collections.abc import Iterable
from dataclasses import dataclass
from io import BytesIO
from zipfile import ZIP_DEFLATED, BadZipFile, ZipFile, ZipInfo

from metrion.core.errors import shortened
from metrion.core.facts import Name
from metrion.core.json import Json, text_in
from metrion.formats.faults import refusal
from metrion.formats.strict_json import read_json, write_json

MANIFEST = "manifest.json"
FORMAT = "metrion-manifest"
VERSION = 1
_SUFFIX = ".metrion.json"
_BEGINNING = (1980, 1, 1, 0, 0, 0)
"""The earliest time a ZIP can hold: it says nothing, and so never differs."""
_LARGEST = 256 * 1024 * 1024


@dataclass(frozen=True)
class Filed:
    """A logbook in an archive.

    Attributes:
        id: the id of its sheet; empty if it is not known.
        title: of the sheet.
        content: the logbook file.
        file: its name in the archive; made from the title if it is empty.
    """

    id: str
    title: str
    content: bytes
    file: str = ""


def file_name(title: str) -> str:
    """A name for the file of a sheet, without its ending.

    >>> file_name("Two-line kite, spare parts")
    'two-line-kite-spare-parts'
    """
    return re.sub(r"[^A-Za-z0-9]+", "-", title).strip("-").lower()[:80] or "sheet"


def is_archive(content: bytes) -> bool:
    """Whether a file is a ZIP at all."""
    return content.startswith(b"PK\x03\x04") or content.startswith(b"PK\x05\x06")


def write_archive(sheets: Iterable[Filed]) -> bytes:
    """Sheets as one ZIP, in the order of their titles."""
    listed: list[dict[str, str]] = []
    packed = BytesIO()
    with ZipFile(packed, "w", ZIP_DEFLATED) as archive:
        contents: dict[str, bytes] = {}
        for sheet in sorted(sheets, key=lambda one: (one.title, one.id)):
            name = _free_name(file_name(sheet.title), contents)
            contents[name] = sheet.content
            listed.append({"file": name, "id": sheet.id, "title": sheet.title})
        manifest = {"format": FORMAT, "version": VERSION, "logbooks": listed}
        contents = {MANIFEST: (write_json(manifest) + "\n").encode(), **contents}
        for name, content in contents.items():
            entry = ZipInfo(name, _BEGINNING)
            entry.external_attr = 0o644 << 16
            archive.writestr(entry, content, ZIP_DEFLATED)
    return packed.getvalue()


def _free_name(base: str, taken: Iterable[str]) -> str:
    names = set(taken)
    name, count = f"{base}{_SUFFIX}", 1
    while name in names:
        count += 1
        name = f"{base}-{count}{_SUFFIX}"
    return name


def read_archive(content: bytes) -> list[Filed]:
    """The logbooks of a ZIP as its manifest lists them; nothing else in it is looked at.

    Raises:
        Refused: if it is no ZIP of ours, or a file that it lists is not in it.
    """
    try:
        with ZipFile(BytesIO(content)) as archive:
            return [_filed(archive, item, i) for i, item in enumerate(_listed(archive))]
    except (BadZipFile, NotImplementedError, RuntimeError, EOFError) as error:
        raise refusal("zip-unreadable", reason=Name(str(error))) from None


def _listed(archive: ZipFile) -> list[Json]:
    if sum(entry.file_size for entry in archive.infolist()) > _LARGEST:
        raise refusal("zip-too-large")
    if MANIFEST not in archive.namelist():
        raise refusal("zip-without-manifest", manifest=Name(MANIFEST))
    manifest = read_json(archive.read(MANIFEST))
    found = manifest if isinstance(manifest, dict) else {}
    if (found.get("format"), found.get("version")) != (FORMAT, VERSION):
        raise refusal(
            "manifest-of-other-format", manifest=Name(MANIFEST), format=Name(FORMAT),
            version=VERSION,
        )  # fmt: skip
    listed = found.get("logbooks")
    if not isinstance(listed, list):
        raise refusal("manifest-without-list", "/logbooks", manifest=Name(MANIFEST))
    return listed


def _filed(archive: ZipFile, item: Json, index: int) -> Filed:
    pointer = f"/logbooks/{index}"
    if not isinstance(item, dict) or not text_in(item, "file"):
        raise refusal("manifest-names-no-file", pointer, manifest=Name(MANIFEST))
    name = text_in(item, "file")
    if name not in archive.namelist():
        raise refusal("not-in-the-zip", f"{pointer}/file", name=shortened(name))
    return Filed(
        text_in(item, "id"),
        text_in(item, "title"),
        archive.read(name),
        name,
    )
