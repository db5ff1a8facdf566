"""Results place by place: a thing that is not round or not even has no one size."""

from __future__ import annotations

from dataclasses import dataclass, replace

from metrion.core.quantity.measurements import Measurement, MeasurementResult, reduce_measurement


@dataclass(frozen=True)
class PlaceResult:
    """What the readings at one place come to.

    Attributes:
        place: the place as it was noted; empty for readings without one.
        result: the result of its readings alone, under the same convention and zero.
    """

    place: str
    result: MeasurementResult


def by_place(measurement: Measurement) -> tuple[PlaceResult, ...]:
    """The result of each place with a counting reading, in the order they were first visited.

    Of a single place there is none beside the result of the whole.
    """
    places = dict.fromkeys(o.place for o in measurement.observations if o.counts)
    if len(places) < 2:
        return ()
    return tuple(
        PlaceResult(place, reduce_measurement(_at(measurement, place))) for place in places
    )


def _at(measurement: Measurement, place: str) -> Measurement:
    there = tuple(o for o in measurement.observations if o.counts and o.place == place)
    return replace(measurement, observations=there)
