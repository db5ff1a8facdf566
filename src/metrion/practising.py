"""The commands of practice: ``metrion exercises``, ``diagnose`` and ``exercise-sheets``."""

from __future__ import annotations

from pathlib import Path

import click

from metrion.core.facts import Name
from metrion.core.json import Json, Record
from metrion.core.practice.exercise import IN_FILES, Question
from metrion.formats.strict_json import write_json
from metrion.telling import answer_lines, give_up, say, write_file


@click.command()
@click.option("--seed", type=click.IntRange(0), required=True, help="What they are made from.")
@click.option("--count", type=click.IntRange(1), required=True, help="How many.")
@click.option(
    "--kind", type=click.Choice(list(map(str, IN_FILES))), help="Of this kind of tool only."
)
@click.option(
    "--question", type=click.Choice(list(map(str, Question))), help="With this question only."
)
def exercises(seed: int, count: int, kind: str | None, question: str | None) -> None:
    """Print exercises in reading scales, a line of JSON each; the same for the same arguments."""
    from metrion.formats.exercise import exercise_record, exercises_of

    found = exercises_of(seed, kind, question)
    for _ in range(count):
        if (one := next(found, None)) is None:
            raise click.UsageError(f"{question} is not asked of {kind}.")
        click.echo(write_json(exercise_record(one), indent=None))


@click.command()
@click.argument("file", default="-")
def diagnose(file: str) -> None:
    """Judge answers: lines of JSON {"exercise": …, "given": "7.30"} ("-", or none: standard input).

    A line that has faults gives a line with them, and the exit status is 2.
    """
    from metrion.core.practice.diagnosis import diagnose as judged
    from metrion.formats.exercise import diagnosis_record, parse_answer
    from metrion.voice import plainly

    speaker = plainly()

    def answer(line: Json) -> Record:
        exercise, given = parse_answer(line)
        found = judged(exercise, given)
        return diagnosis_record(exercise, found, " ".join(map(speaker.say, found.says)))

    answer_lines(file, answer)


_MOST_SEEDS = 1_000


def _seeds(_context: object, _option: object, given: str) -> range:
    """Seeds as they are given: ``7``, or ``1-30``."""
    first, _, last = given.partition("-")
    try:
        found = range(int(first), int(last or first) + 1)
    except ValueError:
        found = range(0)
    if not found or found[0] < 0 or len(found) > _MOST_SEEDS:
        raise click.BadParameter("a seed, or the first and the last of at most 1,000: 1-30")
    return found


@click.command(name="exercise-sheets")
@click.option("--seeds", callback=_seeds, required=True, help="One for each sheet: 7, or 1-30.")
@click.option("--count", type=click.IntRange(1, 100), required=True, help="Exercises on a sheet.")
@click.option("--to", type=click.Path(path_type=Path), required=True, help="Folder to write into.")
@click.option("--html", is_flag=True, help="As pages instead of PDF.")
@click.option(
    "--paper", type=click.Choice(["a4", "letter"]), default="a4", show_default=True,
    help="Size of the paper.",
)  # fmt: skip
def exercise_sheets(seeds: range, count: int, to: Path, *, html: bool, paper: str) -> None:
    """Write exercises to be printed: a sheet for every seed, and one bundle of keys.

    The exercises are those of ``metrion exercises`` without kind and question, and those that the
    page *Practice* shows for the same seed.
    """
    from itertools import islice

    from metrion.formats.exercise import exercises_of
    from metrion.report.exercise_sheet import answer_key, exercise_sheet
    from metrion.report.paper import Paper
    from metrion.report.render.html import html_page
    from metrion.report.render.pdf import pdf_file, pdf_of_many
    from metrion.voice import plainly

    speaker = plainly()
    size = Paper.A4 if paper == "a4" else Paper.LETTER
    try:
        to.mkdir(parents=True, exist_ok=True)
    except OSError as error:
        give_up("cli-unwritable", name=Name(str(to)), reason=Name(str(error.strerror)))
    keys = []
    for seed in seeds:
        asked = list(islice(exercises_of(seed), count))
        sheet = exercise_sheet(seed, asked, speaker)
        keys.append(answer_key(seed, asked, speaker))
        if html:
            write_file(to / f"sheet-{seed}.html", html_page(sheet).encode())
            write_file(to / f"key-{seed}.html", html_page(keys[-1]).encode())
        else:
            write_file(to / f"sheet-{seed}.pdf", pdf_file(sheet, size))
    if not html:
        write_file(to / "keys.pdf", pdf_of_many(speaker.text("practice-keys"), keys, size))
    click.echo(say("cli-sheets-written", count=len(seeds), folder=Name(str(to))))
