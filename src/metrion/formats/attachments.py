"""The logbooks that a report's PDF carries inside, with the pictures of their readings."""

from __future__ import annotations

import logging
from io import BytesIO

from pypdf import PdfReader
from pypdf.errors import PyPdfError

from metrion.core.exact.bounds import LARGEST_PACKED
from metrion.core.facts import Name
from metrion.formats.archive import PICTURE, Filed
from metrion.formats.faults import refusal
from metrion.formats.pictures import checked_picture

_MOST_FILES = 10_000
# What is odd about a file is told in words of ours, once.
logging.getLogger("pypdf").setLevel(logging.CRITICAL)

_LARGEST = LARGEST_PACKED
"""Of all files that are taken out, in bytes."""


def is_pdf(content: bytes) -> bool:
    """Whether a file is a PDF at all."""
    return content.startswith(b"%PDF-")


def read_carried(content: bytes) -> list[Filed]:
    """The logbooks that are attached; nothing else in it is looked at.

    Raises:
        Refused: if it is damaged, carries none, or too much.
    """
    if len(content) > LARGEST_PACKED:
        raise refusal("file-too-large", most=LARGEST_PACKED // 1024**2)
    try:
        reader = PdfReader(BytesIO(content))
        if reader.is_encrypted:
            raise refusal("pdf-protected")
        return _attached(reader)
    # A damaged file brings the reader to all sorts of ends.
    except (PyPdfError, ValueError, KeyError, TypeError, AttributeError, IndexError) as error:
        raise refusal("pdf-unreadable", reason=Name(str(error))) from None
    except (RecursionError, OverflowError, OSError, AssertionError) as error:
        raise refusal("pdf-unreadable", reason=Name(str(error))) from None


def _attached(reader: PdfReader) -> list[Filed]:
    logbooks: list[tuple[str, bytes]] = []
    pictures: dict[str, bytes] = {}
    size = 0
    for one in reader.attachment_list:
        picture = PICTURE.fullmatch(one.name)
        if not picture and not one.name.lower().endswith(".json"):
            continue
        if len(logbooks) + len(pictures) == _MOST_FILES:
            raise refusal("pdf-of-too-many", most=_MOST_FILES)
        size += len(one.content)
        if size > _LARGEST:
            raise refusal("pdf-too-large", most=_LARGEST // 1024**2)
        if picture:
            pictures[picture[1]] = checked_picture(one.content, picture[1])
        else:
            logbooks.append((one.name, one.content))
    if not logbooks:
        raise refusal("pdf-carries-none")
    return [Filed("", "", content, name, pictures) for name, content in logbooks]
