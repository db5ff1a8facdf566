"""Open to a network: in a network of its own, with the real command and nothing beyond it."""

import subprocess
import sys
from pathlib import Path

import pytest

from metrion.web.authentication import Gate
from metrion.web.problems import Problem
from tests.server import COMMAND

ROOT = Path(__file__).parents[2]
PHRASE = "seven kites in May"
ALONE = (
    "ip link set lo up; ip addr add 10.9.8.7/32 dev lo; ip addr add fd00::7/128 dev lo; "
    "ip route add local 10.9.7.0/24 dev lo"
)


def alone(
    *words: str, environment: dict[str, str] | None = None
) -> subprocess.CompletedProcess[str]:
    """A command in a network that has this machine alone, under two addresses of its own."""
    given = {
        "PATH": "/usr/sbin:/usr/bin:/sbin:/bin",
        "PYTHONPATH": str(ROOT),
        **(environment or {}),
    }
    return subprocess.run(
        ["unshare", "--map-root-user", "--net", "sh", "-c", f'{ALONE}; exec "$@"', "sh", *words],
        cwd=ROOT, capture_output=True, text=True, check=False, timeout=120,
        stdin=subprocess.DEVNULL, env=given,
    )  # fmt: skip


_VISIT = """
import http.client, re, socket, sys
from pathlib import Path
from urllib.parse import urlencode
from tests.server import running

started = running(Path(sys.argv[1]), "demo", "--host", sys.argv[2])
with started as address:
    port = address.rpartition(":")[2]
    said = started.process.stdout.readline()
    code = re.search(r"/pair/(\\S+)", said)[0]
    at = re.search(r"http://(\\S+?):", said)[1].strip("[]")

    def ask(path, method="GET", body=None, cookie="", host="", form=False, to="10.9.8.7",
            came_from=None, **more):
        connection = http.client.HTTPConnection(to, int(port), timeout=30)
        if came_from:
            connection.source_address = (f"10.9.7.{came_from}", 0)
        kind = "application/x-www-form-urlencoded" if form else "application/json"
        headers = {"Content-Type": kind, "Cookie": cookie, **more}
        if host:
            headers["Host"] = host
        connection.request(method, path, body, headers)
        answer = connection.getresponse()
        answer.text = answer.read().decode()
        connection.close()
        return answer

    def enter(phrase, came_from=None):
        words = urlencode({"phrase": phrase})
        return ask("/enter", "POST", words, form=True, came_from=came_from)

    exec(sys.argv[3])
"""


def visited(folder: Path, what: str, host: str = "0.0.0.0") -> list[str]:
    """What is printed in there."""
    done = alone(
        sys.executable, "-c", _VISIT, str(folder), host, what,
        environment={"METRION_PASS_PHRASE": PHRASE},
    )  # fmt: skip
    assert done.returncode == 0, done.stderr
    return done.stdout.splitlines()


@pytest.mark.parametrize("host", ["0.0.0.0", "::", "10.9.8.7"])
def test_without_the_pass_phrase_nothing_is_seen_under_any_name(tmp_path: Path, host: str) -> None:
    what = """
hosts = ["10.9.8.7", "[fd00::7]", socket.gethostname(), "localhost", "10.9.8.8", "evil.example"]
print(*[ask("/api/sheets", host=one).status for one in hosts])
print(ask("/api/sheets", "POST", "{}").status, ask("/api/openapi.json").status)
print(*[ask(path).getheader("Location") for path in ("/", "/sheets/spare-parts", "/assets/x.js")])
"""
    known = "401 401 401 401" if ":" in host or host == "0.0.0.0" else "401 403 403 403"
    assert visited(tmp_path, what, host) == [f"{known} 403 403", "401 401", "/enter /enter /enter"]


def test_the_pass_phrase_opens_with_a_cookie_that_no_script_and_no_other_site_gets(
    tmp_path: Path,
) -> None:
    what = """
print(enter("wrong").status, enter("").status, ask("/enter").status)
answer = enter("seven kites in May")
cookie, *rules = [one.strip() for one in answer.getheader("Set-Cookie").split(";")]
print(answer.status, answer.getheader("Location"), "HttpOnly" in rules, "SameSite=Lax" in rules)
print(ask("/api/sheets", cookie=cookie).status, ask("/", cookie=cookie).status)
print(ask("/api/sheets", cookie=cookie[:-3] + "xyz").status)
"""
    assert visited(tmp_path, what) == ["401 401 200", "303 / True True", "200 200", "401"]


def test_guessing_keeps_one_address_out_for_a_while_and_nobody_else(tmp_path: Path) -> None:
    what = """
print(*[enter(str(n)).status for n in range(4)], ask("/pair/guessed").status)
print(enter("seven kites in May").status, ask(code).status, ask("/enter").status)
print([enter(f"x{n}", n).status for n in range(20, 60)].count(401))
print(enter("seven kites in May", 70).status, ask(code, came_from=71).status)
"""
    assert visited(tmp_path, what) == [
        "401 401 401 401 401", "429 429 200", "40", "303 303",
    ]  # fmt: skip


_ENTERED = """
def entered(phrase="seven kites in May"):
    return enter(phrase).getheader("Set-Cookie").split(";")[0]
"""


