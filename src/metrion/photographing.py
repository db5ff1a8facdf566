"""The command that reads photographs of scales: ``metrion photo``."""

from __future__ import annotations

import click

from metrion.core.json import Json, Record
from metrion.telling import answer_lines, content_of


@click.command()
@click.argument("file", default="-")
def photo(file: str) -> None:
    """Say what meets in photographs: lines of JSON with image, instrument and edge.

    Lines come from FILE, or from standard input ("-", or none). A line that has faults gives a line
    with them, and the exit status is 2.
    """
    from metrion.formats.asked_pictures import answer_of
    from metrion.formats.photographed import answer_record, parse_asked
    from metrion.voice import plainly

    speaker = plainly()

    def answer(line: Json) -> Record:
        asked = parse_asked(line)
        picture = content_of(asked.image)
        found = answer_of(picture, asked.tool, asked.edge, upward=asked.upward)
        return answer_record(found, speaker.say(found.why))

    answer_lines(file, answer)
