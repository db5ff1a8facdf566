# Everything that Metrion says, in the format of Project Fluent.
# Numbers, angles and units go in as text already written.

## The steps of a working: what each line is

step-least_count = { $least_count }
step-fine_division = fine division
step-least_count_by_difference = { $least_count }, by difference
step-zero-before = zero before
step-zero-after = zero after
step-zero_errors = { $zero_errors }
step-zero_error = { $zero_error }
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
step-spread = { $spread ->
    [half-range] half the range
    [mean-deviation] mean deviation
   *[standard-error] standard deviation
}
step-limit-of-lines = limit of a look in which { $count } lines seem to meet
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
step-zero = zero
step-formula = formula
step-other-route = reading { $at }, by the mark that the line meets
other-route-agrees = the same by the other route
other-route-disagrees = not the same by the other route
step-windows-apart = reading { $at }, windows apart
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
identical-readings = All readings are equal. Open the tool and set it afresh for each; if they stay equal, the reading limit alone makes the uncertainty.
place-effect = { $high } and { $low } differ by { $apart }, more than the readings at one place. Is the thing oval or tapered? Report the places apart.
windows-disagree = Reading { $at }: the sweeps through the two windows differ by { $apart }. { $wrong }
sweep-slip = Reading { $at } is one main mark ({ $mark }) { $side ->
    [more] more
   *[less] less
} than the others: { $wrong }
wrong-look = its { look-name } stands one mark from those of the others. Had the zero line passed { $mark }?
wrong-window = Its { look-name } stands one mark from those of the others. Had the zero line passed { $mark }?
look-name = { $indication ->
    [a] first position
    [b] second position
    [a-window] first position in window 1
    [b-window] second position in window 1
    [a2-window] first position in window 2
   *[b2-window] second position in window 2
}
wrong-somewhere = at one of its positions a mark was missed, or taken that was not passed yet. Look again.
wrong-position = At the { $position ->
    [first] first
   *[second] second
} position the two windows are { $off } away from 180°: one of them was misread there, most often by one mark (a half degree missed).
half-over-90 = Reading { $at }: { $half }
half-is = Half of it is { $half }.
half-would-be = Half of it would be { $half }, and a deflection is never over 90°: the wrong arc was taken. The other one gives { $other }.
mark-contradicts-line = Reading { $at }: with the { $thimble } at { $thimble_at } the last mark would be { $last }, not { $main }.
lines-disagree = Reading { $at }: line { $line } meeting { $meets } would read { $back }, not { $read }.
out-of-range = Reading { $at }, { $value }, lies outside the range of { $tool }, { $low } to { $high }.
main-mark-slip = Reading { $at } stands one mark { $side ->
    [above] above
   *[below] below
} the others. { $question }
passed-really = Had the zero line really passed { $mark }?
passed-not = Had the zero line not passed { $mark }?
turns-miscounted = Was a turn of the { $thimble } counted too many or too few?
unit-slip = Reading { $at } is about { $size ->
    [tenfold] ten times as large as
   *[tenth] a tenth of
} the others. Do the numerals stand for centimetres or millimetres?
outlier = Reading { $at } lies { $off } from the middle of the others, farther than their scatter explains. Look at it again before you set it aside.
zero-unchecked = The zero has not been looked at. See what the tool reads where it should read nothing.
zero-other-face = The zero was looked at on the { $zero } faces, the readings are taken with the { $readings } faces. Each pair of faces has a zero of its own.
zero-wrapped = A look at the zero comes to { $error }: { $nearer } { $likelier }
zero-looks-differ = The looks at the zero { $phase ->
    [after] after
   *[before] before
} the readings differ by { $apart }. Does the newer one replace the older, or did the zero move between them?
zero-drift = The zero moved by { $drift } between the looks before and after. Was the tool knocked, or a face not clean?
plan-left = Planned and still to do: { $what }.
plan-left-at = { $count ->
    [one] { $count } reading
   *[other] { $count } readings
} at { $place }
plan-left-anywhere = { $count ->
    [one] { $count } reading
   *[other] { $count } readings
}
plan-left-zero = a look at the zero { $phase ->
    [after] after
   *[before] before
} the readings
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

## Lists and shares

and-list = { $most } and { $last }
sentence = { $phrase }.
percent = { $percent } %
less-than-one-percent = < 1 %
more-than-99-percent = > 99 %
said-more-than-99-percent = more than 99 %

## What an uncertainty is made of

source-reading = reading limit
source-scatter = scatter
source-zero = zero look
source-zero_scatter = scatter of the zero looks
source-maker = maker’s limit
source-typed = typed-in uncertainty
degrees-decimal = decimals of a degree
report-also = The same in other units: { $others }.
other-conventions = { $of } { $how_many ->
    [one] is stated
   *[other] are stated
} by another convention on { $how_many ->
    [one] its
   *[other] their
} own; here all is worked out by this one.
zero-of = zero of { $of }
input-of = { $of }
largest-part-comes-from = The largest part, { $percent }, comes from { $label }.
most-comes-from = Most of it, { $percent }, comes from { $label }.
none-dominates = No part dominates; the largest, the { $label }, makes up { $percent }.
one-dominates = The { $label } makes up { $percent } of it: { $help }.
help-source-reading = a finer tool would make it smaller, or several alike things measured as one stack; more readings would not
help-source-circle = a finer circle would make it smaller; more readings would not
help-source-scatter-open = settle the second look that is open first
help-source-zero = a finer tool would make it smaller, or a stack; more readings would not
help-source-zero_scatter = look at the zero more often
help-source-maker = a better made or a calibrated tool would make it smaller; more readings would not
help-source-typed = a better value for it would help most
help-source-scatter-standard = more readings would make it smaller
help-source-scatter-limit = look for its cause; in this convention more readings do not make it smaller
gave-way = The { $lost } of { $size } is not larger than the { $other }: in this convention only the larger of the two counts.
coverage-of-the-convention = The standard uncertainty of { $standard } is multiplied by { $factor }, the coverage factor of this convention.
coverage-normal = The standard uncertainty of { $standard } is multiplied by { $factor }: so many cover { $share } % of a normal distribution.
coverage-student = The standard uncertainty of { $standard } is multiplied by { $factor }. A few readings tell their scatter only roughly, here with effectively { $freedom } degrees of freedom (by Welch and Satterthwaite), and Student’s distribution then takes { $factor } to cover { $share } %.
shared-zero-cancels = { $of } were corrected by the same zero: its error cancels here.
shared-zero-enters = { $of } were corrected by the same zero: its error enters once, not once for each.

## A result beside another one

exactly-that = It is exactly that.
more-than-that = It is { $size } more than that.
less-than-that = It is { $size } less than that.
more-than-that-percent = It is { $size } more than that, { $percent }.
less-than-that-percent = It is { $size } less than that, { $percent }.
uncertainty-smaller = Its uncertainty, { $own }, is { $times } times smaller than that of the other, { $other }.
uncertainty-larger = Its uncertainty, { $own }, is { $times } times larger than that of the other, { $other }.
limits-agree = Added up, the limits of both allow a difference of { $uncertainty }: the two agree.
limits-disagree = Added up, the limits of both allow a difference of { $uncertainty }, and this is { $times } times as much: the two do not agree. Something else is at work, or a limit is too narrow.
difference-covered = The difference is uncertain by { $uncertainty }, and this is { $times } times as much: the two { $verdict ->
    [agree] agree
   *[disagree] do not agree at this coverage
}.
difference-standard = The standard uncertainty of the difference is { $uncertainty }, and this is { $times } times as much: { $verdict ->
    [agree] the two agree; two values differ by so much often enough
    [doubtful] chance alone seldom makes so much; look at both again
   *[disagree] the two do not agree; chance alone hardly ever makes so much
}.
compared-gone = What it was compared with is gone.
compared-without-value = One of the two has no value yet.

## What a convention does

convention-look = takes { $size ->
    [half] half a { $least_count }
    [whole] a whole { $least_count }
   *[other] { $limit } { $least_counts }
} as the limit of one look
convention-limits = { $family ->
    [standard] takes every value within a limit as equally likely: limits are divided by √3
   *[limit] keeps limits as they are
}
convention-zero = { $counts ->
    [yes] counts what the look at the zero may be off by, too
   *[no] takes the zero as exact
}
convention-scatter = { $spread ->
    [none] leaves the scatter of the readings out
    [half-range] takes half the range of the readings as their scatter
    [mean-deviation] takes the mean deviation of the readings as their scatter
   *[standard-error] takes the standard error of the mean as scatter
}
convention-scatter-choice = { $spread ->
    [none] left out
    [half-range] half the range
    [mean-deviation] mean deviation
   *[standard-error] standard error
}
convention-combine = { $combine ->
    [sum] adds limit and scatter
    [quadrature] adds the parts as squares
   *[larger] lets the larger of limit and scatter count
}
convention-combine-choice = { $combine ->
    [sum] add
    [quadrature] add as squares
   *[larger] the larger counts
}
convention-covers-limits = gives limits that the value should lie within
convention-covers-percent = widens the result to cover { $number } %
convention-covers-nothing = gives the standard uncertainty as it is
convention-covers-times = multiplies the standard uncertainty by { $number }
convention-digits = gives the uncertainty with { $digits ->
    [two] two figures
    [one-or-two] one figure, with two when the first is 1
   *[one] one figure
}
convention-estimate = { $tenths ->
    [yes] estimates tenths between two lines
   *[no] takes whole lines
}
convention-differs = It { $phrases }.

## Beside the lines of a working

zero-cancels = cancels in the difference of two positions
zero-taken-as-exact = not looked at, taken as exact
with-correction = correction { $correction }{ $side ->
    [much] : a positive { $zero_error }
    [little] : a negative { $zero_error }
   *[none] { "" }
}
set-aside = set aside: { $why }
windows-apart = { $first } and { $second }; the mean of both windows is free of the off-centre error
no-reading-yet = no reading yet
unit-whole-part = whole part of

## What became of a second look

look-open = still open
look-zero-exact = the zero was taken as exact
look-zero-taken-over = the zero of the other faces was taken over: both ride on one slide
look-places-apart = the places are reported apart
look-stands = looked again: it is right

## The report

report-untitled = Untitled sheet
report-names = Names
report-date = Date
report-instruments = Instruments
report-state = State of the sheet
report-measured-at = Measured at
report-simulated-bench = a simulated bench, { $seed }
report-convention = Convention
report-aim = Aim
report-apparatus = Apparatus
report-no-instrument = No instrument is used.
report-least-count-of = { $Least_count } of { $tool }:
report-kind-vernier = vernier caliper
report-kind-screw = screw gauge
report-kind-angular = divided circle
report-kind-plain = plain scale
report-reach = { $low } to { $high }
report-zero-checks = Zero checks
report-phase-before = before
report-phase-after = after
report-angles-together = Angles together
report-beside = Beside { $what }:
report-working = Working
report-uncertainty = Uncertainty
report-convention-named = Convention: { $name }.
report-no-place = No place noted
report-does-not-count = not larger than the other, so it does not count
report-drawn = Reading { $at }: { $read }
report-drawn-position = Reading { $at }, first position: { $read }
report-position = { $main }, line { $line }: { $read }
report-look = { $main }, line { $line }
report-changed = changed
report-contents = Contents
report-it-was = { $why }; it was { $figures }
read-by = read by { $reader }
approached-opening = approached by opening
approached-closing = approached by closing
report-second-look = Second look: { $says } ({ $done })
report-column-instrument = instrument
report-column-kind = kind
report-column-number = number
report-column-range = range
report-column-least-count = { $least_count }
report-column-maker-limit = maker’s limit
report-column-faces = faces
report-column-when = when
report-column-main = main
report-column-line = line
report-column-setting-piece = setting piece
report-column-zero-error = { $zero_error }
report-column-correction = correction
report-column-colour = line
report-column-readings = readings
report-column-mean-sweep = mean sweep
report-column-divided-by = divided by
report-column-result = result
report-plotted = The readings, the first on top, with their mean and its uncertainty.
report-plotted-aside = Hollow and struck: set aside.
report-plotted-before = Square: before it was changed.
report-results = Results
report-no-result = no result yet
report-of-all = { $count } of { $whole }
report-zero-exact = exact
report-zero-unlooked = not looked at
report-zero-cancels = cancels
report-set-aside = { $count } set aside
report-were-changed = { $count } changed
report-column-quantity = quantity
report-column-per-cent = per cent
report-column-counting = readings
report-column-by-convention = convention
report-column-altered = altered
report-length = how long
report-length-full = full
report-length-short = short
report-length-working = working only
report-column-no = no.
report-column-place = place
report-column-line-times = line × { $least }
report-column-read = read
report-column-corrected = corrected
report-column-a = first position
report-column-b = second position
report-column-a-window = first, window 1
report-column-b-window = second, window 1
report-column-a2-window = first, window 2
report-column-b2-window = second, window 2
report-column-between = between

## What else an experienced eye would remark

hint-play = Readings taken { $first } and { $second } differ by { $apart }: the tool has play. Approach from one side only, and take the zero from that side too.
hint-readers = { $first } and { $second } differ by { $apart }, more than the readings of either. Read one position together, and see who looks at the scale aslant.
hint-trend = From reading to reading the length { $way ->
    [grew] grew
   *[shrank] shrank
}, by { $change } in all. Does it warm in the hand, or does a grip slip? Put it down for a while and read again.
hint-numbered-lines = All { $count } readings fall on numbered lines. Look at the lines between them too.
advice-scale = The tool’s scale limits the result now: more readings will not help, a finer tool would.
advice-scatter = The scatter makes the uncertainty: it is larger than what one look may be off by. More readings show it more surely, but do not make it smaller; look for its cause.
advice-many-more = One more reading would change little. Very many could at best bring ±{ $now } down to ±{ $best }.
advice-one-more = One more reading like these would bring ±{ $now } to about ±{ $again }.

