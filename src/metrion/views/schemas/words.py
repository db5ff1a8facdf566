"""Glossary, care, and the parts of every kind."""

from __future__ import annotations

from metrion.views.schemas.view import view
from metrion.voice import DecimalSign


@view
class ConceptView:
    """A thing that courses call by different names, the usual one first."""

    id: str
    words: list[str]
    meaning: str


@view
class CareView:
    """A piece of care and safety."""

    title: str
    text: str


@view
class PartView:
    """A part of an instrument."""

    id: str
    name: str
    purpose: str
    handling: str


@view
class FaceView:
    """A pair of faces with a zero of its own."""

    id: str
    name: str
    measures: str
    closes: bool


@view
class KindView:
    """The parts and faces of a kind of instrument."""

    kind: str
    care: str
    parts: list[PartView]
    faces: list[FaceView]


@view
class VoiceView:
    """Language, words and numbers of who reads; what the catalogue of the language says."""

    language: str
    languages: list[str]
    decimal_sign: DecimalSign
    words: dict[str, str]
    catalogue: str


@view
class WordsView:
    """Glossary, care, and the parts of every kind."""

    concepts: list[ConceptView]
    care: list[CareView]
    kinds: list[KindView]
