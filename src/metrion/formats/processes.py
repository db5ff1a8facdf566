"""Work on what comes from outside, in processes of its own: bounded in memory and in time.

Few are at work at a time. They are started afresh, not copied from one that is at work, and kept
for the next; one that takes too long, or whose work nobody wants any more, is ended.
"""

from __future__ import annotations

import atexit
import importlib
import os
import pickle
import resource
import select
import signal
import struct
import subprocess
import sys
import time
from collections.abc import Callable
from copyreg import pickle as pickled_by
from threading import BoundedSemaphore, Lock
from types import MappingProxyType
from typing import IO, Any, ParamSpec, TypeVar

from metrion.core.errors import MetrionError
from metrion.formats.faults import Refused, refusal

MOST_AT_WORK = 2
MEGABYTES = 1_200
"""Of its own that a process may have."""
SECONDS = 30.0
"""That a work may take."""
_MOST_WAITING, _PATIENCE = 8, 60.0
_TASKS = 200
"""After so many a process is started afresh."""
_TICK = 0.1
_NICE = 10
_SIZE = struct.Struct("<Q")
_CHUNK = 1024 * 1024


def _view_of(found: dict[Any, Any]) -> MappingProxyType[Any, Any]:
    return MappingProxyType(found)


# What is known of an entry besides is a view that nobody changes.
pickled_by(MappingProxyType, lambda view: (_view_of, (dict(view),)))

Arguments = ParamSpec("Arguments")
Found = TypeVar("Found")


class Crowded(MetrionError):
    """Too much of this is at work already; asking again may help."""

    def __init__(self) -> None:
        super().__init__("crowded")


class Unwanted(MetrionError):
    """Nobody waits for what was asked any more."""

    def __init__(self) -> None:
        super().__init__("unwanted")


class _Process:
    """One that does what it is told, one work after the other."""

    def __init__(self) -> None:
        self.tasks = 0
        # One thread each: several at a time are the others.
        alone = dict.fromkeys(("OPENBLAS_NUM_THREADS", "OMP_NUM_THREADS"), "1")
        self._process = subprocess.Popen(
            [sys.executable, "-c", "from metrion.formats.processes import be_one; be_one()"],
            stdin=subprocess.PIPE, stdout=subprocess.PIPE, env={**os.environ, **alone},
        )  # fmt: skip

    def answer(self, task: bytes, seconds: float, wanted: Callable[[], bool]) -> Any:
        """What comes of a task.

        Raises:
            Refused: if it takes too long, or too much memory.
            Unwanted: if nobody waits for it any more.
        """
        assert self._process.stdin is not None
        assert self._process.stdout is not None
        until = time.monotonic() + seconds
        try:
            self._process.stdin.write(_SIZE.pack(len(task)) + task)
            self._process.stdin.flush()
            (size,) = _SIZE.unpack(self._read(_SIZE.size, until, wanted))
            return pickle.loads(self._read(size, until, wanted))
        except (BrokenPipeError, EOFError):
            raise refusal("takes-too-much") from None

    def _read(self, size: int, until: float, wanted: Callable[[], bool]) -> bytes:
        assert self._process.stdout is not None
        pipe, found = self._process.stdout.fileno(), bytearray()
        while len(found) < size:
            if time.monotonic() > until:
                raise refusal("takes-too-long")
            if not wanted():
                raise Unwanted
            if select.select([pipe], [], [], _TICK)[0]:
                part = os.read(pipe, min(_CHUNK, size - len(found)))
                if not part:
                    raise EOFError
                found += part
        return bytes(found)

    def end(self) -> None:
        """End it, whatever it is at."""
        self._process.kill()
        self._process.wait()
        for pipe in (self._process.stdin, self._process.stdout):
            if pipe:
                pipe.close()


class _Processes:
    """A few of them, and who waits for one."""

    def __init__(self) -> None:
        self._resting: list[_Process] = []
        self._lock = Lock()
        self._room = BoundedSemaphore(MOST_AT_WORK + _MOST_WAITING)
        self._places = BoundedSemaphore(MOST_AT_WORK)

    def answer(self, task: bytes, seconds: float, wanted: Callable[[], bool]) -> Any:
        """What comes of a task. Raises as `apart` does."""
        if not self._room.acquire(blocking=False):
            raise Crowded
        try:
            self._wait(wanted)
            try:
                return self._done(task, seconds, wanted)
            finally:
                self._places.release()
        finally:
            self._room.release()

    def _wait(self, wanted: Callable[[], bool]) -> None:
        until = time.monotonic() + _PATIENCE
        while not self._places.acquire(timeout=_TICK):
            if time.monotonic() > until:
                raise Crowded
            if not wanted():
                raise Unwanted

    def _done(self, task: bytes, seconds: float, wanted: Callable[[], bool]) -> Any:
        with self._lock:
            process = self._resting.pop() if self._resting else None
        process = process or _Process()
        try:
            found = process.answer(task, seconds, wanted)
        except BaseException:
            process.end()
            raise
        process.tasks += 1
        if process.tasks < _TASKS:
            with self._lock:
                self._resting.append(process)
        else:
            process.end()
        return found

    def end(self) -> None:
        """End those that are at rest."""
        with self._lock:
            while self._resting:
                self._resting.pop().end()


_PROCESSES = _Processes()
atexit.register(_PROCESSES.end)


def apart(
    work: Callable[Arguments, Found],
    wanted: Callable[[], bool] = lambda: True,
    seconds: float = SECONDS,
) -> Callable[Arguments, Found]:
    """A function as it is done in a process of its own.

    Args:
        work: of a module; what it is given, and what it finds, is copied.
        wanted: whether somebody still waits for what it finds.
        seconds: that it may take.

    Raises:
        Refused: as it does, and where it takes too long or too much memory.
        Crowded: if too many wait already.
        Unwanted: if nobody waits any more.
    """

    def done(*given: Arguments.args, **named: Arguments.kwargs) -> Found:
        task = pickle.dumps((work.__module__, work.__qualname__, given, named, seconds))
        found, what = _PROCESSES.answer(task, seconds, wanted)
        if found == "refused":
            raise Refused(what)
        if found == "failed":
            raise RuntimeError(what)
        result: Found = what
        return result

    return done


def _serve(tasks: IO[bytes], answers: IO[bytes]) -> None:
    """Do what is told until nobody tells anything any more."""
    while head := tasks.read(_SIZE.size):
        (size,) = _SIZE.unpack(head)
        module, name, given, named, seconds = pickle.loads(tasks.read(size))
        # Should nobody be there any more to end it.
        signal.alarm(int(seconds) + 2)
        found = pickle.dumps(_done(module, name, given, named))
        signal.alarm(0)
        answers.write(_SIZE.pack(len(found)) + found)
        answers.flush()


def _done(module: str, name: str, given: Any, named: Any) -> tuple[str, object]:
    try:
        return "done", getattr(importlib.import_module(module), name)(*given, **named)
    except Refused as refused:
        return "refused", refused.faults
    except MemoryError:
        return "refused", refusal("takes-too-much").faults
    # Whatever it is, who waits for it is told.
    except Exception as error:
        return "failed", f"{name}: {error!r}"


def be_one() -> None:
    """Be such a process."""
    most = MEGABYTES * 1024**2
    resource.setrlimit(resource.RLIMIT_DATA, (most, most))
    os.nice(_NICE)
    # Who is interrupted at a terminal ends it.
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    answers = os.fdopen(os.dup(1), "wb")
    # What anybody prints is no answer.
    os.dup2(2, 1)
    _serve(sys.stdin.buffer, answers)