## Which tool, how many readings, how large a stack

plan-one-thing = One thing, { $count } readings: ±{ $size }, { $percent }.
plan-enough = That is enough.
plan-misfit = { $size } is { $side ->
    [larger] larger
   *[smaller] smaller
} than what it takes: { $low } to { $high }.
plan-tool-decides = More readings would not make it smaller: the tool itself sets the limit.
plan-even-so-many = Even { $count } readings leave ±{ $size }.
plan-averages-out = { $count } readings bring it down to what you want: the scatter averages out.
plan-stack-too-large = It would take { $count } alike in one stack, about { $about }: more than the { $most } it takes.
plan-stack-too-many = It would take { $count } alike in one stack: too many to hold together well.
plan-stack = { $count } alike in one stack, about { $about }, bring it to ±{ $each } each: value and uncertainty are divided by { $count }.

## What to know about a scale

note-tenfold = A least count of { $least } is ten times what such tools usually have, { $usual }. Are the marks as far apart as you say, and in this unit?
note-tenth = A least count of { $least } is a tenth of what such tools usually have, { $usual }. Are the marks as far apart as you say, and in this unit?
note-useless = { $lines } fine divisions over { $marks } marks: every line meets a mark at once, wherever the slide stands. It tells nothing. Count again; one mark fewer is usual.
note-extended = An extended scale: its lines lie nearly two main divisions apart, which is easier to read. The lines are in order all the same.
note-against = Numbered against the { $main_scale }: its lines are read in order.
note-backwards = The lines run backwards: line 1 adds { $first } of a main division, line 2 { $second }. Numbered the other way they would be in order.
note-repeating = { $many } lines meet at once, lines { $first } and { $second } for instance. Only { $positions } positions can be told apart, so the { $least_count } is { $truly } and not { $by_division }.
note-scrambled = The lines are not in order: line 1 adds { $first } of a main division, line 2 { $second }. Read what each line is worth, do not count.
note-routes-disagree = The two textbook routes disagree: { $by_difference } by difference, { $by_division } by division. What the lines can really tell apart is { $truly }.
note-two-turns = The { $sleeve } has a mark at every second turn only. Say whether the { $thimble } is in the second turn past the mark; that adds { $travel }.
note-finer-sleeve = The { $sleeve } has several marks to one turn. Only those { $travel } apart count; the others are a check on the { $thimble }.
note-one-turn = One turn is one mark. If the { $thimble }’s zero has not come round to the { $datum_line }, the next mark has not been passed, though it may show.
slide-meets = { $how_many ->
    [one] line { $which } meets
   *[other] lines { $which } meet
}: the gap is { $count } × { $least } = { $gap }
slide-at-the-datum-line = line { $which } at the { $datum_line }: the gap is { $count } × { $least } = { $gap }

## As it was said

said-nothing = this is nothing that was said: an object with instrument and said
said-none = “{ $said }” is no reading of { $tool }: say the last mark passed, then the line that meets
said-one = that is { $reading }
said-ask = “{ $said }” { $count ->
    [one] may be { $readings }
   *[other] can be { $readings }
}
said-mark = { $reads }
said-mark-and-line = { $reads }: { $mark } and line { $line }{ $printed ->
    [numeral] {" "}(printed { $numeral })
   *[line] {""}
}{ $turn ->
    [second] , second turn
   *[first] {""}
}
said-mark-and-lines = { $reads }: { $mark }, lines { $first } to { $last }{ $turn ->
    [second] , second turn
   *[first] {""}
}

asked-mark = the mark { $mark }
asked-line = { $way ->
    [numeral] the line printed { $numeral }
    [worth] the line worth { $worth }
    [decimals] the line worth { $worth }
    [counted-back] counted back, line { $line }
   *[line] line number { $line }
}{ $turn ->
    [first] , first turn
    [second] , second turn
   *[none] { "" }
}{ $past ->
    [mark] { " " }past { $mark }
   *[none] { "" }
}
asked-other-unit = { $mark }: is the { $kind ->
    [screw] sleeve
    [plain] scale
   *[vernier] beam
} numbered in { $unit ->
    [cm] centimetres
   *[mm] millimetres
}? { $line }

## While a reading is entered

typed-mark = { $typed } is { $value }.
typed-angle = { $typed } is { $value }.
typed-as-line = Taken as the number of the line.
typed-as-numeral = Taken as the numeral that is printed.
typed-as-worth = Taken as what the line is worth.
typed-as-decimals = Taken as the last decimals.
typed-whole = { $typed } is the mark { $mark } and line { $line }.
typed-counted-back = { $back ->
    [one] One line
   *[other] { $back } lines
} counted back: of { $lines } lines that is line { $line }.
lines-undecided = Lines { $first } to { $last } seem to meet: { $middle } is read, worth { $worth }, and the limit of this look is at least half of what they cover, { $half }.
line-worth = Line { $line } is worth { $worth }.
line-worth-printed = Line { $line } is printed { $numeral } and worth { $worth }.
line-adds-nothing = Line { $line } adds nothing.
line-adds-nothing-last = Line { $line } adds nothing: when the zero line meets a mark, so does the last line.
line-adds-nothing-printed = Line { $line } is printed { $numeral } and adds nothing.
line-adds-nothing-last-printed = Line { $line } is printed { $numeral } and adds nothing: when the zero line meets a mark, so does the last line.
neighbour-right = { $distance } right of { $mark }
neighbour-left = { $distance } left of { $mark }
neighbour-meets = meets { $mark } too
edge-between = The edge of the { $thimble } has passed { $low } and not yet { $high }, so the reading lies between them.
zero-line-between = The zero line has passed { $low } and not yet { $high }, so the reading lies between them.
that-is-out-of-range = That is outside the range of { $tool }, { $low } to { $high }.
zero-cancels-in-pairs = In the difference of two positions the zero cancels: it need not be looked at.
zero-not-looked-at = The zero has not been looked at yet, so nothing is corrected.
zero-reads-none = This { tool-or-gauge } reads zero where it should: nothing to correct.
zero-reads-much = This { tool-or-gauge } reads { $size } too much, a positive { $zero_error }: the correction takes it off.
zero-reads-little = This { tool-or-gauge } reads { $size } too little, a negative { $zero_error }: the correction adds it.
tool-or-gauge = { $tool ->
    [gauge] gauge
   *[tool] tool
}
just-past-a-mark = So the zero line stands just past { $here }. If yours stands just past { $above }, { $above } is the last mark passed.
just-short-of-a-mark = So the zero line stands just short of { $above }. If yours stands just short of { $here }, the last mark passed is { $below }.
thimble-zero-just-past = At { $line } the { $thimble }’s zero has only just gone past the { $datum_line }: a mark it has just passed may still be hidden under the edge.
edge-just-past = At { $line } the edge has only just passed { $mark }: that mark may still be hidden under it.
edge-to-come = At { $line } the edge has not come to { $mark } yet: that mark may show already, and has not been passed.
thimble-zero-to-come = At { $line } the { $thimble }’s zero has not come round to the { $datum_line } yet: a mark that is just showing has not been passed.
turn = last mark passed { $mark }
turn-second = last mark passed { $mark }, second turn past it

## At the zero desk

zero-error-none = The { $zero_error } is 0: nothing to correct.
zero-error-is = { $Zero_error } { $error }: it reads { $side ->
    [much] too much, a positive { $zero_error }
   *[little] too little, a negative { $zero_error }
}. The correction is { $correction }, the error with its sign turned round.
zero-by-mark-and-line = { $where ->
    [below] mark below zero
   *[passed] mark passed
} and line: { $start } + { $line } × { $least } = { $read }
zero-counted-back = counted back from the end: −({ $lines } − { $line }) × { $least } = −{ $back } × { $least } = { $read }
zero-line-wanted = Now the line that meets a main mark: without it there is nothing to keep.
zero-last-line = line { $line } meets a mark when line 0 does, one mark on: it counts as line 0
zero-less-reference = reading less reference: { $read } − { $piece } = { $error }
zero-large = That is more than { $many } { $least_counts }. Count the lines once more, wipe the faces and look again; if it stays, have someone competent adjust the tool, and meanwhile correct.

## What is wrong with a number, an angle, a unit

not-a-number = { $text } is not a number as it is written here: digits with a point (12.35), or a fraction (1/16)
number-too-long = { $text } has { $count } characters, but a number has at most { $most }
number-too-large = { $text } is too large; a number here is below 10^12
number-too-small = { $text } is too small; a number here is 0, or at least 10^-12 in size
fraction-too-long = { $text } has parts of more digits than the { $most } that each part of a fraction may have
not-an-angle = { $text } is not an angle in degrees and minutes, like 214:30, with minutes and seconds below 60
id-too-long = an id has 1 to { $most } characters, and this one { $count }
not-an-id = "{ $key }" cannot be an id: no blanks, no control characters, none of / \ ? # %, and not . or .. alone
text-too-long = { $text } has { $count } characters, but may have at most { $most }
text-with-odd-sign = { $text } holds the character U+{ $sign }, which text here cannot
unit-power-too-large = the powers of a unit run from -{ $most } to { $most }
not-a-unit = { $text } is no unit: units are names joined by * or /, each with **k if it is a power, like g/cm**3; or 1 for a bare number
unknown-unit = { $text } is no unit known here; known are { $known }
unit-too-large = this power of a unit is too large to be worked with
units-not-comparable = { $theirs } cannot be compared with { $own }

## What is wrong with a scale, or what was read on it

useless-scale = { $lines } fine divisions over { $marks } main divisions all coincide at once, so the { $fine_scale } tells nothing; a span such as { $better } would make one
useless-scale-of-one = one fine division tells nothing; a { $fine_scale } needs at least two
no-whole-seconds = marks { $division }′ apart are no whole seconds apart, so no angle can be written for them; give a main division of whole seconds, such as 20 or 0.5
unreadable-sleeve = { $sleeve } marks { $division } apart do not fit a { $pitch } of { $size }: they must be the { $pitch }, twice the { $pitch }, or go a whole number of times into it
not-a-mark = { $value } is not a mark of { $tool }, whose marks are { $division } apart
fault-and-hint = { $what }; { $hint }
convention-that-estimates = the convention in force reads no place between them, { $names } does
no-convention-estimates = the convention in force reads no place between them; one of your own can (Settings)
degrees-with-point-neither = { $typed } is no mark, neither with minutes behind the point nor with decimals of a degree
fits-no-line = { $typed } is no line of { $tool }, and no numeral or worth of one; its lines run from 0 to { $last }
offer-mark = { $mark }
offer-lines = lines { $first } to { $last } seem to meet
offer-line = line { $line }, printed { $numeral }, worth { $worth }
no-such-line = { $tool } has no line { $line }; its lines run from 0 to { $last }
not-estimable = { $line } is an estimated line, but { $reason }; give a whole line as integer
undecided-not-in-order = the fine lines of { $tool } are not in order, so { $line } do not read alike; give the one line that meets
undecided-backwards = { $line } are no lines beside each other: give the lower one first, like 15-16
undecided-too-many = { $line } are more than { $most } lines; look again which of them meet
undecided-off-scale = { $tool } has no lines { $line }; the lines that can be taken for each other run from { $first } to { $last }
lines-not-in-order = the fine lines of { $tool } are not in order
convention-without-estimates = the convention in force does not estimate between lines
main-missing = the main reading is missing
line-missing = the fine reading is missing
what-was-read-unsaid = something was read with this tool in { $was }: say whether it keeps its lengths or its figures in { $unit } (what_was_read: same-lengths, same-figures)
history-looked-again = looked at again
earlier-look = The earlier look said { $error }
history-other-unit = told in { $unit } instead of { $was }
setting-piece-negative = the size of a setting piece is not negative
no-turn = { $text } names no turn of the { $thimble }; write first or second

## What is wrong with a formula

formula-names-no-input = the formula names { $names }, which is no input
units-do-not-match = the units on the two sides of { $operator } in the formula do not match
function-takes-bare-number = { $function } takes a bare number, and is given one with a unit
function-takes-angle = { $function } takes an angle or a bare number, and is given another unit
formula-with-odd-sign = the formula { $text } holds something other than numbers, names, + - * / ** and brackets
formula-meets = where { $first } meets { $second } in the formula, it is not clear what is meant: write *, or brackets around what belongs together
formula-lacks = something is missing in the formula { $where ->
    [after] after
   *[before] before
} { $sign }
formula-opens = a bracket of the formula is not closed: { $text }
formula-closes = a bracket of the formula was not opened: { $text }
formula-not-understood = the formula { $text } cannot be understood
no-function = { $text }(…) is no function; known are { $known }
formula-with-other-things = the formula holds something other than + - * / ** and functions
function-without-brackets = { $function } needs its argument in brackets
exponent-without-value = an exponent of the formula has no value
exponent-out-of-bounds = exponents must be whole or half numbers from -{ $most } to { $most }
exponent-not-constant = an exponent must be a constant number
formula-too-long = the formula has { $count } characters, but may have { $most }
formula-too-deep = the formula has brackets { $count } deep, but may have them { $most } deep
formula-number-too-large = a number of the formula, or a part made of numbers, is beyond 10^{ $decades } or closer to nothing than 10^-{ $decades }
formula-gives-other-unit = what the formula gives cannot be expressed in { $unit }
not-a-symbol = "{ $text }" cannot be a symbol: letters, digits and _, beginning with no digit, and none of { $reserved }
not-an-input = an input is the id of a measurement or of an earlier derived quantity, or value, uncertainty, unit
derived-too-deep = more than { $most } derived quantities would stand one in the other
derived-too-many-ways = { $count } ways lead from here to what was measured; { $most } are worked out at most

## What is wrong with a file: what a field must be

