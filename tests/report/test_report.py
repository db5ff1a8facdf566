"""Reports: one document, the same in every rendering."""

import json
import re
import xml.etree.ElementTree as ElementTree
from html.parser import HTMLParser
from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from metrion.core.logbook import reduce_logbook
from metrion.demo import demo_file
from metrion.formats.logbook import parse_logbook
from metrion.report.blocks import PictureBlock, Report, Table
from metrion.report.build import Length, build_report
from metrion.report.lines import Span, over, power, root, sign
from metrion.report.render import html_page, latex_document, latex_tables, markdown_text, pdf_file
from metrion.report.render.latex import latex_line, latex_text
from metrion.report.render.pdf import Paper
from tests.strategies import logbooks

SVG = "{http://www.w3.org/2000/svg}"

DEMOS = [
    "foil-colours",
    "spare-parts",
    "wing-tip-nocks",
    "bridle-line",
    "sail-film",
    "old-standoffs",
]


def report(document: dict[str, Any], **options: Any) -> Report:
    return build_report(reduce_logbook(parse_logbook(document, kept=True)), **options)


def demo(name: str = "spare-parts", **first_reading: Any) -> dict[str, Any]:
    document: dict[str, Any] = json.loads(demo_file(name))
    if first_reading:
        document["measurements"][0]["observations"][0] |= first_reading
    return document


class _Strict(HTMLParser):
    """Counts what is opened and closed, and keeps the text."""

    def __init__(self) -> None:
        super().__init__()
        self.open: list[str] = []
        self.text: list[str] = []

    def handle_starttag(self, tag: str, attrs: Any) -> None:
        if tag != "meta":
            self.open.append(tag)

    def handle_endtag(self, tag: str) -> None:
        assert self.open.pop() == tag

    def handle_data(self, data: str) -> None:
        self.text.append(data)


def text_of(page: str) -> str:
    parser = _Strict()
    parser.feed(page)
    assert parser.open == []
    return " ".join("".join(parser.text).replace("\u00a0", " ").split())


@pytest.mark.parametrize("name", DEMOS)
def test_every_demo_sheet_has_a_report_in_every_form(name: str) -> None:
    found = report(demo(name), date="2 May")
    sentences = [
        reviewed.result.rounded.text.replace("-", "−")
        for reviewed in reduce_logbook(parse_logbook(demo(name))).measurements
        if reviewed.result.rounded
    ]
    page, markdown = text_of(html_page(found)), markdown_text(found)
    for sentence in sentences:
        assert sentence in page
        assert sentence in markdown
    assert "Date2 May" in page
    assert pdf_file(found).startswith(b"%PDF-")
    for text in (latex_tables(found), latex_document(found)):
        assert text.count(r"\begin{longtable}") == text.count(r"\end{longtable}") > 1


def test_a_report_holds_what_is_handed_in() -> None:
    document = demo() | {"authors": "A. Segel", "aim": "Find the size."}
    document["measurements"][0]["compare"] = {
        "value": "6.3", "uncertainty": "0", "unit": "mm",
    }  # fmt: skip
    page = text_of(html_page(report(document)))
    order = [
        "A. Segel", "Aim", "Find the size.", "Results", "Lower spreader, outside", "Apparatus",
        "least count, by difference",
        "Zero checks", "Lower spreader, outside", "main / mm", "line × 0.05 / mm", "corrected / mm",
        "Second look: Reading 4", "(still open)", "Working", "Uncertainty", "Convention: Half",
        "Beside (6.3 ± 0) mm: It is",
    ]  # fmt: skip
    at = 0
    for words in order:
        at = page.index(words, at)


def test_old_figures_reasons_and_notes_stand_in_the_table() -> None:
    document = demo(
        main="6", fine=4, note="a burr", reader="B. W.", excluded="held askew",
        history=[{"main": "7", "fine": 4, "at": "2026-05-02", "why": "misread"}],
    )  # fmt: skip
    found = report(document)
    page = html_page(found)
    assert '<tr class="struck">' in page
    assert "<s>7</s> 6" in page
    for words in ("set aside: held askew", "misread; it was 7, line 4 (2 May 2026)", "a burr",
                  "read by B. W."):  # fmt: skip
        assert words in text_of(page)
        assert words in markdown_text(found)
    assert r"\sout{\ensuremath{\num{7}}} \sout{\ensuremath{\num{6}}}" in latex_tables(found)
    assert "~~7~~ ~~6~~" in markdown_text(found)