def test_leaving_ending_all_sessions_and_a_new_code_work_without_a_restart(tmp_path: Path) -> None:
    what = f"""{_ENTERED}
one, two, three = entered(), entered(), entered()
print(ask("/leave", "POST", cookie=one).status)
print(*[ask("/api/sheets", cookie=cookie).status for cookie in (one, two, three)])
renewed = ask("/api/access/code", "POST", cookie=two)
new = re.search("/pair/[-_0-9A-Za-z]+", renewed.text)[0]
print(renewed.status, new != code, ask(code).status, ask(new).status)
# Told at this machine, by a name that means nothing to the phone.
local = ask("/api/access/code", "POST", cookie=two, to="127.0.0.1").text
new = re.search("/pair/[-_0-9A-Za-z]+", local)[0]
print("http://10.9.8.7:" in local, "127.0.0.1" in local)
ended = ask("/api/access/end-sessions", "POST", cookie=two)
own = ended.getheader("Set-Cookie").split(";")[0]
print(*[ask("/api/sheets", cookie=cookie).status for cookie in (two, three, own)])
print(ask(new).status, ask("/api/access/code", "POST", cookie=three).status)
"""
    assert visited(tmp_path, what) == [
        "303", "401 200 200", "201 True 401 303", "True False", "401 401 200", "401 401",
    ]  # fmt: skip


def test_a_device_at_this_machine_needs_no_pass_phrase_and_one_beyond_does(tmp_path: Path) -> None:
    what = """
place = "/api/readings?sheet=spare-parts&quantity=spreader"
for host, more in (("127.0.0.1", {}), ("127.0.0.1", {"X-Forwarded-For": "10.1.1.1"}),
                   ("127.0.0.1", {"Forwarded": "for=10.1.1.1"}), ("10.9.8.7", {})):
    print(ask(place, "POST", "6 3", to=host, **more).status, end=" ")
print(ask("/api/sheets", to="127.0.0.1").status)
"""
    assert visited(tmp_path, what) == ["201 401 401 201 401"]


def test_the_code_takes_a_phone_to_the_sheet_that_is_open_on_the_laptop(tmp_path: Path) -> None:
    what = """
laptop = enter("seven kites in May").getheader("Set-Cookie").split(";")[0]
place = "/sheets/sail-film/quantities/film"
print(at, ask("/api/now?sheet=sail-film&at=" + place, cookie=laptop).status)
print(*[ask("/api/now?at=" + bad, cookie=laptop).status
        for bad in ("//evil.example", "http:/x", "/%5Cevil.example", "/a%0Ab")])
phone = ask(code)
print(phone.status, phone.getheader("Location") == place)
cookie = phone.getheader("Set-Cookie").split(";")[0]
print(ask("/api/sheets/sail-film", cookie=cookie).status)
"""
    assert visited(tmp_path, what) == ["10.9.8.7 200", "422 422 422 422", "303 True", "200"]


def test_the_code_holds_for_a_while_only() -> None:
    time = [0.0]
    gate = Gate(PHRASE, lambda: time[0])
    assert gate.pairs(gate.code.text, "a") is gate.code
    time[0] = 15 * 60
    assert not gate.pairs(gate.code.text, "a")
    assert gate.opens(PHRASE, "a")
    assert gate.pairs(gate.renew("/sheets/s").text, "a") is gate.code


def test_patience_lets_one_try_again() -> None:
    time = [0.0]
    gate = Gate(PHRASE, lambda: time[0])
    assert not any(gate.opens("x", "fd00::1") for _ in range(5))
    # One who has a network has all of its addresses.
    with pytest.raises(Problem):
        gate.opens(PHRASE, "fd00::2")
    assert gate.opens(PHRASE, "fd00:0:0:1::1")
    time[0] = 60.0
    assert gate.opens(PHRASE, "fd00::2")


def test_many_wrong_tries_of_all_make_wrong_answers_wait_and_no_right_one() -> None:
    waited: list[float] = []
    gate = Gate(PHRASE, lambda: 0.0, waited.append)
    for number in range(30):
        assert not gate.opens("x", f"10.0.0.{number}")
    assert len(waited) == 11
    assert gate.opens(PHRASE, "10.0.0.99")
    assert gate.pairs(gate.code.text, "10.0.0.98")
    assert len(waited) == 11


@pytest.mark.parametrize("given", ["", "short"])
@pytest.mark.parametrize("host", ["0.0.0.0", "::", "10.9.8.7"])
def test_without_a_phrase_it_does_not_open(tmp_path: Path, host: str, given: str) -> None:
    done = alone(
        *COMMAND, "serve", "--data", str(tmp_path), "--port", "0", "--host", host,
        environment={"METRION_PASS_PHRASE": given},
    )  # fmt: skip
    (line,) = done.stderr.splitlines()
    assert (done.returncode, done.stdout) == (2, "")
    assert "needs a pass phrase of at least 8 characters" in line


def test_a_file_with_the_phrase_that_is_not_there_is_told(tmp_path: Path) -> None:
    done = alone(
        *COMMAND, "serve", "--data", str(tmp_path), "--port", "0", "--host", "10.9.8.7",
        "--pass-phrase-file", str(tmp_path / "none"),
    )  # fmt: skip
    (line,) = done.stderr.splitlines()
    assert (done.returncode, "cannot be read" in line) == (2, True)


def test_the_phrase_may_stand_in_a_file_and_on_this_machine_none_is_asked_for(
    tmp_path: Path,
) -> None:
    file = tmp_path / "phrase"
    file.write_text(f"{PHRASE}\n")
    done = alone(
        sys.executable, "-c", _VISIT, str(tmp_path), "10.9.8.7",
        'print(enter("seven kites in May").status)',
        environment={"METRION_PASS_PHRASE_FILE": str(file)},
    )  # fmt: skip
    assert done.stdout == "303\n", done.stderr
