"""What each act makes of a bench."""

from __future__ import annotations

from collections.abc import Callable, Iterable
from dataclasses import replace
from enum import StrEnum
from functools import reduce
from math import cos, isfinite, pi
from typing import TypeVar

from metrion.core.bench.acts import Act, Do, NoSuchAct, NotNow
from metrion.core.bench.bench import BARE, WIDE, Bench, Cause, Causes, Held, Seen
from metrion.core.bench.catalogue import (
    AIMED,
    BenchPart,
    BenchPlace,
    PartTruth,
    Tool,
    fits,
    part_truth,
    places,
)
from metrion.core.bench.rng import Rng, between, scattered
from metrion.core.facts import fact

_Named = TypeVar("_Named", bound=StrEnum)

_ALONG = {
    BenchPlace.END: -0.5,
    BenchPlace.MIDDLE: 0.0,
    BenchPlace.FAR_END: 0.5,
    BenchPlace.CUT: 0.5,
}
_JITTER = 0.1
"""How far from there a hand places it, in parts of its length."""
_FULL_TURN = 360 * 60.0
_FOIL_MIDDLE = _FULL_TURN / 2
_BESIDE = 40.0
"""How far from a line a circle is left before the cross-hair is brought on, in arc minutes."""


def benched(luck: Rng, acts: Iterable[Act]) -> Bench:
    """The bench that acts have come to, one after the other."""
    return reduce(after, acts, Bench(luck))


def may(bench: Bench, do: Do) -> bool:
    """Whether something can be done as everything stands."""
    return _MAY.get(do, _always)(bench)


def after(bench: Bench, act: Act) -> Bench:
    """The bench after an act.

    Raises:
        NoSuchAct: if it says something that is not here.
        NotNow: if it cannot be done now.
    """
    if not may(bench, act.do):
        raise NotNow(act.do)
    begun = replace(bench, acts=bench.acts + 1, remark=None)
    return _DONE[act.do](begun, act.what)


def _named(kind: type[_Named], text: str) -> _Named:
    try:
        return kind(text)
    except ValueError:
        raise NoSuchAct(text) from None


def _always(_: Bench) -> bool:
    return True


def _free(bench: Bench) -> bool:
    return not bench.locked


def _open(bench: Bench) -> bool:
    return not bench.locked and not bench.touching


def _aims(bench: Bench) -> bool:
    return bench.tool is Tool.CIRCLE


_MAY: dict[Do, Callable[[Bench], bool]] = {
    Do.WIPE: lambda bench: _open(bench) and bench.held is None and not _aims(bench),
    Do.OPEN: _free,
    Do.PLACE: lambda bench: _open(bench) or (_free(bench) and _aims(bench)),
    Do.TURN: lambda bench: _open(bench) and bench.held is not None and not _aims(bench),
    Do.CLOSE: lambda bench: _free(bench) and _can_meet(bench),
    Do.FORCE: lambda bench: _free(bench) and _can_meet(bench) and not _aims(bench),
    Do.EASE: lambda bench: _free(bench) and bench.touching and not bench.lifted,
    Do.MOVE: lambda bench: _free(bench) and not bench.lifted,
    Do.LOCK: _free,
    Do.UNLOCK: lambda bench: bench.locked,
    Do.LIFT: lambda bench: bench.tool is not Tool.DISPLAY and not bench.lifted,
    Do.READ: lambda bench: bench.held is not None and bench.held.part is not None,
    Do.ZERO: lambda bench: bench.touching and bench.held == BARE,
}


def _can_meet(bench: Bench) -> bool:
    """A circle closes on nothing: it has to be aimed at something."""
    return not bench.lifted and (not _aims(bench) or bench.held is not None)


def _take(bench: Bench, what: str) -> Bench:
    tool = _named(Tool, what)
    return _apart(replace(bench, tool=tool, locked=False))


def _apart(bench: Bench) -> Bench:
    return replace(bench, held=None, causes=None, at=_wide(bench.tool), lifted=False)


def _wide(tool: Tool) -> float:
    return WIDE * 60 if tool is Tool.CIRCLE else WIDE


def _wipe(bench: Bench, _: str) -> Bench:
    return replace(bench, wiped=bench.wiped | {bench.tool})


def _open_up(bench: Bench, _: str) -> Bench:
    return _apart(bench)


def _place(bench: Bench, what: str) -> Bench:
    part_name, _, place_name = what.partition("/")
    part, place = _named(BenchPart, part_name), _named(BenchPlace, place_name)
    if not fits(bench.tool, part) or place not in places(part):
        raise NoSuchAct(what)
    off = between(bench.luck, f"act {bench.acts} along", -_JITTER, _JITTER)
    held = Held(part, place, _ALONG.get(place, 0.0) + off)
    aimed = _contact(part_truth(part, bench.luck), place) - _BESIDE
    remark = fact("bench-burr") if place is BenchPlace.CUT else None
    return replace(
        bench, held=held, at=aimed if place in AIMED else bench.at, causes=None, lifted=False,
        remark=remark,
    )  # fmt: skip


def _turn(bench: Bench, _: str) -> Bench:
    return replace(bench, turns=bench.turns + 1)


def _of_the_place(bench: Bench, truth: PartTruth, held: Held) -> Causes:
    """What place and direction add; a part that is not turned lies as it lay."""
    across = pi * bench.luck(f"{held.part} direction {bench.turns}")
    return {
        Cause.PLACE: truth.oval / 2 * cos(2 * across) + truth.taper * held.along,
        Cause.BURR: truth.burr if held.place is BenchPlace.CUT else 0.0,
    }


