"""The pass phrase typed in a real browser, and a phone at the bench, in a network of their own."""

import os
import subprocess
import sys
from pathlib import Path

ROOT = Path(__file__).parents[2]
_SCRIPT = """
import os, re, sys
from pathlib import Path
from playwright.sync_api import expect, sync_playwright
from tests.browser.conftest import SWITCHES, executable
from tests.server import running

started = running(Path(sys.argv[1]), "demo", "--host", "10.9.8.7")
with started as address, sync_playwright() as playwright:
    code = re.search(r"/pair/\\S+", started.process.stdout.readline())[0]
    browser = playwright.chromium.launch(executable_path=executable(), args=SWITCHES)
    laptop = browser.new_context().new_page()
    laptop.goto(address + "/sheets/spare-parts")
    laptop.get_by_label("Pass phrase").fill("not this one")
    laptop.keyboard.press("Enter")
    expect(laptop.get_by_role("alert")).to_have_text("That is not the pass phrase.")
    laptop.get_by_label("Pass phrase").fill(os.environ["METRION_PASS_PHRASE"])
    laptop.get_by_role("button", name="Go in").click()
    expect(laptop.locator("h1")).to_have_text("Notebook")
    place = "/sheets/spare-parts/quantities/spreader"
    with laptop.expect_response(lambda one: "at=" + place.replace("/", "%2F") in one.url):
        laptop.goto(address + place)
    phone = browser.new_context(viewport={"width": 390, "height": 844}, has_touch=True).new_page()
    phone.goto(address + code)
    expect(phone).to_have_url(address + place)
    expect(phone.locator("tr.reading")).to_have_count(4)
    laptop.keyboard.type("6 4")
    laptop.keyboard.press("Enter")
    expect(phone.locator("tr.reading")).to_have_count(5)
    browser.close()
    print("both are in")
"""


def test_the_pass_phrase_opens_and_a_phone_follows_to_what_is_open(tmp_path: Path) -> None:
    alone = "ip link set lo up; ip addr add 10.9.8.7/32 dev lo"
    done = subprocess.run(
        ["unshare", "--map-root-user", "--net", "sh", "-c", f'{alone}; exec "$@"', "sh",
         sys.executable, "-c", _SCRIPT, str(tmp_path)],
        cwd=ROOT, capture_output=True, text=True, check=False, timeout=120,
        env={**os.environ, "METRION_PASS_PHRASE": "seven kites in May"},
    )  # fmt: skip
    assert done.stdout.endswith("both are in\n"), done.stderr
