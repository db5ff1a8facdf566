"""Facts put into words for one reader."""

from __future__ import annotations

from collections.abc import Mapping
from functools import cache, cached_property
from importlib import resources
from typing import TYPE_CHECKING

from metrion.core.facts import Amount, Argument, Fact, Figure, Name
from metrion.core.words import USUAL
from metrion.voice.numbers import Numbers

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


def _counted(count: int) -> object:
    """A count, so that a message can tell one from many; without anything between its digits."""
    from fluent.runtime.types import fluent_number

    return fluent_number(count, useGrouping=False)


class Speaker:
    """Says facts in the language, the words and the numbers of one reader.

    Attributes:
        numbers: how numbers are written.
        language: of the catalogue.
    """

    def __init__(
        self,
        numbers: Numbers | None = None,
        words: Mapping[str, str] | None = None,
        language: str = "en",
    ) -> None:
        """Make a speaker.

        Args:
            words: the words of one's course by the id of their concept, where they are not the
                usual ones.
        """
        self.numbers = numbers or Numbers()
        self.language = language
        self._own = {**USUAL, **(words or {})}

    @cached_property
    def words(self) -> dict[str, str]:
        """What messages call the concepts: ``thimble``, ``thimbles``, ``Thimble``."""
        found: dict[str, str] = {}
        for concept, word in self._own.items():
            found[concept] = word
            found[f"{concept}s"] = f"{word}s"
            found[concept.capitalize()] = f"{word[:1].upper()}{word[1:]}"
        return found

    def say(self, fact: Fact) -> str:
        """A fact as text.

        Raises:
            LookupError: for one that the catalogue has no message for.
        """
        bundle = _catalogue(self.language)
        pattern = bundle.get_message(fact.code).value
        assert pattern is not None
        about = {name: self._written(value) for name, value in fact.about.items()}
        text, errors = bundle.format_pattern(pattern, {**self.words, **about})
        if errors:
            raise errors[0]
        return str(text)

    def text(self, code: str, **about: Argument) -> str:
        """A message of the catalogue as text; see `say`."""
        return self.say(Fact(code, about))

    def sentence(self, fact: Fact) -> str:
        """A fact as a sentence of its own: with a capital."""
        text = self.say(fact)
        return f"{text[:1].upper()}{text[1:]}"

    def _written(self, value: Argument) -> object:
        if isinstance(value, tuple):
            *most, last = (str(self._written(one)) for one in value)
            if not most:
                return last
            about = {"most": Name(", ".join(most)), "last": Name(last)}
            return self.say(Fact("and-list", about))
        if isinstance(value, Name):
            return value.text
        if isinstance(value, Figure):
            return self.numbers.figure(value.text)
        if isinstance(value, Fact):
            return self.say(value)
        if isinstance(value, Amount):
            return self.numbers.amount(value)
        if isinstance(value, int):
            return _counted(value)
        return value if isinstance(value, str) else self.numbers.number(value)


@cache
def plainly() -> Speaker:
    """The speaker of the command line and the open formats: decimal points, usual words."""
    return Speaker()
