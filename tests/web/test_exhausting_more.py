"""Pictures, PDFs, archives, locks and idle clients that would exhaust a server: the real one."""

import http.client
import json
import socket
import sqlite3
import subprocess
import threading
import time
from collections.abc import Iterator
from contextlib import ExitStack, closing
from hashlib import sha256
from io import BytesIO
from pathlib import Path
from typing import Any
from urllib.parse import urlencode, urlsplit
from zipfile import ZIP_DEFLATED, ZipFile

import numpy as np
import pytest
from PIL import Image
from pypdf import PdfReader, PdfWriter

from metrion.demo import demo_file
from metrion.store.database import FILE_NAME
from tests.formats.test_faults import GOOD
from tests.server import COMMAND, asked, running
from tests.web.test_authentication import visited
from tests.web.test_exhausting import watched  # noqa: F401 - a fixture

PICTURE = "/sheets/spare-parts/readings/{}/photograph?x1=100&y1=300&x2=700&y2=300"
LOOK = {"seq": 1, "main": "6", "fine": "3", "fine_as": "line", "instrument": "cal-a", "zero": []}


@pytest.fixture(scope="module")
def server(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    with running(tmp_path_factory.mktemp("more")) as address:
        yield address


def reading(server: str) -> str:
    """A reading of the first quantity, taken with a vernier."""
    sheet = asked(server, "/sheets/spare-parts")[1]
    return str(sheet["quantities"][0]["readings"][0]["id"])


def jpeg(size: tuple[int, int], **more: Any) -> bytes:
    into = BytesIO()
    Image.new("L", size, 128).save(into, "JPEG", **more)
    return into.getvalue()


def png(size: tuple[int, int]) -> bytes:
    into = BytesIO()
    Image.new("1", size).save(into, "PNG")
    return into.getvalue()


def of_many_scans(scans: int, size: tuple[int, int] = (3000, 2000)) -> bytes:
    """A progressive JPEG whose last scan is there again and again."""
    content = jpeg(size, progressive=True)
    last = content.rindex(b"\xff\xda")
    return content[:-2] + content[last:-2] * scans + content[-2:]


@pytest.mark.parametrize(
    ("content", "says"),
    [
        (of_many_scans(4_000), "more than 40 scans"),
        (jpeg((16_385, 8)), "longer than 16384 pixels"),
        (png((65_000, 700)), "longer than 16384 pixels"),
        (png((5_000, 5_000)), "more than 24 million pixels: save it as JPEG"),
        (jpeg((16_000, 8_000)), "more than 120 million pixels: take a smaller one"),
        (of_many_scans(1)[:-40_000], "no picture that can be read"),
    ],
    ids=["scans", "long", "thin", "png", "vast", "cut"],
)
def test_a_picture_that_would_take_too_much_is_refused_in_words(
    watched: str,  # noqa: F811
    content: bytes,
    says: str,
) -> None:
    status, answer = asked(watched, PICTURE.format(reading(watched)), content, "POST")
    assert (status, says in answer["message"]) == (422, True), answer["message"]


def test_a_picture_of_fifty_million_pixels_is_measured_in_little_memory(server: str) -> None:
    status, answer = asked(server, PICTURE.format(reading(server)), jpeg((8_192, 6_144)), "POST")
    assert (status, answer["verdict"]) == (200, "cannot-tell")


def with_picture(content: bytes, times: int = 1) -> bytes:
    """An archive of one logbook, with a picture listed so many times."""
    name = sha256(content).hexdigest()
    listed = [{"file": "a.json", "pictures": [f"pictures/{name}.jpg"] * times}]
    manifest = {"format": "metrion-manifest", "version": 1, "logbooks": listed}
    packed = BytesIO()
    with ZipFile(packed, "w", ZIP_DEFLATED) as written:
        written.writestr("manifest.json", json.dumps(manifest))
        written.writestr("a.json", json.dumps(GOOD))
        written.writestr(f"pictures/{name}.jpg", content)
    return packed.getvalue()


def protected() -> bytes:
    writer = PdfWriter()
    writer.add_blank_page(100, 100)
    writer.encrypt("owner and user")
    into = BytesIO()
    writer.write(into)
    return into.getvalue()


def inflating(filters: str, content: bytes, more: str = "") -> bytes:
    """A PDF that carries a logbook which comes to far more than it is."""
    objects = [
        "<< /Type /Catalog /Pages 2 0 R /Names << /EmbeddedFiles << /Names "
        "[(a.metrion.json) 4 0 R] >> >> >>",
        "<< /Type /Pages /Kids [3 0 R] /Count 1 >>",
        "<< /Type /Page /Parent 2 0 R /MediaBox [0 0 9 9] >>",
        "<< /Type /Filespec /F (a.metrion.json) /UF (a.metrion.json) /EF << /F 5 0 R >> >>",
        f"<< /Type /EmbeddedFile /Filter [{filters}] {more} /Length {len(content)} >>\nstream\n",
    ]
    found, places = b"%PDF-1.7\n", []
    for number, told in enumerate(objects, 1):
        places.append(len(found))
        found += f"{number} 0 obj\n{told}".encode()
        found += content + b"\nendstream" if "stream" in told else b""
        found += b"\nendobj\n"
    begin = len(found)
    found += f"xref\n0 {len(objects) + 1}\n0000000000 65535 f \n".encode()
    found += b"".join(f"{place:010} 00000 n \n".encode() for place in places)
    found += f"trailer << /Size {len(objects) + 1} /Root 1 0 R >>\nstartxref\n{begin}\n".encode()
    return found + b"%%EOF"


def test_such_a_pdf_carries_what_it_says() -> None:
    (one,) = PdfReader(BytesIO(inflating("/ASCII85Decode", b'87cURD]i,"Ebo80~>'))).attachment_list
    assert one.content == b"Hello World!"


@pytest.mark.parametrize(
    ("content", "says"),
    [
        (with_picture(of_many_scans(4_000)), "more than 40 scans"),
        (with_picture(jpeg((90, 60)), 300_000), "more than 200 pictures are listed"),
        (with_picture(jpeg((90, 60)), 2), "more than 200 pictures are listed, or one of them"),
        (with_picture(jpeg((90, 60), comment=b"taken by Ada")), "is not the one"),
        (with_picture(jpeg((90, 60)) + b"by Ada"), "is not the one"),
        (protected(), "protected by a password"),
        (inflating("/ASCII85Decode", b"z" * 40_000_000 + b"~>"), ""),
        (inflating("/RunLengthDecode", b"\x81 " * 20_000_000 + b"\x80"), ""),
    ],
    ids=["scans", "listed", "twice", "comment", "behind", "protected", "ascii85", "runs"],
)
def test_so_is_what_comes_in_a_file(
    watched: str,  # noqa: F811
    content: bytes,
    says: str,
) -> None:
    begun = time.monotonic()
    status, answer = asked(watched, "/arrivals?name=x", content, "POST")
    told = json.dumps(answer, ensure_ascii=False)
    assert (status == 422 or "faulty" in told, says in told) == (True, True), told[:300]
    assert "Traceback" not in told
    assert time.monotonic() - begun < 60


def many_sheets(count: int) -> bytes:
    packed = BytesIO()
    content = json.dumps({**GOOD, "title": "One of many"})
    with ZipFile(packed, "w", ZIP_DEFLATED) as written:
        listed = [{"file": f"{number}"} for number in range(count)]
        manifest = {"format": "metrion-manifest", "version": 1, "logbooks": listed}
        written.writestr("manifest.json", json.dumps(manifest))
        for number in range(count):
            written.writestr(f"{number}", content)
    return packed.getvalue()


def test_many_sheets_of_one_title_are_each_compared_with_itself_alone(server: str) -> None:
    content = many_sheets(300)
    query = "&".join(["name=x", *["decision=new"] * 300])
    assert asked(server, f"/arrivals/take?{query}", content, "POST")[0] == 201
    status, found = asked(server, "/arrivals?name=x", content, "POST")
    assert (status, {one["standing"] for one in found}) == (200, {"new"})
    saved = asked(server, "/archive")[1]
    status, found = asked(server, "/arrivals?name=x", saved, "POST")
    assert (status, {one["standing"] for one in found}, len(found) > 300) == (200, {"same"}, True)


def test_a_table_of_thirty_million_cells_is_not_tried_on_every_quantity(
    watched: str,  # noqa: F811
) -> None:
    content = (b"1," * 199 + b"1\n") * 150_000
    status, answer = asked(watched, "/tables/fits", content, "POST")
    assert (status, "more than 3000000 cells" in answer["message"]) == (422, True)


def typing(server: str, times: int = 20) -> float:
    """The longest wait for an answer to typing, in seconds."""
    waits = []
    for _ in range(times):
        begun = time.monotonic()
        assert asked(server, "/sheets/spare-parts/look", LOOK)[0] == 200
        waits.append(time.monotonic() - begun)
    return max(waits)


def test_photographs_keep_nobody_from_typing_and_few_are_read_at_once(server: str) -> None:
    random = np.random.default_rng(1)
    into = BytesIO()
    noise = Image.fromarray(random.integers(0, 255, (3_000, 4_000), dtype=np.uint8))
    noise.save(into, "JPEG", quality=60)
    path, statuses = PICTURE.format(reading(server)), []

    def ask() -> None:
        statuses.append(asked(server, path, into.getvalue(), "POST")[0])

    threads = [threading.Thread(target=ask) for _ in range(8)]
    for thread in threads:
        thread.start()
    answered = 0
    while any(thread.is_alive() for thread in threads):
        typing(server, 1)
        answered += 1
    # One thread of the server would have had to wait for all eight.
    assert answered > 8
    assert statuses == [200] * 8


def test_a_photograph_of_a_client_that_has_gone_is_let_go(tmp_path: Path) -> None:
    started = running(tmp_path, command=COMMAND)
    with started as address:
        path, content = PICTURE.format(reading(address)), of_many_scans(30, (12_000, 9_000))
        typing(address, 1)
        gone = http.client.HTTPConnection(urlsplit(address).netloc, timeout=30)
        gone.request("POST", f"/api{path}", content)
        children = f"pgrep -P {started.process.pid} -f be_one"
        until = time.monotonic() + 20
        while not (found := subprocess.getoutput(children)) and time.monotonic() < until:
            time.sleep(0.05)
        assert found
        gone.close()
        while subprocess.getoutput(children) == found and time.monotonic() < until:
            time.sleep(0.05)
        assert subprocess.getoutput(children) != found


def test_beside_a_locked_database_typing_is_answered_and_a_write_told_to_come_again(
    tmp_path: Path,
) -> None:
    with running(tmp_path) as address:
        database = next(tmp_path.rglob(FILE_NAME))
        answers: list[tuple[int, float]] = []

        def write() -> None:
            begun = time.monotonic()
            status, _ = asked(address, "/sheets", {"title": "Later"})
            answers.append((status, time.monotonic() - begun))

        with closing(sqlite3.connect(database, isolation_level=None)) as other:
            other.execute("BEGIN IMMEDIATE")
            threads = [threading.Thread(target=write) for _ in range(20)]
            for thread in threads:
                thread.start()
            answered = 0
            while any(thread.is_alive() for thread in threads):
                typing(address, 1)
                answered += 1
            other.execute("ROLLBACK")
        assert {status for status, _ in answers} == {503}
        # All of them wait for the one lock together, not one after the other.
        assert max(wait for _, wait in answers) < 2 * min(wait for _, wait in answers)
        assert answered > 20
        assert asked(address, "/sheets", {"title": "Now"})[0] == 201


def test_idle_connections_shut_nobody_out(server: str) -> None:
    host, port = urlsplit(server).netloc.split(":")
    with ExitStack() as idle:
        for _ in range(300):
            idle.enter_context(socket.create_connection((host, int(port)), timeout=5))
        assert asked(server, "/sheets")[0] == 200


_FLOOD = """
def send(headers, to="10.9.8.7", path="/enter"):
    import select
    link = socket.create_connection((to, int(port)), timeout=20)
    link.sendall(f"POST {path} HTTP/1.1\\r\\nHost: {to}\\r\\n{headers}\\r\\n".encode())
    sent = 0
    try:
        while sent < 80_000_000:
            if select.select([link], [], [], 0)[0]:
                break
            link.sendall(b"100000\\r\\n" + b"x" * 0x100000 + b"\\r\\n")
            sent += 0x100000
        answer = link.recv(100).split(b" ")[1].decode()
    except OSError:
        answer = "cut"
    return sent < 20_000_000, answer

print(send("Content-Length: 60000000\\r\\n"), send("Transfer-Encoding: chunked\\r\\n")[0])
cookie = enter("seven kites in May").getheader("Set-Cookie").split(";")[0]
print(ask("/api/arrivals?name=x", "POST", "[" * 3_000_000, cookie=cookie).status)
try:
    print(ask("/api/arrivals?name=x", "POST", "[" * 3_000_000, came_from=9).status)
except OSError:
    # The answer came, and the end, before all of it was sent.
    print("cut")
"""


def test_of_who_has_not_entered_nothing_beyond_a_small_body_is_read(tmp_path: Path) -> None:
    declared, entered, stranger = visited(tmp_path, _FLOOD)
    assert declared in ("(True, '413') True", "(True, 'cut') True")
    assert entered == "200"
    assert stranger in ("413", "cut")


def test_the_form_of_the_pass_phrase_still_fits(tmp_path: Path) -> None:
    words = urlencode({"phrase": "x" * 1_000})
    assert visited(tmp_path, f'print(ask("/enter", "POST", "{words}", form=True).status)') == [
        "401"
    ]


def test_demo_files_come_in_as_ever(server: str) -> None:
    assert asked(server, "/arrivals?name=x", demo_file("sail-film"), "POST")[0] == 200
