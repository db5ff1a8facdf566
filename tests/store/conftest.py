from collections.abc import Iterator
from pathlib import Path

import pytest

from metrion.store import Store


@pytest.fixture
def store(tmp_path: Path) -> Iterator[Store]:
    opened = Store(tmp_path)
    yield opened
    opened.close()
