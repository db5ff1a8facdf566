"""What a convention is called."""

from __future__ import annotations

from metrion.core.conventions.convention import BUILT_IN, Convention
from metrion.voice.speaker import Speaker


def convention_name(convention: Convention, speaker: Speaker) -> str:
    """The name that its owner gave it; of a built-in one, what the catalogue calls it."""
    built_in = convention.id in BUILT_IN
    return speaker.text_of("convention-named", convention.id) if built_in else convention.name
