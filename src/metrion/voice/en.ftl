# Everything that Metrion says, in the format of Project Fluent.
# Numbers, angles and units go in as text already written.

## The steps of a working: what each line is

step-least_count = least count
step-fine_division = fine division
step-least_count_by_difference = least count, by difference
step-zero-before = zero before
step-zero-after = zero after
step-zero_errors = zero errors
step-zero_error = zero error
step-references = setting pieces
step-marks = main marks
step-lines = fine lines
step-second-turns = second turns
step-reading = reading { $at }
step-reading-a = reading { $at }, first position
step-reading-b = reading { $at }, second position
step-reading-a2 = reading { $at }, first, window 2
step-reading-b2 = reading { $at }, second, window 2
step-readings = readings
step-number_of_readings = number of readings
step-average = mean of what was read
step-mean = mean of { $count ->
    [one] { $count } reading
   *[other] { $count } readings
}
step-limit = limit of one look
step-spread-half-range = half the range
step-spread-mean-deviation = mean deviation
step-spread-standard-error = standard deviation
step-component_reading = component: reading limit
step-component_scatter = component: scatter
step-component_zero = component: zero look
step-component_zero_scatter = component: scatter of the zero looks
step-component_maker = component: maker’s limit
step-standard_uncertainty = standard uncertainty
step-degrees_of_freedom = degrees of freedom
step-coverage_factor = coverage factor
step-uncertainty = uncertainty
step-rounded = rounded to the same place
step-value = value
step-input = { $symbol }: { $name }
step-input-typed = { $symbol }, typed in
step-sensitivity = sensitivity coefficient of { $symbol }
step-part-joined = reading limit and scatter of { $of }
step-part-reading = reading limit of { $of }
step-part-scatter = scatter of { $of }
step-part-maker = maker’s limit of { $of }
step-part-zero = zero look of { $of }
step-part-zeros = scatter of the zero looks of { $of }
step-contribution-joined = contribution of the readings of { $of }
step-contribution-reading = contribution of the reading limit of { $of }
step-contribution-scatter = contribution of the scatter of { $of }
step-contribution-maker = contribution of the maker’s limit of { $of }
step-contribution-zero = contribution of the zero of { $of }
step-contribution-zeros = contribution of the scatter of the zero of { $of }
step-contribution-typed = contribution of { $of }
