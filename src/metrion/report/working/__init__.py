"""The working of a quantity as it is printed, from the marks that were read to the sentence.

Every line has a key, and every number in it names the line that it comes from, so that a result
can be followed back. One document serves the browser, the page and the file.
"""

from metrion.report.working.derived import derived_working, formula_line
from metrion.report.working.measured import least_count_lines, result_lines, working

__all__ = ["derived_working", "formula_line", "least_count_lines", "result_lines", "working"]
