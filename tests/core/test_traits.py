"""What each kind of instrument is, beside the scale that it has."""

import re
from pathlib import Path

import pytest

import metrion
from metrion.core.instruments.instrument import scale_type
from metrion.core.scales import ScrewScale
from metrion.core.traits import Drawing, Kind


@pytest.mark.parametrize("kind", Kind)
def test_traits_and_scale_agree(kind: Kind) -> None:
    traits, scale = kind.traits, scale_type(kind)
    assert traits.fine_scale is scale.has_fine_scale
    assert traits.turns is (scale is ScrewScale)
    assert not (traits.turns and traits.slides)
    assert traits.closes is any(face.closes for face in traits.faces)


def test_every_way_of_drawing_is_that_of_a_kind() -> None:
    assert {kind.traits.drawing for kind in Kind} == set(Drawing)


def test_nobody_asks_for_a_kind_by_name() -> None:
    """Whoever differs by kind asks for a trait, or matches every kind."""
    asks = re.compile(r"\b(is|is not|==|!=|in) \(?Kind\.|\.kind (==|!=) ")
    found = [
        f"{path}:{at}"
        for path in Path(metrion.__file__).parent.rglob("*.py")
        for at, line in enumerate(path.read_text(encoding="utf-8").splitlines(), start=1)
        if asks.search(line)
    ]
    assert found == []
