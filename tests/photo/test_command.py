"""``metrion photo`` from outside: lines in, lines out."""

import json
import subprocess
from io import BytesIO
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from PIL import Image

from metrion.core.camera import Flaws, Shot, photograph_vernier
from metrion.core.facts import fact
from metrion.core.photo.answer import PhotoAnswer
from metrion.formats.faults import Refused
from metrion.formats.opened_pictures import read_picture
from metrion.formats.photographed import answer_record
from tests.server import COMMAND

TOOL = {
    "id": "cal", "kind": "vernier", "unit": "mm", "main_division": "1", "fine_divisions": 20,
    "span": 19,
}  # fmt: skip


@pytest.fixture(scope="module")
def shot() -> Shot:
    flaws = Flaws(turned=-5, tilted=(8, 10), noise=0.02, thumb=2)
    return photograph_vernier(20, 0.95, 6.94, 30, flaws, np.random.default_rng(2), (1000, 560))


def saved(shot: Shot, to: Path, **how: Any) -> Path:
    Image.fromarray((shot.picture * 255).astype(np.uint8)).save(to, **how)
    return to


def asked(image: object, shot: Shot, **other: Any) -> str:
    record = {"image": str(image), "instrument": TOOL, "edge": shot.edge.tolist(), **other}
    return json.dumps(record)


def answers(*lines: str) -> tuple[int, list[dict[str, Any]]]:
    done = subprocess.run(
        [*COMMAND, "photo"], input="\n".join(lines), capture_output=True, text=True, check=False
    )
    assert done.stderr == ""
    return done.returncode, [json.loads(line) for line in done.stdout.splitlines()]


def test_pictures_are_answered_line_by_line(shot: Shot, tmp_path: Path) -> None:
    png = saved(shot, tmp_path / "scales.png")
    jpeg = saved(shot, tmp_path / "scales.jpg", quality=90)
    code, found = answers(asked(png, shot), asked(jpeg, shot, thimble="up"))
    assert code == 0
    for answer in found:
        assert set(answer) == {
            "verdict", "why", "position", "standard_error", "modulo", "line", "candidates", "zero",
        }  # fmt: skip
        assert (answer["verdict"], answer["line"], answer["modulo"]) == ("line", 7, 20)
        assert float(answer["position"]) == pytest.approx(6.94, abs=0.05)
        assert answer["candidates"][0]["probability"] > 0.9
        assert shot.zero is not None
        assert answer["zero"] == pytest.approx(shot.zero.tolist(), abs=6)


def test_what_cannot_be_told_says_what_to_do(tmp_path: Path, shot: Shot) -> None:
    blank = tmp_path / "blank.png"
    Image.new("L", (1000, 560), 180).save(blank)
    code, (answer,) = answers(asked(blank, shot))
    assert code == 0
    assert answer["verdict"] == "cannot-tell"
    assert "Go nearer" in answer["why"]
    nothing = ("position", "standard_error", "modulo", "line", "zero")
    assert [answer[name] for name in nothing] == [None] * 5
    assert answer["candidates"] == []


def test_a_line_with_faults_does_not_keep_the_others_from_being_answered(
    shot: Shot, tmp_path: Path
) -> None:
    png = saved(shot, tmp_path / "scales.png")
    text = tmp_path / "text.png"
    text.write_text("no picture")
    code, found = answers(
        asked(text, shot), asked(tmp_path / "none.png", shot), asked(png, shot, edge=[[1, 2]]),
        asked(png, shot, instrument={"kind": "vernier"}), "{", "[]",
        asked(png, shot, thimble="left"), asked(png, shot, edge=[[0, True], [9, 9]]),
        asked(png, shot),
    )  # fmt: skip
    assert code == 2
    *faulty, last = found
    assert len(faulty) == 8
    assert all(one["faults"] for one in faulty)
    assert last["line"] == 7
    assert "PNG and JPEG" in faulty[0]["faults"][0]["message"]
    assert faulty[2]["faults"][0]["pointer"] == "/edge"


def test_a_picture_is_turned_upright_and_too_large_a_one_is_refused(shot: Shot) -> None:
    turned = BytesIO()
    picture = Image.fromarray((shot.picture * 255).astype(np.uint8))
    exif = Image.Exif()
    exif[0x0112] = 6
    picture.transpose(Image.Transpose.ROTATE_90).save(turned, "PNG", exif=exif)
    assert np.abs(read_picture(turned.getvalue()).brightness - shot.picture).max() < 0.01
    huge = BytesIO()
    Image.new("1", (8000, 8000)).save(huge, "PNG")
    with pytest.raises(Refused):
        read_picture(huge.getvalue())


@pytest.mark.parametrize(("position", "printed"), [(19.99999, "0.0000"), (6.94041, "6.9404")])
def test_a_position_is_written_within_its_turn(position: float, printed: str) -> None:
    answer = PhotoAnswer(fact("photo-by-lines", count=20), position, 0.01234, 20)
    record = answer_record(answer, "")
    assert (record["position"], record["standard_error"]) == (printed, "0.0123")
