"""What can be done about a second look: look first, correct second, set aside last."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from enum import StrEnum

from metrion.core.facts import Fact, Figure, fact
from metrion.core.json import Json, text_in
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import PAIR_INDICATIONS
from metrion.core.quantity.wrapped_zero import wrapped_zero
from metrion.core.review.flags import Flag
from metrion.core.review.settled import looked_again


class RemedyAct(StrEnum):
    """What is done: the reading is taken up again, left out for a reason, or fields are changed."""

    LOOK_AGAIN = "look-again"
    SET_ASIDE = "set-aside"
    AMEND = "amend"


class Target(StrEnum):
    """What it is done to."""

    READING = "reading"
    ZERO_CHECK = "zero-check"
    QUANTITY = "quantity"


@dataclass(frozen=True)
class Remedy:
    """One thing that can be done about a flag.

    Attributes:
        act: what is done.
        target: to what; which reading or zero check the flag says.
        label: how it is offered.
        fields: that it changes, as a logbook holds them.
        why: what is noted beside the change, if anything.
    """

    act: RemedyAct
    target: Target
    label: Fact
    fields: Mapping[str, Json] = field(default_factory=dict)
    why: Fact | None = None


def remedies(flag: Flag, measurement: Measurement) -> tuple[Remedy, ...]:
    """What is offered about a flag that is open, the likeliest first."""
    if flag.observation is not None:
        return tuple(_of_a_reading(flag, measurement))
    if flag.zero_check:
        return tuple(_of_a_zero_check(flag, measurement))
    choice = flag.choice
    if choice is None or choice.label is None:
        return ()
    return (Remedy(RemedyAct.AMEND, Target.QUANTITY, choice.label, {choice.field: True}),)


def _of_a_reading(flag: Flag, measurement: Measurement) -> Iterator[Remedy]:
    yield Remedy(RemedyAct.LOOK_AGAIN, Target.READING, fact("remedy-look-again"))
    if flag.suggestion:
        label = fact("remedy-misread", main=_main_meant(flag, measurement))
        why = fact("remedy-misread-why")
        yield Remedy(RemedyAct.AMEND, Target.READING, label, flag.suggestion, why)
    yield Remedy(RemedyAct.SET_ASIDE, Target.READING, fact("remedy-set-aside"))
    yield _stands(flag, measurement, Target.READING)


def _of_a_zero_check(flag: Flag, measurement: Measurement) -> Iterator[Remedy]:
    instrument = measurement.instrument
    check = next(one for one in measurement.checks if one.id == flag.zero_check)
    if wrapped := wrapped_zero(instrument, check.indication, check.reference):
        label = fact("remedy-zero-was", error=Figure(instrument.with_unit(wrapped.mended)))
        why = fact("remedy-zero-was-why")
        yield Remedy(RemedyAct.AMEND, Target.ZERO_CHECK, label, flag.suggestion, why)
    yield _stands(flag, measurement, Target.QUANTITY)


def _stands(flag: Flag, measurement: Measurement, target: Target) -> Remedy:
    settled = dict.fromkeys([*looked_again(flag, measurement), flag.code])
    return Remedy(RemedyAct.AMEND, target, fact("remedy-stands"), {"looked_again": list(settled)})


def _main_meant(flag: Flag, measurement: Measurement) -> Figure:
    """The main reading that is suggested, as people see it."""
    looks = (flag.suggestion, *(flag.suggestion.get(name, {}) for name in PAIR_INDICATIONS))
    main = next(
        found for one in looks if isinstance(one, Mapping) and (found := text_in(one, "main"))
    )
    return Figure(measurement.instrument.main_words(main))
