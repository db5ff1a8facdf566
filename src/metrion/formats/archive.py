"""Many logbook files in one ZIP: with a manifest that lists them, or whatever somebody packed.

The same sheets give the same bytes, whenever and wherever they are written.
"""

from __future__ import annotations

import re
import struct
import zlib
from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from io import BytesIO
from lzma import LZMAError
from pathlib import PurePosixPath
from zipfile import ZIP_DEFLATED, ZIP_STORED, BadZipFile, ZipFile, ZipInfo

from metrion.core.errors import shortened
from metrion.core.exact.bounds import LARGEST_PACKED
from metrion.core.facts import Name
from metrion.core.json import Json, Record, text_in
from metrion.formats.faults import Fault, Refused, refusal
from metrion.formats.pictures import checked_picture
from metrion.formats.strict_json import read_json, write_json

MANIFEST = "manifest.json"
FORMAT = "metrion-manifest"
VERSION = 1
SUFFIX = ".metrion.json"
PICTURES = "pictures"
_BEGINNING = (1980, 1, 1, 0, 0, 0)
"""The earliest time a ZIP can hold: it says nothing, and so never differs."""
MOST_FILES = 10_000
MOST_PICTURES = 200
"""That one logbook may come with."""
PICTURE = re.compile(r"([0-9a-f]{64})\.jpg")
"""The file of a picture that is kept as evidence: its checksum."""
_TAKEN = (".json", ".pdf", ".zip")
_UNREADABLE = (
    BadZipFile, zlib.error, LZMAError, OSError, ValueError, struct.error, NotImplementedError,
    RuntimeError, EOFError,
)  # fmt: skip
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
        faults: why it could not be got at; there is no content then.
    """

    id: str
    title: str
    content: bytes
    file: str = ""
    pictures: Mapping[str, bytes] = field(default_factory=dict)
    faults: tuple[Fault, ...] = ()


@dataclass(frozen=True)
class Unpacked:
    """What a ZIP or a folder holds.

    Attributes:
        files: logbooks, PDFs and ZIPs, as they lie in it.
        passed_over: names of its other files.
    """

    files: Sequence[Filed]
    passed_over: Sequence[str] = ()


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


def is_hidden(name: str) -> bool:
    """Whether a file is one that systems put beside those of people."""
    return any(part == "__MACOSX" or part.startswith(".") for part in PurePosixPath(name).parts)


def is_taken(name: str) -> bool:
    """Whether a file of a ZIP or a folder may hold logbooks, by its name."""
    return name.lower().endswith(_TAKEN)


def unpack(content: bytes) -> Unpacked:
    """The logbooks of a ZIP as its manifest lists them, and nothing else; all without one.

    Raises:
        Refused: if it is no ZIP, or a file that its manifest lists is not in it.
    """
    if len(content) > LARGEST_PACKED:
        raise refusal("file-too-large", most=LARGEST_PACKED // 1024**2)
    # Looked at before the directory is read, since each of its entries takes memory.
    if content.count(_DIRECTORY_ENTRY) > MOST_FILES:
        raise refusal("zip-of-too-many", most=MOST_FILES)
    try:
        with ZipFile(BytesIO(content)) as archive:
            unpacking = _Unpacking(archive)
            listed = _listed(unpacking)
            if listed is None:
                return _loose(unpacking)
            return Unpacked([_filed(unpacking, item, i) for i, item in enumerate(listed)])
    except _UNREADABLE as error:
        raise refusal("zip-unreadable", reason=Name(str(error))) from None


class _Unpacking:
    """The files of a ZIP, unpacked one by one; how much they come to is counted."""

    def __init__(self, archive: ZipFile) -> None:
        self._archive = archive
        names = frozenset(name for name in archive.namelist() if not name.endswith("/"))
        self._base = _base(names)
        self._names = {name.removeprefix(self._base) for name in names}
        # One that is listed twice counts twice.
        self._left = LARGEST_PACKED
        self._pictures: dict[str, bytes] = {}

    def __contains__(self, name: str) -> bool:
        return name in self._names

    def __iter__(self) -> Iterator[str]:
        """The names that people gave, in their order."""
        return iter(sorted(name for name in self._names if not is_hidden(name)))

    def read(self, name: str) -> bytes:
        """A file; what its entry says of its size is not believed. Raises `Refused`."""
        with self._archive.open(f"{self._base}{name}") as file:
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


def _base(names: Iterable[str]) -> str:
    """The one folder in which everything lies that has a manifest, as it was packed again."""
    tops = {name.partition("/")[0] for name in names if not is_hidden(name)}
    alone = f"{next(iter(tops))}/" if len(tops) == 1 else ""
    return alone if f"{alone}{MANIFEST}" in names else ""


def _is_manifest(filed: Filed) -> bool:
    """Whether a file is the manifest of an archive."""
    return PurePosixPath(filed.file).name == MANIFEST and _is_ours(filed.content)


def _is_ours(manifest: bytes) -> bool:
    try:
        found = read_json(manifest)
    except Refused:
        return False
    return isinstance(found, dict) and found.get("format") == FORMAT


def _loose(archive: _Unpacking) -> Unpacked:
    """What people packed, each file by itself."""

    def read(name: str) -> Filed:
        try:
            return Filed("", "", archive.read(name), name)
        except _UNREADABLE as error:
            told = refusal("zip-unreadable", reason=Name(str(error)))
            return Filed("", "", b"", name, faults=told.faults)

    return sort_out(map(read, archive))


def sort_out(given: Iterable[Filed]) -> Unpacked:
    """The files of a folder: what may hold logbooks, each with the pictures that lie there too."""
    files: list[Filed] = []
    passed_over: list[str] = []
    pictures: dict[str, bytes] = {}
    for one in given:
        if is_taken(one.file):
            if not _is_manifest(one):
                files.append(replace(one, pictures=pictures))
        elif not _is_picture(one, pictures):
            passed_over.append(one.file)
    return Unpacked(files, passed_over)


def _is_picture(filed: Filed, pictures: dict[str, bytes]) -> bool:
    """Whether a file is a picture of a reading, which is then among these."""
    named = PICTURE.fullmatch(PurePosixPath(filed.file).name)
    try:
        if named:
            pictures[named[1]] = checked_picture(filed.content, named[1])
    except Refused:
        return False
    return bool(named)


def _listed(archive: _Unpacking) -> list[Json] | None:
    """What the manifest lists; None without one."""
    if MANIFEST not in archive:
        return None
    content = archive.read(MANIFEST)
    if not _is_ours(content):
        return None
    found = read_json(content)
    assert isinstance(found, dict)
    if found.get("version") != VERSION:
        raise refusal(
            "manifest-of-other-format", manifest=Name(MANIFEST), format=Name(FORMAT),
            version=VERSION,
        )  # fmt: skip
    listed = found.get("logbooks")
    if not isinstance(listed, list):
        raise refusal("manifest-without-list", "/logbooks", manifest=Name(MANIFEST))
    if len(listed) > MOST_FILES:
        raise refusal("zip-of-too-many", "/logbooks", most=MOST_FILES)
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
