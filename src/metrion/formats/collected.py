"""What files come to: logbooks by themselves, carried by PDFs, packed in ZIPs, lying in folders."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator, Sequence
from dataclasses import replace

from metrion.core.exact.bounds import LARGEST_PACKED
from metrion.formats.archive import (
    Filed,
    Unpacked,
    is_archive,
    is_hidden,
    sort_out,
    unpack,
)
from metrion.formats.attachments import is_pdf, read_carried
from metrion.formats.faults import Refused, refusal
from metrion.formats.processes import apart

_DEEPEST = 1
"""A ZIP in a ZIP is opened, another in that one not."""


class Collection:
    """The files that were given, out of their ZIPs.

    Attributes:
        files: logbooks and PDFs, each by the whole of its name; one that cannot be opened bears
            its faults.
        passed_over: names of files that are neither.
    """

    def __init__(
        self,
        given: Iterable[Filed],
        passed_over: Iterable[str] = (),
        wanted: Callable[[], bool] = lambda: True,
    ) -> None:
        """Open what was given.

        Args:
            wanted: whether somebody still waits for it.

        Raises:
            Refused: if it is one file only, which cannot be opened.
            Crowded, Unwanted: as `processes.apart` does.
        """
        self.files: list[Filed] = []
        self.passed_over = list(passed_over)
        self._wanted = wanted
        self._left = LARGEST_PACKED
        given = list(given)
        self._only = given[0] if len(given) == 1 and not self.passed_over else None
        for one in given:
            self._open(one)

    def logbooks(self) -> Iterator[Filed]:
        """The logbooks among its files, with those that its PDFs carry.

        Raises:
            Refused, Crowded, Unwanted: as before.
        """
        return (logbook for one in self.files for logbook in self._logbooks(one))

    def _logbooks(self, filed: Filed) -> Iterator[Filed]:
        if not is_pdf(filed.content):
            yield filed
            return
        try:
            carried = apart(read_carried, self._wanted)(filed.content)
            self._take(carried)
        except Refused as refused:
            yield self._refused(filed, refused)
            return
        for one in carried:
            name = filed.file if len(carried) == 1 else _within(filed, one.file)
            yield replace(one, file=name, pictures={**filed.pictures, **one.pictures})

    def _open(self, filed: Filed, depth: int = 0) -> None:
        if not is_archive(filed.content):
            self.files.append(filed)
            return
        try:
            if depth > _DEEPEST:
                raise refusal("zip-too-deep")
            inside = apart(unpack, self._wanted)(filed.content)
            if not inside.files:
                raise refusal("holds-nothing")
            self._take(inside.files)
        except Refused as refused:
            self.files.append(self._refused(filed, refused))
            return
        self.passed_over += [_within(filed, name) for name in inside.passed_over]
        for one in inside.files:
            self._open(replace(one, file=_within(filed, one.file)), depth + 1)

    def _refused(self, filed: Filed, refused: Refused) -> Filed:
        if filed is self._only:
            raise refused
        return replace(filed, content=b"", pictures={}, faults=refused.faults)

    def _take(self, files: Sequence[Filed]) -> None:
        """Count what came out: many small files must not come to more than a machine can hold."""
        # A picture that several refer to is there once.
        sizes = {
            id(one): len(one) for file in files for one in (file.content, *file.pictures.values())
        }
        self._left -= sum(sizes.values())
        if self._left < 0:
            raise refusal("zip-too-large")


def uploaded(given: Iterable[Filed]) -> Unpacked:
    """Files that were chosen, also by what they are, and those of folders, by their names."""
    chosen: list[Filed] = []
    others: list[Filed] = []
    for one in given:
        if "/" not in one.file and (is_pdf(one.content) or is_archive(one.content)):
            chosen.append(one)
        elif not is_hidden(one.file):
            others.append(one)
    found = sort_out(others)
    files = sorted([*chosen, *found.files], key=lambda one: one.file)
    return Unpacked(files, sorted(found.passed_over))


def _within(outer: Filed, name: str) -> str:
    return f"{outer.file}/{name}" if outer.file else name
