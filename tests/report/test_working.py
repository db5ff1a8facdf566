"""The working: every number of a result can be followed back to the marks."""

import json
import re
from pathlib import Path

import pytest

from metrion.core.logbook import Results, reduce_logbook
from metrion.demo import demo_file
from metrion.formats.logbook import parse_logbook, read_logbook
from metrion.report import Span, Tint, Written, derived_working, plain, working
from metrion.voice import plainly
from tests.report.calculator import followed

REFERENCE = [
    path
    for path in sorted(Path("tests/reference").glob("case-*.json"))
    if "expected" not in path.name
    and "faults" not in path.with_suffix(".expected.json").read_text()
]


def demo(name: str, **changes: object) -> Results:
    document = json.loads(demo_file(name))
    document["measurements"][0] |= changes
    return reduce_logbook(parse_logbook(document))


def lines(results: Results) -> dict[str, str]:
    steps = working(results.measurements[0].result, plainly())
    return {step.label: plain(step.spans) for step in steps}


def test_the_working_of_a_series_with_a_negative_zero() -> None:
    found = lines(demo("spare-parts"))
    assert found["least count"] == "1 / 20 = 0.05 mm"
    assert found["least count, by difference"] == "2 × 1 − 1.95 = 0.05 mm"
    assert (
        found["zero error"]
        == "−1 + 17 × 0.05 = −0.15 mm, correction 0.15 mm: a negative zero error"
    )
    assert found["reading 2"] == "6 + 4 × 0.05 = 6.20 mm"
    assert found["mean of 4 readings"] == "(6.15 + 6.20 + 6.15 + 7.15) / 4 − (−0.15) = 6.5625 mm"
    assert found["limit of one look"] == "0.5 × 0.05 = 0.025 mm"
    assert found["half the range"] == "(7.15 − 6.15) / 2 = 0.5 mm"
    assert found["uncertainty"] == "max(0.025, 0.5) = 0.5 mm"
    assert found["rounded to the same place"] == "(6.6 ± 0.5) mm"


def test_what_was_set_aside_is_there_with_its_reason() -> None:
    found = lines(demo("wing-tip-nocks"))
    assert found["reading 3"].endswith("set aside: a burr stood between the jaws")
    assert found["mean of 4 readings"] == "(13.8 + 13.9 + 13.8 + 13.7) / 4 − 0.2 = 13.6 mm"


def test_without_readings_the_working_ends_with_the_zero() -> None:
    assert list(lines(demo("sail-film")))[-1] == "zero error"


def test_a_standard_uncertainty_lists_its_components() -> None:
    found = lines(demo("spare-parts", convention="standard-95"))
    assert found["component: zero look"] == "0.025 / √(3) = 0.0144338 mm"
    assert found["standard deviation"].startswith("√((Σ (x − 6.4125)²) / (4 − 1))")
    assert found["standard uncertainty"].startswith("√(0.0144338² + 0.246116² + ")
    assert found["uncertainty"] == "3.18245 × 0.246961 = 0.78594 mm"


def test_a_stack_is_divided_by_its_items() -> None:
    found = lines(demo("spare-parts", items=20, convention="whole-division"))
    assert found["mean of 4 readings"].endswith(" / 4 − (−0.15)) / 20 = 0.328125 mm")
    assert found["component: scatter"] == "0.5 / 20 = 0.025 mm"


def test_every_part_keeps_its_tint() -> None:
    steps = working(demo("spare-parts").measurements[0].result, plainly())
    (second,) = [step for step in steps if step.label == "reading 2"]
    tints = [span.tint for span in second.spans if span.tint is not Tint.PLAIN]
    assert tints == [Tint.MAIN, Tint.FINE, Tint.FINE, Tint.RESULT]


def every_span(steps: list[Written]) -> list[Span]:
    """All pieces, those inside fractions, roots and powers too."""
    waiting = [span for step in steps for span in step.spans]
    for span in waiting:
        waiting.extend((*span.first, *span.second))
    return waiting


@pytest.mark.parametrize("convention", ["whole-division", "half-division", "standard-95"])
@pytest.mark.parametrize("name", ["spare-parts", "wing-tip-nocks", "old-standoffs", "bridle-line"])
def test_every_number_leads_to_a_line_above_it(name: str, convention: str) -> None:
    for reviewed in demo(name, convention=convention).measurements:
        steps = working(reviewed.result, plainly())
        keys = [step.key for step in steps]
        assert len(set(keys)) == len(keys)
        for index, step in enumerate(steps):
            for span in every_span([step]):
                assert span.source == "" or span.source in keys[:index], (step.key, span.source)