a-text = text
a-flag = true or false
wanted-whole-number = a whole number, not quoted
a-list = a list
an-object = an object
wanted-number-text = a number in quotes, like "12.35"
wanted-angle-text = an angle in quotes, like "214:30"
an-estimate = an estimate
a-formula = a formula
a-unit = a unit like mm or g/cm**3
a-coverage = a factor like "2" or a percentage like "95%"
id-of-a-zero-check = the id of a zero check
or = { $first } or { $second }
quoted = "{ $text }"
field-missing = { $field } is missing; it must be { $what }
field-of-other-sort = { $field } is { $value }, but must be { $what }
field-empty = { $field } is empty; it must be text that is not
field-below-one = { $field } is { $value }, but must be 1 or more
too-many-entries = the file has { $count } { $field }, but may have at most { $most }
too-many-observations = the quantities have { $count } observations in all, but may have at most { $most }
not-finite = this number is too large: it must be finite in double precision
unknown-too-large = { $field } is not known here, and takes more than the { $most } bytes that such a field may take
field-above = { $field } is { $value }, but must be at most { $most }
field-not-above-0 = { $field } is { $value }, but must be above 0
field-negative = { $field } is { $value }, but must not be negative
must-be = { $value } must be { $what }
figures-missing = { $field } is missing; it must be 1, 2 or "1-or-2"
figures-other = { $field } must be 1, 2 or "1-or-2"
coverage-out-of-bounds = { $field } must be { $what }, above 0 (a percentage below 100)
not-two-numbers = { $field } must be two numbers, the lower first, like ["0", "150"]
also-twice = { $unit } stands there already
also-own = { $unit } is the unit of the result itself
also-not-offered = { $unit } is none of { $known }
also-no-conversion = { $unit } does not convert from { $own }
not-a-line = fine must be a whole line like 26, an estimate like "26.4", or lines that cannot be told apart like "15-16"

## What is wrong with a file: how its entries go together

things-are-wrong = { $count ->
    [one] { $count } thing is wrong
   *[other] { $count } things are wrong
}
entry-named = { $what ->
    [instrument] instrument
    [convention] convention
    [measurement] measurement
    [zero_check] zero check
    [sheet] sheet
    [quantity] quantity
    [reading] reading
    [derived] derived quantity
    [input] measurement or earlier derived quantity
    [picture] picture
   *[tool] tool
}
no-such-entry = there is no { entry-named } "{ $key }" in this file
no-such-entry-but = there is no { entry-named } "{ $key }"; there are { $known }
id-twice = the id "{ $key }" is used twice; every id stands once in its list
text-twice = "{ $text }" stands here twice; each stands once
text-blank = an empty text says nothing here; leave it out
zero-check-twice = the zero check "{ $key }" is named twice; each counts once
zero-check-elsewhere = the zero check "{ $key }" was made on "{ $tool }", not on "{ $own }"
circle-takes-pairs = a divided circle takes pairs: two positions, a and b
observation-of-other-sort = this observation is a { $sort ->
    [single] single
    [pair] pair
   *[windows] pair with two windows
}, the ones before it are { $first ->
    [single] singles
    [pair] pairs
   *[windows] pairs with two windows
}
divide-by-of-single = divide_by goes with pairs only; a stack has items
convention-built-in = "{ $key }" is built in; a convention of your own needs another id
logbook-no-object = a logbook is a JSON object, and this is none
other-format = format is "{ $format }", but must be "metrion-logbook"
other-version = version is { $version }, but only version 1 is known here
words-no-object = words are a JSON object: a word for each concept
no-such-concept = there is no such concept; known are { $known }
word-too-long = a word is a text of at most { $most } characters

## What is wrong with a file as a whole

file-with-bom = the file begins with a byte order mark; save it as UTF-8 without BOM
file-not-utf8 = the file is not UTF-8: byte { $at } does not fit
file-not-json = the file is not JSON: { $reason }
file-not-json-at = the file is not JSON: { $reason } (line { $line }, column { $column })
file-nested-too-deeply = the file has objects and lists more than { $most } deep in each other
file-too-large = the file is larger than { $most } MiB
file-of-too-much = the file holds more values than any logbook has
file-unreadable = { $name } cannot be read: { $reason }
half-surrogate = this text holds half of a surrogate pair
half-surrogate-in-name = a name in this object holds half of a surrogate pair
name-twice = this name stands twice in one object
table-unreadable = the table cannot be read: { $reason }
table-empty = the table is empty
table-too-wide = the table has more than { $most } columns
table-of-long-rows = a row of the table is longer than { $most } characters
table-of-long-cells = a cell of the table has more than { $most } characters
table-of-too-many-cells = the table has more than { $most } cells
table-too-long = the table has more than { $most } rows
photo-edge = The edge must lie within the picture, over the fine scale: set both of its ends again.
photo-no-fine-scale = This tool has no fine scale.
photo-no-lines = The lines cannot be made out. Go nearer, hold it steady, and turn it so that nothing glares.
photo-too-coarse = The lines can be seen, but not finely enough to tell one from the next. Go nearer, and look at the scales squarely.
photo-no-ends = Where the lines meet can be seen, but not which end the fine scale begins at. Take its whole length into the picture.
photo-no-long-lines = Where the datum line meets can be seen, but not which of the lines are long ones. Take more of the { $thimble } into the picture.
photo-by-lines = All lines in the picture say so, { $count } to count by, not the pair that meets best. It says what meets in the picture: one scale stands higher than the other, so looked at aslant it may be another line.
photo-says = The picture says line { $line } ({ $odds } of 100){ $count ->
        [one] {""}
       *[other] , or line { $other } ({ $others } of 100)
    }: the lines meet at { $position } ± { $error }. You read { $own }.
photo-agrees = It agrees with you.
photo-close = It does not tell these lines apart surely: look at both.
photo-differs = Look at both here, then at the scales again, before you decide which one to keep.
photo-other-mark = With that line it is another main mark that was passed last: look at it too.
photo-by-fives = It counts from the long lines, and reads no numerals: it may as well be { $count } lines more or less.
photo-aslant = It was taken aslant: at one end the lines are seen wider apart than at the other. One scale stands higher than the other, so what meets in the picture may be another line when looked at squarely (parallax). Take it again from straight above.
photo-in-the-picture = It says what meets in the picture: one scale stands higher than the other, so the camera should look at them from straight above.
photograph-told = Photograph: line { $line }, the lines meet at { $position } ± { $error }; { $verdict ->
        [agrees] it agrees with line { $own }, which was read before it spoke
        [close] it does not tell it apart from line { $own }, which was read before it spoke
       *[differs] line { $own } was read before it spoke
    }
photograph-under = Reading { $at }. { $says }
photograph-told-nothing = Photograph: what meets cannot be told; line { $own } was read before it
photograph-too-many = the readings of a sheet may have { $most } photographs: take one away first
photograph-no-fine-scale = this tool has no fine scale: a photograph has nothing to say of it
photograph-no-look = this reading has no such look
photograph-here = this photograph belongs to the reading already
photo-no-question = this is no question about a picture: an object with image, instrument and edge
photo-edge-wanted = the edge is two points in pixels: [[x1, y1], [x2, y2]]
no-picture = this is no picture that can be read: PNG and JPEG can
picture-is-another = the picture { $name } is not the one that its name says
picture-too-large = the picture has more than { $most } million pixels: { $kind ->
    [jpeg] take a smaller one
   *[other] save it as JPEG, or smaller
}
picture-too-long = a side of the picture is longer than { $most } pixels: cut out what shows the scales
picture-of-many-scans = this JPEG is stored in more than { $most } scans: save it anew as an ordinary JPEG
takes-too-long = this takes too long to be read: send less at once, or save it anew with another program
takes-too-much = this takes too much memory to be read: send less at once, or save it anew with another program
crowded = too many pictures or files are being read just now; ask again in a moment
unwanted = nobody waits for this any more
no-such-cell = the table has no cell in row { $row }, column { $column }
no-mended-cell = a mended cell is written as row/column/text
table-no-text = this is no text; save the table as CSV
no-column-holds = no column is said to hold: { $names }
no-column-with-turns = no column says which turn was read: first or second
in-row-and-column = row { $row }, column “{ $column }”: { $what }
zip-unreadable = the ZIP cannot be read: { $reason }
listed-twice = { $name } is listed twice
too-many-pictures = more than { $most } pictures are listed, or one of them twice
zip-of-too-many = the ZIP has more than { $most } files
zip-too-large = the ZIP is too large once it is unpacked
pdf-unreadable = the PDF cannot be read: { $reason }
pdf-protected = the PDF is protected by a password: save it without one
pdf-carries-none = the PDF carries no logbook: reports saved as PDF by Metrion do
pdf-of-too-many = the PDF carries more than { $most } files
pdf-too-large = what the PDF carries is larger than { $most } MiB
holds-nothing = no logbook, PDF or ZIP is in it
replaced-twice = two of the files are the same sheet: only one of them can replace it
zip-too-deep = this ZIP lies in a ZIP that lies in a ZIP: unpack it first
manifest-of-other-format = { $manifest } must have format "{ $format }" and version { $version }
manifest-without-list = { $manifest } must list the logbooks
manifest-names-no-file = each logbook in { $manifest } names its file
not-in-the-zip = { $name } is not in the ZIP

## What the notebook cannot do

not-here = there is no { entry-named } “{ $key }” here
busy = another program is writing to the notebook; try again in a moment
storage-full = the disk is full: make room on the one that holds { $path }, and nothing will be missing
storage-read-only = { $path } cannot be written: give yourself the right to, or name another folder with --data
storage-failing = the disk that holds { $path } does not do what it is told; save what you can to another one
storage-unusable = { $path } cannot be used: { $reason }; mend that, or name another folder with --data
storage-damaged = { $path } is damaged: stop Metrion, and put the last good copy back with “metrion restore”
storage-empty = { $path } is empty, but should be a database: put a copy back with “metrion restore”, or delete the file to begin a new notebook
storage-newer = { $path } was written by a newer Metrion ({ $revision }): use that one, or put an older copy back with “metrion restore”
storage-other = { $path } is a database of another program: name another folder with --data
storage-no-backup = { $path } is no whole database of Metrion: nothing was changed; “metrion restore --list” tells which copies there are
storage-in-use = { $path } is in use: stop Metrion first
storage-target-in-use = { $path } is a database that is in use: name another file with --to
decide-on-each = the file holds { $count } logbooks: say of each what is to be done with it
key-too-long = an idempotency key has 1 to { $most } characters
key-reused = the idempotency key { $key } was used for another request
taken-id = the id “{ $key }” is already taken by another { entry-named }
stale = this has been changed elsewhere since you opened it; look at it again, then repeat your change
damaged = this sheet is damaged and cannot be worked out: { $reason }
damaged-at = { $pointer }: { $what }
damaged-record = what is kept of { $section ->
    [head] its head
    [history] what was changed
   *[other] “{ $key }” ({ $section })
} cannot be read any more; save what is there as text
damaged-figure = a figure in it is too large or too small to be worked with ({ $reason })
damaged-otherwise = { $reason }
nothing-to-undo = there is nothing to undo
nothing-to-redo = there is nothing to redo
no-version-said = a change must say which version it changes (If-Match)
convention-taken = there is a convention { $key } already
no-convention = there is no convention { $key }
no-such-language = there is no catalogue for { $language }; there are { $known }
no-convention-of-your-own = there is no convention { $key } of your own
must-be-above-0 = the { $what ->
    [size] size
   *[percent] percentage
} must be above 0
no-such-address = there is no such address in the API
not-built = the front end is not built; run `make setup`
no-such-file = there is no such file
who-are-you = enter the pass phrase first
too-many-tries = that was tried too often; wait { $minutes ->
    [one] a minute
   *[other] { $minutes } minutes
}
not-the-phrase = That is not the pass phrase.
not-the-code = This code does not hold any more: enter the pass phrase, or make another code in the settings of a window that is in.
no-gate = Metrion is reached from this machine alone, so nobody has to come in
access-title = Who is in
access-words = Metrion can be reached from beyond this machine. A phone comes in by a code that holds for { $minutes } minutes, to what this window showed last.
access-new-code = A new code for a phone
access-code = Code for a phone
access-scan = Scan it with the phone’s camera, or open { $address }. The code before it holds no more.
access-leave = Leave
access-leave-words = Who leaves, or whose session is ended, has to enter the pass phrase again.
access-end-all = End all other sessions
access-ended = All other browsers are out, and the code before holds no more.
enter-title = Metrion
enter-why = This notebook is open to the network only for those who know its pass phrase. It is the notebook of one bench: all who come in see and change the same sheets.
enter-phrase = Pass phrase
enter-go = Go in
body-too-large = the body of a request has at most { $most } bytes; a logbook is sent as a file
not-known-by-that-name = this server is not known by that name; --name NAME lets it be reached so
from-another-site = this request comes from a page of another site
untitled-damaged = Not worked out
notebook-title = Notebook

## What undo and redo take back or do again

command-add-instruments = add the instrument
command-change-instruments = change the instrument
command-remove-instruments = remove the instrument
command-replace-zero_checks = look at the zero again
command-add-zero_checks = add the zero check
command-change-zero_checks = change the zero check
command-remove-zero_checks = remove the zero check
command-add-measurements = add the quantity
command-change-measurements = change the quantity
command-remove-measurements = remove the quantity
command-add-derived = add the derived quantity
command-change-derived = change the derived quantity
command-remove-derived = remove the derived quantity
command-add-observations = record the reading
command-change-observations = change the reading
command-remove-observations = remove the reading
command-add-photograph = keep the photograph
command-remove-photograph = take the photograph away
command-set-aside = set the reading aside
command-settle = settle the second look
command-rename = rename the sheet
command-change-convention = change the convention of the sheet
command-change-head = change the head of the report
command-take-table = take in a table
command-replace-sheet = replace the sheet by a file

## The pitch found by turning

