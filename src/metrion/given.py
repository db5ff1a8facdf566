"""Files and folders that a command is given, by their paths."""

from __future__ import annotations

from collections.abc import Iterable
from pathlib import Path

from metrion.formats.archive import PICTURE, Filed, Unpacked, is_hidden, is_taken, sort_out
from metrion.formats.collected import Collection
from metrion.formats.faults import Refused, refusal
from metrion.telling import content_of


def collected(paths: Iterable[str]) -> Collection:
    """Logbooks and PDFs, out of folders with all below, and out of ZIPs ("-" is standard input).

    Raises:
        Refused: if it is one file only, which cannot be read or opened.
    """
    found = [_inside(path) if Path(path).is_dir() else Unpacked([_read(path)]) for path in paths]
    files = [file for one in found for file in one.files]
    passed_over = [name for one in found for name in one.passed_over]
    if len(files) == 1 and files[0].faults and not passed_over:
        raise Refused(files[0].faults)
    return Collection(files, passed_over)


def _inside(folder: str) -> Unpacked:
    """A folder, with those in it; what cannot be taken is not read."""
    root, base = Path(folder), folder.rstrip("/")
    below = (one.relative_to(root).as_posix() for one in root.rglob("*") if one.is_file())
    names = (f"{base}/{name}" for name in sorted(below) if not is_hidden(name))
    found = sort_out(map(_read_wanted, names))
    if found.files:
        return found
    nothing = Filed("", "", b"", base, faults=refusal("holds-nothing").faults)
    return Unpacked([nothing], found.passed_over)


def _read_wanted(path: str) -> Filed:
    wanted = is_taken(path) or PICTURE.fullmatch(Path(path).name)
    return _read(path) if wanted else Filed("", "", b"", path)


def _read(path: str) -> Filed:
    try:
        return Filed("", "", content_of(path), path)
    except Refused as refused:
        return Filed("", "", b"", path, faults=refused.faults)
