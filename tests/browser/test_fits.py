"""A long working fits: nothing runs off, overprints, or shrinks to a word a line."""

import json
from typing import Any

import pytest
from playwright.sync_api import Browser, Page, expect

from metrion.demo import demo_file

OUTSIDE = """([row, label, how]) => {
    const rows = [...document.querySelectorAll(row)];
    const away = [];
    for (const one of rows) {
        const edge = one.getBoundingClientRect();
        for (const piece of one.querySelectorAll("*")) {
            const {left, right} = piece.getBoundingClientRect();
            if (left < edge.left - 2 || right > edge.right + 2)
                away.push(["off", piece.textContent]);
        }
        const set = [...one.querySelectorAll("math")].map((each) => each.getBoundingClientRect());
        for (const [at, a] of set.entries())
            for (const b of set.slice(at + 1))
                if (Math.min(a.right, b.right) - Math.max(a.left, b.left) > 1 &&
                    Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 1)
                    away.push(["over", one.textContent]);
        const name = one.querySelector(label).getBoundingClientRect();
        if (name.width < 90) away.push(["narrow", one.textContent]);
    }
    return away;
}"""


def long_formula() -> dict[str, Any]:
    document: dict[str, Any] = json.loads(demo_file("spare-parts"))
    typed = {"value": "12.5", "uncertainty": "0.1", "unit": "mm"}
    document["title"] = "A long one"
    document["derived"] = [{
        "id": "long", "name": "A long one", "unit": "mm", "convention": "standard-95",
        "formula": "sqrt((a**2+b**2)/(c**2+h**2))*(g*l**3)/(48*l*pi*(a**4-b**4)/64)*l**2"
                   "+sin(q)*a/(1+b/(c+h**2/(a+b)))",
        "inputs": {"a": "spreader", "b": "ferrule", "c": "spreader", "h": typed, "g": typed,
                   "l": typed, "q": typed | {"unit": "deg"}},
    }]  # fmt: skip
    return document


@pytest.mark.parametrize(("width", "height"), [(390, 844), (1280, 800)])
def test_a_long_working_fits_in_drawer_and_report(
    browser: Browser, server: str, width: int, height: int
) -> None:
    page = browser.new_page(viewport={"width": width, "height": height})
    (taken,) = page.request.post(f"{server}/api/arrivals/take", data=long_formula()).json()
    page.goto(f"{server}/sheets/{taken['id']}")
    page.get_by_role("button", name="Working").click()
    expect(page.locator(".working").get_by_text("sensitivity coefficient of q")).to_be_visible()
    assert page.evaluate(OUTSIDE, [".ant-drawer .working > div", "dt"]) == []
    page.goto(f"{server}/api/sheets/{taken['id']}/report")
    assert page.evaluate(OUTSIDE, [".steps tr", "th"]) == []
    # A4 on paper.
    page.set_viewport_size({"width": 794, "height": 1123})
    page.emulate_media(media="print")
    assert page.evaluate(OUTSIDE, [".steps tr", "th"]) == []
    page.close()


OVER_EACH_OTHER = """() => [...document.querySelectorAll(".ant-drawer mrow")].flatMap((row) =>
    [...row.children].slice(1).filter((piece, at) => {
        const before = row.children[at];
        const ends = [before, ...before.querySelectorAll("*")]
            .map((each) => each.getBoundingClientRect().right);
        return piece.getBoundingClientRect().left < Math.max(...ends) - 3;
    }).map((piece) => row.textContent))"""


def test_no_piece_of_mathematics_stands_on_another(page: Page, unchanged: str) -> None:
    page.set_viewport_size({"width": 390, "height": 844})
    page.goto(f"{unchanged}/sheets/foil-colours")
    page.get_by_role("button", name="Working").last.click()
    expect(page.locator(".ant-drawer msqrt")).to_have_count(5)
    expect(page.locator(".ant-drawer .working").get_by_text("degrees of freedom")).to_be_visible()
    assert page.evaluate(OVER_EACH_OTHER) == []
