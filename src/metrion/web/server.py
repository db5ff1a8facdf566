"""The production server, its own answers to broken requests guarded like all others."""

from __future__ import annotations

import gc
import socket

from flask import Flask
from waitress.channel import HTTPChannel
from waitress.server import BaseWSGIServer, create_server
from waitress.task import ErrorTask

from metrion.web.guard import HEADERS

_THREADS = 8


class _Error(ErrorTask):
    def execute(self) -> None:
        self.response_headers.extend(HEADERS.items())
        super().execute()


class _Channel(HTTPChannel):
    error_task_class = _Error


def server_of(app: Flask, listener: socket.socket) -> BaseWSGIServer:
    """A server of the application on a socket that listens already; ``run()`` serves."""
    # What is loaded stays: the collector need not walk through it while somebody waits.
    gc.freeze()
    server = create_server(
        app, sockets=[listener], threads=_THREADS,
        # That something was handed on by a proxy is seen by them; nothing of them is believed.
        clear_untrusted_proxy_headers=False,
    )  # fmt: skip
    server.channel_class = _Channel
    return server
