"""A result beside the truth, and what each habit cost."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass

from metrion.core.bench.acts import NoSuchAct, NotNow, parse_simulated
from metrion.core.bench.bench import Cause, Causes, Seen
from metrion.core.bench.catalogue import BenchPart, BenchPlace, part_truth
from metrion.core.bench.rng import Rng
from metrion.core.bench.transitions import benched
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import MeasurementResult
from metrion.core.scales import Indication

READ = "read"
"""What was written down other than what the scales showed."""


@dataclass(frozen=True)
class Revealed:
    """How far off a result is, and by what.

    Attributes:
        part: what was measured.
        truth: its size; of one, where several lay together.
        off: the result less the truth.
        in_uncertainties: the same in stated uncertainties.
        costs: what each cause made of it, as `Cause` or `READ`; together they are ``off``.
    """

    part: BenchPart
    truth: float
    off: float
    in_uncertainties: float
    costs: Mapping[str, float]


LuckOf = Callable[[int], Rng]
"""The luck of a seed."""


def reveal(luck_of: LuckOf, result: MeasurementResult) -> Revealed | None:
    """A result beside the truth; None where not all of it was read at one bench, of one part."""
    measurement = result.measurement
    counting = [one for one in measurement.observations if one.counts]
    looked = [(one.noted.simulated, one.indications) for one in counting]
    looks = [_looks(luck_of, measurement.instrument, *one) for one in looked]
    checked = [(one.noted.simulated, (one.indication,)) for one in measurement.effective_checks]
    checks = [_looks(luck_of, measurement.instrument, *one) for one in checked]
    seeds = {simulated.partition(" ")[0] for simulated, _ in looked + checked}
    parts = {seen.held.part for found in looks for _, seen in found}
    mean, rounded = result.mean, result.rounded
    if not all(looks) or not all(checks) or len(seeds) != 1 or len(parts) != 1:
        return None
    [seed], [part] = seeds, parts
    if part is None or mean is None or rounded is None:
        return None
    truth = part_truth(part, luck_of(int(seed)))
    whole, less = _mean(map(_costs, looks)), _mean(map(_costs, checks))
    divisor = measurement.divisor
    costs = {cause: (whole[cause] - less.get(cause, 0.0)) / divisor for cause in whole}
    size = truth.of_one / measurement.divide_by
    off = float(mean) - size
    return Revealed(part, size, off, off / float(rounded.uncertainty), costs)


_Read = tuple[float, Seen]


def _looks(
    luck_of: LuckOf, tool: Instrument, simulated: str, indications: Sequence[Indication]
) -> list[_Read]:
    """What was written down at each indication, and what stood there; none if not at this bench."""
    try:
        done = parse_simulated(simulated)
        bench = benched(luck_of(done.seed), done.acts)
    except (NoSuchAct, NotNow):
        return []
    seen = bench.looks[-len(indications) :]
    if bench.instrument.scale != tool.scale or len(seen) < len(indications):
        return []
    return [(float(tool.reading(one)), look) for one, look in zip(indications, seen, strict=True)]


def _costs(looks: list[_Read]) -> dict[str, float]:
    """What each cause makes of one value: of a pair, the right look less the left one."""
    costs = dict.fromkeys([*map(str, Cause), READ], 0.0)
    for read, seen in looks:
        sign = -1 if seen.held.place is BenchPlace.LEFT else 1
        for cause, size in _all(read, seen).items():
            costs[cause] += sign * size
    return costs


def _all(read: float, seen: Seen) -> dict[str, float]:
    causes: Causes = seen.causes
    return {**{str(cause): size for cause, size in causes.items()}, READ: read - seen.shown}


def _mean(several: Iterable[Mapping[str, float]]) -> dict[str, float]:
    found = list(several)
    if not found:
        return {}
    return {cause: sum(one[cause] for one in found) / len(found) for cause in found[0]}
