"""The planner."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.core.uncertainty.planning import Verdict
from metrion.web.schemas.common import maybe_string, string


class WishSchema(Schema):
    """What is to be measured, and how well, as typed."""

    size = string(validate=validate.Length(max=100))
    unit = string(validate=validate.OneOf(["mm", "cm", "in"]))
    percent = string(validate=validate.Length(max=100))
    scatter = fields.String(load_default="0", validate=validate.Length(max=100))
    convention = string()


class PlanSchema(Schema):
    """What one tool would give, and why."""

    tool = string()
    name = string()
    least_count_text = string()
    verdict = string(validate=validate.OneOf(list(Verdict)))
    uncertainty = maybe_string()
    percent = maybe_string()
    readings = fields.Integer(required=True)
    items = fields.Integer(required=True)
    reasons = fields.List(fields.String(), required=True)