command-of = { $command } { $name }
undo-of-another = The last step is another window’s: { $what }, { $ago }.
redo-of-another = Another window undid this last: { $what }, { $ago }.
trash-of-open = Another window has this sheet open.
trash-of-changed = Another window changed this sheet last: { $what }, { $ago }.
ago-now = just now
ago-minutes = { $count ->
    [one] a minute ago
   *[other] { $count } minutes ago
}
ago-hours = { $count ->
    [one] an hour ago
   *[other] { $count } hours ago
}
ago-days = { $count ->
    [one] a day ago
   *[other] { $count } days ago
}
pitch-trials-disagree = The trials disagree by { $apart } a turn. Start each at a mark, with the { $thimble } at 0, and count whole turns.
no-usual-pitch = No usual { $pitch } is near. Count again over more turns.
turn-miscounted = Trial { $at }: { $travel } is { $turns } turns of { $size }, not { $told }. Was a turn miscounted?

## The command line

cli-at = Metrion is at { $address } (data in { $folder }; stop with Ctrl+C)
cli-gate = Others on the network can go in with the pass phrase. A phone at the bench goes in by this code for { $minutes } minutes, to the sheet that is open: { $address }
cli-no-phrase = Beyond this machine Metrion needs a pass phrase of at least { $least } characters: in METRION_PASS_PHRASE, in a file named by --pass-phrase-file, or typed at a terminal.
cli-phrase = Pass phrase
cli-renamed = The id “{ $before }” could not stand in an address; it is now “{ $after }”.
cli-no-backup = No backup could be made: { $reason }
cli-backup-holds = { $sheets ->
    [0] no sheets
    [one] 1 sheet, changed last { $changed }: { $titles }
   *[other] { $sheets } sheets, changed last { $changed }: { $titles }
}
cli-backup-unreadable = cannot be read
cli-no-backups = There is no backup in { $folder }.
cli-no-folder = There is no folder { $folder }.
cli-restored = { $file } is in its place again.
cli-kept = What was there before is kept as { $file }.
cli-stopped = Stopped; everything is saved.
cli-port-taken = Port { $port } on { $host } cannot be used ({ $reason }); choose another one with METRION_PORT or --port.
cli-left-out = “{ $title }” is left out: { $reason }
cli-done-new = { $title }: a new sheet
cli-done-replace = { $title }: replaced
cli-done-skip = { $title }: here already
cli-in-file = { $file }: { $sheet }
cli-passed-over = passed over, neither a logbook nor a PDF or ZIP: { $name }
cli-left-twin = { $title }: the same as { $file }
cli-left-other-state = { $title }: another state of the sheet in { $file } (--again takes it in beside it)
cli-left-differs = { $title }: here already, but not the same (--replace puts this in its place, --again takes it in beside it)
sheet-of = { $title }, by { $authors }
sheet-by = by { $authors }
line-unanswered = this could not be answered: { $reason }
cli-unwritable = { $name } cannot be written: { $reason }.

## Words of one's own

plural-of-a-word = { $word }s

## The glossary: the usual word and its plural, other words, what it is

concept-least_count = least count
    .plural = least counts
    .others = vernier constant | graduation
    .meaning = The smallest difference two readings can show: what one step of the { $fine_scale } is worth.
concept-main_scale = main scale
    .plural = main scales
    .others = fixed scale
    .meaning = The engraved scale on the beam; the last of its marks that the zero line has passed is the main reading.
concept-fine_scale = fine scale
    .plural = fine scales
    .others = vernier scale | sliding scale | auxiliary scale
    .meaning = The short scale that slides along the { $main_scale } and parts its divisions.
concept-sleeve = sleeve
    .plural = sleeves
    .others = barrel | pitch scale | linear scale
    .meaning = The fixed tube of a screw gauge that bears the { $main_scale } along the { $datum_line }.
concept-thimble = thimble
    .plural = thimbles
    .others = drum | circular scale | head scale
    .meaning = The part of a screw gauge that turns; its edge points at the { $sleeve }, its lines part one turn.
concept-datum_line = datum line
    .plural = datum lines
    .others = reference line | index line
    .meaning = The line along the { $sleeve } at which the { $thimble } is read.
concept-ratchet = ratchet
    .plural = ratchets
    .others = friction clutch
    .meaning = It slips once the faces touch, so that every reading is taken with the same force.
concept-anvil = anvil
    .plural = anvils
    .others = stud
    .meaning = The fixed face of a screw gauge, at the end of the frame.
concept-zero_error = zero error
    .plural = zero errors
    .others = zero reading
    .meaning = What the tool reads when it should read nothing. The correction is minus the error, always.
concept-pitch = pitch
    .plural = pitches
    .meaning = How far the spindle travels in one turn. A few courses call the caliper’s main division so; here it is the screw’s.
concept-coinciding_line = line that meets
    .plural = lines that meet
    .others = coinciding line | matching line
    .meaning = The fine line that stands straight against a main mark. Its own number counts; which mark it meets does not, but is a good check.
concept-main_division = main division
    .plural = main divisions
    .others = scale division | smallest division | main scale division
    .meaning = The distance of two neighbouring marks of the { $main_scale }. What the { $fine_scale } makes of it is the { $least_count }.
concept-lock = lock
    .plural = locks
    .others = clamp | locking screw
    .meaning = It holds the faces where they are while you read. Release it before anything is moved.
concept-resolution = resolution
    .plural = resolutions
    .others = readability
    .meaning = The smallest difference that a tool can show. On scales it is the { $least_count }, on a display the last digit. It says nothing about whether the reading is right.
concept-precision = precision
    .plural = precisions
    .others = repeatability
    .meaning = How close together repeated readings lie: their scatter. Some courses say precision for the { $least_count }; readings can scatter by more than that, or by less. Close together is not yet right: that is accuracy.
concept-accuracy = accuracy
    .plural = accuracies
    .others = trueness | correctness
    .meaning = How close a result lies to the true value. A { $zero_error } spoils it while the scatter stays as small as ever: precise, and wrong.
concept-sensitivity = sensitivity
    .plural = sensitivities
    .others = response
    .meaning = How much what is shown moves when what is measured changes by a little. A long { $fine_scale } or a large { $thimble } is more sensitive; that alone makes nothing more accurate.
concept-backlash = backlash
    .plural = backlash
    .others = play
    .meaning = A worn thread lets the { $thimble } turn a little before the spindle moves: always approach from the same side.

## Care and safety

care-sharp = Sharp things
    .text = Jaw points, cut edges and burrs are sharp. Keep fingers off them.
care-moving = Moving things
    .text = Never measure a moving or turning workpiece.
care-force = Force
    .text = Do not force a screw, and do not use a caliper as a clamp, scriber or hammer. Turn the { $thimble } to come near, the { $ratchet } to touch. A forced { $thimble } reads too little and harms the thread.
care-glass = Glass
    .text = Do not strain glass from inside with the jaws.
care-lamps = Lamps and beams
    .text = Discharge lamps carry high voltage, are hot, and some give ultraviolet. Never look into a laser or at the sun through a telescope.
care-tool = The tool itself
    .text = Wipe the faces. Release the lock before you move anything. Store it with a gap, off magnets and heat. The warmth of a hand lengthens steel.
care-purpose = What it is for
    .text = The rules of your lab come first, and the people who know its tools. Not for trade, medical or safety-critical measurement: that takes a calibrated instrument and an accredited laboratory.

## The parts of each kind of tool, and its faces

part-vernier-outside = outside jaws
    .purpose = They take an object between them: its outside size.
    .handling = Close them gently and square; their points are sharp.
part-vernier-inside = inside jaws
    .purpose = They spread in a hole: its inside size.
    .handling = Rock them until the reading is greatest; never strain glass with them.
part-vernier-depth = depth rod
    .purpose = It comes out of the end of the beam: how deep a hole is.
    .handling = Set the end of the beam flat over the hole.
part-vernier-lock = lock
    .purpose = It holds the slide while you draw the object out and read.
    .handling = Release it before you move the slide.
part-vernier-relief = relief of the jaws
    .purpose = A notch that keeps burrs from lifting the object.
    .handling = Measure a step or a groove with the narrow tips.
part-vernier-beam = { $main_scale }
    .purpose = Its marks are counted up to the fine zero.
part-vernier-slide = { $fine_scale }
    .purpose = One of its lines meets a mark and tells the part between.
    .handling = Bring it to the eyes and the light; look straight at it.
part-screw-frame = frame
    .purpose = It holds the two faces at each other.
    .handling = Hold it here, not at the faces: the warmth of the hand lengthens steel.
part-screw-anvil = { $anvil }
    .purpose = The face that stands still.
    .handling = Wipe it before closing.
part-screw-spindle = spindle
    .purpose = The face that comes towards the object.
part-screw-lock = lock
    .purpose = It holds the spindle while you read.
    .handling = Release it before you turn the { $thimble }.
part-screw-sleeve = { $sleeve }
    .purpose = Its marks are counted up to the edge of the { $thimble }.
part-screw-thimble = { $thimble }
    .purpose = Its line at the { $datum_line } tells the part of a turn.
    .handling = Turn it to come near, not to touch.
part-screw-ratchet = { $ratchet }
    .purpose = It slips when the faces touch: always the same force.
    .handling = Turn it until it slips or clicks, always from the same side.
part-angular-circle = circle
    .purpose = It is divided all round, and stays where it is.
part-angular-arm = telescope arm
    .purpose = It is turned to the light and carries the { $fine_scales }.
    .handling = Clamp it, then bring the cross-hair on with the slow screw, from one side.
part-angular-window1 = first window
    .purpose = Here the circle is read against a { $fine_scale }.
    .handling = Read both windows at every position.
part-angular-window2 = second window
    .purpose = It lies opposite; the mean of both is free of the off-centre error.
part-angular-magnifier = magnifier
    .purpose = It shows the fine lines large enough to tell which meets.
    .handling = Look straight through it.
part-plain-edge = edge
    .purpose = It lies along what is measured.
    .handling = Look straight from above, so that the marks are not seen aslant.
part-plain-marks = marks
    .purpose = The reading is taken at the nearest, or estimated between two.
    .handling = Begin at a mark inside the scale: the end of a rule is worn first.
face-vernier-outside = outside jaws
    .measures = outside sizes
face-vernier-inside = inside jaws
    .measures = holes and gaps
face-vernier-depth = depth rod
    .measures = depths
face-screw-outside = { $anvil } and spindle
    .measures = outside sizes
kind-care-vernier = Jaw points and cut edges are sharp. Never measure anything that moves or turns, and keep to the rules of your lab.
kind-care-screw = Turn the { $thimble } to come near and the { $ratchet } to touch; never force it. Keep to the rules of your lab.
kind-care-angular = Discharge lamps carry high voltage, are hot, and some give ultraviolet. Never look into a laser or at the sun through a telescope. Keep to the rules of your lab.
kind-care-plain = Look at it straight from above. Keep to the rules of your lab.

## Common patterns of fine scales

this-tool = this tool
shelf-caliper-10-9 = Caliper, ten divisions
    .description = With the jaws closed, the tenth fine line meets the 9 mm mark.
shelf-caliper-10-9-cm = Caliper in centimetres, ten divisions
    .description = Numbered 1, 2, 3 at every centimetre; with the jaws closed, the tenth fine line meets the ninth mark.
shelf-caliper-10-19 = Caliper, ten wide divisions
    .description = With the jaws closed, the tenth fine line meets the 19 mm mark.
shelf-caliper-20-19 = Caliper, twenty divisions
    .description = With the jaws closed, the twentieth fine line meets the 19 mm mark.
shelf-caliper-20-19-cm = Caliper in centimetres, twenty divisions
    .description = Numbered 1, 2, 3 at every centimetre; with the jaws closed, the twentieth fine line meets the nineteenth mark.
shelf-caliper-20-39 = Caliper, twenty wide divisions
    .description = With the jaws closed, the twentieth fine line meets the 39 mm mark.
shelf-caliper-50-49 = Caliper, fifty divisions
    .description = With the jaws closed, the fiftieth fine line meets the 49 mm mark.
shelf-caliper-50-49-cm = Caliper in centimetres, fifty divisions
    .description = Numbered 1, 2, 3 at every centimetre; with the jaws closed, the fiftieth fine line meets the forty-ninth mark.
shelf-caliper-25-24 = Caliper in inches
    .description = Forty marks to the inch; the twenty-fifth fine line meets the twenty-fourth mark.
shelf-caliper-10-11 = Caliper, lines backwards
    .description = With the jaws closed, the tenth fine line meets the 11 mm mark.
shelf-screw-half = Screw gauge, half-millimetre turns
    .description = Marks every half millimetre, above and below the { $datum_line }; fifty lines round the { $thimble }.
shelf-screw-one = Screw gauge, millimetre turns
    .description = Marks every millimetre; a hundred lines round the { $thimble }.
shelf-screw-two-turns = Screw gauge, two turns to a mark
    .description = Marks every millimetre, and the { $thimble } goes round twice from one to the next.
shelf-circle-30 = Divided circle, half degrees
    .description = Marks every half degree; thirty fine lines on twenty-nine of them.
shelf-circle-40 = Divided circle, thirds of a degree
    .description = Marks every twenty minutes; forty fine lines on thirty-nine of them.
shelf-ruler = Ruler
    .description = Marks alone, no fine scale: read at one edge from zero, or at both ends.
shelf-display = Digital display
    .description = Digits instead of marks: the last digit is the least count.

## What can be measured of a thing

