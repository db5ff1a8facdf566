"""The logbooks that a report's PDF carries inside."""

from __future__ import annotations

from io import BytesIO

from pypdf import PdfReader
from pypdf.errors import PyPdfError

from metrion.core.exact.bounds import LARGEST_FILE
from metrion.core.facts import Name
from metrion.formats.archive import SUFFIX, Filed
from metrion.formats.faults import refusal

_MOST_FILES = 10_000
_LARGEST = 128 * 1024 * 1024
"""Of all files that are taken out, in bytes."""


def is_pdf(content: bytes) -> bool:
    """Whether a file is a PDF at all."""
    return content.startswith(b"%PDF-")


def read_carried(content: bytes) -> list[Filed]:
    """The logbooks that are attached; nothing else in it is looked at.

    Raises:
        Refused: if it is damaged, carries none, or too much.
    """
    if len(content) > LARGEST_FILE:
        raise refusal("file-too-large", most=LARGEST_FILE // 1024**2)
    try:
        return _attached(PdfReader(BytesIO(content)))
    # A damaged file brings the reader to all sorts of ends.
    except (PyPdfError, ValueError, KeyError, TypeError, AttributeError, IndexError) as error:
        raise refusal("pdf-unreadable", reason=Name(str(error))) from None
    except (RecursionError, OverflowError, OSError, AssertionError) as error:
        raise refusal("pdf-unreadable", reason=Name(str(error))) from None


def _attached(reader: PdfReader) -> list[Filed]:
    found: list[Filed] = []
    size = 0
    for one in reader.attachment_list:
        if not one.name.endswith(SUFFIX):
            continue
        if len(found) == _MOST_FILES:
            raise refusal("pdf-of-too-many", most=_MOST_FILES)
        size += len(one.content)
        if size > _LARGEST:
            raise refusal("pdf-too-large", most=_LARGEST // 1024**2)
        found.append(Filed("", "", one.content, one.name))
    if not found:
        raise refusal("pdf-carries-none")
    return found
