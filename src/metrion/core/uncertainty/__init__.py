"""Conventions for the uncertainty, what each part of it makes up, and what makes it smaller."""
