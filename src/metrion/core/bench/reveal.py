"""A result beside the truth, and what each habit cost."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from metrion.core.bench.bench import Bench, Cause, Causes, Seen
from metrion.core.bench.drawer import Part, Place, part_truth
from metrion.core.quantity.measurements import Measurement, MeasurementResult
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

    part: Part
    truth: float
    off: float
    in_uncertainties: float
    costs: Mapping[str, float]


def reveal(bench: Bench, result: MeasurementResult) -> Revealed | None:
    """Set a result beside the truth; None where not all of it was read at this bench."""
    measurement = result.measurement
    counting = [one for one in measurement.observations if one.counts]
    looks = [_looks(bench, one.noted.simulated, one.indications) for one in counting]
    checks = [
        _looks(bench, check.noted.simulated, (check.indication,))
        for check in measurement.effective_checks
    ]
    parts = {seen.held.part for found in looks for _, seen in found or ()}
    mean, rounded = result.mean, result.rounded
    if None in looks or None in checks or mean is None or rounded is None or len(parts) != 1:
        return None
    [part] = parts
    if part is None:
        return None
    truth = part_truth(part, bench.luck)
    less = _mean(_costs(measurement, found or []) for found in checks)
    whole = _mean(_costs(measurement, found or []) for found in looks)
    divisor = measurement.divisor
    costs = {cause: (whole[cause] - less.get(cause, 0.0)) / divisor for cause in whole}
    size = truth.of_one / measurement.divide_by
    off = float(mean) - size
    return Revealed(part, size, off, off / float(rounded.uncertainty), costs)


_Read = tuple[float, Seen]


def _looks(bench: Bench, acts: str, indications: Iterable[Indication]) -> list[_Read] | None:
    """What was written down at each indication, and what stood there; None if elsewhere."""
    seen = [bench.looks.get(int(act)) for act in acts.split() if act.isdecimal()]
    read = [float(bench.instrument.reading(one)) for one in indications]
    if len(seen) != len(read):
        return None
    pairs = [(value, one) for value, one in zip(read, seen, strict=True) if one is not None]
    return pairs if len(pairs) == len(read) else None


def _costs(measurement: Measurement, looks: list[_Read]) -> dict[str, float]:
    """What each cause makes of one value: of a pair, the right look less the left one."""
    costs = dict.fromkeys([*map(str, Cause), READ], 0.0)
    for read, seen in looks:
        sign = -1 if seen.held.place is Place.LEFT else 1
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
