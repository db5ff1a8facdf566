"""The command that understands readings as they are said: ``metrion said``."""

from __future__ import annotations

import click

from metrion.core.json import Json, Record
from metrion.telling import answer_lines


@click.command()
@click.argument("file", default="-")
def said(file: str) -> None:
    """Say what readings mean: lines of JSON {"instrument": …, "said": "5.2 2", "at": "reading"}.

    Lines come from FILE, or from standard input ("-", or none). What is said is what would stand in
    the two blanks, joined by a blank. A line that has faults gives a line with them, and the exit
    status is 2.
    """
    from metrion.core.desk.said.words import judgement_says
    from metrion.formats.said import judgement_record, parse_said
    from metrion.voice import plainly

    speaker = plainly()

    def answer(line: Json) -> Record:
        heard = parse_said(line)
        judged = heard.judged()
        says = judgement_says(heard.tool, heard.text, judged.verdict, judged.meanings)
        return judgement_record(heard, judged, speaker.sentence(says))

    answer_lines(file, answer)
