"""The working: every number of a result can be followed back to the marks."""

import json

from metrion.core.logbook import Results, reduce_logbook
from metrion.demo import demo_file
from metrion.formats.logbook import parse_logbook
from metrion.report import Tint, working


def demo(name: str, **changes: object) -> Results:
    document = json.loads(demo_file(name))
    document["measurements"][0] |= changes
    return reduce_logbook(parse_logbook(document))


def lines(results: Results) -> dict[str, str]:
    steps = working(results.measurements[0].result)
    return {step.label: "".join(span.text for span in step.spans) for step in steps}


def test_the_working_of_a_series_with_a_negative_zero() -> None:
    found = lines(demo("spare-parts"))
    assert found["least count, by difference"] == "2 × 1 − 1.95 = 0.05 mm"
    assert found["by division"] == "1 / 20 = 0.05 mm"
    assert found["zero before"] == "−1 + 17 × 0.05 = −0.15"
    assert found["zero error, correction"] == "−0.15 mm, so 0.15 mm"
    assert found["reading 2"] == "6 + 4 × 0.05 = 6.20 − (−0.15) = 6.35"
    assert found["mean of 4 readings"] == "6.5625 mm"
    assert found["limit of one look"] == "½ × 0.05 = 0.025 mm"
    assert found["half the range"] == "0.5 mm; the larger counts"
    assert found["rounded to the same place"] == "(6.6 ± 0.5) mm"


def test_what_was_set_aside_is_there_with_its_reason() -> None:
    found = lines(demo("wing-tip-nocks"))
    assert found["reading 3"].endswith("set aside: a burr stood between the jaws")
    assert found["mean of 4 readings"] == "11.4 mm"


def test_without_readings_the_working_ends_with_the_zero() -> None:
    assert list(lines(demo("sail-film")))[-1] == "zero error, correction"


def test_a_standard_uncertainty_lists_its_parts() -> None:
    found = lines(demo("spare-parts", convention="standard-95"))
    assert {"part: reading", "part: scatter", "part: look at the zero"} <= set(found)
    assert "covered 3.18245 times" in found["uncertainty before rounding"]


def test_every_part_keeps_its_tint() -> None:
    steps = working(demo("spare-parts").measurements[0].result)
    (second,) = [step for step in steps if step.label == "reading 2"]
    tints = [span.tint for span in second.spans if span.tint is not Tint.PLAIN]
    assert tints == [Tint.MAIN, Tint.FINE, Tint.ZERO, Tint.RESULT]
