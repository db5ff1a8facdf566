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

## What is wrong with a number, an angle, a unit

not-a-number = { $text } is not a number as it is written here: digits with a point (12.35), or a fraction (1/16)
number-too-long = { $text } has { $count } characters, but a number has at most { $most }
number-too-large = { $text } is too large; a number here is below 10^12
number-too-small = { $text } is too small; a number here is 0, or at least 10^-12 in size
fraction-too-long = { $text } has parts of more digits than the { $most } that each part of a fraction may have
not-an-angle = { $text } is not an angle in degrees and minutes, like 214:30, with minutes and seconds below 60
decimal-degrees = { $text } has minutes as decimals, but sixty of them make a degree
decimal-degrees-meant = { $text } has minutes as decimals, but sixty of them make a degree; for { $degrees }°{ $minutes }′ type { $degrees }:{ $minutes }
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
unreadable-sleeve = { $sleeve } marks { $division } apart do not fit a { $pitch } of { $size }: they must be the { $pitch }, twice the { $pitch }, or go a whole number of times into it
not-a-mark = { $value } is not a mark of { $tool }, whose marks are { $division } apart
last-mark-passed = The last mark passed is { $mark }.
fault-and-hint = { $what } { $hint }
no-such-line = { $tool } has no line { $line }; its lines run from 0 to { $last }
no-line-worth = { $tool } has no line worth { $line }; its lines run from 0 to { $last }
not-estimable = { $line } is an estimated line, but { $reason }; give a whole line as integer
lines-not-in-order = the fine lines of { $tool } are not in order
convention-without-estimates = the convention in force does not estimate between lines
no-middle-line = the middle of { $first } and { $last } falls between two lines; look again whether { $below } or { $above } meets
lines-backwards = lines that meet are given lower first: { $last }-{ $first }
main-missing = the main reading is missing
line-missing = the fine reading is missing
setting-piece-negative = the size of a setting piece is not negative
no-turn = { $text } names no turn of the { $thimble }; write first or second

## What is wrong with a formula

formula-names-no-input = the formula names { $names }, which is no input
units-do-not-match = the units on the two sides of { $operator } in the formula do not match
function-takes-bare-number = { $function } takes a bare number, and is given one with a unit
function-takes-angle = { $function } takes an angle or a bare number, and is given another unit
formula-with-odd-sign = the formula { $text } holds something other than numbers, names, + - * / ** and brackets
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
not-an-input = an input is the id of a measurement, or value, uncertainty, unit

## What is wrong with a file: what a field must be

a-text = text
a-flag = true or false
a-whole-number = a whole number, not quoted
a-list = a list
an-object = an object
a-number-in-quotes = a number in quotes, like "12.35"
an-angle-in-quotes = an angle in quotes, like "214:30"
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
field-above = { $field } is { $value }, but must be at most { $most }
field-not-above-0 = { $field } is { $value }, but must be above 0
field-negative = { $field } is { $value }, but must not be negative
must-be = { $value } must be { $what }
figures-missing = { $field } is missing; it must be 1, 2 or "1-or-2"
figures-other = { $field } must be 1, 2 or "1-or-2"
coverage-out-of-bounds = { $field } must be { $what }, above 0 (a percentage below 100)
not-two-numbers = { $field } must be two numbers, the lower first, like ["0", "150"]
not-a-line = fine must be a whole line like 26, or an estimate like "26.4"

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
   *[tool] tool
}
no-such-entry = there is no { entry-named } "{ $key }" in this file
no-such-entry-but = there is no { entry-named } "{ $key }"; there are { $known }
id-twice = the id "{ $key }" is used twice; every id stands once in its list
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
file-nested-too-deeply = the file is nested too deeply to be a logbook
file-unreadable = { $name } cannot be read: { $reason }
half-surrogate = this text holds half of a surrogate pair
half-surrogate-in-name = a name in this object holds half of a surrogate pair
name-twice = this name stands twice in one object
table-unreadable = the table cannot be read: { $reason }
table-empty = the table is empty
table-too-long = the table has more than { $most } rows
table-no-text = this is no text; save the table as CSV
no-column-holds = no column is said to hold: { $names }
no-column-with-turns = no column says which turn was read: first or second
in-row-and-column = row { $row }, column “{ $column }”: { $what }
zip-unreadable = the ZIP cannot be read: { $reason }
zip-too-large = the ZIP is too large once it is unpacked
zip-without-manifest = the ZIP has no { $manifest } that lists its logbooks
manifest-of-other-format = { $manifest } must have format "{ $format }" and version { $version }
manifest-without-list = { $manifest } must list the logbooks
manifest-names-no-file = each logbook in { $manifest } names its file
not-in-the-zip = { $name } is not in the ZIP