measurand-outside = across, outside
measurand-inside = across, inside
measurand-depth = depth
measurand-thickness = thickness
measurand-stack = a stack of
measurand-ends = two ends on a scale
measurand-difference = two to compare
measurand-angle = an angle
measurand-half-angle = half an angle
measurand-name-outside = { $thing }, outside
measurand-name-inside = { $thing }, inside
measurand-name-depth = { $thing }, depth
measurand-name-thickness = { $thing }, thickness
measurand-name-stack = { $thing }, in a stack
measurand-name-ends = { $thing }, length
measurand-name-difference = { $thing }
measurand-name-angle = { $thing }, angle
measurand-name-half-angle = { $thing }, half the angle
# Words of names that tell what is measured, with blanks between.
measurand-words-outside = outside outer external
measurand-words-inside = inside inner internal bore hole
measurand-words-depth = depth deep
measurand-words-thickness = thickness thick
measurand-words-stack = stack stacked pile
measurand-words-ends = ends
measurand-words-difference = difference compare compared
measurand-words-angle = angle sweep
measurand-words-half-angle = half

## The board of usual derived quantities

# Words of names that tell which size of a thing it is, with blanks between.
size-words-outside = outside outer external across diameter
size-words-inside = inside inner internal bore hole clear
size-words-depth = depth deep length long height high tall

recipe-difference = Difference of two lengths
    .a = the larger
    .b = the smaller
recipe-wall = Wall thickness of a tube
    .D = outside diameter
    .d = inside diameter
recipe-mean = Mean of two places
    .a = one place
    .b = the other place
recipe-mean-of-three = Mean of three places
    .a = one place
    .b = another
    .c = the third
recipe-disc = Area of a disc
    .d = diameter
recipe-ring = Area of a ring
    .D = outside diameter
    .d = inside diameter
recipe-plate = Area of a plate
    .a = length
    .b = width
recipe-cylinder = Volume of a cylinder
    .D = diameter
    .h = length
recipe-tube = Volume of a tube
    .D = outside diameter
    .d = inside diameter
    .h = length
recipe-sphere = Volume of a sphere
    .d = diameter
recipe-slab = Volume of a slab
    .a = length
    .b = width
    .c = thickness
recipe-density-of-volume = Density of what was weighed, from its volume
    .m = mass
    .V = volume
recipe-density-of-rod = Density of a rod that was weighed
    .m = mass
    .D = diameter
    .h = length
recipe-density = Density of a slab that was weighed
    .m = mass
    .a = length
    .b = width
    .c = thickness
recipe-items = How many lie in a stack
    .h = height of the stack
    .t = thickness of one
recipe-grating = Distance of grating lines from an angle
    .k = order
    .w = wavelength
    .theta = angle of that order
recipe-wavelength = Wavelength from the angle of a grating
    .g = distance of the lines
    .theta = angle of that order
    .k = order
recipe-lines = Grating lines to the millimetre
    .k = order
    .w = wavelength
    .theta = angle of that order
recipe-prism-angle = Angle of a prism from its reflected images
    .R = angle between the two images
recipe-prism = Index of a prism from two angles
    .A = angle of the prism
    .D = least deviation

## On the page: app

keys-record = records a reading: main 6, line 3; type it anywhere on a quantity
keys-of-the-thing = the next or the last quantity of the same thing
keys-several-lines = several lines seem to meet: takes the middle one
keys-step = in a blank or on the scales: one mark or one line; with Shift, ten
keys-empty = empties the equation
keys-undo-name = Ctrl+Z, Ctrl+Y
app-undo-redo = undo, redo
keys-help = shows these keys
app-keys = Keys
app-words-care = Words & care
app-metrion = Metrion
app-places = places
app-new-sheets = new sheets
app-several = several
app-differ-here = The results of this sheet are stated by different conventions: { $names }.
app-print-sheet = All quantities of this sheet
app-print-quantity = This one only
app-choose-another = Choose another
app-convention = convention

## On the page: common

sheet-undo = Undo
sheet-leave = Back to the notebook
sheet-save = Save as a file
sheet-untitled-sheet = Untitled sheet
sheet-report = Report
sheet-quantity-empty = no reading yet
sheet-remove = Remove
sheet-remove-what = Remove…
sheet-with-its-readings = { $count ->
    [0] { $name }
    [one] { $name }, with its reading
   *[other] { $name }, with its { $count } readings
}
sheet-least-count = { $least_count } { $least_count_text }
sheet-zero-look = Look at the zero
sheet-measure-it = Measure it
sheet-quantity-name = What is measured
planner-planner = Planner
planner-unit = unit
planner-convention = Convention
app-notebook = Notebook
app-instruments = Instruments
app-settings = Settings
app-help = Help
zero-state-none = not looked at
could-not-be-saved = This could not be saved.
derived-another-one = Another one
derived-submit = Work it out
derived-change = Change
derived-whole-working = Working
desk-leave-zero = Back to the reading
desk-read-by = read by
desk-result = result
desk-place = place
remedy-stands = It is right

## On the page: derived

derived-dialog-change = Change the derived quantity
derived-dialog-new = New derived quantity
derived-name = Name
derived-formula = Formula
derived-given-in = Given in
derived-change-it = Change it
derived-formula-choose = What do you want to know?
derived-formula-own = A formula of your own
derived-sqrt-sin = + − · / ^, sqrt, sin …
derived-derived-quantities = derived quantities
derived-heading = Worked out from these
derived-invitation = A difference, a volume, a density: the uncertainty is carried along, and a zero that two quantities share enters once.
derived-value-none = no value yet
derived-with = with
derived-source-typed = a value you type in
derived-is = { $symbol } is
derived-value-of = value of { $symbol }
derived-uncertainty-of = uncertainty of { $symbol }
derived-unit-of = unit of { $symbol }

## On the page: desk

desk-quantity-alike = Another like it
desk-another-like = Another like “{ $name }”
desk-blue-second-order = e.g. blue, second order
desk-upper-spreader-outside = e.g. upper spreader, outside
desk-not-noted = not noted
desk-approached = approached
desk-arc = the arc that counts
desk-arc-shorter = the shorter one
desk-arc-onward = onward, as the figures grow
desk-meets = the line meets the mark
desk-note = note
desk-blind = hide earlier figures
desk-table = Readings from a table…
desk-of-the-thing = quantities of { $thing }
desk-describe = What it is: faces, stack, letter…
plan-open = Plan the readings…
plan-title = What is to be read of { $name }
plan-keep = Plan it
plan-drop = Without a plan
plan-places = Places
plan-places-why = The equation asks for them one after the other. Enter keeps each.
plan-places-example = e.g. end A, middle, end B
plan-each = Readings at each place
plan-each-anywhere = Readings in all
plan-each-wanted = How many, from 1 to { $most }?
plan-zero = Looks at the zero
plan-zero-before = before the readings
plan-zero-after = after the readings
plan-nth = { $nth } of { $of }
plan-more = and { $count } more
plan-look-before = Look at the zero, before the readings
plan-look-after = Look at the zero again, after the readings
plan-progress = { $made } of { $of } planned
desk-quantity-missing = There is no such quantity here.
desk-readings = readings
desk-hidden-while-you-read-blind = hidden as long as earlier figures are
desk-first-position = first position
desk-second-position = second position
desk-position-first-1 = first position, window 1
desk-position-first-2 = first position, window 2
desk-position-second-1 = second position, window 1
desk-position-second-2 = second position, window 2
desk-looks-per-reading = a reading has a look
desk-zero-error = { $zero_error }
desk-scales = scales
desk-scales-of = scales of { $name }
desk-less = Less
desk-more = More
desk-leave-it = Leave it
desk-keep-next = Keep it, next ⏎
desk-record = Record ⏎
desk-keep = Keep
desk-record-2 = Record
app-for-example = e.g. { $what }
planner-nothing = nothing
desk-end-a = e.g. end A
desk-read-before = read before
desk-look-again = { $name }, tap to take it again
desk-swept-mean = swept, mean of both
desk-between-them = between them
desk-second-look = second look open
desk-none-yet = none yet

## On the page: equation

equation-line-that-meets = { $coinciding_line }
equation-numeral = numeral that meets
equation-fine-part = fine part
equation-main-reading = main reading
equation-thimble-line = { $thimble } line
equation-from = from
equation-offline = Metrion does not answer at the moment; what you typed stays here.
figures-as-line = line number
figures-as-numeral = as printed
figures-as-worth = its worth
figures-as-engraved = as engraved
figures-as-unit = in the tool’s unit
equation-question = Which do you mean?
equation-question-one = Is it this?
equation-stands-for = What stands in this blank; tap to change
equation-asked-once = Asked once: it is kept with the tool, and you can change it beside the blank.
equation-refused = { $refused }; what you typed stays here.
equation-second-turn = second turn?
equation-erase = Erase
equation-next-blank = Next blank
equation-degrees-hint = degrees, then minutes
equation-key-pad = key pad
equation-kept = kept { $kept }
equation-enter-replaces-esc-leaves = Enter puts the new figures in the place of the old ones, which stay in the record; Esc leaves it as it is.
equation-record-touch = Record by thumb

## On the page: instruments

instruments-unit-which = { $was } becomes { $unit }, and something was read with this tool. Which is it?
instruments-unit-same-lengths = Same lengths, other unit: the readings are converted
instruments-unit-same-figures = Same figures: the description was wrong
instruments-unit-converted = What was read is converted when you change it.
instruments-unit-stands = What was read keeps its figures.

instruments-your-tools = Your tools
instruments-own-none = None yet. Describe one above, give it a name, and keep it.
instruments-open = Open
instruments-common-patterns = Common patterns
instruments-sleeve-and-thimble-closed = { $sleeve } and { $thimble }, closed
instruments-preview-zero = scales at zero
instruments-parts = parts
instruments-its-parts = Its parts
instruments-labelled-drawing = labelled drawing
instruments-faces-hint = Each pair of faces has a zero of its own:
instruments-for = { $name } for { $measures }
instruments-pitch-worksheet = pitch worksheet
instruments-pitch-worksheet-2 = Pitch worksheet
instruments-note-the-sleeve-with-the-thimble = Note the { $sleeve } with the { $thimble } at 0, turn several whole turns, note it again. More turns, better pitch.
instruments-turns = turns
instruments-sleeve-before = { $sleeve } before
instruments-sleeve-after = { $sleeve } after
instruments-trial-turns = turns of trial { $at }
instruments-trial = { $when }, trial { $at }
instruments-trial-add = One more trial
instruments-use-it = Use it
instruments-your-tool = Your tool
instruments-own-choose = One of yours
instruments-counts-heading = Or by what you count
instruments-counts-how = Close the jaws and look: how many fine divisions are there, and which mark does the last one meet? If none of these is yours,
instruments-describe-it = describe it
instruments-caliper = Caliper
instruments-screw-gauge = Screw gauge
instruments-divided-circle = Divided circle
instruments-tool = Tool
instruments-least-count-told = One fine line is worth { $least_count_text }. Readings are given to that, no finer.
instruments-the-numerals-of-the-main-scale = The numerals of the { $main_scale } stand for
instruments-numerals-mm = millimetres: 10, 20, 30
instruments-numerals-cm = centimetres: 1, 2, 3
instruments-fine-entry-label = For the fine reading you type
instruments-fine-entry-line = the line’s number
instruments-fine-entry-numeral = the numeral at it
instruments-its-worth = its worth
instruments-choose = This is mine
instruments-serial = number engraved on it
instruments-not-counted = not counted
instruments-appearance = appearance
instruments-looks-like = As yours looks
instruments-numerals = The numerals stand for
instruments-the-fine-scale-lies = The { $fine_scale } lies
instruments-half-marks = The half marks lie
instruments-the-thimbles-numerals-grow = The { $thimble }’s numerals grow
instruments-numeral-every = A numeral at every so many fine lines
instruments-numeral-every-hint = a numeral at every so many fine lines
instruments-usual = usual
instruments-other-edge = The other edge shows inches
instruments-other-edge-hint = the other edge shows inches
instruments-fine-entry-mine = For the fine reading I type
instruments-the-line = the line
instruments-the-numeral = the numeral
instruments-screw-gauge-2 = screw gauge
instruments-display-name = Display
instruments-plain-scale-name = Ruler
instruments-the-other-edge-as-a-tool = The other edge shows inches: add it as a tool of its own
instruments-inch-edge = { $name }, inch edge
instruments-change-it = Change it
instruments-what-was-read-does-not-fit = What was read with it does not fit that:
instruments-keep-old = Keep the old tool for them, add this one beside it
instruments-plain-scale = ruler or display
instruments-it-shows = what it shows
instruments-marks-of-which-two-are-apart = It has marks, two of them apart by
instruments-digits-of-which-the-last-is-worth = It shows digits, the last of them worth
instruments-divided-circle-2 = divided circle
instruments-least-count-2 = { $least_count }
instruments-least-count-3 = { $Least_count }
instruments-show-it = Show it
instruments-own-kept = “{ $name }” is among your tools.
instruments-change = Change “{ $name }”
instruments-own-name-wanted = give it a name to keep it
instruments-own-keep = Keep this tool
instruments-description = description
instruments-own-name = I call it
instruments-caliper-a = e.g. Caliper A
instruments-fine-divisions = fine divisions
instruments-span = fine divisions reach over
instruments-main-divisions = main divisions
instruments-marks-of = marks of
instruments-main-division = main division
instruments-arc-minutes = arc minutes
instruments-numbered = , numbered
instruments-numbered-2 = numbered
instruments-with-the-main-scale = with the { $main_scale }
instruments-against-the-main-scale = against the { $main_scale }
instruments-one-turn-of-the-thimble-travels = One turn of the { $thimble } travels
instruments-the-sleeve = the { $sleeve }
instruments-main-every = has a mark every
instruments-the-thimble = the { $thimble }
instruments-has = has
instruments-divisions = divisions
instruments-range = It reaches from
instruments-lowest-reading = lowest reading
instruments-to = to
instruments-highest-reading = highest reading
instruments-preview-stale = { $text }. The drawing shows what it was before.
instruments-reads = reads { $read }
instruments-drawing = drawing
instruments-preview = scales of the described tool
instruments-hold = Pause
instruments-tour-lines = Line after line
instruments-tour-open = drag the scales open

