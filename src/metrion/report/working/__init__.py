"""The working of a quantity, line by line, from the marks that were read to the sentence.

Every line has a key, and every number in it names the line that it comes from, so that a result
can be followed back. One document serves the browser, the page and the file.
"""

from __future__ import annotations

from metrion.core.measurements import MeasurementResult
from metrion.report.lines import Step
from metrion.report.working.derived import derived_working
from metrion.report.working.readings import mean_step, reading_steps
from metrion.report.working.scales import least_count_steps, zero_steps
from metrion.report.working.uncertainty import uncertainty_steps

__all__ = ["derived_working", "least_count_steps", "result_steps", "working"]


def working(result: MeasurementResult) -> list[Step]:
    """Every line from the scales to the sentence."""
    measurement = result.measurement
    steps = [*least_count_steps(measurement.instrument), *zero_steps(measurement)]
    return [*steps, *reading_steps(measurement), *result_steps(result)]


def result_steps(result: MeasurementResult) -> list[Step]:
    """The lines from the mean of the readings to the sentence; none while no reading counts."""
    if result.mean is None:
        return []
    return [mean_step(result.measurement, result.mean), *uncertainty_steps(result)]
