"""The production server, its own answers to broken requests guarded like all others."""

from __future__ import annotations

import gc
import resource
import socket
from collections.abc import Callable
from copy import copy
from functools import partial

from flask import Flask
from waitress.adjustments import Adjustments
from waitress.channel import HTTPChannel
from waitress.parser import HTTPRequestParser
from waitress.server import BaseWSGIServer, create_server
from waitress.task import ErrorTask

from metrion.core.exact.bounds import LARGEST_PACKED
from metrion.web.authentication import gate_of
from metrion.web.bodies import LARGEST_BODY
from metrion.web.host_check import HEADERS
from metrion.web.sessions import has_session, is_own_address

_THREADS = 48
"""Most of them wait: for a turn, or for what is done in another process."""
_CONNECTIONS = 2_000
_OPEN_FILES = 4_096
_IDLE_SECONDS = 60
_LOOKED_AHEAD = 2
"""Requests that are read while one is answered: so it is seen that a client has gone."""
_MOST_UNASKED = 4 * 1024
"""Bytes that are read of who has not entered: room for a pass phrase."""


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
    _allow_files()
    server = create_server(
        app, sockets=[listener], threads=_THREADS, connection_limit=_CONNECTIONS,
        asyncore_use_poll=True, channel_timeout=_IDLE_SECONDS,
        channel_request_lookahead=_LOOKED_AHEAD, max_request_body_size=LARGEST_PACKED + 1,
        # That something was handed on by a proxy is seen by them; nothing of them is believed.
        clear_untrusted_proxy_headers=False,
    )  # fmt: skip
    server.channel_class = _channel_of(app)
    return server


def _allow_files() -> None:
    """Let each connection have its file."""
    now, most = resource.getrlimit(resource.RLIMIT_NOFILE)
    wanted = _OPEN_FILES if most == resource.RLIM_INFINITY else min(most, _OPEN_FILES)
    if now < wanted:
        resource.setrlimit(resource.RLIMIT_NOFILE, (wanted, most))


def _channel_of(app: Flask) -> type[_Channel]:
    """The channels of an application; where it has a gate, they listen to strangers briefly."""
    if gate_of(app) is None:
        return _Channel

    class Channel(_Channel):
        @property
        def parser_class(self) -> Callable[[Adjustments], HTTPRequestParser]:
            """What reads requests from this address."""
            return partial(_Parser, app=app, address=str(self.addr[0]))

    return Channel


class _Parser(HTTPRequestParser):
    """Reads no more of a stranger's body than a pass phrase needs, or a device at this machine."""

    def __init__(self, adj: Adjustments, *, app: Flask, address: str) -> None:
        super().__init__(adj)
        self._app, self._address = app, address

    def parse_header(self, header_plus: bytes) -> None:
        """Read a header, and decide on it how much is read of the body."""
        super().parse_header(header_plus)
        if has_session(self._app, self.headers.get("COOKIE", "")):
            return
        self.adj: Adjustments = copy(self.adj)
        self.adj.max_request_body_size = (
            LARGEST_BODY if is_own_address(self._address) else _MOST_UNASKED
        )