## On the page: notebook

notebook-new-sheet = New sheet
notebook-sheet-of = Sheet of { $date }
notebook-find = Find a sheet, a person, a thing, a tool
notebook-order = sheets by
notebook-order-changed = Latest
notebook-order-person = Person
notebook-order-thing = Thing
notebook-order-date = Date
notebook-unsaid-person = Nobody named
notebook-unsaid-thing = No thing named
notebook-unsaid-date = Without a date
notebook-group-count = { $count ->
    [one] one sheet
   *[other] { $count } sheets
}
notebook-more = Show { $count } more
notebook-save-all = Save all
notebook-print-all = All as PDF
notebook-print-full = Whole reports
notebook-print-short = Short ones: results and readings
notebook-no-sheet-speaks-of = No sheet mentions “{ $wanted }”.
notebook-no-sheet-yet-a-new-one = Say what it is and with which tool; then you look at its zero, and read.
notebook-derived = worked out
notebook-example = Look at a finished example
begin-measure-something = Measure something
begin-name = What do you measure?
begin-for-example = e.g. ferrule
begin-of-it = measured of it
begin-how-many = how many in the stack
begin-difference = { $thing }, difference
begin-unnamed = First quantity
begin-tool = with a tool like
begin-or-one-like = Yours is another one…
begin-its-zero = its zero
begin-zero-vernier = Wipe the jaws and close them gently. Where does the zero line stand?
begin-zero-screw = Wipe the faces and close them by the ratchet. Where does the zero of the thimble stand?
begin-zero-later = I look at the zero later
begin-go-on = Read it
notebook-tool-none = no tool yet
notebook-damaged = Damaged, and not worked out: { $damage }. What was recorded is kept as it is.
notebook-empty = Nothing measured yet.
notebook-bring-back = Bring back
notebook-trash-empty = Empty the trash
notebook-empty-for-good = { $count ->
    [one] One sheet goes for good
   *[other] { $count } sheets go for good
}; only backups still have { $count ->
    [one] it
   *[other] them
}.

## On the page: outbox

outbox-unsent = Readings are still on their way to Metrion; try again then.

## On the page: planner

planner-what-the-uncertainty-will-be-in = How small the uncertainty must be, in per cent, decides which tool to take. It is worked out by the same rules as your results.
planner-wish-thing = Something of about
planner-size = about how large
planner-wish-to = is wanted to
planner-percent = wanted per cent
planner-wish-scatter = %. Readings of it differ by about
planner-expected-scatter = expected scatter
planner-wish-end = from their mean.
planner-invitation = Say how large the thing is, and see what each tool would give.
planner-own = yours
planner-good-enough = good enough
planner-coarse = not good enough
planner-unfit = does not fit

## On the page: report

report-of = Of
report-report-of = Report of
report-scope-sheet = the whole sheet
report-print = Print
form-pdf = PDF
report-paper = paper
report-letter = Letter
report-forms-other = For other programs
form-ods = The same as ODS
form-xlsx = Spreadsheet with its formulas
form-csv = Table as CSV
form-md = Markdown
form-tex = LaTeX
form-tables = Tables for LaTeX
report-with-photographs = with its photographs
report-logbook-and-photographs = Logbook with its photographs (ZIP)
report-logbook-file = Logbook file
report-the-report = The report
report-who-measured = Who measured
report-aim-heading = What was to be found

## On the page: results

results-budget = what the uncertainty is made of
results-what-others-would-say = Other conventions
results-others = The same readings, other conventions: { $name }
results-others-used = the one used here
results-others-use = Use it for this quantity
results-see-scales = on the scales
results-place-none = no place noted
results-also-in = also in
places-report-apart = Report the places apart
places-report-together = Report them together
results-working = Working: { $title }
results-trace-hint = Click a number to see where it comes from.
results-compared-with = compared with
results-beside = Beside { $with }
results-compare-label = Compare with something else
results-compare-with = Compare…
results-compare-with-2 = Compare with
results-compare-expected = an expected value
results-expected-value = expected value
results-its-uncertainty = its uncertainty
results-its-unit = its unit
results-compare-no-more = Stop comparing
results-compare = Compare
results-none = no reading yet, so no result
results-all-together = all together:
results-relative = The uncertainty is { $relative_percent } % of the value. 
remedy-zero-was = It was { $error }
remedy-zero-was-why = counted from the wrong side of zero
results-trace = Where this comes from

## On the page: settings

settings-own-conventions-list = conventions of your own
settings-own-conventions = Conventions of your own
settings-describe-one = Describe one
settings-own-conventions-why = If your course does it in another way, describe that way here. A sheet that uses it takes a copy along, so that its file is whole.
settings-who-measures = Who measures
settings-who-measures-about = Name, group and course, as they stand on every sheet that is begun from now on.
settings-who-measures-hint = e.g. Ida, group 3
settings-who-measures-always = On every sheet from now on
settings-theme = Theme
settings-theme-why = Light for the bench, dark for the evening.
settings-theme-system = as the system
settings-decimal-sign = Decimal sign
settings-decimal-why = Both are understood when you type; this one is written.
settings-decimal-point = point, 6.30
settings-decimal-comma = comma, 6,30
settings-digits = Digits anywhere begin a reading
settings-digits-why = On a quantity, figures go into the equation also when the cursor is elsewhere.
settings-convention-change = Change the convention
settings-convention-new = A convention of your own
settings-yours = Yours
settings-its-name = Its name
settings-first-year-course = e.g. first-year course
settings-convention-given = The result is given as
settings-convention-limit = a limit of error
settings-convention-standard = a standard uncertainty
settings-convention-look = One look may be off by
settings-least-counts = { $least_counts }
settings-convention-zero = The look at the zero counts as well
settings-convention-coverage = Multiplied by, or widened to cover
settings-2-or-95 = e.g. 2 or 95%
settings-convention-coverage-hint = a factor like 2, or a percentage like 95%
settings-convention-figures = Figures of the uncertainty
settings-convention-figures-two = two when the first is 1
settings-convention-tenths = Tenths between two lines are estimated
settings-keep-it = Keep it
settings-convention-scatter = The scatter is taken as
settings-convention-combined = Limit and scatter

## On the page: sheet

sheet-undo-what = Undo: { $undo } (Ctrl+Z)
sheet-redo-what = Redo: { $redo } (Ctrl+Y)
sheet-redo = Redo
sheet-damaged-title = A damaged sheet
sheet-damaged-kept = { $message }. What was recorded is kept as it is.
sheet-damaged-file = The damaged sheet
sheet-missing = There is no such sheet.
sheet-new-quantity = New quantity
sheet-empty = Nothing is measured here yet. Say what you measure and with which tool; its zero comes next.
sheet-begin = Begin with a quantity
sheet-quantities = quantities
sheet-tools = tools
sheet-tools-heading = Tools and their zeros
sheet-tool-add = Add a tool
sheet-zero-error = { $zero_error } { $error_text } { $unit }
sheet-trash = Trash
sheet-one-look = one look
sheet-looks-two = two positions, and what lies between
sheet-two-positions = two positions
sheet-looks-four = two positions, each in two windows
sheet-taken-swept = the angle swept
sheet-taken-half = half of it: left and right of the middle
sheet-quantity-name-wanted = Give it a name, such as “Lower spreader, outside”.
sheet-lower-spreader-outside = e.g. lower spreader, outside
sheet-quantity-letter = Its letter, if any
sheet-quantity-thing = Of which thing, if it has several quantities
sheet-quantity-thing-example = e.g. ferrule
sheet-measured-with = Measured with
sheet-another-tool = Another tool…
sheet-taken-with = Taken with
sheet-quantity-looks = One reading is
sheet-quantity-taken = What is wanted
sheet-stack = How many alike lie in one stack
sheet-stack-why = 1 for a single thing. Value and uncertainty are divided by it.
sheet-removed = Removed; undo brings it back.

## On the page: strip

strip-which-sleeve-looks-like-yours = Which { $sleeve } looks like yours?
strip-the-lens-shows-the-line-that = The lens shows the { $coinciding_line } as soon as you type it.
strip-line = line { $line }{ $label }
strip-line-2 = line { $line }: { $words }
strip-meets = line { $line } meets a mark
strip-line-is = line { $line } is { $words }

## On the page: tally

tally-show = Show it on the scales
tally-change = Change its figures
tally-count = Count it again
remedy-set-aside = Set aside…
tally-photograph-it = Photograph it…
photo-title = A photograph of the scales
photo-button = Photograph the scales
photo-button-held = The photograph that waits for your line
photo-how-to-take-it = Hold the camera straight above the place where both scales meet, near enough for the fine scale to fill half of the picture. The picture speaks after you: type first what you read yourself.
photo-a-picture = a picture of the scales
photo-from-camera = a picture from the camera
photo-with-the-camera = Take it with the camera
photo-choose = Choose a picture…
photo-of-the-bench = Photograph the bench
photo-or-drop = Or drop a picture here: JPEG or PNG.
photo-live = what the camera sees
photo-hold = Hold it so that both scales meet on the dashed line.
photo-take-it = Take it
photo-another-way = Another way
photo-no-camera = The camera cannot be used ({ $why }). Choose a picture instead.
photo-is-none = This is no picture that can be shown: JPEG and PNG can.
photo-of-the-scales = photograph of the scales
photo-edge-end = end { $at } of the edge
photo-edge-at = { $x } from the left, { $y } from the top
photo-seeking = Looking for the edge…
photo-set-edge = The line should lie on the edge where both scales meet, from the first fine line to the last. Drag its ends, move them by the arrow keys, or set both with two clicks.
photo-set-edge-thimble = The line should lie on the edge of the { $thimble }, over its lines. Drag its ends, move them by the arrow keys, or set both with two clicks.
photo-thimble-grows = On the { $thimble } the numbers grow
photo-thimble-up = upward
photo-thimble-down = downward
photo-which-look = It shows the
photo-own-first = First type what you read yourself, main reading and line: the picture speaks after you. It waits here.
photo-back-to-equation = Back to the equation
photo-ask = You read line { $own }. Ask the picture
photo-record-and-ask = Record { $read }, then ask the picture
photo-another = Another picture
photo-edge-again = Set the edge again
photo-keep-own = Keep { $own }, with the picture
photo-take-line = Take { $line } instead (reads { $read })
photo-why = the photograph, looked at again
photo-drawing-over = the drawing over it
photo-drawing-at = drawn with line { $line } meeting
photo-drawing-moves = the line that meets in the drawing
photo-lens-picture = line { $line }, by the picture
photo-lens-yours = line { $line }, yours
photo-lens-both = line { $line }, by both
photo-of-reading = { $count ->
    [one] Photograph
   *[other] Photographs
} of reading { $at }
photo-whole = the whole picture, small
photo-take-away = Take the photograph away
tally-actions-of = Actions for reading { $at }
tally-discount-why = Why does it not count? The reading stays in the record, struck through.
tally-a-burr-stood-between-the-jaws = e.g. a burr stood between the jaws
tally-set-aside = Set aside
remedy-look-again = Look again
tally-looked-at-again = is being looked at again; its figures are hidden meanwhile
remedy-misread = I misread, it was { $main }
tally-no = no.
tally-positions = first, then second position
tally-window = window { $at }
tally-main = main
tally-line = line
tally-reads = reads{ $unit }
tally-actions = actions
tally-empty = No reading yet. Each one you record becomes a row here, and a dot that shows how they scatter.
tally-waiting = waiting for the server; nothing is lost
tally-discard = Discard
tally-set-aside-because = set aside: { $excluded }
tally-off-axis = off the axis

## On the page: transfer

transfer-failed = “{ $name }” was not loaded
transfer-logbook-file = logbook files
transfer-looking-through = Looking through, { $progress } %
transfer-load = Load files
transfer-load-folder = Load a folder
transfer-folder = folder to load
transfer-drop = Drop logbook files, reports as PDF, ZIPs or folders of these, or a table of readings
transfer-table = Readings from a table
transfer-take-in = Take { $count } in
transfer-column-stands-for = Some figures can be two readings. What stands in the column “{ $column }”?
transfer-table-submit = Take them in
transfer-take-the-good = { $count ->
    [one] Take in the one that can be read
   *[other] Take in the { $count } that can be read
}
transfer-rows-left-out = { $count ->
    [one] One row has a fault: mend it above, or leave it out.
   *[other] { $count } rows have faults: mend them above, or leave them out.
}
transfer-mend-cell = row { $row }, column { $at }
transfer-table-is-for = Readings in “{ $name }” for
transfer-quantity = quantity
transfer-does-not-fit = Its headings do not tell which columns hold the main reading and the line: say it below.
transfer-no-quantity-for-a-table = There is no quantity yet that could take readings from a table. Begin one, or load a logbook file.
transfer-taken = { $count ->
    [one] One sheet taken in
   *[other] { $count } sheets taken in
}, { $left } left
transfer-table-file = table file
transfer-table-choose = Choose a CSV file
transfer-table-hint = Semicolons, tabs and decimal commas are understood.
transfer-leave-it = leave it
transfer-table-excluded = set aside because
transfer-reads = reads
transfer-it-is-left-what-is-wrong = It is left out. What is wrong with it:
transfer-refused = Nothing was stored. What is wrong:
transfer-whole-file = whole file
transfer-new-here = new here
transfer-here-same = here already, just the same
transfer-here-differs = here already, but not the same
transfer-unreadable = cannot be taken in
transfer-other = neither a logbook nor a PDF or ZIP
transfer-twin-among-these = the same as another of these files
transfer-state-among-these = another state of a sheet in these files
transfer-twin = the same as { $file }
transfer-other-state = another state of the sheet in { $file }
transfer-choice-all = What to do with all that are: { $standing }
transfer-each-by-itself = each by itself
transfer-became-new = new sheet
transfer-became-replaced = replaced
transfer-became-left = left: { $why }
transfer-take-back = Take all of it out again
transfer-taken-back = { $left ->
    [0] { $count ->
        [one] { $count } sheet is out again; the trash has what was new.
       *[other] { $count } sheets are out again; the trash has what was new.
    }
   *[other] { $count } out again; { $left } left, as somebody changed them meanwhile.
}
transfer-again = take it in as a new sheet
transfer-replace = replace the one here, as a new version
transfer-submit = Take it in
transfer-in-the-file = In “{ $name }”
transfer-in-files = In { $count } files
transfer-pending = Nothing is stored yet.
transfer-choice = What to do with { $title }
transfer-what-would-go = This would go, until you undo it: { $sheet }, { $holds }.
transfer-offline = Metrion does not answer; nothing of the file was stored.
transfer-broken-off = The answer broke off; nothing of the file was stored.

