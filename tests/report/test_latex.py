"""LaTeX: numbers with their units, texts that are no commands, documents that stand by themselves.

That they compile is seen in the long checks (`tests/hold/papers.py`).
"""

import json
import re

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.logbook import reduce_logbook
from metrion.demo import demo_file
from metrion.formats.logbook import parse_logbook
from metrion.report import Span
from metrion.report.blocks import Report
from metrion.report.build import build_report
from metrion.report.lines import brackets, over, sign
from metrion.report.render import latex_document, latex_tables, markdown_text
from metrion.report.render.latex import latex_line, latex_text
from metrion.report.render.mathematics import mathematics
from metrion.report.render.siunitx import si_amount
from metrion.voice import DecimalSign, Numbers, Speaker


def report(name: str = "spare-parts", **changes: object) -> Report:
    document = json.loads(demo_file(name)) | changes
    speaker = Speaker.of(Numbers(DecimalSign.COMMA))
    return build_report(reduce_logbook(parse_logbook(document)), speaker=speaker)


@pytest.mark.parametrize(
    ("printed", "written"),
    [
        ("6.15", r"\num{6.15}"),
        ("−0,15 mm", r"\qty{-0,15}{\milli\metre}"),
        ("(12.30 ± 0.05) mm", r"\qty{12.30 \pm 0.05}{\milli\metre}"),
        ("(−170 ± 11) mm³", r"\qty{-170 \pm 11}{\milli\metre\tothe{3}}"),
        ("0.00014 mm·kg⁻¹·m", r"\qty{0.00014}{\milli\metre\per\kilo\gram\metre}"),
        ("4 g/cm³", r"\qty{4}{\gram\per\centi\metre\tothe{3}}"),
        ("7.6 %", r"\qty{7.6}{\percent}"),
        ("0.5′", r"\qty{0.5}{\arcminute}"),
        ("1 ± 0", r"\num{1 \pm 0}"),
        ("−19°18.0′ ± 0.5′", r"\ang{-19;18.0;} \pm \ang{;0.5;}"),
        ("23°", r"\ang{23;;}"),
        ("line 3", ""), ("6 lines", ""), ("end A", ""), ("", ""), ("(6.6 ± 0.5)", ""),
    ],
)  # fmt: skip
def test_what_is_printed_is_written_for_siunitx(printed: str, written: str) -> None:
    assert si_amount(printed) == written


def test_a_word_that_no_line_would_hold_may_break() -> None:
    assert latex_text("ab " + "x" * 65) == "ab " + r"\allowbreak{}".join(
        ["x" * 30, "x" * 30, "x" * 5]
    )


@given(st.text(max_size=30))
def test_what_was_typed_is_never_a_command(text: str) -> None:
    bare = re.sub(r"\\other\{[0-9A-F]+\}\{.\}", "", latex_text(text), flags=re.DOTALL)
    for known in (r"\\[a-z]+\{[^{}]*\}", r"\\ensuremath\{[^{}]*(\{[^{}]*\})?\}", r"\\[{}$&#_%]"):
        bare = re.sub(known, "", bare)
    assert not set(bare) & set('\\{}$&#_%^|<>"')


def test_prose_between_mathematics_may_break() -> None:
    line = (*over((Span("1"),), (Span("2"),)), Span(", set aside: it slipped "), Span("7"))
    assert latex_line(line) == (
        r"$\displaystyle \dfrac{\num{1}}{\num{2}}$, set aside: it slipped $\displaystyle \num{7}$"
    )


def test_a_minus_is_that_of_a_number_or_stands_between_two() -> None:
    line = (Span("−2"), sign("−"), Span("sin"), *brackets(over((Span("x"),), (Span("y"),))))
    assert mathematics(line, str) == (
        r"{-}2 - \operatorname{sin}\left(\dfrac{x}{y}\right)"
    )  # fmt: skip
    assert mathematics((Span("0,05 mm²"),), str) == r"0{,}05\ \text{mm}{}^{2}"


def test_a_document_stands_by_itself() -> None:
    text = latex_document(report(title="50 % of 凧 & {more}", aim="See $x_1$."))
    assert text.startswith(r"\documentclass")
    assert text.rstrip().endswith(r"\end{document}")
    assert r"50 \% of \other{51E7}{凧} \& \{more\}" in text
    assert r"See \$x\_1\$." in text
    assert r"\sisetup{output-decimal-marker={,}}" in text
    assert r"\qty{6,6 \pm 0,5}{\milli\metre}" in text
    assert r"\step{mean of 4 readings}" in text
    opened, closed = (text.count(sign) - text.count(f"\\{sign}") for sign in "{}")
    assert opened == closed


def test_tables_alone_have_no_document_around_them() -> None:
    text = latex_tables(report())
    assert "documentclass" not in text
    assert text.count(r"\begin{longtable}") == 5


def many() -> Report:
    typed = {"value": "2", "uncertainty": "0.1", "unit": "mm"}
    derived = [
        {"id": f"d{at}", "name": f"Wall {at}", "formula": "2*a", "unit": "mm",
         "convention": "standard", "inputs": {"a": typed}}
        for at in range(3)
    ]  # fmt: skip
    return report(derived=derived)


def test_a_long_report_has_a_table_of_contents_after_its_results() -> None:
    text = latex_document(many())
    assert (
        text.index(r"\section{Results}") < text.index("\n\\chapters\n") < text.index("Apparatus}")
    )
    markdown = markdown_text(many())
    contents = markdown.index(
        "### Contents\n\n- Apparatus\n- Zero checks\n- Lower spreader, outside"
    )
    assert markdown.index("## Results") < contents < markdown.index("## Apparatus")
    assert r"\chapters" not in latex_document(report()).partition(r"\begin{document}")[2]
