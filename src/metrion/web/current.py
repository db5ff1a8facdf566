"""The notebook of the application at work, and changes to its sheets as the API answers them."""

from __future__ import annotations

from typing import cast

from flask import current_app

from metrion.notebook import Changed, Notebook
from metrion.notebook.entries import EntryActs
from metrion.views.locale import speak_as
from metrion.views.present import change_view
from metrion.views.schemas.sheets import SheetChangeView
from metrion.web.idempotency import asked


def notebook() -> Notebook:
    """The notebook of the application at work."""
    return cast(Notebook, current_app.extensions["notebook"])


def entry_acts(sheet: str) -> EntryActs:
    """What the request at work may do to the entries of a sheet."""
    return EntryActs(notebook(), sheet, asked())


def shown_change(changed: Changed) -> SheetChangeView:
    """A sheet after a change, as it is answered."""
    speak_as(changed.settings.speaker)
    return change_view(changed)
