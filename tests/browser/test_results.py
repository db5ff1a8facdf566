"""Results: what they are made of, where they come from, what stands beside them, and planning."""

from playwright.sync_api import Page, expect


def open_spreader(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    page.get_by_role("link", name="Lower spreader, outside").click()
    expect(page.get_by_test_id("sentence")).to_contain_text("(6.6 ± 0.5) mm")


def test_a_number_leads_back_to_the_marks_and_to_the_scales(page: Page, unchanged: str) -> None:
    open_spreader(page, unchanged)
    panel = page.locator(".result-panel")
    expect(panel.locator(".budget li[data-lost='true']")).to_contain_text("reading limit0 %")
    panel.locator("math .follow", has_text="7.15").first.click()
    drawer = page.get_by_role("dialog", name="Working: Lower spreader, outside")
    found = drawer.locator("[data-found='true']")
    expect(found).to_contain_text("reading 4")
    found.get_by_title("Where this comes from").first.click()
    expect(found).to_contain_text("least count")
    # By keyboard as well, inside mathematics too.
    drawer.locator("math .follow", has_text="6.20").first.focus()
    page.keyboard.press("Enter")
    expect(found).to_contain_text("reading 2")
    found.get_by_role("button", name="on the scales").click()
    expect(drawer).to_have_count(0)
    expect(page.locator("tr.reading[aria-current='true']")).to_contain_text("middle")


def test_what_makes_two_courses_differ_is_found(page: Page, server: str) -> None:
    open_spreader(page, server)
    page.get_by_role("button", name="Other conventions").click()
    convention = page.locator(".convention", has_text="95 % coverage")
    expect(convention).to_contain_text("widens the result to cover 95 %")
    convention.get_by_role("button", name="Use it for this quantity").click()
    page.keyboard.press("Escape")
    expect(page.get_by_test_id("sentence")).to_contain_text("(6.56 ± 0.79) mm")
    expect(page.locator(".budget")).to_contain_text("settle the second look that is open first")
    expect(page.locator(".budget")).to_contain_text("effectively 3 degrees of freedom")


def test_a_result_stands_beside_an_expected_value_and_another_quantity(
    page: Page, server: str
) -> None:
    open_spreader(page, server)
    page.get_by_role("button", name="Compare…").click()
    page.get_by_label("expected value").fill("6,3")
    page.get_by_role("button", name="Compare", exact=True).click()
    beside = page.get_by_label("compared with")
    expect(beside).to_contain_text("It is 0.26 mm more than that, 4.2 %.")
    page.get_by_role("button", name="Compare with something else").click()
    page.get_by_role("combobox", name="Compare with").click()
    page.get_by_title("Ferrule, outside").click()
    page.get_by_role("button", name="Compare", exact=True).click()
    expect(beside).to_contain_text("Beside Ferrule, outside")
    expect(beside).to_contain_text("the two do not agree")


def test_a_convention_of_ones_own_is_described_and_used(page: Page, server: str) -> None:
    page.goto(f"{server}/settings")
    page.get_by_role("button", name="Describe one").click()
    page.get_by_label("Its name").fill("First-year course")
    page.get_by_label("One look may be off by").fill("1")
    page.get_by_text("mean deviation").click()
    page.get_by_text("add", exact=True).click()
    expect(page.locator(".convention-said")).to_contain_text("Adds limit and scatter.")
    page.get_by_role("button", name="Keep it").click()
    expect(page.get_by_label("conventions of your own")).to_contain_text("First-year course")
    open_spreader(page, server)
    page.get_by_role("button", name="Other conventions").click()
    own = page.locator(".convention", has_text="First-year course")
    own.get_by_role("button", name="Use it for this quantity").click()
    page.keyboard.press("Escape")
    # 0.05 and a mean deviation of 0.36875 add, and the look at the zero counts 0.05.
    expect(page.get_by_test_id("sentence")).to_contain_text("(6.6 ± 0.5) mm")
    expect(page.locator(".header .convention-chip")).to_contain_text("convention first-year course")


def test_the_planner_names_tool_and_stack(page: Page, unchanged: str) -> None:
    page.goto(f"{unchanged}/planner")
    page.get_by_label("about how large").fill("0,5")
    first = page.locator(".plan").first
    expect(first).to_contain_text("good enough")
    expect(page.locator(".plan", has_text="Fifty-line caliper")).to_contain_text("as a stack of 2")
    # Each tool has a number in the list and on its line.
    drawn = page.get_by_role("img", name="Per cent of the size")
    expect(drawn.locator(".chart-badge")).to_have_text(
        page.locator(".plan-number").all_inner_texts()
    )
    expect(drawn.locator(".chart-wanted line")).to_have_count(1)
    page.get_by_label("wanted per cent").fill("none")
    expect(page.get_by_role("alert")).to_contain_text("none")
    expect(page.get_by_label("about how large")).to_have_value("0,5")
