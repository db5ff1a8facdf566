"""The words and the numbers of a reader hold everywhere in a report; what users wrote stays."""

import json
import re
from fractions import Fraction
from importlib import resources
from pathlib import Path

import pytest
from click.testing import CliRunner
from fluent.syntax import FluentParser, ast

from metrion.cli import main
from metrion.core.facts import Amount, Figure, Name, fact
from metrion.core.words import CONCEPTS
from metrion.demo import demo_file
from metrion.voice import DecimalSign, Numbers, Speaker, plainly

WORDS = {"least_count": "vernier constant", "zero_error": "zero reading", "thimble": "drum"}
DRAWN = {
    "html": r"<style>.*?</style>|<svg.*?</svg>|<span style=[^>]*>",
    "tex": r"^.*?\\begin\{document\}|(?:\\rule|p)\{[^}]*\\linewidth\}",
}
GERMAN = Speaker.of(Numbers(DecimalSign.COMMA), WORDS)


def logbook() -> bytes:
    """Names that look like numbers, like signs and like the words that are said otherwise."""
    document = json.loads(demo_file("spare-parts"))
    document["instruments"][0]["name"] = "Wide-line caliper 1.5"
    first, second = document["measurements"]
    first |= {"name": "thimble cap, 2.5 turns", "convention": "standard-95", "items": 3}
    first["observations"][0]["place"] = "left-end"
    document["derived"] = [
        {"id": "d", "name": "zero error of it", "formula": "D - d", "unit": "mm",
         "convention": "standard", "inputs": {"D": first["id"], "d": second["id"]}},
    ]  # fmt: skip
    return json.dumps(document).encode()


def written(tmp_path: Path, form: str, *options: str) -> str:
    source, to = tmp_path / "sheet.json", tmp_path / f"report.{form}"
    source.write_bytes(logbook())
    arguments = ["report", str(source), f"--{form}", "--to", str(to), *options]
    done = CliRunner().invoke(main, arguments, catch_exceptions=False)
    assert done.exit_code == 0, done.output
    return to.read_bytes().decode("utf-8", "replace")


@pytest.mark.parametrize("form", ["html", "md", "tex"])
def test_a_report_has_a_comma_and_the_words_of_the_course_throughout(
    tmp_path: Path, form: str
) -> None:
    words = tmp_path / "words.json"
    words.write_text(json.dumps(WORDS))
    found = written(tmp_path, form, "--decimal", "comma", "--words", str(words))
    of_ours = found
    for theirs in ("Wide-line caliper 1.5", "thimble cap, 2.5 turns", "zero error of it"):
        assert theirs in found or form == "tex"
        of_ours = of_ours.replace(theirs, "")
    if form in DRAWN:
        of_ours = re.sub(DRAWN[form], "", of_ours, flags=re.DOTALL)
    assert re.findall(r"[0-9]\.[0-9]", of_ours) == []
    assert "6,15" in of_ours
    assert "left-end" in found or form == "tex"
    for usual in ("least count", "zero error"):
        assert usual not in of_ours.lower()
    assert "vernier constant" in of_ours


def test_a_report_is_a_pdf_too(tmp_path: Path) -> None:
    assert written(tmp_path, "pdf").startswith("%PDF")


def test_without_options_there_is_a_point_and_the_usual_words(tmp_path: Path) -> None:
    found = written(tmp_path, "md")
    assert "6.15" in found
    assert "least count" in found


@pytest.mark.parametrize(
    ("words", "pointer"),
    [('{"thumb": "drum"}', "/thumb"), ('{"thimble": ""}', "/thimble"), ("[]", ""), ("{", "")],
)
def test_words_that_are_none_are_refused(tmp_path: Path, words: str, pointer: str) -> None:
    source, own = tmp_path / "sheet.json", tmp_path / "words.json"
    source.write_bytes(demo_file("spare-parts"))
    own.write_text(words)
    to = tmp_path / "report.md"
    done = CliRunner().invoke(
        main, ["report", str(source), "--md", "--to", str(to), "--words", str(own)]
    )
    assert (done.exit_code, to.exists()) == (2, False)
    assert done.stderr.startswith(f"{pointer}: ")


def test_numbers_are_written_in_one_way() -> None:
    numbers = Numbers(DecimalSign.COMMA)
    assert numbers.figure("-0.15 mm") == "−0,15 mm"
    assert numbers.figure("161°20.5′") == "161°20,5′"
    assert numbers.amount(Amount(Fraction(1, 30), "mm")) == "0,033 mm"


def test_user_text_goes_through_untouched() -> None:
    said = GERMAN.say(fact("set-aside", why=Name("read 6.5 at left-end, the thimble slipped")))
    assert said == "set aside: read 6.5 at left-end, the thimble slipped"


def test_a_count_has_nothing_between_its_digits() -> None:
    assert plainly().text("step-reading", at=12345) == "reading 12345"


def test_words_have_a_plural_and_a_capital() -> None:
    assert plainly().words["least_counts"] == "least counts"
    assert GERMAN.words["Thimble"] == "Drum"
    assert set(CONCEPTS) <= set(GERMAN.words)


def test_what_the_catalogue_does_not_know_is_an_error() -> None:
    with pytest.raises(LookupError):
        plainly().text("no-such-message")
    with pytest.raises(Exception, match="at"):
        plainly().say(fact("outlier", off=Figure("1 mm")))


def test_every_entry_of_the_catalogue_is_understood() -> None:
    text = resources.files("metrion.voice").joinpath("en.ftl").read_text("utf-8")
    entries = FluentParser().parse(text).body
    assert [entry.content for entry in entries if isinstance(entry, ast.Junk)] == []
    keys = [entry.id.name for entry in entries if isinstance(entry, ast.Message)]
    assert len(keys) == len(set(keys)) > 200