## On the page: words

words-the-guide = The guide
words-title = Words and care
words-find = Find a word
words-why = Courses name the same thing differently. Pick your word, and Metrion uses it.
words-glossary = glossary
words-none = No word like “{ $wanted }”.
words-care = Care and safety
words-care-link = care and safety

## On the page: zero

zero-looked-at-before = Its looks at the zero beside the readings, in order of time. A quantity that uses several takes their mean.
zero-exact = Take it as exact
zero-zero-error-tap-to-change = { $zero_error }, tap to change
zero-zero-of = Zero of { $name }
zero-closed-scales = scales at the zero
zero-state-before = before the readings
zero-keep = Keep this zero
zero-piece = on a setting piece of
zero-0-closed = closed
zero-piece-why = These faces cannot close on each other: use a ring, rod or gap of known size.
zero-flush-on-a-flat-surface = Stand the end of the beam on a clean flat surface and let the rod down until both are flush.
zero-where-it-should-read-nothing = See what it reads where it should read nothing.
zero-both-faces-ride-on-one-slide = As both faces ride on one slide, the zero of the outside jaws shifts these as well. The report says so.
zero-look-outside-first = Look at the zero of the outside jaws first: both faces ride on one slide, so it can be taken over here.
zero-share = Take over the outside zero
zero-its-zero-mark-shows = Its marks show
zero-lines-early = lines early (with a minus: late)
zero-read-now = reads
zero-step-back = one line back
zero-step-on = one line on
zero-side-on = Stands on zero
zero-side-short = Still short of it
zero-side-past = Run past it
zero-side-on-slide = the two zero lines are one line: kept as it is
zero-side-short-slide = the fine zero lies to the right: reads too much, a positive { $zero_error }
zero-side-past-slide = the fine zero lies to the left: reads too little, a negative { $zero_error }
zero-side-on-screw = zero at the datum line: kept as it is
zero-side-short-screw = it shows 1, 2 … at the datum line: reads too much, a positive { $zero_error }
zero-side-past-screw = the zero has gone by, it shows the last lines: reads too little, a negative { $zero_error }
zero-how-ratchet = Wipe the faces, close them by the { $ratchet } until it slips.
zero-how = Wipe the faces and close them gently.
zero-adds-up = The last mark passed and the { $coinciding_line } make the { $zero_error }.
zero-tapped-otherwise = You said that it { $side ->
    [past] has run past zero
   *[short] is still short of zero
}, and these figures say the opposite. Which is it?
zero-looks-differ-which = The looks at the zero differ by more than one { $least_count }. Does the new one replace the old, do both hold, or did it move between?
zero-looks-which = Which look holds?
zero-replaces = The new one replaces it
zero-both-hold = Both hold
zero-moved-between = It moved between: before, and after
zero-look-new = the new look
zero-readings-between = { $count ->
    [one] one reading
   *[other] { $count } readings
}
zero-question = Which zero is it?

## On the page: counts and single words

equation-minus = minus
equation-next = next
equation-or-drag = { $bench ->
    [true] { "" }
   *[false] Or drag the scales until they look like yours.{ " " }
}
equation-how-vernier = Type the last mark the zero line has passed, then the { $coinciding_line }: { $main } space { $fine } Enter. { equation-or-drag }One line is worth { $least }.
equation-how-screw = Type the last mark the { $thimble }’s edge has passed, then its line at the { $datum_line }: { $main } space { $fine } Enter. { equation-or-drag }One line is worth { $least }.
equation-how-angular = Type the last mark the zero line has passed, degrees and minutes, then the { $coinciding_line }: { $main } space { $fine } Enter. { equation-or-drag }One line is worth { $least }.
equation-how-display = Type the digits that are shown: { $main } Enter. The last digit is worth { $least }.
equation-how-plain = Type the mark that you read: { $main } Enter. { equation-or-drag }One division is worth { $least }.
equation-sleeve = { $sleeve }
equation-waiting = waiting
charts-plan = Per cent of the size that each tool leaves uncertain, against the size; both axes by decades
charts-per-cent = uncertainty, %
charts-wanted = wanted
charts-the-thing = the thing
charts-size = size, { $unit }
planner-with-readings = with { $count } readings
planner-stack = as a stack of { $count }
desk-opening = opening
desk-closing = closing
desk-read = read
desk-corrected = corrected
desk-nothing-entered = nothing entered
desk-change-it = Change it ⏎
desk-task-again = Reading { $at } again: what do you see now?
desk-task-change = Reading { $at }: put right what is wrong.
desk-looked-again = looked again
desk-swept = swept
desk-cancels = cancels
desk-exact = exact
desk-stands = nothing open
desk-stage-instrument = instrument
desk-stage-zero = zero
desk-stage-readings = readings
desk-stage-result = result
desk-saving = saving
desk-saved = saved
zero-looked-at = { $error }, looked at { $phase ->
    [before] before
   *[after] after
}
zero-looked-at-on-faces = { $error }, looked at { $phase ->
    [before] before
   *[after] after
}, { $face ->
    [inside] inside
    [depth] depth
   *[outside] outside
} faces
zero-phase = { $phase ->
    [before] before
   *[after] after
}
zero-phase-on-a-piece = { $phase ->
    [before] before
   *[after] after
}, on a piece of { $reference }
zero-not-set = not set
zero-after = after
report-today = today
settings-light = light
settings-dark = dark
settings-one = one
settings-two = two
sheet-rename = Rename the sheet
sheet-stack-of = a stack of { $count }
counted-readings = { $count ->
    [one] { $count } reading
   *[other] { $count } readings
}
readings-that-count = { $count ->
    [one] { $count } counts
   *[other] { $count } count
}
counted-quantities = { $count ->
    [one] { $count } quantity
   *[other] { $count } quantities
}
second-looks-open = { $count ->
    [one] { $count } second look open
   *[other] { $count } second looks open
}
strip-lens-line-at-the-datum-line = lens: line { $line } at the { $datum_line }
instruments-pitch-found = { $pitch } { $mean } ± { $spread } { $unit }; { $least_count } { $least }
instruments-pitch-found-usual = { $pitch } { $mean } ± { $spread } { $unit }, so it must be { $usual }; { $least_count } { $least }
instruments-pitch-2 = { $pitch }
instruments-below = below
instruments-above = above
instruments-upwards = upwards
instruments-downwards = downwards
instruments-caliper-2 = caliper
instruments-none = none
instruments-slide-step = step of the slide
instruments-maker-limit = limit of error its maker gives, { $unit }
instruments-gone-from-your-tools = “{ $name }” is gone from your tools; sheets keep theirs.
sheet-trashed = “{ $title }” is in the trash.
tally-between = between
tally-hidden = { counted-readings } recorded, hidden so that they do not steer the next one.
count-in-words = { $count ->
    [1] one
    [2] two
    [3] three
    [4] four
    [5] five
    [6] six
    [7] seven
    [8] eight
    [9] nine
   *[other] { $count }
}
results-result-of-readings = result of { count-in-words } { $count ->
    [one] reading
   *[other] readings
}
results-looks-open = { count-in-words } second { $count ->
    [one] look
   *[other] looks
} open
results-without-reading = Without reading { $at }: { $without }
words-own = a word of your own
words-own-for = a word of your own for { $word }
words-use-it = Use it
words-yours = your word for { $word }
notebook-trash = In the trash: { $count }
transfer-rows-more = and { $count } rows more
transfer-more = and { $count } more
transfer-column = column { $at }
transfer-column-holds = column { $at } holds
transfer-main = main
transfer-line = line
transfer-turn = turn
transfer-numbered = { $name } { $at }
transfer-progress = Taking in { $count } of { $all }: all of them, or none if one fails.
api-away = Metrion does not answer; nothing typed is lost.
api-answered = The server answered { $status }.
desk-changed = changed
remedy-misread-why = misread
settings-language = Language
settings-language-of = Of everything that is said here, on paper too.
form-csv-to-read = Table to read, CSV

## The spreadsheet, and the table to read

workbook-quantity = Quantity
workbook-in-unit = in { $unit }
workbook-infinitely-many = { $number } stands for infinitely many
workbook-mean = mean
workbook-from-each = from each
workbook-from = from “{ $page }”
workbook-uncertainty-of = uncertainty of { $symbol }
workbook-first-place = place of the first figure of that
workbook-decimals = decimals that are stated
workbook-stated = result as it is stated
workbook-results = Results
workbook-zero-none = none looked at
workbook-zero-check = zero check
workbook-main = main
workbook-line = line
workbook-setting-piece = setting piece
workbook-zero-error = reads too much by
workbook-place = place
workbook-observed = observed
workbook-corrected = corrected
workbook-counts = counts
workbook-excluded = set aside because
workbook-no = no
workbook-convention = convention: { $name }
workbook-mean-in = mean in { $unit }
workbook-uncertainty-in = uncertainty in { $unit }
workbook-relative = per cent of the mean
table-name = quantity
table-instrument = tool
table-unit = unit
table-place = place
table-main = main
table-fine = line
table-observed = reads
table-zero_error = { $zero_error }
table-corrected = corrected
table-excluded = set aside because

## What the built-in conventions are called

convention-named-whole-division = Whole division
convention-named-half-division = Half division
convention-named-standard = Standard uncertainty
convention-named-standard-95 = 95 % coverage
app-six-three = 6 space 3 Enter
zero-which-way = which way it misses
zero-when = when the zero is looked at
instruments-kind = kind of tool
app-ok = OK
app-cancel = Cancel
app-close = Close
app-edit = Change
app-nothing-here = Nothing here

## What keeps an entry from being removed

in-use = { $count ->
    [one] This is still used. Change or remove what uses it first:
   *[other] This is still used in { $count } places. Change or remove those first:
}
use-by-name = { $name }
use-zero-look = its zero, looked at { $phase ->
    [before] before
   *[after] after
} the readings
use-zero-look-on-faces = { use-zero-look } ({ $face })

## The kite of the examples

help-kite = The examples are parts of two-line kites, which a club builds and measures.
help-kite-nock = wing-tip nock
help-kite-nock-measured = how wide it is inside
help-kite-spreader = spreader
help-kite-spreader-measured = how thick the rod is
help-kite-film = sail film
help-kite-film-measured = its thickness, in layers
help-kite-ferrule = ferrule
help-kite-ferrule-measured = the tube that joins two rods
help-kite-standoff = standoff
help-kite-standoff-measured = how thick and how long
help-kite-bridle = bridle line
help-kite-bridle-measured = how thick the line is

## Practice: what is said of an answer

practice-right = Right.
practice-rounded = Right, but an answer here is expected with the decimals of the least count, no more and no fewer.
practice-unreadable = This cannot be read as a number with its unit, or as an angle.
practice-no-slip = Not right, and no usual slip gives this answer. Look again at the main mark, the line that meets, and the zero.
practice-no-slip-plain = Not right, and no usual slip gives this answer. Count the marks on from the last numeral, and see what one is worth.
practice-no-slip-least-count = Not right, and no usual slip gives this answer. Count the fine lines, and the main divisions they stretch over; on a screw, the lines of the { $thimble } and the { $pitch }.
practice-no-exercise = an exercise is a JSON object, and this is none
practice-not-asked = { $question } is not asked of this kind of tool
practice-other-looks = { $count ->
    [one] { $count } look does
   *[other] { $count } looks do
} not go with the question { $question }
slip-next-mark = The main reading is one mark too high: take the last mark that has been passed.
slip-mark-before = The main reading is one mark too low: one more mark has been passed.
slip-half-division-missed = At one of the two positions a main division was missed: look whether the half degree has been passed.
slip-mark-at-the-line = The mark that the line meets was taken as main reading; that is the last mark the zero line has passed.
slip-line-above = The fine line after the right one was taken: look which line misses least.
slip-line-below = The fine line before the right one was taken: look which line misses least.
slip-numeral-as-line = The numeral at the line was taken as its number: count the lines themselves.
slip-line-as-decimals = The line’s number was written behind the point; it has to be multiplied by the { $least_count } first.
slip-fine-left-out = The fine reading is missing.
slip-main-left-out = The main reading is missing.
slip-division-as-least-count = A tenth of the main division was taken as { $least_count }: divide by the number of fine divisions.
slip-least-count-tenfold = The { $least_count } was taken ten times too large.
slip-least-count-tenth = The { $least_count } was taken ten times too small.
slip-turn-missed = The { $thimble } is in its second turn past the mark: that adds one { $pitch }.
slip-turn-added = The { $thimble } is in its first turn past the mark: no { $pitch } is added.
slip-counted-backwards = The fine lines were counted from the wrong end.
slip-zero-left-out = The { $zero_error } was not taken off.
slip-zero-added = The { $zero_error } was added: it is taken off, whatever its sign.
slip-zero-wrapped = The { $zero_error } is negative here: the fine zero had run past the main zero.
slip-zero-counted-from-end = A negative { $zero_error } is counted back from the last line.
slip-unit-tenfold = Ten times too large: the numerals stand for another unit.
slip-unit-tenth = Ten times too small: the numerals stand for another unit.
slip-minutes-as-decimals = Minutes are not decimals of a degree: 57°12′ is 57.2°.
slip-other-arc = This is the other way round the circle.
slip-not-halved = Half of the angle between the two positions was asked for.
slip-one-left-out = One of the readings is missing from the mean.
slip-sum-for-mean = This is the sum; divide it by the number of readings.
slip-divided-by-one-less = The sum was divided by one less than the number of readings.
slip-sign = The size is right, the sign is not.

