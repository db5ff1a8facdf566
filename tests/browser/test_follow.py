"""Windows follow each other; pages of other sites get nowhere."""

import http.server
import threading
from collections.abc import Iterator
from functools import partial
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect

from tests.server import asked

QUANTITY = "/sheets/spare-parts/quantities/spreader"
READING = {"quantity": "spreader", "main": "6", "fine": 3}


def test_a_reading_made_in_one_window_is_seen_in_another_browser(
    page: Page, browser: Browser, server: str
) -> None:
    other = browser.new_context().new_page()
    for window in (page, other):
        window.goto(server + QUANTITY)
        expect(window.locator("tr.reading")).to_have_count(4)
    other.keyboard.type("6 4")
    other.keyboard.press("Enter")
    expect(other.locator("tr.reading")).to_have_count(5)
    expect(page.locator("tr.reading")).to_have_count(5)
    page.get_by_label("main reading").focus()
    page.keyboard.press("Control+z")
    # It is the other window’s, so it is named first.
    page.get_by_role("dialog").get_by_role("button", name="Undo").click()
    expect(page.locator("tr.reading")).to_have_count(4)
    expect(other.locator("tr.reading")).to_have_count(4)
    other.context.close()


def test_what_is_typed_stays_while_another_window_changes_the_sheet(
    page: Page, server: str
) -> None:
    page.goto(server + QUANTITY)
    expect(page.locator("tr.reading")).to_have_count(4)
    page.keyboard.type("6 3")
    asked(server, "/sheets/spare-parts/readings", READING)
    expect(page.locator("tr.reading")).to_have_count(5)
    page.keyboard.press("Enter")
    expect(page.locator("tr.reading")).to_have_count(6)


def test_twelve_windows_follow_and_a_write_is_answered(browser: Browser, server: str) -> None:
    context = browser.new_context()
    windows = [context.new_page() for _ in range(12)]
    for window in windows:
        window.goto(server + QUANTITY)
    assert asked(server, "/sheets/spare-parts/readings", READING)[0] == 201
    for window in windows:
        window.bring_to_front()
        expect(window.locator("tr.reading")).to_have_count(5)
    context.close()


def test_a_title_is_changed_though_readings_come_in_and_not_over_another_new_title(
    page: Page, server: str
) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    expect(page.locator("h1")).to_contain_text("spare parts")

    def rename(title: str) -> None:
        page.get_by_role("button", name="Rename the sheet").click()
        page.get_by_role("textbox").first.fill(title)

    rename("Mine")
    asked(server, "/sheets/spare-parts/readings", READING)
    page.keyboard.press("Enter")
    expect(page.locator("h1")).to_contain_text("Mine")
    assert asked(server, "/sheets/spare-parts")[1]["title"] == "Mine"


def test_the_trash_is_emptied_after_a_question(page: Page, server: str) -> None:
    asked(server, "/sheets/sail-film", method="DELETE")
    page.goto(server)
    page.get_by_text("in the trash").click()
    page.get_by_role("button", name="Empty the trash").click()
    page.get_by_role("tooltip").get_by_role("button", name="Empty the trash").click()
    expect(page.get_by_text("in the trash")).to_have_count(0)
    assert asked(server, "/sheets")[1]["trash"] == []


_EVIL = """<!doctype html><title>elsewhere</title><script>
const at = "%s/api/sheets";
const tried = async (name, act) => {
  try { return `${name} ${await act()}`; } catch (error) { return `${name} refused`; }
};
const form = (method) => new Promise((done) => {
  const frame = document.createElement("iframe");
  frame.name = "target";
  frame.onload = () => { try { done(frame.contentDocument.body.innerText || "sent"); }
                         catch { done("unreadable"); } };
  document.body.append(frame);
  const sent = document.createElement("form");
  sent.method = method; sent.target = "target"; sent.action = at; sent.enctype = "text/plain";
  const field = document.createElement("input");
  field.name = '{"title": "Evil", "x": "'; field.value = '"}';
  sent.append(field); document.body.append(sent); sent.submit();
});
const json = { method: "POST", body: '{"title": "Evil"}',
               headers: { "Content-Type": "application/json" } };
window.tried = (async () => [
  await tried("get", async () => (await fetch(at)).text()),
  await tried("post", async () => (await fetch(at, json)).status),
  await tried("simple", async () =>
    (await fetch(at, { method: "POST", body: '{"title": "Evil"}', mode: "no-cors" })).type),
  await tried("delete", async () =>
    (await fetch(at + "/spare-parts", { method: "DELETE" })).status),
  await tried("form", () => form("post")),
  await tried("steer", () => new Promise((done) => {
    const picture = new Image();
    picture.onload = picture.onerror = () => done("sent");
    picture.src = at.replace("/sheets", "/now?at=/sheets/spare-parts/quantities/spreader");
  })),
])();
</script><body></body>"""


@pytest.fixture
def elsewhere(tmp_path: Path, server: str) -> Iterator[str]:
    """The port of a page of another site that tries to get at the server."""
    port = server.rpartition(":")[2]
    (tmp_path / "evil").mkdir()
    # By the name under which the page itself was reached, as if that pointed here.
    (tmp_path / "evil" / "rebound.html").write_text(_EVIL % f"http://rebound.example:{port}")
    (tmp_path / "evil" / "index.html").write_text(_EVIL % server)
    handler = partial(http.server.SimpleHTTPRequestHandler, directory=tmp_path / "evil")
    site = http.server.ThreadingHTTPServer(("127.0.0.1", 0), handler)
    thread = threading.Thread(target=site.serve_forever)
    thread.start()
    yield str(site.server_port)
    site.shutdown()
    site.server_close()
    thread.join()


@pytest.mark.parametrize(
    ("host", "path"),
    [
        ("127.0.0.1", ""),
        ("localhost", ""),
        ("evil.example", ""),
        ("rebound.example", "rebound.html"),
    ],
)
def test_pages_of_other_sites_read_and_write_nothing(
    browser_type: object, browser_type_launch_args: dict[str, object], server: str, elsewhere: str,
    host: str, path: str,
) -> None:  # fmt: skip
    names = "MAP evil.example 127.0.0.1, MAP rebound.example 127.0.0.1"
    switches = [*browser_type_launch_args["args"], f"--host-resolver-rules={names}"]  # type: ignore[misc]
    opened = browser_type.launch(**{**browser_type_launch_args, "args": switches})  # type: ignore[attr-defined]
    before = asked(server, "/sheets")[1]
    page = opened.new_page()
    page.goto(f"http://{host}:{elsewhere}/{path}")
    tried = page.evaluate("window.tried")
    opened.close()
    assert len(tried) == 6
    assert not any("spare" in one or "20" in one for one in tried), tried
    assert asked(server, "/sheets")[1] == before
    # What a device leaves now goes nowhere: no window of ours is open.
    assert asked(server, "/readings", b"6 3", Content_Type="text/plain")[0] == 409


def test_a_page_of_another_name_made_to_point_here_sees_nothing(
    browser_type: object, browser_type_launch_args: dict[str, object], server: str
) -> None:
    port = server.rpartition(":")[2]
    switches = [
        *browser_type_launch_args["args"],
        "--host-resolver-rules=MAP evil.example 127.0.0.1",
    ]  # type: ignore[misc]
    opened = browser_type.launch(**{**browser_type_launch_args, "args": switches})  # type: ignore[attr-defined]
    page = opened.new_page()
    page.goto(f"http://evil.example:{port}/api/sheets")
    assert "not known by that name" in page.content()
    assert "spare" not in page.content()
    opened.close()
