"""Many logbook files in one ZIP, with a manifest that lists them.

The same sheets give the same bytes, whenever and wherever they are written.
"""

from __future__ import annotations

import re
import struct
import zlib
from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field
from io import BytesIO
from lzma import LZMAError
from pathlib import PurePosixPath
from zipfile import ZIP_DEFLATED, ZIP_STORED, BadZipFile, ZipFile, ZipInfo

from metrion.core.errors import shortened
from metrion.core.exact.bounds import LARGEST_PACKED
from metrion.core.facts import Name
from metrion.core.json import Json, Record, text_in
from metrion.formats.faults import refusal
from metrion.formats.pictures import checked_picture
from metrion.formats.strict_json import read_json, write_json

MANIFEST = "manifest.json"
FORMAT = "metrion-manifest"
VERSION = 1
SUFFIX = ".metrion.json"
PICTURES = "pictures"
_BEGINNING = (1980, 1, 1, 0, 0, 0)
"""The earliest time a ZIP can hold: it says nothing, and so never differs."""
_MOST_FILES = 10_000
MOST_PICTURES = 200
"""That one logbook may come with."""
_DIRECTORY_ENTRY = b"PK\x01\x02"


@dataclass(frozen=True)
class Filed:
    """A logbook in an archive.

    Attributes:
        id: the id of its sheet; empty if it is not known.
        title: of the sheet.
        content: the logbook file.
        file: its name in the archive; made from the title if it is empty.
        pictures: that its readings refer to, by their names; those that came with it.
    """

    id: str
    title: str
    content: bytes
    file: str = ""
    pictures: Mapping[str, bytes] = field(default_factory=dict)


def file_name(title: str) -> str:
    """A name for the file of a sheet, without its ending.

    >>> file_name("Two-line kite, spare parts")
    'two-line-kite-spare-parts'
    """
    return re.sub(r"[^A-Za-z0-9]+", "-", title).strip("-").lower()[:80] or "sheet"


def is_archive(content: bytes) -> bool:
    """Whether a file is a ZIP at all."""
    return content.startswith(b"PK\x03\x04") or content.startswith(b"PK\x05\x06")


@dataclass(frozen=True)
class LeftOut:
    """A sheet that could not go into an archive, and why, in words."""

    id: str
    title: str
    why: str


def write_archive(sheets: Iterable[Filed], left_out: Iterable[LeftOut] = ()) -> bytes:
    """Sheets as one ZIP, in the order of their titles; the manifest tells what was left out."""
    listed: list[Json] = []
    pictures: dict[str, bytes] = {}
    packed = BytesIO()
    with ZipFile(packed, "w", ZIP_DEFLATED) as archive:
        contents: dict[str, bytes] = {}
        for sheet in sorted(sheets, key=lambda one: (one.title, one.id)):
            name = _free_name(file_name(sheet.title), contents)
            contents[name] = sheet.content
            entry: Record = {"file": name, "id": sheet.id, "title": sheet.title}
            if sheet.pictures:
                entry["pictures"] = [picture_file(one) for one in sheet.pictures]
            listed.append(entry)
            pictures |= sheet.pictures
        manifest: Record = {"format": FORMAT, "version": VERSION, "logbooks": listed}
        missing: list[Json] = [dict(vars(one)) for one in left_out]
        if missing:
            manifest["left_out"] = missing
        contents = {MANIFEST: (write_json(manifest) + "\n").encode(), **contents}
        for name, content in contents.items():
            archive.writestr(_entry(name), content, ZIP_DEFLATED)
        for name, content in sorted(pictures.items()):
            # A picture does not become smaller.
            archive.writestr(_entry(picture_file(name)), content, ZIP_STORED)
    return packed.getvalue()


def _entry(name: str) -> ZipInfo:
    entry = ZipInfo(name, _BEGINNING)
    entry.external_attr = 0o644 << 16
    return entry


def picture_file(name: str) -> str:
    """The file of a picture beside its logbook."""
    return f"{PICTURES}/{name}.jpg"