## Practice: what is seen and asked

practice-asks-least-count = What is the { $least_count } of this tool?
practice-asks-least-count-screw = The { $thimble } has { $lines } lines all round, and { $turns } turns of it travel { $travel }. What is the { $least_count }?
practice-asks-zero-error = The faces are closed. What is the { $zero_error }?
practice-asks-reading = What does it read?
practice-asks-corrected = What is the reading, corrected by the { $zero_error }?
practice-asks-sweep = The telescope was turned from the first position to the second, { $arc ->
    [forward] onward as the figures grow
   *[shorter] the shorter way
}. By what angle?
practice-asks-sweep-halved = The telescope was turned from the first position to the second, { $arc ->
    [forward] onward as the figures grow
   *[shorter] the shorter way
}. What is half of that angle?
practice-asks-mean = What is the mean of these readings, corrected by the { $zero_error }?
practice-at-the-zero = closed
practice-one-look = reading
practice-look = reading { $at }
practice-position = { $at ->
    [1] first position
   *[2] second position
}

## On the page: practice

practice-practice = Practice
practice-why = Read the scales, type what is asked, and be told what slipped. Point at the lines, or go there with Tab and the arrow keys: a magnifier follows.
practice-question = question
practice-kind-any = any tool
practice-kind-vernier = caliper
practice-kind-screw = screw gauge
practice-kind-angular = circle
practice-question-any = any question
practice-question-least-count = { $least_count }
practice-question-zero-error = { $zero_error }
practice-question-reading = one reading
practice-question-corrected = a corrected reading
practice-question-mean = a mean
practice-question-sweep = an angle swept
practice-answer = Answer
practice-show-me = Show me
practice-next = Next
practice-it-is = It is { $answer }.
practice-zero-with-sign = { $answer }, a { $side ->
    [much] positive
   *[little] negative
} { $zero_error }

## Practice on paper

practice-sheet = Exercises in reading scales, sheet { $seed }
practice-key = Key to sheet { $seed }
practice-keys = Keys to the exercise sheets
practice-key-of-the-sheet = Answers, and what a wrong one shows
practice-key-number = no.
practice-key-answer = answer
practice-key-slip = what it shows
cli-sheets-written = { $count } sheets and their keys are in { $folder }

## The scales for those who hear them

seen-zero-past = The zero line has passed { $marks ->
    [0] the mark at the numeral { $numeral }, and not the next.
   *[other] mark { $marks } after the numeral { $numeral }, and not the next.
}
seen-zero-before = The zero line stands before the 0, past mark { $marks } below it.
seen-edge-past = The edge of the { $thimble } has passed { $marks ->
    [0] the mark at the numeral { $numeral }, and not the next.
   *[other] mark { $marks } after the numeral { $numeral }, and not the next.
}
seen-edge-before = The edge of the { $thimble } stands before the 0, past mark { $marks } below it.
seen-line = Line { $line } { $near ->
    [at] is one with a mark.
    [hair] stands a hair { $side ->
        [left] left
       *[right] right
    } of a mark.
    [little] stands a little { $side ->
        [left] left
       *[right] right
    } of a mark.
   *[clearly] stands clearly { $side ->
        [left] left
       *[right] right
    } of a mark.
}
seen-thimble-line = Line { $line } { $near ->
    [at] is one with the { $datum_line }.
    [hair] stands just { $side ->
        [below] below
       *[above] above
    } the { $datum_line }.
   *[clearly] stands { $side ->
        [below] below
       *[above] above
    } the { $datum_line }.
}

## The simulated bench

bench-bench = Simulated bench
bench-why = No tool at hand? Take one here. Its zero, its play and the sizes of the parts are hidden until you ask for them.
bench-simulated = simulated
bench-sheet = Simulated bench { $seed }
bench-simulated-tool = { bench-tool } (simulated)
bench-tool = { $tool ->
    [caliper] Caliper
    [screw] Screw gauge
    [circle] Divided circle
   *[display] Caliper with a display
}
bench-about-caliper = twenty lines on nineteen millimetres
bench-about-screw = half a millimetre a turn, fifty lines
bench-about-circle = half degrees, thirty lines, with a telescope
bench-about-display = hundredths of a millimetre, and a data button
bench-part = { $part ->
    [spreader] Spreader
    [ferrule] Ferrule
    [nock] Wing-tip nock
    [standoff] Standoff
    [film] Sail film, folded 16 times
   *[foil] Foil, green light left and right
}
bench-about-spreader = the rod that holds the wings apart; across
bench-about-ferrule = the tube that joins two rods; across, outside
bench-about-nock = the cap of the wing tip; across
bench-about-standoff = the thin rod that bends the sail; across
bench-about-film = sixteen layers at once; the result is of one
bench-about-foil = the angle between its two green lines
bench-does-not-fit = This part is not measured with this tool: the foil goes with the circle, everything else with the others.
bench-place = { $place ->
    [end] one end
    [middle] middle
    [far-end] other end
    [cut] cut edge
    [left] left line
   *[right] right line
}
bench-no-such-act = Nothing at this bench can be done that is called { $text }.
bench-not-now = { $do ->
    [wipe] Open the faces first, and take out what lies between them.
    [read] There is nothing to be read yet: place a part first.
    [zero] The zero is looked at with the bare faces closed.
    [lift] It is to be closed on something first, and lifted once.
    [place] Open the faces first.
    [turn] Open the faces first: a part is turned while it is loose.
    [ease] It is to touch first.
    [unlock] The lock is not on.
   *[other] That does not go now: take the lock off, or open the faces first.
}
bench-met = { $tool ->
    [screw] The { $ratchet } slips with a click: the faces touch.
    [circle] The cross-hair stands on the line.
   *[other] The faces touch, gently and square.
}
bench-forced = { $tool ->
    [screw] The { $thimble } was forced: it reads too little, and that harms the thread. Touch with the { $ratchet }.
   *[other] The jaws were pressed hard: they bend, and read too little.
}
bench-pressed = { $tool ->
    [screw] The { $thimble } presses: it reads too little. Come near with the { $thimble }, touch with the { $ratchet }.
   *[other] The jaws press: they read too little. Let them come to touch gently.
}
bench-from-inside = { $tool ->
    [screw] It was met from the other side: the play of the thread is in the reading.
    [circle] It was met from the other side: the play of the arm is in the reading.
   *[other] It was let go a little: the jaws do not quite touch.
}
bench-slid = Lifted with the lock off: it slid a little on the way.
bench-heard = { $state ->
    [touching] The faces touch the part.
    [closed] The bare faces are closed.
    [placed] A part lies loose between the open faces.
    [on] The line stands on the cross-hair.
    [left] The line stands to the left of the cross-hair.
    [right] The line stands to the right of the cross-hair.
    [away] The telescope looks at no line.
   *[open] The faces are open, with nothing between.
}
bench-burr = A burr stands at the cut edge: it is sharp, and it adds to the size. Keep off it.
bench-care-caliper = { kind-care-vernier }
bench-care-screw = { kind-care-screw }
bench-care-circle = { kind-care-angular }
bench-care-display = { kind-care-vernier }
bench-cost-zero = the zero
bench-cost-place = where it was held
bench-cost-burr = the burr at the cut edge
bench-cost-dust = faces not wiped
bench-cost-play = met from the other side
bench-cost-force = forced
bench-cost-slack = lifted with the lock off
bench-cost-aslant = read from aside
bench-cost-chance = the scatter of single closings
bench-cost-gap = not closed on the part
bench-cost-read = written down other than it stood
bench-adds = { $adds ->
    [true] adds { $amount }
   *[false] takes { $amount }
}
bench-revealed = { $held ->
    [true] Your result holds the truth: it is off by { $off }, { $times } of its uncertainty.
   *[false] Your result does not hold the truth: it is off by { $off }, { $times } times its uncertainty.
}
bench-nothing-to-reveal = There is nothing to reveal yet: a reading that counts, and all of them read at this bench, of one part.

## The door for devices

door-nothing-open = No quantity is open: open one, or name it with ?sheet=…&quantity=….
door-not-pairs = This quantity is read in pairs: a device can leave single readings only.
door-lines = A reading a line, one at least and { $most } at most.
bench-take = Take a tool
bench-with-part = and a part from the drawer
bench-measure-it = Measure it
bench-hand = what the hand does
bench-where = where the part is held
bench-stands = { $name } at the bench.
bench-data = Data button
bench-reveal = Reveal the truth
bench-truth = The truth
bench-truth-is = it is
bench-you-found = you found
bench-what-cost = What made the difference
bench-act-wipe = Wipe the faces
bench-act-open = Open
bench-act-turn = Turn the part
bench-act-close = { $tool ->
    [screw] Turn the { $ratchet }
    [circle] Bring the cross-hair on
   *[other] Close gently
}
bench-act-force = { $tool ->
    [screw] Turn the { $thimble } tight
   *[other] Press hard
}
bench-act-ease = { $tool ->
    [circle] From the other side
   *[other] Back a little
}
bench-act-lock = Lock
bench-act-unlock = Unlock
bench-act-lift = { $tool ->
    [circle] Through the magnifier
   *[other] Lift to the eye
}
bench-bench-2 = Bench

## Practice: slips that the page names besides, and what tells slips apart

slip-half-mark-counted = The half mark only stands between the marks that count: the { $thimble } goes round once from one of those to the next.
slip-division-over-lines = The { $sleeve }’s division was divided by the lines; it is the { $pitch } that is.
slip-fine-division = The length of a fine division is not the { $least_count }: that is how much it differs from the nearest whole number of main divisions.
slip-mark-of-the-line-alone = This is the mark that the line meets. Take the last mark that the zero line has passed, then add the line.
slip-carried-at-a-hundred = Minutes carry at sixty, not at a hundred.
slip-halved-needlessly = The whole angle was asked for, not its half.
slip-added-for-difference = The two positions were added; the angle between them is their difference.
slip-inch-for-millimetre = This is in the other unit: one inch is 25.4 mm.
slip-rounded-too-soon = Rounded too soon: an answer here has the decimals of the { $least_count }.
slip-cut-off = Cut off too soon: an answer here has the decimals of the { $least_count }.
practice-one-of = One of these gives exactly this answer.
practice-which-main = Which main mark did you write down?
practice-which-fine = What did you add for the fine line?
practice-which-least-count = What did you take as { $least_count }?
practice-which-zero = What did you take off for the zero?
practice-wrote = { $what }
practice-off-main = { $count ->
    [one] Off by one main mark, and a little: look at the main reading first.
   *[other] Off by { $count } main marks, and perhaps a little: look at the main reading first.
}
practice-off-fine = Off by { $off }: the main reading may be right, look at the fine line and at the zero.
seen-end-past = The end lies { $marks ->
    [0] at the numeral { $numeral }.
    [one] at the next mark after the numeral { $numeral }.
   *[other] at mark { $marks } after the numeral { $numeral }.
}
seen-end-before = The end lies before the 0, at mark { $marks } below it.

## Practice: the path

practice-again = Once more what slipped lately.
practice-skill = { $skill ->
    [marks] Marks alone
    [vernier-least-count] { $Least_count } of a caliper
    [vernier-reading] Read a caliper
    [vernier-zero] { $Zero_error } of a caliper
    [vernier-corrected] Corrected reading, caliper
    [screw-least-count] { $Least_count } of a screw gauge
    [screw-reading] Read a screw gauge
    [screw-zero] { $Zero_error } of a screw gauge
    [screw-corrected] Corrected reading, screw gauge
    [mean] Mean of several
    [circle-least-count] { $Least_count } of a circle
    [circle-reading] Read a circle
   *[sweep] Angle between two positions
}

## Practice: the page

practice-kind-plain = marks alone
practice-way = how to practise
practice-way-path = A path
practice-way-pick = My choice
practice-way-drill = Against the clock
practice-way-sheet = A printed sheet
practice-looks-how = how the scales look
practice-look-drawn = drawn
practice-look-photo = as a photograph
practice-how-hard = How hard?
practice-look-light = uneven light
practice-look-glare = glare
practice-look-tilt = tilt
practice-look-blur = blur
practice-look-step = step between
practice-not-right = Not right, and more than one slip gives it.
practice-check = A first check finds where to begin: picture { $at } of { $of }.
practice-minutes = { $minutes ->
    [0] Ten minutes a day are enough.
    [one] One minute today; ten are enough.
   *[other] { $minutes } minutes today; ten are enough.
}
practice-skills = Skills
practice-skill-stands = { $name }: { $state ->
    [mastered] learned
    [open] to be learned
   *[locked] what comes before it first
}, { $right } of { $attempts } right
practice-forget = Begin anew
practice-forget-sure = Forget all answers, and begin with the first check?
practice-drill-why = { $count } pictures on end, each answered once. The clock runs from one answer to the next.
practice-drill-begin = Begin
practice-drill-at = picture { $at } of { $of }
practice-drill-done = { $right } of { $of } right; { $seconds } seconds each, in the middle.
practice-drill-again = Once more
practice-sheet-why = Type in what is written on a sheet: its number stands at its top. Each answer is looked at.
practice-sheet-number = number of the sheet
practice-sheet-count = exercises on it
practice-sheet-answer = answer { $at }
practice-sheet-look = Look at the answers
practice-sheet-right = { $right } of { $of } right.
