"""The working: every number of a result can be followed back to the marks."""

import json

import pytest

from metrion.core.logbook import Results, reduce_logbook
from metrion.demo import demo_file
from metrion.formats.logbook import parse_logbook
from metrion.report import Span, Step, Tint, derived_working, plain, working


def demo(name: str, **changes: object) -> Results:
    document = json.loads(demo_file(name))
    document["measurements"][0] |= changes
    return reduce_logbook(parse_logbook(document))


def lines(results: Results) -> dict[str, str]:
    steps = working(results.measurements[0].result)
    return {step.label: plain(step.spans) for step in steps}


def test_the_working_of_a_series_with_a_negative_zero() -> None:
    found = lines(demo("spare-parts"))
    assert found["least count, by difference"] == "2 × 1 − 1.95 = 0.05 mm"
    assert found["by division"] == "1 / 20 = 0.05 mm"
    assert found["zero before"] == "−1 + 17 × 0.05 = −0.15"
    assert found["zero error, correction"] == "−0.15 mm, so 0.15 mm"
    assert found["reading 2"] == "6 + 4 × 0.05 = 6.20 − (−0.15) = 6.35"
    assert found["mean of 4 readings"] == "(6.30 + 6.35 + 6.30 + 7.30) / 4 = 6.5625 mm"
    assert found["limit of one look"] == "½ × 0.05 = 0.025 mm"
    assert found["half the range"] == "(7.30 − 6.30) / 2 = 0.5 mm"
    assert found["rounded to the same place"] == "(6.6 ± 0.5) mm"


def test_what_was_set_aside_is_there_with_its_reason() -> None:
    found = lines(demo("wing-tip-nocks"))
    assert found["reading 3"].endswith("set aside: a burr stood between the jaws")
    assert found["mean of 4 readings"] == "(11.4 + 11.5 + 11.4 + 11.3) / 4 = 11.4 mm"


def test_without_readings_the_working_ends_with_the_zero() -> None:
    assert list(lines(demo("sail-film")))[-1] == "zero error, correction"


def test_a_standard_uncertainty_lists_its_parts() -> None:
    found = lines(demo("spare-parts", convention="standard-95"))
    assert {"part: reading limit", "part: scatter", "part: zero look"} <= set(found)
    assert found["part: zero look"] == "0.025 / √(3) = 0.0144338 mm"
    assert found["standard uncertainty"].startswith("√(0.0144338² + 0.246116² + ")
    assert found["times the coverage factor"].startswith("3.18245 × 0.24696")


def test_every_part_keeps_its_tint() -> None:
    steps = working(demo("spare-parts").measurements[0].result)
    (second,) = [step for step in steps if step.label == "reading 2"]
    tints = [span.tint for span in second.spans if span.tint is not Tint.PLAIN]
    assert tints == [Tint.MAIN, Tint.FINE, Tint.ZERO, Tint.RESULT]


def every_span(steps: list[Step]) -> list[Span]:
    """All pieces, those inside fractions, roots and powers too."""
    waiting = [span for step in steps for span in step.spans]
    for span in waiting:
        waiting.extend((*span.first, *span.second))
    return waiting


@pytest.mark.parametrize("convention", ["whole-division", "half-division", "standard-95"])
@pytest.mark.parametrize("name", ["spare-parts", "wing-tip-nocks", "old-standoffs", "bridle-line"])
def test_every_number_leads_to_a_line_above_it(name: str, convention: str) -> None:
    for reviewed in demo(name, convention=convention).measurements:
        steps = working(reviewed.result)
        keys = [step.key for step in steps]
        assert len(set(keys)) == len(keys)
        for index, step in enumerate(steps):
            for span in every_span([step]):
                assert span.source == "" or span.source in keys[:index], (step.key, span.source)


def test_a_result_can_be_followed_back_to_the_marks() -> None:
    steps = {step.key: step for step in working(demo("spare-parts").measurements[0].result)}
    key, way = "rounded", ["rounded"]
    while key != "least-count":
        key = next(span.source for span in every_span([steps[key]]) if span.source)
        way.append(key)
    assert way == [
        "rounded", "uncertainty", "part-scatter", "scatter", "reading-4", "least-count",
    ]  # fmt: skip


CIRCLE = {
    "format": "metrion-logbook", "version": 1,
    "instruments": [
        {"id": "c", "kind": "angular", "unit": "arcmin", "main_division": "20",
         "fine_divisions": 40, "span": 39},
    ],
}  # fmt: skip


def circle(*observations: dict[str, object]) -> dict[str, str]:
    measurement = {
        "id": "m", "instrument": "c", "divide_by": 2, "convention": "standard",
        "observations": list(observations),
    }  # fmt: skip
    return lines(reduce_logbook(parse_logbook({**CIRCLE, "measurements": [measurement]})))


def test_pairs_show_both_positions_and_the_way_through_zero() -> None:
    found = circle({"a": {"main": "341:20", "fine": 11}, "b": {"main": "18:40", "fine": 30}})
    assert found["reading 1, first position"] == "341°20′ + 11 × 0.5 = 341°25.5′"
    assert found["reading 1"] == "360° − 341°25.5′ + 18°55.0′ = 37°29.5′"
    assert found["mean of 1 reading, divided by 2"] == "37°29.5′ / 2 = 18°44.75′"
    assert found["part: reading limit"] == "(0.25 × √(2 / 3)) / 2 = 0.102062′"


def test_two_windows_show_both_sweeps_and_their_mean() -> None:
    found = circle(
        {
            "a": {"main": "30:20", "fine": 0}, "b": {"main": "10:20", "fine": 4},
            "a2": {"main": "210:20", "fine": 2}, "b2": {"main": "190:20", "fine": 4},
        }
    )  # fmt: skip
    assert found["reading 1, windows apart"].startswith("180°1.0′ and 180°0.0′; the mean")
    assert found["reading 1"] == (
        "30°20.0′ − 10°22.0′ = 19°58.0′; 210°21.0′ − 190°22.0′ = 19°59.0′; mean 19°58.5′"
    )


def test_a_derived_quantity_shows_formula_inputs_and_contributions() -> None:
    document = json.loads(demo_file("spare-parts"))
    first = document["measurements"][0]["id"]
    typed = {"value": "4.1", "uncertainty": "0.1", "unit": "mm"}
    document["derived"] = [
        {"id": "w", "formula": "sqrt(D**2 - d**2)/(2*-d)", "unit": "1",
         "convention": "standard", "inputs": {"D": first, "d": typed}},
    ]  # fmt: skip
    (derived,) = reduce_logbook(parse_logbook(document)).derived
    steps = derived_working(derived)
    found = {step.label: plain(step.spans) for step in steps}
    assert found["formula"] == "√(D² − d²) / (2 × (−d))"
    assert found["d"] == "4.1 mm ± 0.1 mm, typed in"
    assert found["value"] == "−0.62489"
    assert found["standard uncertainty"].startswith("√(")
    assert found["rounded to the same place"] == "−0.625 ± 0.046"
    keys = {step.key for step in steps}
    inside = {span.source for span in every_span(steps)} - {"", f"quantity:{first}"}
    assert inside <= keys
