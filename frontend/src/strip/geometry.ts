import type { Lines } from "../api";

/** Which stretch of the beam is drawn: lengths in the unit of the instrument, places in px. */
export interface Frame {
  start: number;
  perUnit: number;
  width: number;
}

export interface Mark {
  x: number;
  index: number;
  tier: "long" | "middle" | "short";
  numeral: string | null;
}

export interface FineLine {
  x: number;
  line: number;
  numeral: string | null;
}

const LEAST_DIVISIONS = 30;
const ROOM = 1.32;
const ZERO_AT = 0.2;
const BEFORE_MAIN_ZERO = 0.12;
const OVERHANG = 4;

const fineLength = (lines: Lines) => Math.max(0, ...lines.places.map(Math.abs));
const SCREW_PITCHES = 20;

/** How much of the beam fits: the fine scale with room on both sides, and some marks at least. */
export function viewLength(lines: Lines): number {
  if (lines.pitch !== null) return SCREW_PITCHES * lines.pitch;
  return Math.max(fineLength(lines) * ROOM, LEAST_DIVISIONS * lines.division);
}

/** The frame that shows the fine scale when its zero stands at `position`. */
export function frameAt(lines: Lines, position: number, width: number): Frame {
  const length = viewLength(lines);
  // Lines that are numbered against the main scale lie on the other side of the fine zero.
  const at = lines.against ? 1 - ZERO_AT : ZERO_AT;
  const start = position - at * length;
  const closed = (lines.low ?? -Infinity) - BEFORE_MAIN_ZERO * length;
  return { start: lines.against ? start : Math.max(start, closed), perUnit: width / length, width };
}

/** The frame moved as little as keeps the fine zero in sight: for dragging without a jump. */
export function frameKept(frame: Frame, position: number): Frame {
  const length = frame.width / frame.perUnit;
  const lowest = position - 0.7 * length;
  const highest = position - 0.03 * length;
  return { ...frame, start: Math.min(Math.max(frame.start, lowest), highest) };
}

export const xOf = (frame: Frame, value: number): number => (value - frame.start) * frame.perUnit;

/** The numeral that belongs to a mark, also where none is engraved; degrees begin anew at 360. */
export function numeralOf(lines: Lines, index: number): string {
  const value = (index / lines.main_every) * lines.main_step;
  if (lines.main_unit === "°") return degreesOf(((value % 360) + 360) % 360);
  return String(Number(value.toFixed(6))).replace("-", "−");
}

function degreesOf(value: number): string {
  const minutes = Math.round((value % 1) * 60);
  return minutes === 0 ? String(Math.round(value)) : `${Math.floor(value)}°${minutes}′`;
}

/** From which to which main mark the beam is divided. */
export interface Beam {
  first: number;
  last: number;
}

/**
 * The beam: somewhat beyond the range, and as far as the fine scale reaches, since its lines meet
 * marks there.
 *
 * @param position where the fine zero stands.
 */
export function beamOf(lines: Lines, position: number): Beam {
  const { division, low, high, places } = lines;
  const reach = (place: number) => (position + place) / division;
  const lowest = Math.round((low ?? 0) / division);
  return {
    // Below their zero beams bear no marks, but where fine lines lie that meet some.
    first: Math.min(lowest, lines.against ? Math.floor(reach(Math.min(0, ...places))) : lowest),
    last:
      high === null
        ? Infinity
        : Math.max(high / division + OVERHANG, Math.ceil(reach(Math.max(0, ...places)) - 1e-9)),
  };
}

const ENDLESS: Beam = { first: -Infinity, last: Infinity };

/**
 * The main marks in sight.
 *
 * @param beam where they end; without it the scale goes all round.
 */
export function marksInView(lines: Lines, frame: Frame, beam = ENDLESS): Mark[] {
  const { division, main_every: every } = lines;
  const first = Math.max(Math.ceil(frame.start / division), beam.first);
  const end = frame.start + frame.width / frame.perUnit;
  const last = Math.min(Math.floor(end / division), beam.last);
  const marks: Mark[] = [];
  for (let index = first; index <= last; index++) {
    const numbered = index % every === 0;
    const half = every % 2 === 0 && index % (every / 2) === 0;
    marks.push({
      x: xOf(frame, index * division),
      index,
      tier: numbered ? "long" : half ? "middle" : "short",
      numeral: numbered ? numeralOf(lines, index) : null,
    });
  }
  return thinned(marks, frame.perUnit * division);
}

const LEAST_NUMERAL_PX = 26;

/** Numerals that would run into each other are left out, every second or fifth or tenth staying. */
function thinned(marks: Mark[], markPx: number): Mark[] {
  const numbered = marks.filter(({ numeral }) => numeral !== null);
  const apart = ((numbered[1]?.index ?? Infinity) - (numbered[0]?.index ?? 0)) * markPx;
  const keep = [1, 2, 5, 10, 20, 50].find((n) => n * apart >= LEAST_NUMERAL_PX) ?? 100;
  const every = Math.round(apart / markPx) * keep;
  return keep === 1
    ? marks
    : marks.map((mark) => (mark.index % every === 0 ? mark : { ...mark, numeral: null }));
}

/** All fine lines with the fine zero at `position`. */
export function fineLinesAt(lines: Lines, frame: Frame, position: number): FineLine[] {
  const numerals = new Map(lines.fine_numerals.map(({ line, text }) => [line, text]));
  return lines.places.map((place, line) => ({
    x: xOf(frame, position + place),
    line,
    numeral: numerals.get(line) ?? null,
  }));
}

/** Lens: px per unit, so that one least count is plain to see. */
export function lensPower(lines: Lines, cell: number): number {
  const leastCountPx = Math.max(8, Math.min(16, cell / 9));
  return leastCountPx / lines.least_count;
}
