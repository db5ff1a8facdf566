"""Derived quantities: from the board, by a formula of one's own, with what is wrong said."""

from playwright.sync_api import Page, expect

SECTION = "derived quantities"


def test_a_difference_from_the_board_says_that_the_shared_zero_cancels(
    page: Page, server: str
) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    page.get_by_role("button", name="New derived quantity").click()
    page.get_by_role("button", name="Difference of two lengths").click()
    dialog = page.get_by_role("dialog")
    # The larger stands where the larger is wanted.
    dialog.get_by_role("button", name="Work it out").click()
    section = page.get_by_role("region", name=SECTION)
    expect(section.locator(".sheet-sentence")).to_have_text("(2.2 ± 0.5) mm")
    expect(section).to_contain_text("were corrected by the same zero: its error cancels here.")
    # Changed in place, then removed and brought back.
    section.get_by_role("button", name="Change").click()
    dialog.get_by_label("Formula").fill("(a - b)/2")
    dialog.get_by_role("button", name="Change it").click()
    expect(section.locator(".sheet-sentence")).to_have_text("(1.1 ± 0.3) mm")
    section.get_by_role("button", name="Remove…").click()
    page.get_by_role("menuitem", name="Difference of two lengths").click()
    expect(section.locator(".sheet-sentence")).to_have_count(0)
    page.get_by_role("button", name="Undo").click()
    expect(section.locator(".sheet-sentence")).to_have_text("(1.1 ± 0.3) mm")


def test_a_formula_of_ones_own_with_typed_values(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts")
    page.get_by_role("button", name="New derived quantity").click()
    page.get_by_role("button", name="A formula of your own").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Name").fill("Mass of a metre")
    dialog.get_by_label("Formula").fill("m/x")
    dialog.get_by_label("value of m").fill("12,5")
    dialog.get_by_label("uncertainty of m").fill("0,1")
    dialog.get_by_label("value of x").fill("2")
    dialog.get_by_label("unit of x").fill("m")
    dialog.get_by_label("Given in").fill("g/m")
    dialog.get_by_role("button", name="Work it out").click()
    # Grams were meant; what was typed stays and the reason stands beside it.
    expect(dialog.get_by_role("alert")).to_contain_text("g/m")
    expect(dialog.get_by_label("value of m")).to_have_value("12,5")
    dialog.get_by_label("unit of m").fill("g")
    dialog.get_by_role("button", name="Work it out").click()
    section = page.get_by_role("region", name=SECTION)
    expect(section.locator(".sheet-sentence")).to_have_text("(6.25 ± 0.05) g/m")


def test_another_convention_is_compared_and_taken(page: Page, server: str) -> None:
    page.goto(f"{server}/sheets/spare-parts/quantities/ferrule")
    sentence = page.get_by_test_id("sentence")
    expect(sentence).to_contain_text("(8.72 ± 0.03) mm")
    page.get_by_role("button", name="Other conventions").click()
    convention = page.locator(".convention", has_text="Whole division")
    expect(convention).to_contain_text("(8.7 ± 0.1) mm")
    expect(convention).to_contain_text("It takes a whole least count as the limit of one look")
    convention.get_by_role("button", name="Use it for this quantity").click()
    expect(convention).to_contain_text("the one used here")
    page.keyboard.press("Escape")
    expect(sentence).to_contain_text("(8.7 ± 0.1) mm")
    expect(page.locator(".header .convention-chip")).to_contain_text("convention whole division")


def test_the_convention_of_the_notebook_is_chosen_in_settings(page: Page, server: str) -> None:
    page.goto(f"{server}/settings")
    expect(page.get_by_text("new sheets half division")).to_be_visible()
    page.get_by_label("Convention", exact=True).click()
    page.locator(".ant-select-item-option", has_text="Standard uncertainty").click()
    expect(page.get_by_text("new sheets standard uncertainty")).to_be_visible()
    page.reload()
    expect(page.get_by_text("new sheets standard uncertainty")).to_be_visible()