@pytest.mark.parametrize(
    ("reading", "said"),
    [
        ({"excluded": "slipped"}, "set aside: slipped"),
        ({"looked_again": ["main-mark-slip"]}, "looked again: it is right"),
        ({}, "still open"),
    ],
)
def test_what_was_done_about_a_second_look_is_told(reading: dict[str, Any], said: str) -> None:
    document = demo()
    document["measurements"][0]["observations"][3] |= reading
    page = text_of(html_page(report(document)))
    if "excluded" in reading:
        assert said in page
    else:
        assert f"passed 7? ({said})" in page


def test_places_reported_apart_have_their_own_sentences() -> None:
    document = demo("wing-tip-nocks")
    document["measurements"][0]["places_apart"] = True
    for index, observation in enumerate(document["measurements"][0]["observations"]):
        observation["place"] = "left" if index % 2 else "right"
    page = text_of(html_page(report(document)))
    assert re.search(r"left: \([0-9.]+ ± [0-9.]+\) mm", page)


def test_pairs_and_derived_quantities_are_reported() -> None:
    document = demo()
    document["instruments"].append(
        {"id": "c", "kind": "angular", "unit": "arcmin", "main_division": "20",
         "fine_divisions": 40, "span": 39}
    )  # fmt: skip
    document["measurements"].append(
        {"id": "g", "name": "Green", "instrument": "c", "convention": "standard", "observations": [
            {"a": {"main": "341:20", "fine": 11}, "b": {"main": "18:40", "fine": 30}}]}
    )  # fmt: skip
    first = document["measurements"][0]["id"]
    document["derived"] = [
        {"id": "w", "name": "Half of it", "formula": "D/2", "unit": "mm",
         "convention": "standard", "inputs": {"D": first}},
    ]  # fmt: skip
    found = report(document)
    page = text_of(html_page(found))
    assert "341°20′, line 11: 341°25.5′" in page
    assert "contribution of the scatter of Lower spreader, outside" in page
    assert "Half of it" not in html_page(report(document, quantity="g"))


def test_several_colours_stand_in_one_table() -> None:
    page = text_of(html_page(report(demo("foil-colours"))))
    assert "Angles together" in page
    assert "Green, first order337°29.3333′218°44.67′ ± 0.13′" in page
    assert "Angles together" not in text_of(html_page(report(demo("foil-colours"), quantity="red")))


def test_a_drawing_is_sound_svg_and_says_what_it_shows() -> None:
    for name in DEMOS:
        for section in report(demo(name)).sections:
            for block in section.blocks:
                if isinstance(block, PictureBlock):
                    svg = ElementTree.fromstring(block.svg)
                    assert svg.find("{http://www.w3.org/2000/svg}title") is not None
                    assert block.caption.startswith(("Reading ", "The readings"))


def test_the_same_report_gives_the_same_pdf_and_papers_differ() -> None:
    found = report(demo())
    assert pdf_file(found) == pdf_file(found)
    assert pdf_file(found) != pdf_file(found, Paper.LETTER)


@pytest.mark.parametrize(
    "title", ['a"b', "#show", "$x$", "back\\slash", "<b>", "| pipe", "\x07bell", "*bold*", "@ref"]
)
def test_what_was_typed_is_never_markup(title: str) -> None:
    document = demo(place=title) | {"title": title}
    found = report(document)
    assert pdf_file(found).startswith(b"%PDF-")
    page = html_page(found)
    assert f"<h1>{title}</h1>" in page or "<b>" not in page.split("<h1>")[1].split("</h1>")[0]
    heads = [line for line in markdown_text(found).splitlines() if line.startswith("| no.")]
    assert len(heads) == 2
    width = heads[0].count(" | ")
    rows = [line for line in markdown_text(found).splitlines() if line.startswith("| 1 |")]
    assert {len(re.findall(r"(?<!\\)\|", row)) for row in rows} == {width + 2}


def test_mathematics_in_latex() -> None:
    line = (*over((Span("1"),), root((Span("3"),))), sign("±"), *power((Span("x"),), "2"))
    assert latex_line(line) == (
        r"$\displaystyle \dfrac{\num{1}}{\sqrt{\num{3}}} \pm {x}^{\num{2}}$"
    )
    assert latex_text("50 % & #1_a") == r"50 \% \& \#1\_a"


@settings(max_examples=15)
@given(logbooks(), st.sampled_from(list(Paper)))
def test_any_logbook_has_a_report(document: dict[str, Any], paper: Paper) -> None:
    found = report(document)
    text_of(html_page(found))
    markdown_text(found)
    assert pdf_file(found, paper).startswith(b"%PDF-")
    tables = [b for s in found.sections for b in s.blocks if isinstance(b, Table)]
    assert all(len(row.cells) == len(table.columns) for table in tables for row in table.rows)