def _free_name(base: str, taken: Iterable[str]) -> str:
    names = set(taken)
    name, count = f"{base}{SUFFIX}", 1
    while name in names:
        count += 1
        name = f"{base}-{count}{SUFFIX}"
    return name


def read_archive(content: bytes) -> list[Filed]:
    """The logbooks of a ZIP as its manifest lists them; nothing else in it is looked at.

    Raises:
        Refused: if it is no ZIP of ours, or a file that it lists is not in it.
    """
    if len(content) > LARGEST_PACKED:
        raise refusal("file-too-large", most=LARGEST_PACKED // 1024**2)
    # Looked at before the directory is read, since each of its entries takes memory.
    if content.count(_DIRECTORY_ENTRY) > _MOST_FILES:
        raise refusal("zip-of-too-many", most=_MOST_FILES)
    try:
        with ZipFile(BytesIO(content)) as archive:
            unpacking = _Unpacking(archive)
            return [_filed(unpacking, item, i) for i, item in enumerate(_listed(unpacking))]
    except (BadZipFile, zlib.error, LZMAError, OSError, ValueError, struct.error) as error:
        raise refusal("zip-unreadable", reason=Name(str(error))) from None
    except (NotImplementedError, RuntimeError, EOFError) as error:
        raise refusal("zip-unreadable", reason=Name(str(error))) from None


class _Unpacking:
    """The files of a ZIP, unpacked one by one; how much they come to is counted."""

    def __init__(self, archive: ZipFile) -> None:
        self._archive = archive
        self._names = frozenset(archive.namelist())
        # One that is listed twice counts twice.
        self._left = LARGEST_PACKED
        self._pictures: dict[str, bytes] = {}

    def __contains__(self, name: str) -> bool:
        return name in self._names

    def read(self, name: str) -> bytes:
        """A file; what its entry says of its size is not believed. Raises `Refused`."""
        with self._archive.open(name) as file:
            content = file.read(self._left + 1)
        self._left -= len(content)
        if self._left < 0:
            raise refusal("zip-too-large")
        return content

    def picture(self, file: Json, pointer: str) -> tuple[str, bytes]:
        """A picture by its name, looked at once. Raises `Refused` if it is not what that says."""
        name = PurePosixPath(str(file)).stem
        if not isinstance(file, str) or file != picture_file(name) or file not in self:
            raise refusal("not-in-the-zip", pointer, name=shortened(str(file)))
        if name not in self._pictures:
            self._pictures[name] = checked_picture(self.read(file), name, pointer)
        return name, self._pictures[name]


def _listed(archive: _Unpacking) -> list[Json]:
    if MANIFEST not in archive:
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
    if len(listed) > _MOST_FILES:
        raise refusal("zip-of-too-many", "/logbooks", most=_MOST_FILES)
    seen: set[str] = set()
    for index, one in enumerate(listed):
        name = text_in(one, "file") if isinstance(one, dict) else ""
        if name in seen:
            raise refusal("listed-twice", f"/logbooks/{index}/file", name=shortened(name))
        seen.add(name)
    return listed


def _filed(archive: _Unpacking, item: Json, index: int) -> Filed:
    pointer = f"/logbooks/{index}"
    if not isinstance(item, dict) or not text_in(item, "file"):
        raise refusal("manifest-names-no-file", pointer, manifest=Name(MANIFEST))
    name = text_in(item, "file")
    if name not in archive:
        raise refusal("not-in-the-zip", f"{pointer}/file", name=shortened(name))
    listed = item.get("pictures", [])
    if not isinstance(listed, list):
        raise refusal("manifest-without-list", f"{pointer}/pictures", manifest=Name(MANIFEST))
    if len(listed) > MOST_PICTURES or len(listed) > len({str(one) for one in listed}):
        raise refusal("too-many-pictures", f"{pointer}/pictures", most=MOST_PICTURES)
    return Filed(
        text_in(item, "id"),
        text_in(item, "title"),
        archive.read(name),
        name,
        dict(archive.picture(one, f"{pointer}/pictures/{i}") for i, one in enumerate(listed)),
    )
