"""A real Metrion server as a process of its own."""

import json
import os
import re
import subprocess
import sys
import urllib.error
import urllib.request
from collections.abc import Mapping, Sequence
from pathlib import Path
from types import MappingProxyType
from typing import Any

from tests.loaded import Forked

COMMAND = [sys.executable, "-c", "from metrion.cli import main; main()"]


class running:  # noqa: N801 - reads as a phrase
    """A server at work, ended at the end; as a context its address, without a slash behind.

    Args:
        folder: of its data.
        command: how it is started; by default forked from a process that has loaded it, where
            nothing of its environment is else than there.
        port: where it listens; any that is free by default.
        environment: variables that it is started with besides.
        words: what to say on the command line besides.
    """

    def __init__(
        self,
        folder: Path,
        *words: str,
        command: Sequence[str] = (),
        port: str = "0",
        environment: Mapping[str, str] = MappingProxyType({}),
    ) -> None:
        own = {"METRION_DATA": str(folder), "METRION_PORT": port}
        given = {**os.environ, **own, **environment}
        words = words or ("demo",)
        self.process = (
            subprocess.Popen(
                [*(command or COMMAND), *words], stdout=subprocess.PIPE, text=True, env=given
            )
            if command or environment
            else Forked(words, given)
        )

    def __enter__(self) -> str:
        assert self.process.stdout is not None
        found = re.search(r"(http://\S+?)/ ", self.process.stdout.readline())
        assert found is not None
        return found[1]

    def __exit__(self, *_: object) -> None:
        self.process.terminate()
        self.process.wait()
        assert self.process.stdout is not None
        self.process.stdout.close()


def asked(
    server: str,
    path: str,
    body: Any = None,
    method: str | None = None,
    version: int = 0,
    **more: str,
) -> tuple[int, Any]:
    """Status and answer of a request to the API; the answer as bytes where it is no JSON.

    A body is sent as JSON, bytes as they are; ``more`` headers by name, with _ for -.
    """
    headers = {
        "Content-Type": "application/json",
        **{name.replace("_", "-"): value for name, value in more.items()},
    }
    if version:
        headers["If-Match"] = f'"{version}"'
    given = body if body is None or isinstance(body, bytes) else json.dumps(body).encode()
    request = urllib.request.Request(f"{server}/api{path}", given, headers, method=method)
    try:
        with urllib.request.urlopen(request, timeout=60) as answer:
            found = answer.read()
            as_json = answer.headers.get_content_type() == "application/json"
            return answer.status, json.loads(found) if found and as_json else found
    except urllib.error.HTTPError as error:
        with error:
            return error.code, json.load(error)