## What the notebook cannot do

not-here = there is no { entry-named } “{ $key }” here
taken-id = the id “{ $key }” is already taken by another { entry-named }
stale = this has been changed elsewhere since you opened it; look at it again, then repeat your change
damaged = this sheet is damaged and cannot be worked out: { $reason }
damaged-at = { $pointer }: { $what }
damaged-figure = a figure in it is too large or too small to be worked with ({ $reason })
damaged-otherwise = { $reason }
nothing-to-undo = there is nothing to undo
nothing-to-redo = there is nothing to redo
no-version-said = a change must say which version it changes (If-Match)
convention-taken = there is a convention { $key } already
no-convention = there is no convention { $key }
no-convention-of-your-own = there is no convention { $key } of your own
must-be-above-0 = the { $what ->
    [size] size
   *[percent] percentage
} must be above 0
no-such-address = there is no such address in the API
not-built = the front end is not built; run `make setup`
no-such-file = there is no such file
not-known-by-that-name = this server is not known by that name; --name NAME lets it be reached so
from-another-site = this request comes from a page of another site
untitled-damaged = Not worked out
notebook-title = Notebook

## What undo and redo take back or do again

command-add-instruments = add the instrument
command-change-instruments = change the instrument
command-remove-instruments = remove the instrument
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
command-set-aside = set the reading aside
command-settle = settle the second look
command-rename = rename the sheet
command-change-head = change the head of the report
command-take-table = take in a table
command-replace-sheet = replace the sheet by a file

## The pitch found by turning

pitch-trials-disagree = The trials disagree by { $apart } a turn. Start each at a mark, with the { $thimble } at 0, and count whole turns.
no-usual-pitch = No usual { $pitch } is near. Count again over more turns.
turn-miscounted = Trial { $at }: { $travel } is { $turns } turns of { $size }, not { $told }. Was a turn miscounted?

## The command line

cli-at = Metrion is at http://{ $host }:{ $port }/ (data in { $folder }; stop with Ctrl+C)
cli-stopped = Stopped; everything is saved.
cli-port-taken = Port { $port } on { $host } cannot be used ({ $reason }); choose another one with METRION_PORT or --port.
cli-done-new = { $title }: a new sheet
cli-done-replace = { $title }: replaced
cli-done-skip = { $title }: here already
cli-unwritable = { $name } cannot be written: { $reason }.

## Words of one's own

plural-of-a-word = { $word }s

## The glossary: the usual word and its plural, other words, what it is

concept-least_count = least count
    .plural = least counts
    .others = vernier constant | resolution | graduation
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
    .others = barrel
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
shelf-caliper-10-19 = Caliper, ten wide divisions
    .description = With the jaws closed, the tenth fine line meets the 19 mm mark.
shelf-caliper-20-19 = Caliper, twenty divisions
    .description = With the jaws closed, the twentieth fine line meets the 19 mm mark.
shelf-caliper-20-39 = Caliper, twenty wide divisions
    .description = With the jaws closed, the twentieth fine line meets the 39 mm mark.
shelf-caliper-50-49 = Caliper, fifty divisions
    .description = With the jaws closed, the fiftieth fine line meets the 49 mm mark.
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

## The board of usual derived quantities

recipe-difference = Difference of two lengths
    .a = the larger
    .b = the smaller
recipe-wall = Wall thickness of a tube
    .D = outside diameter
    .d = inside diameter
recipe-mean = Mean of two places
    .a = one place
    .b = the other place
recipe-disc = Area of a disc
    .d = diameter
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
recipe-lines = Grating lines to the millimetre
    .k = order
    .w = wavelength
    .theta = angle of that order
recipe-prism-angle = Angle of a prism from its reflected images
    .R = angle between the two images
recipe-prism = Index of a prism from two angles
    .A = angle of the prism
    .D = least deviation
