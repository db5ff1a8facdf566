"""Results, budgets, comparisons, and what other conventions say."""

from __future__ import annotations

from marshmallow import Schema, fields

from metrion.web.schemas.common import many, maybe_string, number, string


class ResultSchema(Schema):
    """What a quantity comes to; None until a reading counts."""

    count = fields.Integer(required=True)
    sentence = maybe_string()
    in_degrees = maybe_string()
    mean = number(allow_none=True)
    low = number(allow_none=True)
    high = number(allow_none=True)
    relative_percent = maybe_string()


class PlaceSchema(Schema):
    """What the readings at one place come to; the place is empty where none was noted."""

    place = string()
    count = fields.Integer(required=True)
    sentence = maybe_string()


class SaidSchema(Schema):
    """What one convention says of the same readings, and why it may differ."""

    id = string()
    name = string()
    sentence = maybe_string()
    why = string()


class ShareSchema(Schema):
    """One bar of a budget."""

    label = string()
    size = string()
    percent = number()
    percent_words = string()
    lost = fields.Boolean(required=True)


class BudgetSchema(Schema):
    """What an uncertainty is made of, and what that means."""

    shares = many(ShareSchema)
    sentences = fields.List(fields.String(), required=True)


class ComparedSchema(Schema):
    """A result beside what it was compared with, in words."""

    quantity = maybe_string()
    derived = maybe_string()
    value = string()
    uncertainty = string()
    unit = string()
    with_ = string(data_key="with", attribute="with")
    sentences = fields.List(fields.String(), required=True)
