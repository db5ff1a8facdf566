"""Facts put into words for one reader."""

from __future__ import annotations

import re
from collections.abc import Mapping
from dataclasses import dataclass, field
from functools import cache, cached_property
from typing import TYPE_CHECKING

from metrion.core.codes import MessageCode
from metrion.core.facts import Amount, Argument, Fact, Figure, Name, coded
from metrion.core.words import CONCEPTS
from metrion.voice.catalogues import DEFAULT, messages, usual
from metrion.voice.numbers import Numbers

if TYPE_CHECKING:
    from fluent.runtime import FluentBundle
    from fluent.runtime.resolver import Pattern

_NAMES = re.compile(r"\{ *([a-z][\w-]*) *\}")
"""Of messages within a message."""

_VARIABLES = re.compile(r"\$([A-Za-z][\w-]*)")
"""Of what a message is about."""

_BETWEEN = " | "
"""Between the words of a list in the catalogue, and singular and plural of one's own."""


@cache
def _bundle(language: str) -> FluentBundle:
    # Loaded when something is said for the first time: much is worked out without a word.
    from fluent.runtime import FluentBundle

    return FluentBundle([language], use_isolating=False)


def _understood(language: str, code: str) -> bool:
    """See that a message can be said; whether there is one.

    Each is read when it is said for the first time: to read all takes longer than most commands.
    What a catalogue does not say, or not in the format, is said as in the usual one.
    """
    from fluent.runtime import FluentResource

    bundle = _bundle(language)
    for each in dict.fromkeys((language, DEFAULT)):
        text = messages(each).get(code, "")
        # What it names comes first: another thread may say it as soon as it is there.
        if not bundle.has_message(code) and all(
            _understood(language, named) for named in _NAMES.findall(text)
        ):
            bundle.add_resource(FluentResource(text))
    return bundle.has_message(code)


def _about(language: str, code: str) -> set[str]:
    """What a message speaks of, its attributes, and the messages within it."""
    name, _, _ = code.partition(".")
    texts = [messages(each).get(name, "") for each in dict.fromkeys((language, DEFAULT))]
    named = (one for text in texts for one in _NAMES.findall(text))
    found = {one for text in texts for one in _VARIABLES.findall(text)}
    return found.union(*(_about(language, one) for one in named))


def _counted(count: int) -> object:
    """A count, so that a message can tell one from many; without anything between its digits."""
    from fluent.runtime.types import fluent_number

    return fluent_number(count, useGrouping=False)


@dataclass(frozen=True)
class Speaker:
    """Says facts in the language, the words and the numbers of one reader.

    Attributes:
        numbers: how numbers are written.
        own: the words of one's course by the id of their concept, where they are not the usual
            ones; one whose plural is not known may have it behind a bar: ``jaw | jaws``.
        language: of the catalogue.
    """

    numbers: Numbers = field(default_factory=Numbers)
    own: tuple[tuple[str, str], ...] = ()
    language: str = field(default_factory=usual)

    @classmethod
    def of(
        cls, numbers: Numbers, own: Mapping[str, str] | None = None, language: str = ""
    ) -> Speaker:
        """A speaker with words of one's own; in the usual language if none is named."""
        return cls(numbers, tuple(sorted((own or {}).items())), language or usual())

    @cached_property
    def words(self) -> dict[str, str]:
        """What messages call the concepts: ``thimble``, ``thimbles``, ``Thimble``."""
        found: dict[str, str] = {}
        for concept, (word, plural) in self._both().items():
            found |= {concept: word, f"{concept}s": plural}
            capital = concept.capitalize()
            found |= {capital: _capital(word), f"{capital}s": _capital(plural)}
        return found

    @cached_property
    def _named(self) -> frozenset[str]:
        return frozenset(self.words)

    def _both(self) -> dict[str, tuple[str, str]]:
        """Singular and plural of each concept."""
        own = dict(self.own)
        return {concept: self._numbered(concept, own.get(concept)) for concept in CONCEPTS}

    def _numbered(self, concept: str, own: str | None) -> tuple[str, str]:
        usual = self._raw(f"concept-{concept}")
        word, _, plural = (own or usual).partition(_BETWEEN)
        if word == usual:
            return word, self._raw(f"concept-{concept}.plural")
        return word, plural or self._raw("plural-of-a-word", word=word)

    def alternatives(self, concept: str) -> tuple[str, ...]:
        """All that courses call a concept, the usual word first."""
        others = self.known("concept", f"{concept}.others")
        return (self._raw(f"concept-{concept}"), *(others.split(_BETWEEN) if others else ()))

    def say(self, fact: Fact) -> str:
        """A fact as text.

        Raises:
            LookupError: for one that the catalogue has no message for.
        """
        about = {name: self._written(value) for name, value in fact.about.items()}
        # A hundred words of which most messages name none: to hand over all takes most of the time.
        words = {name: self.words[name] for name in _about(self.language, fact.code) & self._named}
        return self._raw(fact.code, **{**words, **about})

    def _raw(self, code: str, **about: object) -> str:
        pattern = self._pattern(code)
        if pattern is None:
            raise LookupError(code)
        text, errors = _bundle(self.language).format_pattern(pattern, about)
        if errors and self.language != DEFAULT:
            # A catalogue that names what a message is not about: better said in another language.
            return Speaker(self.numbers, self.own, DEFAULT)._raw(code, **about)
        if errors:
            raise errors[0]
        return str(text)

    def _pattern(self, code: str) -> Pattern | None:
        name, _, attribute = code.partition(".")
        if not _understood(self.language, name):
            return None
        message = _bundle(self.language).get_message(name)
        return message.attributes.get(attribute) if attribute else message.value

    def text(self, code: MessageCode, **about: Argument) -> str:
        """A message of the catalogue as text; see `say`."""
        return self.say(Fact(code, about))

    def text_of(self, stem: str, member: object, **about: Argument) -> str:
        """One of a family of messages as text; see `coded`."""
        return self.say(coded(stem, member, **about))

    def known(self, stem: str, member: object) -> str:
        """One of a family as text; empty where the catalogue has none for that member."""
        return self.text_of(stem, member) if self._pattern(f"{stem}-{member}") else ""

    def sentence(self, fact: Fact) -> str:
        """A fact as a sentence of its own: with a capital."""
        return _capital(self.say(fact))

    def _written(self, value: Argument) -> object:
        if isinstance(value, tuple):
            *most, last = (str(self._written(one)) for one in value)
            if not most:
                return last
            return self.text("and-list", most=Name(", ".join(most)), last=Name(last))
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


def _capital(text: str) -> str:
    return f"{text[:1].upper()}{text[1:]}"


@cache
def plainly() -> Speaker:
    """The speaker of the command line and the open formats: decimal points, usual words."""
    return Speaker()
