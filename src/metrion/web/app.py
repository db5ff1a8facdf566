"""The application factory."""

from __future__ import annotations

from collections.abc import Collection
from pathlib import Path

from flask import Flask

from metrion import __version__
from metrion.core.exact.bounds import LARGEST_PACKED
from metrion.formats.archive import MOST_FILES
from metrion.notebook import Notebook
from metrion.store import Store
from metrion.views.locale import speak_by
from metrion.web import (
    access,
    bench,
    change_polling,
    conventions,
    desk,
    device_readings,
    entries,
    forms,
    front_end,
    imports,
    instruments,
    measurands,
    photographs,
    planner,
    practice,
    quantities,
    recipes,
    reports,
    settings,
    sheets,
    table_matching,
    tables,
    tools,
    trash,
    voice,
    words,
)
from metrion.web.api import MetrionApi
from metrion.web.authentication import Gate, shut
from metrion.web.current import notebook
from metrion.web.host_check import LOOPBACK, keep_to_this_host
from metrion.web.sessions import remember_browsers
from metrion.web.windows import OpenWindows

RESOURCES = (
    sheets, imports, entries, tools, instruments, desk, measurands, recipes, conventions, planner,
    practice, bench, device_readings, words, settings, reports, forms, photographs, tables,
    table_matching, quantities, voice, trash, change_polling, access,
)  # fmt: skip


def create_app(
    data: Store | Path, names: Collection[str] = LOOPBACK, gate: Gate | None = None
) -> Flask:
    """An application on a data folder.

    Args:
        data: the store, or the folder of one.
        names: the host names by which it may be reached.
        gate: who keeps it, where it can be reached from beyond this machine.
    """
    app = Flask(__name__, static_folder=None)
    app.config.update(
        API_TITLE="Metrion",
        API_VERSION=__version__,
        OPENAPI_VERSION="3.1.0",
        OPENAPI_URL_PREFIX="/api",
        OPENAPI_JSON_PATH="openapi.json",
        MAX_CONTENT_LENGTH=LARGEST_PACKED,
        MAX_FORM_PARTS=MOST_FILES,
    )
    app.extensions["notebook"] = Notebook(data if isinstance(data, Store) else Store(data))
    app.before_request(lambda: speak_by(lambda: notebook().settings().speaker))
    keep_to_this_host(app, names)
    remember_browsers(app)
    app.extensions["windows"] = OpenWindows()
    if gate is not None:
        shut(app, gate)
    api = MetrionApi(app)
    for resource in RESOURCES:
        api.register_blueprint(resource.blueprint)
    app.register_blueprint(front_end.blueprint)
    return app
