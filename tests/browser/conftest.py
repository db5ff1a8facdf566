"""A real server on a real database, and Debian's headless Chromium."""

import os
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Any

import pytest
from playwright.sync_api import Browser, Page, expect, sync_playwright

from tests.server import running

SWITCHES = [
    "--headless",
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
]
# How long one waits says something about the machine, not about the page.
expect.set_options(timeout=30_000)


def executable() -> str:
    """The browser that the tests were told to use."""
    return os.environ.get("CHROMIUM", "/usr/bin/chromium")


@pytest.fixture(scope="session")
def browser_type_launch_args() -> dict[str, Any]:
    """How it is started."""
    return {"executable_path": executable(), "args": SWITCHES}


@pytest.fixture
def browser_context_args() -> dict[str, Any]:
    """The size that the interface is laid out for."""
    return {"viewport": {"width": 1280, "height": 800}, "reduced_motion": "reduce"}


@pytest.fixture
def server(tmp_path: Path) -> Iterator[str]:
    """The address of a Metrion with demo data of its own."""
    with running(tmp_path) as address:
        yield address


@pytest.fixture(scope="session")
def unchanged(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    """The address of a Metrion on demo data that tests only look at."""
    with running(tmp_path_factory.mktemp("unchanged")) as address:
        yield address


@contextmanager
def demo_in_browser() -> Iterator[tuple[Browser, str]]:
    """A browser and the address of fresh demo data, for scripts that take pictures or measure."""
    with (
        TemporaryDirectory() as folder,
        running(Path(folder)) as address,
        sync_playwright() as playwright,
    ):
        browser = playwright.chromium.launch(executable_path=executable(), args=SWITCHES)
        yield browser, address
        browser.close()


@pytest.fixture
def page(page: Page) -> Iterator[Page]:
    """A page on which no script may fail unnoticed."""
    problems: list[str] = []
    page.on("pageerror", lambda error: problems.append(str(error)))
    page.on(
        "console",
        lambda message: (
            problems.append(message.text)
            if message.type == "error" and "Failed to load resource" not in message.text
            else None
        ),
    )
    yield page
    assert problems == []
