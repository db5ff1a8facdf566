"""A process that has loaded Metrion and forks a command of it for whoever asks.

What takes longest of a start are the imports, which are the same for each. `running` starts its
servers here; what a start itself has to hold is tested with `command=COMMAND`.
"""

import json
import os
import select
import signal
import socket
import subprocess
import sys
from collections.abc import Mapping, Sequence
from functools import cache
from importlib import import_module


@cache
def _loaded() -> tuple[socket.socket, object]:
    """The way to that process, and itself, which ends with this one."""
    ours, theirs = socket.socketpair(socket.AF_UNIX, socket.SOCK_SEQPACKET)
    process = subprocess.Popen([sys.executable, "-m", "tests.loaded"], stdin=theirs.fileno())
    theirs.close()
    return ours, process


class Forked:
    """A command that was forked, as a `subprocess.Popen` tells of it."""

    def __init__(self, words: Sequence[str], environment: Mapping[str, str]) -> None:
        printed, prints = os.pipe()
        asked = json.dumps([words, dict(environment)]).encode()
        loaded, _ = _loaded()
        socket.send_fds(loaded, [asked], [prints])
        os.close(prints)
        self.stdout = os.fdopen(printed, encoding="utf-8")
        self.pid = int(loaded.recv(32))
        self._end = os.pidfd_open(self.pid)

    def terminate(self) -> None:
        """Ask it to end."""
        signal.pidfd_send_signal(self._end, signal.SIGTERM)

    def kill(self) -> None:
        """End it at once."""
        signal.pidfd_send_signal(self._end, signal.SIGKILL)

    def wait(self) -> None:
        """Until it has ended."""
        select.select([self._end], [], [])
        os.close(self._end)


def _serve() -> None:
    for module in ("metrion.web.app", "metrion.web.server", "metrion.store.pruning"):
        import_module(module)
    from metrion.cli import main

    # Nobody waits for those that end.
    signal.signal(signal.SIGCHLD, signal.SIG_IGN)
    asks = socket.socket(fileno=os.dup(0))
    while True:
        asked, given, *_ = socket.recv_fds(asks, 1 << 20, 1)
        if not asked:
            return
        child = os.fork()
        if child == 0:
            break
        os.close(given[0])
        asks.send(str(child).encode())
    asks.close()
    signal.signal(signal.SIGCHLD, signal.SIG_DFL)
    os.dup2(given[0], 1)
    os.close(given[0])
    os.dup2(os.open(os.devnull, os.O_RDONLY), 0)
    words, environment = json.loads(asked)
    os.environ.clear()
    os.environ.update(environment)
    sys.argv = ["metrion", *words]
    main()


if __name__ == "__main__":
    _serve()
