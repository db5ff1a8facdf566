import type { Instrument } from "../api";
import { numeralOf } from "./geometry";

/** Places on a drawing of a screw gauge, in px. */
export interface ScrewPlaces {
  /** Whether there is room for the frame, with anvil and spindle. */
  framed: boolean;
  /** Where the sleeve comes out of the frame. */
  sleeveFrom: number;
  /** The edge of the thimble. */
  edge: number;
  perUnit: number;
  marks: { x: number; index: number; numeral: string | null; above: boolean }[];
  thimble: { y: number; line: number; share: number; long: boolean; numeral: string | null }[];
}

export const DATUM = 118;
const RADIUS = 76;
const FARTHEST = 1.25;
/** Where the sleeve begins beside a frame, and how far the thimble goes out on it at most. */
const FRAMED = { sleeveFrom: 363, room: 330 };
/** Where the sleeve begins where there is no room for a frame. */
const BARE = 20;
/** What is to be seen of the thimble: its edge, its lines and their numerals. */
const OF_THIMBLE = 96;

/** The thimble's reading at the datum line, 0 to below the number of its divisions. */
export function thimbleAt(instrument: Instrument, position: number): number {
  const { lines } = instrument;
  const turns = position / (lines.pitch ?? 1);
  // A position that is a whole line but for the rounding of floats is that line.
  const line = (turns - Math.floor(turns + 1e-9)) * lines.fine_divisions;
  return Math.max(0, Number(line.toFixed(6)));
}

/** How far from where it counts a sleeve mark comes out under the edge, in the tool's unit. */
export const early = ({ appearance, lines }: Instrument): number =>
  appearance.marks_early * lines.least_count;

/** Sleeve marks and thimble lines with the spindle at `position`. */
export function screwPlaces(instrument: Instrument, position: number, width: number): ScrewPlaces {
  const { lines, appearance } = instrument;
  const framed = width >= FRAMED.sleeveFrom + FRAMED.room + OF_THIMBLE;
  const sleeveFrom = framed ? FRAMED.sleeveFrom : BARE;
  const room = framed ? FRAMED.room : Math.min(FRAMED.room, width - BARE - OF_THIMBLE);
  const perUnit = room / (12 * (lines.pitch ?? 1));
  const edge = sleeveFrom + 8 + Math.max(-6, Math.min(position * perUnit, room));
  // Marks that show early are drawn as they are seen: further out than they count.
  const zero = edge - (position + early(instrument)) * perUnit;
  const marks = [];
  const first = Math.max(
    Math.round((lines.low ?? 0) / lines.division),
    Math.ceil((position - room / perUnit) / lines.division - 1),
  );
  for (let index = first; ; index++) {
    const x = zero + index * lines.division * perUnit;
    if (x > edge + 0.5) break;
    const numbered = index % lines.main_every === 0;
    const half = numbered ? "other" : appearance.half_marks;
    const above = half === "other" ? appearance.half_marks === "below" : half === "above";
    if (x >= sleeveFrom - 1)
      marks.push({ x, index, above, numeral: numbered ? numeralOf(lines, index) : null });
  }
  return { framed, sleeveFrom, edge, perUnit, marks, thimble: thimbleLines(instrument, position) };
}

/** The thimble as a drum seen from the side: lines crowd towards its edges. */
function thimbleLines(instrument: Instrument, position: number): ScrewPlaces["thimble"] {
  const { lines, appearance } = instrument;
  const n = lines.fine_divisions;
  const now = thimbleAt(instrument, position);
  const up = appearance.thimble_numerals === "up" ? 1 : -1;
  const numerals = new Map(lines.fine_numerals.map(({ line, text }) => [line, text]));
  const drawn = [];
  for (let step = Math.ceil(now - n / 4); step <= now + n / 4; step++) {
    const angle = ((step - now) * 2 * Math.PI) / n;
    if (Math.abs(angle) > FARTHEST) continue;
    const line = ((step % n) + n) % n;
    drawn.push({
      y: DATUM - up * RADIUS * Math.sin(angle),
      line,
      share: Math.cos(angle),
      long: numerals.has(line),
      numeral: numerals.get(line) ?? null,
    });
  }
  return drawn;
}
