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

## Second looks

few-readings = { $count ->
    [0] No readings count so far.
    [one] { $count } reading counts so far.
   *[other] { $count } readings count so far.
} Three or more show whether they scatter.
identical-readings = All readings are equal. Open the tool and set it afresh for each; if they stay equal, the scale decides the uncertainty.
place-effect = { $high } and { $low } differ by { $apart }, more than the readings at one place. Is the thing oval or tapered? Report the places apart.
windows-disagree = Reading { $at }: the sweeps through the two windows differ by { $apart }. { $wrong }
sweep-slip = Reading { $at } is one main mark ({ $mark }) { $side } than the others: { $wrong }
wrong-look = its { look-name } stands one mark from those of the others. Had the zero line passed { $mark }?
wrong-window = Its { look-name } stands one mark from those of the others. Had the zero line passed { $mark }?
look-name = { $look ->
    [a] first position
    [b] second position
    [a-window] first position in window 1
    [b-window] second position in window 1
    [a2-window] first position in window 2
   *[b2-window] second position in window 2
}
wrong-somewhere = at one of its positions a mark was missed, or taken that was not passed yet. Look again.
wrong-position = At the { $position } position they are { $off } off from standing opposite: one of the two was misread there, by a mark most often (a half degree missed).
half-over-90 = Reading { $at }: { $half }
half-is = Half of it is { $half }.
half-would-be = Half of it would be { $half }, and a deflection is never over 90°: the wrong arc was taken. The other one gives { $other }.
mark-contradicts-line = Reading { $at }: with the { $thimble } at { $thimble_at } the last mark would be { $last }, not { $main }.
lines-disagree = Reading { $at }: line { $line } meeting { $meets } would read { $back }, not { $read }.
out-of-range = Reading { $at }, { $value }, lies outside the range of { $tool }, { $low } to { $high }.
main-mark-slip = Reading { $at } stands one mark { $side } the others. { $question }
passed-really = Had the zero line really passed { $mark }?
passed-not = Had the zero line not passed { $mark }?
turns-miscounted = Was a turn of the { $thimble } counted too many or too few?
unit-slip = Reading { $at } is about { $size ->
    [tenfold] ten times as large as
   *[tenth] a tenth of
} the others. Do the numerals stand for centimetres or millimetres?
outlier = Reading { $at } lies { $off } from the middle of the others, farther than their scatter explains. Look at it again before you set it aside.
zero-unchecked = The zero has not been looked at. Close the faces and see what it reads.
zero-other-face = The zero was looked at on the { $zero } faces, the readings are taken with the { $readings } faces. Each pair of faces has a zero of its own.
zero-wrapped = A look at the zero comes to { $error }: { $nearer } { $likelier }
zero-drift = The zero moved by { $drift } between the looks before and after. Was the tool knocked, or a face not clean?
nearer-to-a-mark = nearer to a full mark than to nothing.
nearer-to-a-turn = nearer to a full turn than to nothing.
which-zero = That is { $nearer } Which is it?
likelier = If { $side }, it is { $error }.
side-with-error = { $side }: { $error }
thimble-zero-stood = the { $thimble }’s zero { $where ->
    [below] had run past the { $datum_line }
    [at] stood at the { $datum_line }
   *[above] was still short of the { $datum_line }
}
fine-zero-stood = the fine zero stood { $where ->
    [below] left of
    [at] at
   *[above] right of
} the main zero
fine-zero-stood-at-piece = the fine zero stood { $where ->
    [below] left of
    [at] at
   *[above] right of
} { $piece }

## Between two positions

nothing-between = Both positions read the same: nothing lies between them.
arc-through-zero = The arc runs through the zero of the circle: { $taken }. The other way round it would be { $other }{ $longer ->
    [other] {" "}(that one is over 180°)
   *[taken] , the shorter one
}.
arc-taken = The arc is taken: { $taken }. The other way round it would be { $other }{ $longer ->
    [other] {" "}(that one is over 180°)
   *[taken] , the shorter one
}.
windows-opposite = The windows are { $apart } apart, as they should.
windows-off = The windows should be 180° apart within a few minutes, and are { $apart }. Look at both again.
windows-marks-off = The windows should be 180° apart within a few minutes, and are { $apart }. That is about { $marks ->
    [one] one main mark: one of them was read one main mark
   *[other] { $marks } main marks: one of them was read { $marks } main marks
} too high or too low. Look at both again.
