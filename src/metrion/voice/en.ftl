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
step-zero = zero
step-formula = formula
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
identical-readings = All readings are equal. Open the tool and set it afresh for each; if they stay equal, the scale decides the uncertainty.
place-effect = { $high } and { $low } differ by { $apart }, more than the readings at one place. Is the thing oval or tapered? Report the places apart.
windows-disagree = Reading { $at }: the sweeps through the two windows differ by { $apart }. { $wrong }
sweep-slip = Reading { $at } is one main mark ({ $mark }) { $side } than the others: { $wrong }
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
zero-of = zero of { $of }
input-of = { $of }
most-comes-from = Most of it, { $percent }, comes from { $label }.
none-dominates = No part dominates; the largest, the { $label }, makes up { $percent }.
one-dominates = The { $label } makes up { $percent } of it: { $help }.
help-source-reading = a finer tool would make it smaller, or several alike things measured as one stack; more readings would not
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
limits-agree = The limits of both together allow { $uncertainty }: the two agree.
limits-disagree = The limits of both together allow { $uncertainty }, and this is { $times } times as much: the two do not agree. Something else is at work, or a limit is too narrow.
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
    [standard] counts every limit as equally likely throughout, divided by √3
   *[limit] keeps limits as limits
}
convention-zero = { $counts ->
    [yes] counts the look at the zero as a look of its own
   *[no] takes the zero as exact
}
convention-scatter-none = leaves the scatter of the readings out
convention-scatter-half-range = takes half the range of the readings as their scatter
convention-scatter-mean-deviation = takes the mean deviation of the readings as their scatter
convention-scatter-standard-error = takes the standard error of the mean as scatter
convention-combine-larger = lets the larger of limit and scatter count
convention-combine-sum = adds limit and scatter
convention-combine-quadrature = adds the parts as squares
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
with-correction = correction { $correction }
set-aside = set aside: { $why }
windows-apart = { $first } and { $second }; the mean of both windows is free of what is not 180°
no-reading-yet = no reading yet
whole-part-of = whole part of

## What became of a second look

look-open = still open
look-zero-exact = the zero was taken as exact
look-places-apart = the places are reported apart
look-stands = looked at again: it stands

## The report

report-untitled = Untitled sheet
report-names = Names
report-date = Date
report-instruments = Instruments
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
report-it-was = { $why }; it was { $figures }
report-read-by = read by { $reader }
report-approached-opening = approached by opening
report-approached-closing = approached by closing
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
hint-readers = { $first } and { $second } differ by { $apart }, more than the readings of either. Read one position together, and see who stands aslant.
hint-trend = From reading to reading the length { $way ->
    [grew] grew
   *[shrank] shrank
}, by { $change } in all. Does it warm in the hand, or does a grip slip? Put it down for a while and read again.
hint-numbered-lines = All { $count } readings fall on numbered lines. Look at the lines between them too.
advice-scale = The scale decides now: more readings will not help, a finer tool would.
advice-scatter = The scatter decides: it is larger than what one look may be off. More readings show it better, they do not make it smaller; look for its cause.
advice-many-more = One more reading would hardly tell. Many more could bring ±{ $now } down to ±{ $best } at the best.
advice-one-more = One more reading like these would bring ±{ $now } to about ±{ $again }.

## Which tool, how many readings, how large a stack

plan-one-thing = One thing, { $count } readings: ±{ $size }, { $percent }.
plan-enough = That is enough.
plan-misfit = { $size } is { $side } than what it takes: { $low } to { $high }.
plan-tool-decides = More readings would not make it smaller: the tool itself decides.
plan-even-so-many = Even { $count } readings leave ±{ $size }.
plan-averages-out = { $count } readings bring it down to what you want: the scatter averages out.
plan-stack-too-large = It would take { $count } alike in one stack, about { $about }: more than the { $most } it takes.
plan-stack-too-many = It would take { $count } alike in one stack: too many to hold together well.
plan-stack = { $count } alike in one stack, about { $about }, bring it to ±{ $each } each: value and uncertainty are divided by { $count }.

## What to know about a scale

note-useless = { $lines } fine divisions over { $marks } marks: every line meets a mark at once, wherever the slide stands. It tells nothing. Count again; one mark fewer is usual.
note-extended = An extended scale: its lines lie nearly two main divisions apart, which is easier to read. The lines are in order all the same.
note-against = Numbered against the { $main_scale }, its lines are read in order.
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

## While a reading is entered

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
zero-reads-none = With the faces closed this { tool-or-gauge } reads zero: nothing to correct.
zero-reads-much = This { tool-or-gauge } reads { $size } too much: the correction takes it off.
zero-reads-little = This { tool-or-gauge } reads { $size } too little: the correction adds it.
tool-or-gauge = { $tool ->
    [gauge] gauge
   *[tool] tool
}
just-past-a-mark = So the zero line stands just past { $here }. If yours stands just past { $above }, { $above } is the last mark passed.
just-short-of-a-mark = So the zero line stands just short of { $above }. If yours stands just short of { $here }, the last mark passed is { $below }.
thimble-zero-just-past = At { $line } the { $thimble }’s zero has only just gone past the { $datum_line }: a mark it has just passed may still be hidden under the edge.
thimble-zero-to-come = At { $line } the { $thimble }’s zero has not come round to the { $datum_line } yet: a mark that is just showing has not been passed.
turn = last mark passed { $mark }
turn-second = last mark passed { $mark }, second turn past it

## At the zero desk

zero-error-none = The { $zero_error } is 0: nothing to correct.
zero-error-is = { $Zero_error } { $error }: it reads { $side ->
    [much] too much
   *[little] too little
}. Correction { $correction }, minus the error.
zero-by-mark-and-line = { $where ->
    [below] mark below zero
   *[passed] mark passed
} and line: { $start } + { $line } × { $least } = { $read }
zero-counted-back = counted back from the end: −({ $lines } − { $line }) × { $least } = −{ $back } × { $least } = { $read }
zero-less-reference = reading less reference: { $read } − { $piece } = { $error }
zero-large = That is more than { $many } { $least_counts }. Wipe the faces and look again; if it stays, have someone competent adjust the tool, and meanwhile correct.
