from collections.abc import Iterator
from pathlib import Path

import pytest
from flask import Flask
from flask.testing import FlaskClient

from metrion.demo import prepare
from metrion.web import create_app
from tests.web.photographed import Desk


@pytest.fixture
def app(tmp_path: Path) -> Iterator[Flask]:
    """An application on demo data of its own."""
    prepare(tmp_path)
    made = create_app(tmp_path)
    yield made
    made.extensions["notebook"].store.close()


@pytest.fixture
def client(app: Flask) -> FlaskClient:
    return app.test_client()


@pytest.fixture
def desk(client: FlaskClient) -> Desk:
    """A sheet with one quantity to be measured with a caliper."""
    return Desk(client)
