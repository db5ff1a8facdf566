"""Glossary, care, and the parts of every kind."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.web.schemas.common import many, string


class ConceptSchema(Schema):
    """A thing that courses call by different names, the usual one first."""

    id = string()
    words = fields.List(fields.String(), required=True)
    meaning = string()


class CareSchema(Schema):
    """A piece of care and safety."""

    title = string()
    text = string()


class PartSchema(Schema):
    """A part of an instrument."""

    id = string()
    name = string()
    purpose = string()
    handling = string()


class FaceSchema(Schema):
    """A pair of faces with a zero of its own."""

    id = string()
    name = string()
    measures = string()
    closes = fields.Boolean(required=True)


class KindSchema(Schema):
    """The parts and faces of a kind of instrument."""

    kind = string()
    care = string()
    parts = many(PartSchema)
    faces = many(FaceSchema)


class VoiceSchema(Schema):
    """Language, words and numbers of who reads; what the catalogue of the language says."""

    language = string()
    languages = fields.List(fields.String(), required=True)
    decimal_sign = string(validate=validate.OneOf(["point", "comma"]))
    words = fields.Dict(keys=fields.String(), values=fields.String(), required=True)
    catalogue = string()


class WordsSchema(Schema):
    """Glossary, care, and the parts of every kind."""

    concepts = many(ConceptSchema)
    care = many(CareSchema)
    kinds = many(KindSchema)