def first_table(document: dict[str, Any], **options: Any) -> list[list[str]]:
    sections = report(document, **options).sections
    [table] = next(one for one in sections if one.title == "Results").blocks
    heads = [column.head for column in table.columns]
    return [heads, *([cell.text for cell in row.cells] for row in table.rows)]


def test_all_results_stand_in_one_table_first() -> None:
    document = demo()
    observations = document["measurements"][0]["observations"]
    observations[0]["history"] = [{"main": "7", "fine": 3, "at": "", "why": "misread"}]
    observations[1]["excluded"] = "bumped"
    heads, first, *_ = first_table(document)
    assert heads == [
        "quantity", "result", "per cent", "readings", "zero error", "convention", "altered",
    ]  # fmt: skip
    count = len(observations)
    assert first[0] == "Lower spreader, outside"
    assert first[1].startswith("(")
    assert first[2].endswith(" %")
    assert first[3] == f"{count - 1} of {count}"
    assert first[4].endswith(" mm")
    assert first[6] == "1 set aside, 1 changed"


def test_a_quantity_without_readings_stands_there_without_a_result() -> None:
    document = demo()
    document["measurements"] = [{**document["measurements"][0], "observations": []}]
    document["derived"] = []
    _, row = first_table(document)
    assert row[1] == "no result yet"


@pytest.mark.parametrize(
    ("length", "there", "left_out"),
    [
        (Length.FULL, {"Results", "Apparatus", "Working", "Uncertainty"}, set()),
        (Length.SHORT, {"Results", "Zero checks"}, {"Apparatus", "Working", "Uncertainty"}),
        (Length.WORKING, {"Lower spreader, outside"}, {"Results", "Apparatus", "Uncertainty"}),
    ],
)
def test_a_report_comes_in_three_lengths(
    length: Length, there: set[str], left_out: set[str]
) -> None:
    made = report(demo(), length=length)
    titles = {one.title for one in made.sections}
    assert titles >= there
    assert not titles & left_out
    assert html_page(made)
    assert pdf_file(made).startswith(b"%PDF")


def plotted(document: dict[str, Any]) -> str:
    sections = report(document).sections
    section = next(one for one in sections if one.title == "Lower spreader, outside")
    return [one for one in section.blocks if isinstance(one, PictureBlock)][-1].svg


def drawn(svg: str, tag: str) -> list[ElementTree.Element]:
    return list(ElementTree.fromstring(svg).iter(f"{SVG}{tag}"))


def places_of(svg: str, tag: str, field: str) -> list[float]:
    return [float(one.get(field, "nan")) for one in drawn(svg, tag)]


def test_readings_are_plotted_with_mean_and_band() -> None:
    document = demo()
    document["measurements"] = [spread(("6", 3), ("6", 4), ("6", 2))]
    document["derived"] = []
    svg = plotted(document)
    dots = places_of(svg, "circle", "cx")
    assert len(dots) == 3
    # 6.15, 6.20, 6.10: the distances on paper are those of the values, and rows go down.
    assert dots[1] - dots[0] == pytest.approx(dots[0] - dots[2], abs=0.02)
    assert places_of(svg, "circle", "cy") == sorted(places_of(svg, "circle", "cy"))
    [left], [wide] = places_of(svg, "rect", "x"), places_of(svg, "rect", "width")
    assert left + wide / 2 == pytest.approx(dots[0], abs=0.02)


def test_what_was_set_aside_and_what_was_changed_is_plotted_so() -> None:
    document = demo()
    changed = spread(("6", 3), ("6", 4), ("6", 2), ("7", 3))
    changed["observations"][3]["excluded"] = "bumped"
    changed["observations"][0]["history"] = [{"main": "7", "fine": 3, "at": "", "why": "misread"}]
    document["measurements"], document["derived"] = [changed], []
    svg = plotted(document)
    fills = [one.get("fill") for one in drawn(svg, "circle")]
    assert fills == ["black", "black", "black", "white"]
    band, was = places_of(svg, "rect", "x")
    assert was > band
    captions = [one.caption for one in pictures(document)]
    assert "set aside" in captions[-1]
    assert "before it was changed" in captions[-1]


def test_one_reading_makes_no_plot() -> None:
    document = demo()
    document["measurements"], document["derived"] = [spread(("6", 3))], []
    assert len(pictures(document)) == 1


def spread(*read: tuple[str, int]) -> dict[str, Any]:
    one = dict(demo()["measurements"][0])
    one["observations"] = [{"main": main, "fine": fine} for main, fine in read]
    return one


def pictures(document: dict[str, Any]) -> list[PictureBlock]:
    return [
        block
        for section in report(document).sections
        for block in section.blocks
        if isinstance(block, PictureBlock)
    ]