def contact(bench: Bench) -> float:
    """Where faces meet what is between them; nought for bare ones."""
    held = bench.held or BARE
    return _contact(part_truth(held.part, bench.luck) if held.part else None, held.place)


def _contact(truth: PartTruth | None, place: BenchPlace) -> float:
    """Where the faces meet what is between them, or the cross-hair what it is aimed at."""
    if truth is None:
        return 0.0
    if place in AIMED:
        return _FOIL_MIDDLE + (truth.size / 2 if place is BenchPlace.RIGHT else -truth.size / 2)
    return truth.size


def _met(bench: Bench, *, pressed: float = 0.0) -> Bench:
    """The faces brought on until they touch."""
    held = bench.held or BARE
    truth = part_truth(held.part, bench.luck) if held.part else None
    uneven = truth.uneven if truth else bench.truth.unsteady
    counted = {**bench.closings, bench.tool: bench.closings.get(bench.tool, 0) + 1}
    bench = replace(bench, held=held, closings=counted)
    causes = {
        **(_of_the_place(bench, truth, held) if truth else {}),
        Cause.ZERO: bench.zero,
        Cause.DUST: 0.0 if bench.tool in bench.wiped else bench.truth.dust,
        Cause.FORCE: -min(pressed, bench.truth.give),
        Cause.CHANCE: uneven * scattered(bench.luck, f"act {bench.acts} closing"),
    }
    at = _contact(truth, held.place) + sum(causes.values())
    return replace(bench, causes=causes, at=at)


def _close(bench: Bench, _: str) -> Bench:
    return replace(_met(bench), remark=fact("bench-met", tool=bench.tool))


def _force(bench: Bench, _: str) -> Bench:
    pressed = _met(bench, pressed=bench.truth.give)
    return replace(pressed, remark=fact("bench-forced", tool=bench.tool))


def _ease(bench: Bench, _: str) -> Bench:
    """Back a little, so that it is met from inside: the play stands in the reading."""
    met = _met(bench)
    return replace(
        met,
        causes={**(met.causes or {}), Cause.PLAY: met.truth.play},
        at=met.at + met.truth.play,
        remark=fact("bench-from-inside", tool=bench.tool),
    )


def _move(bench: Bench, what: str) -> Bench:
    """To where a hand asks, as the eye sees it; beyond what is in the way it presses."""
    try:
        to = float(what) - (bench.shown - bench.at)
    except ValueError:
        raise NoSuchAct(what) from None
    if not isfinite(to):
        raise NoSuchAct(what)
    if bench.tool is Tool.CIRCLE and bench.held is None:
        return replace(bench, at=to % _FULL_TURN)
    met = _met(bench)
    if bench.tool is Tool.CIRCLE:
        # Nothing is in the way of a cross-hair: it stands where it was put, on the line or off.
        return replace(met, at=to, causes={**(met.causes or {}), Cause.CHANCE: 0.0})
    if to >= met.at:
        held = bench.held if bench.held and bench.held.part else None
        return replace(bench, at=min(to, 2 * WIDE), held=held, causes=None)
    pressed = _met(bench, pressed=met.at - to)
    forced = met.at - to > float(bench.instrument.least_count)
    return replace(pressed, remark=fact("bench-pressed", tool=bench.tool) if forced else None)


def _lock(bench: Bench, _: str) -> Bench:
    return replace(bench, locked=True)


def _unlock(bench: Bench, _: str) -> Bench:
    return replace(bench, locked=False)


def _lift(bench: Bench, _: str) -> Bench:
    """The part is drawn out, and the scales come before the eye; unlocked, they may slip."""
    if bench.locked or not bench.touching or bench.tool is Tool.CIRCLE:
        return replace(bench, lifted=True)
    slid = between(bench.luck, f"act {bench.acts} slack", 0, bench.truth.slack)
    causes = {**(bench.causes or {}), Cause.SLACK: slid}
    return replace(bench, lifted=True, causes=causes, at=bench.at + slid, remark=fact("bench-slid"))


def _write_down(bench: Bench, _: str) -> Bench:
    """A look, with all that it has in it: what is left over, nothing had been met for."""
    held = bench.held
    assert held is not None
    truth = part_truth(held.part, bench.luck) if held.part else None
    causes = dict(bench.causes or {Cause.ZERO: bench.zero})
    causes[Cause.ASLANT] = bench.shown - bench.at
    contact = _contact(truth, held.place)
    causes[Cause.GAP] = (
        bench.shown
        - contact
        - sum(size for cause, size in causes.items() if cause is not Cause.GAP)
    )
    return replace(bench, looks=(*bench.looks, Seen(held, bench.shown, causes)))


_DONE: dict[Do, Callable[[Bench, str], Bench]] = {
    Do.TAKE: _take,
    Do.WIPE: _wipe,
    Do.OPEN: _open_up,
    Do.PLACE: _place,
    Do.TURN: _turn,
    Do.CLOSE: _close,
    Do.FORCE: _force,
    Do.EASE: _ease,
    Do.MOVE: _move,
    Do.LOCK: _lock,
    Do.UNLOCK: _unlock,
    Do.LIFT: _lift,
    Do.READ: _write_down,
    Do.ZERO: _write_down,
}
