"""What keeps somebody from using a page, as axe finds it."""

from axe_playwright_python.sync_playwright import Axe
from playwright.sync_api import Page

ACCEPTED = "aria-allowed-role"
"""Numbers within mathematics lead to where they come from. Mathematics would hide them from whoever
hears the page, so where it holds such numbers it is a group; that is the one thing accepted."""


def barriers(page: Page) -> list[tuple[str, list[str]]]:
    """Everything that is found, of whatever weight, with where it is."""
    found = [
        (one["id"], [node["html"][:160] for node in one["nodes"]])
        for one in Axe().run(page).response["violations"]
    ]
    return [
        (rule, places)
        for rule, places in found
        if rule != ACCEPTED or not all(place.startswith("<math") for place in places)
    ]
