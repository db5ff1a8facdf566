"""The command that reads photographs of scales: ``metrion photo``."""

from __future__ import annotations

import sys

import click

from metrion.formats.faults import Refused
from metrion.formats.strict_json import read_json, write_json
from metrion.telling import FAULTY, content_of, refuse_file, told


@click.command()
@click.argument("file", default="-")
def photo(file: str) -> None:
    """Say what meets in photographs: lines of JSON with image, instrument and edge.

    Lines come from FILE, or from standard input ("-", or none). A line that has faults gives a line
    with them, and the exit status is 2.
    """
    from metrion.core.photo.answer import read_photo
    from metrion.formats.photographed import answer_record, parse_asked
    from metrion.formats.pictures import read_picture
    from metrion.voice import plainly

    speaker, whole = plainly(), True
    try:
        lines = content_of(file).splitlines()
    except Refused as refused:
        refuse_file(refused)
    for line in filter(bytes.strip, lines):
        try:
            asked = parse_asked(read_json(line))
            picture = read_picture(content_of(asked.image))
            found = read_photo(picture, asked.tool, asked.edge, upward=asked.upward)
            document: dict[str, object] = dict(answer_record(found, speaker.say(found.why)))
        except Refused as refused:
            document, whole = told(refused), False
        click.echo(write_json(document, indent=None))
    if not whole:
        sys.exit(FAULTY)
