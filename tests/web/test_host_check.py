"""Who may talk to the server: tried at a real one, since a test client names itself localhost."""

import http.client
import json
import socket
from collections.abc import Iterator
from urllib.parse import urlsplit

import pytest

from tests.server import running


@pytest.fixture(scope="module")
def server(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    with running(
        tmp_path_factory.mktemp("guarded"), "demo", "--name", "Bench.example:80"
    ) as address:
        yield urlsplit(address).netloc


def asked(
    server: str, method: str = "GET", path: str = "/api/sheets", **headers: str
) -> http.client.HTTPResponse:
    """The answer to a request with these headers; the body is a new sheet's."""
    connection = http.client.HTTPConnection(server, timeout=20)
    body = json.dumps({"title": "From elsewhere"}) if method == "POST" else None
    given = {"Host": server, "Content-Type": "application/json", **headers}
    connection.request(method, path, body, {name.replace("_", "-"): v for name, v in given.items()})
    answer = connection.getresponse()
    answer.read()
    connection.close()
    return answer


@pytest.mark.parametrize("host", ["127.0.0.1", "localhost", "LocalHost", "[::1]", "bench.example"])
@pytest.mark.parametrize("port", ["", ":8321"])
def test_the_server_answers_to_its_own_names(server: str, host: str, port: str) -> None:
    assert asked(server, Host=f"{host}{port}").status == 200


@pytest.mark.parametrize(
    "host",
    ["evil.example", "evil.example:8321", "127.0.0.1.evil.example", "bench.example.evil.example",
     "waitress.invalid", "0.0.0.0", "192.168.7.7", "[::2]", "[::::]", "[", "a@localhost", " ", ""],
)  # fmt: skip
@pytest.mark.parametrize("path", ["/", "/api/sheets", "/api/nothing", "/assets/nothing.js"])
def test_a_name_that_was_made_to_point_here_is_refused_on_reads_too(
    server: str, host: str, path: str
) -> None:
    assert asked(server, path=path, Host=host).status in (400, 403)


def test_a_request_without_a_host_is_refused(server: str) -> None:
    name, port = server.split(":")
    with socket.create_connection((name, int(port)), timeout=20) as connection:
        connection.sendall(b"GET /api/sheets HTTP/1.0\r\n\r\n")
        assert b" 403 " in connection.makefile("rb").readline()


@pytest.mark.parametrize(
    "origin",
    ["http://evil.example", "http://[", "http://localhost:1", "null", "", "http://", "//", "x"],
)
def test_pages_of_other_sites_cannot_write(server: str, origin: str) -> None:
    assert asked(server, "POST", Origin=origin).status == 403


@pytest.mark.parametrize("behind", [".evil.example", "0", "/", "@evil.example"])
def test_a_page_whose_origin_only_begins_like_ours_cannot_write(server: str, behind: str) -> None:
    assert asked(server, "POST", Origin=f"http://{server}{behind}").status == 403


def test_its_own_pages_and_programs_can_write(server: str) -> None:
    assert asked(server, "POST", Origin=f"http://{server}").status == 201
    assert asked(server, "POST", Host="bench.example", Origin="http://bench.example").status == 201
    assert asked(server, "POST").status == 201


@pytest.mark.parametrize(
    ("path", "host"),
    [("/", ""), ("/api/sheets", ""), ("/api/nothing", ""), ("/assets/nothing.js", ""),
     ("/api/sheets/spare-parts/report", ""), ("/api/sheets", "evil.example")],
)  # fmt: skip
def test_every_answer_says_what_its_page_may_do(server: str, path: str, host: str) -> None:
    answer = asked(server, path=path, Host=host or server)
    rules = dict(
        rule.split(" ", 1) for rule in answer.headers["Content-Security-Policy"].split("; ")
    )
    assert rules["default-src"] == "'self'"
    assert rules["frame-ancestors"] == "'self'"
    assert "script-src" not in rules
    assert answer.headers["X-Content-Type-Options"] == "nosniff"
    assert answer.headers["Referrer-Policy"] == "no-referrer"


@pytest.mark.parametrize(
    "request_", [b"GET / HTTP/1.1\r\nContent-Length: x\r\n\r\n", b"nonsense\r\n\r\n"]
)
def test_a_broken_request_is_answered_under_the_same_rules(server: str, request_: bytes) -> None:
    name, port = server.split(":")
    with socket.create_connection((name, int(port)), timeout=20) as connection:
        connection.sendall(request_)
        answer = connection.makefile("rb").read()
    assert answer.split(b" ")[1] == b"400"
    assert b"X-Content-Type-Options: nosniff" in answer
    assert b"Content-Security-Policy: default-src" in answer
