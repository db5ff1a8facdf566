"""The web application: HTTP in front of the store and the core, and the built front end."""

from metrion.web.app import create_app

__all__ = ["create_app"]
