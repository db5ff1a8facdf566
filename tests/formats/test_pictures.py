"""What is kept of a photograph: its strip as it is, a small view, within bounds, and no more."""

from io import BytesIO

import numpy as np
import pytest
from PIL import Image

from metrion.formats.faults import Refused
from metrion.formats.opened_pictures import read_picture
from metrion.formats.pictures import (
    LARGEST_EVIDENCE,
    Picture,
    checked_picture,
    evidence,
    is_evidence,
)


def jpeg(picture: np.ndarray, **more: object) -> bytes:
    into = BytesIO()
    Image.fromarray((picture * 255).astype("u1")).save(into, "JPEG", quality=97, **more)
    return into.getvalue()


def noise(width: int, height: int) -> np.ndarray:
    return np.random.default_rng(1).random((height, width, 3))


def stripes(width: int = 1200, height: int = 800) -> np.ndarray:
    return np.tile(0.5 + 0.4 * np.sin(np.arange(width) / 5), (height, 1))


EDGE = np.array([[300.0, 400.0], [900.0, 410.0]])


def test_the_strip_is_cut_at_full_resolution_and_the_edge_lies_in_it() -> None:
    picture = stripes(4000, 3000)
    found = evidence(jpeg(picture), np.array([[1500.0, 1400.0], [2500.0, 1410.0]]))
    strip = read_picture(found.strip.content).brightness
    assert found.scale == 1.0
    assert found.edge.tolist() == [
        [1500 - found.corner[0], 1400 - found.corner[1]],
        [2500 - found.corner[0], 1410 - found.corner[1]],
    ]
    left, top = map(int, found.corner)
    height, width = strip.shape
    assert width == pytest.approx(2200, abs=20)
    cut = picture[top : top + height, left : left + width]
    assert np.abs(strip - cut).max() < 0.06
    assert max(read_picture(found.whole.content).brightness.shape) == 960


def test_however_much_there_is_to_be_seen_it_stays_within_its_bound() -> None:
    found = evidence(jpeg(noise(3600, 2400)), np.array([[600.0, 1200.0], [3000.0, 1210.0]]))
    assert len(found.strip.content) + len(found.whole.content) <= LARGEST_EVIDENCE
    height, _ = read_picture(found.strip.content).brightness.shape
    # A smaller one says so, and its edge with it.
    assert found.scale < 1
    assert found.edge[0, 1] == pytest.approx((1200 - found.corner[1]) * found.scale, abs=1)
    assert found.edge[0, 1] < height


def test_it_is_upright_however_the_camera_was_held() -> None:
    told = Image.Exif()
    told[0x0112] = 6
    turned = jpeg(np.rot90(stripes()), exif=told)
    found = evidence(turned, EDGE)
    assert read_picture(found.whole.content).brightness.shape == (640, 960)
    assert is_evidence(found.strip.content)
    assert not is_evidence(turned)


def test_what_comes_back_is_what_its_name_says_and_has_nothing_beside() -> None:
    kept = evidence(jpeg(stripes()), EDGE).strip
    assert checked_picture(kept.content, kept.name) == kept.content
    with_comment = jpeg(stripes(200, 100), comment=b"taken in the shed")
    for content in (with_comment, b"\xff\xd8 no picture", b"PNG"):
        with pytest.raises(Refused):
            checked_picture(content, Picture(content).name)
    with pytest.raises(Refused):
        checked_picture(kept.content, "0" * 64)


@pytest.mark.parametrize(
    "edge", [[[5, 5], [5, 5]], [[-9000, 0], [-8000, 0]], [[0, 90000], [10, 90000]]]
)
def test_an_edge_that_is_not_in_the_picture_is_refused(edge: list[list[float]]) -> None:
    with pytest.raises(Refused):
        evidence(jpeg(stripes()), np.array(edge, dtype=float))