def test_a_result_can_be_followed_back_to_the_marks() -> None:
    steps = {
        step.key: step for step in working(demo("spare-parts").measurements[0].result, plainly())
    }
    key, way = "rounded", ["rounded"]
    while key != "least_count":
        sources = [span.source for span in every_span([steps[key]]) if span.source]
        key = max(sources, key=list(steps).index)
        way.append(key)
    assert way == ["rounded", "uncertainty", "spread", "reading_4", "least_count"]


@pytest.mark.parametrize("path", REFERENCE, ids=lambda path: path.stem)
def test_every_printed_line_can_be_followed_with_a_pocket_calculator(path: Path) -> None:
    results = reduce_logbook(read_logbook(path.read_bytes()))
    written = [working(reviewed.result, plainly()) for reviewed in results.measurements]
    written += [derived_working(derived, plainly()) for derived in results.derived]
    for lines_of_one in written:
        readings: list[float] = []
        zeros: list[float] = []
        for line in lines_of_one:
            text = plain(line.spans).partition(", correction")[0].partition("  set aside")[0]
            if line.key.startswith(("part_", "sensitivity_")) or line.key == "formula":
                continue
            found = followed(text, zeros if "zero_scatter" in line.key else readings)
            if found is None:
                # A plain scale is read at its mark: its line is the reading.
                if re.fullmatch(r"reading_\d+|zero_\d+", line.key):
                    of = readings if line.key.startswith("reading") else zeros
                    of.append(float(text.split()[0].replace("−", "-")))
                continue
            given, printed, half = found
            if line.key == "degrees_of_freedom":
                half += 1e-3 * printed
            assert abs(given - printed) <= half * (1 + 1e-4), (line.key, text)
            if re.fullmatch(r"reading_\d+", line.key):
                readings.append(printed)
            elif re.fullmatch(r"zero_\d+", line.key):
                zeros.append(printed)


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
    assert found["reading 1"] == "18°55.0′ − 341°25.5′ + 360° = 37°29.5′"
    assert found["mean of 1 reading"] == "37°29.5′ / 2 = 18°44.75′"
    assert found["component: reading limit"] == "(0.25 × √(2 / 3)) / 2 = 0.102062′"


def test_two_windows_show_both_sweeps_and_their_mean() -> None:
    found = circle(
        {
            "a": {"main": "30:20", "fine": 0}, "b": {"main": "10:20", "fine": 4},
            "a2": {"main": "210:20", "fine": 2}, "b2": {"main": "190:20", "fine": 4},
        }
    )  # fmt: skip
    assert found["reading 1, windows apart"].startswith("180°1.0′ and 180°0.0′; the mean")
    assert found["reading 1"] == "(30°20.0′ − 10°22.0′ + 210°21.0′ − 190°22.0′) / 2 = 19°58.5′"


def test_a_derived_quantity_shows_formula_inputs_and_contributions() -> None:
    document = json.loads(demo_file("spare-parts"))
    first = document["measurements"][0]["id"]
    typed = {"value": "4.1", "uncertainty": "0.1", "unit": "mm"}
    document["derived"] = [
        {"id": "w", "formula": "sqrt(D**2 - d**2)/(2*-d)", "unit": "1",
         "convention": "standard", "inputs": {"D": first, "d": typed}},
    ]  # fmt: skip
    (derived,) = reduce_logbook(parse_logbook(document)).derived
    steps = derived_working(derived, plainly())
    found = {step.label: plain(step.spans) for step in steps}
    assert found["formula"] == "f = −√(D² − d²) / (2 × d)"
    assert found["d, typed in"] == "4.1 mm ± 0.1 mm"
    assert found["value"] == "−√(6.5625² − 4.1²) / (2 × 4.1) = −0.62489"
    assert found["uncertainty"].startswith("√(")
    assert found["rounded to the same place"] == "−0.625 ± 0.046"
    keys = {step.key for step in steps}
    inside = {span.source for span in every_span(steps)} - {"", f"quantity:{first}"}
    assert inside <= keys
