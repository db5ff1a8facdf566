"""Facts put into words for one reader."""

from __future__ import annotations

from functools import cache
from importlib import resources
from typing import TYPE_CHECKING

from metrion.core.facts import Amount, Argument, Fact, Name
from metrion.core.numbers import to_text

if TYPE_CHECKING:
    from fluent.runtime import FluentBundle


@cache
def _catalogue(language: str) -> FluentBundle:
    # Loaded when something is said for the first time: much is worked out without a word.
    from fluent.runtime import FluentBundle, FluentResource

    text = resources.files(__package__).joinpath(f"{language}.ftl").read_text("utf-8")
    bundle = FluentBundle([language], use_isolating=False)
    bundle.add_resource(FluentResource(text))
    return bundle


class Speaker:
    """Says facts in the words of one reader.

    Attributes:
        language: of the catalogue.
    """

    def __init__(self, language: str = "en") -> None:
        self.language = language

    def say(self, fact: Fact) -> str:
        """A fact as text.

        Raises:
            LookupError: for one that the catalogue has no message for.
        """
        bundle = _catalogue(self.language)
        pattern = bundle.get_message(fact.code).value
        assert pattern is not None
        about = {name: self._written(value) for name, value in fact.about.items()}
        text, errors = bundle.format_pattern(pattern, about)
        if errors:
            raise errors[0]
        return str(text)

    def _written(self, value: Argument) -> str | int:
        if isinstance(value, Name):
            return value.text
        if isinstance(value, Fact):
            return self.say(value)
        if isinstance(value, int | str):
            return value
        if isinstance(value, Amount):
            value = value.value
        return to_text(value)


@cache
def plainly() -> Speaker:
    """The speaker of the command line and the open formats: decimal points, usual words."""
    return Speaker()
