"""No text stands outside the catalogue: seen in a language in which every letter is accented."""

import json
import os
import re
import subprocess
from io import BytesIO
from pathlib import Path

import pytest
from pypdf import PdfReader

from metrion.core.logbook import reduce_logbook
from metrion.demo import demo_file
from tests.server import COMMAND
from tests.voice.pseudo import LANGUAGE, accented, written_to
from tests.voice.unsaid import DEMO, unsaid

TAGS = re.compile(r"<(style|svg|title)\b.*?</\1>|<[^>]*>", re.DOTALL)


@pytest.fixture(scope="module")
def environment(tmp_path_factory: pytest.TempPathFactory) -> dict[str, str]:
    folder = written_to(tmp_path_factory.mktemp("catalogues"))
    return {**os.environ, "METRION_CATALOGUES": str(folder), "METRION_LANGUAGE": LANGUAGE}


def run(environment: dict[str, str], *words: str) -> subprocess.CompletedProcess[bytes]:
    return subprocess.run([*COMMAND, *words], capture_output=True, check=False, env=environment)


def test_the_pseudo_language_is_accented_and_longer() -> None:
    assert accented("least count") == "ľéëàšŧë çóúëñŧ"


def reported(environment: dict[str, str], folder: Path, name: str, form: str) -> bytes:
    source, to = folder / f"{name}.json", folder / f"{name}.{form}"
    source.write_bytes(demo_file(name))
    done = run(environment, "report", str(source), f"--{form}", "--to", str(to))
    assert done.returncode == 0, done.stderr.decode()
    return to.read_bytes()


@pytest.mark.parametrize("name", DEMO)
def test_a_report_is_said_from_the_catalogue(
    environment: dict[str, str], tmp_path: Path, name: str
) -> None:
    page = reported(environment, tmp_path, name, "html").decode()
    assert unsaid(TAGS.sub("\n", page).splitlines()) == []
    markdown = reported(environment, tmp_path, name, "md").decode()
    assert unsaid(re.sub(r"\$[^$]*\$", " ", markdown).splitlines()) == []


def test_a_pdf_has_every_letter_of_it(environment: dict[str, str], tmp_path: Path) -> None:
    content = reported(environment, tmp_path, "spare-parts", "pdf")
    text = "\n".join(page.extract_text() for page in PdfReader(BytesIO(content)).pages)
    assert accented("Working") in text
    assert "\ufffd" not in text


def test_faults_on_the_command_line_are_said_from_it(
    environment: dict[str, str], tmp_path: Path
) -> None:
    document = json.loads(demo_file("spare-parts"))
    document["instruments"][0] |= {"span": 40, "unit": "furlong"}
    document["measurements"][0]["observations"][0] = {"main": "6.4", "fine": 99}
    document["measurements"][1]["observations"][0] = {"main": 3, "fine": "x"}
    document["zero_checks"][0]["main"] = "1" * 50
    document["measurements"][0]["zero"] = ["gone", 5]
    broken = tmp_path / "broken.json"
    broken.write_text(json.dumps(document))
    done = run(environment, "reduce", str(broken))
    lines = done.stderr.decode().splitlines()
    assert (done.returncode, len(lines) > 5) == (2, True)
    fields = {"span", "unit", "main", "fine", "zero", "cal", "gone", "furlong", "vernier"}
    told = [line.partition(": ")[2] for line in lines]
    assert [one for one in unsaid(told) if not set(re.findall("[a-z]{3,}", one)) <= fields] == []


def test_results_speak_it_too(environment: dict[str, str], tmp_path: Path) -> None:
    source = tmp_path / "sheet.json"
    source.write_bytes(demo_file("bridle-line"))
    results = json.loads(run(environment, "reduce", str(source)).stdout)
    flags = [flag for one in results["measurements"] for flag in one["flags"]]
    assert flags
    assert unsaid(flag["message"] for flag in flags) == []


def test_the_labels_of_the_spreadsheet_are_said_from_it(
    environment: dict[str, str], monkeypatch: pytest.MonkeyPatch
) -> None:
    from metrion.formats.logbook import read_logbook
    from metrion.formats.workbook import workbook
    from metrion.voice import Speaker

    monkeypatch.setenv("METRION_CATALOGUES", environment["METRION_CATALOGUES"])
    speaker = Speaker(language=LANGUAGE)
    for name in DEMO:
        book = workbook(reduce_logbook(read_logbook(demo_file(name))), speaker)
        cells = [
            cell.value
            for page in book.worksheets
            for row in page.iter_rows()
            for cell in row
            if isinstance(cell.value, str) and not cell.value.startswith("=")
        ]
        assert unsaid(cells) == []


def test_a_small_catalogue_has_its_own_order_of_words(tmp_path: Path) -> None:
    """What it does not say yet is said as in the usual one."""
    catalogues = tmp_path / "catalogues"
    catalogues.mkdir()
    catalogues.joinpath("de.ftl").write_text(
        "field-missing = { $what } muss { $field } sein, fehlt aber\na-text = Text\n", "utf-8"
    )
    source = tmp_path / "sheet.json"
    source.write_text('{"format": "metrion-logbook", "version": 1, "instruments": [{}]}')
    own = {"METRION_CATALOGUES": str(catalogues), "METRION_LANGUAGE": "de"}
    told = run({**os.environ, **own}, "reduce", str(source)).stderr.decode().splitlines()
    assert told == [
        '/instruments/0/kind: "vernier" or "screw" or "angular" or "plain" muss kind sein, '
        "fehlt aber"
    ]


def told_with(tmp_path: Path, catalogue: str, **own: str) -> tuple[int, str]:
    """Status and standard error of a faulty file, with a catalogue ``de`` of one's own."""
    catalogues = tmp_path / "catalogues"
    catalogues.mkdir()
    catalogues.joinpath("de.ftl").write_text(catalogue, "utf-8")
    source = tmp_path / "sheet.json"
    source.write_text('{"format": "metrion-logbook", "version": 1, "instruments": [{}]}')
    found = {"METRION_CATALOGUES": str(catalogues), "METRION_LANGUAGE": "de", **own}
    done = run({**os.environ, **found}, "reduce", str(source))
    return done.returncode, done.stderr.decode()


@pytest.mark.parametrize(
    "catalogue",
    [
        "",
        "field-missing = { $what",
        "field-missing = { $nothing } fehlt\n",
        "\x00\n= =\nfield-missing",
    ],
)
def test_a_catalogue_with_faults_is_said_in_english(tmp_path: Path, catalogue: str) -> None:
    status, told = told_with(tmp_path, catalogue)
    assert (status, "kind is missing; it must be" in told, "Traceback" in told) == (2, True, False)


@pytest.mark.parametrize(
    "own",
    [{"METRION_LANGUAGE": ""}, {"METRION_LANGUAGE": "qya"}, {"METRION_CATALOGUES": "/nowhere"}],
)
def test_a_language_that_is_not_there_is_english(tmp_path: Path, own: dict[str, str]) -> None:
    status, told = told_with(tmp_path, "field-missing = fehlt\n", **own)
    assert (status, "kind is missing; it must be" in told, "Traceback" in told) == (2, True, False)
    assert ("METRION_CATALOGUES names no folder: /nowhere" in told) == ("METRION_CATALOGUES" in own)
