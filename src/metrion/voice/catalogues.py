"""The catalogues of messages: one file for each language, in the format of Project Fluent.

Those in the folder that ``METRION_CATALOGUES`` names come beside the ones that ship: adding a
language is adding a file.
"""

from __future__ import annotations

import logging
import os
import re
from collections.abc import Mapping
from functools import cache
from importlib import resources
from importlib.resources.abc import Traversable
from pathlib import Path

_LOG = logging.getLogger(__name__)

DEFAULT = "en"
"""The language that every message is there for."""

_SUFFIX = ".ftl"
_BEGINNING = re.compile(r"^([a-z][\w-]*) *=", re.MULTILINE)


def usual() -> str:
    """The language where nothing was chosen: that of ``METRION_LANGUAGE``, else the default one."""
    named = os.environ.get("METRION_LANGUAGE", DEFAULT)
    return named if named in languages() else DEFAULT


def languages() -> tuple[str, ...]:
    """The languages that there are catalogues for, the usual one first."""
    return tuple(sorted(_files(_named()), key=lambda name: (name != DEFAULT, name)))


@cache
def catalogue(language: str) -> str:
    """The catalogue of a language as text; the usual one where there is none."""
    files = _files(_named())
    return files.get(language, files[DEFAULT]).read_text("utf-8")


@cache
def messages(language: str) -> Mapping[str, str]:
    """The text of each message of a catalogue by its code."""
    text = catalogue(language)
    begins = list(_BEGINNING.finditer(text))
    ends = [*(one.start() for one in begins[1:]), len(text)]
    return {one[1]: text[one.start() : end] for one, end in zip(begins, ends, strict=False)}


def _named() -> str:
    return os.environ.get("METRION_CATALOGUES", "")


@cache
def _files(named: str) -> dict[str, Traversable]:
    folders: list[Traversable] = [resources.files(__package__)]
    if named:
        if Path(named).is_dir():
            folders.append(Path(named))
        else:
            _LOG.warning("METRION_CATALOGUES names no folder: %s", named)
    return {
        one.name.removesuffix(_SUFFIX): one
        for folder in folders
        for one in folder.iterdir()
        if one.name.endswith(_SUFFIX)
    }
