import type { Point } from "./edge";
import type { Laid } from "./queries";

/** A line of the drawing: from the edge outward, and its number where it has one. */
export interface Drawn {
  at: number;
  from: Point;
  out: Point;
  long: boolean;
}

type Mark = Laid["rail"][number];

/** How far the fine scale is moved from where it was found, so that line `shown` meets. */
function moved({ position, modulo, drift }: Laid, shown: number): number {
  const apart = shown - position;
  const off = ((((apart + modulo / 2) % modulo) + modulo) % modulo) - modulo / 2;
  return -off * drift;
}

/** The place on the rail so far along; null beyond its ends. */
function placed(rail: Mark[], at: number): Pick<Drawn, "from" | "out"> | null {
  const next = rail.findIndex((mark) => mark.at >= at);
  const after = rail[next];
  const before = rail[next - 1] ?? after;
  if (!after || !before || (next === 0 && after.at - at > 1e-6)) return null;
  const part = after === before ? 0 : (at - before.at) / (after.at - before.at);
  const between = (one: number, other: number) => one + part * (other - one);
  return {
    from: { x: between(before.x, after.x), y: between(before.y, after.y) },
    out: { x: between(before.out_x, after.out_x), y: between(before.out_y, after.out_y) },
  };
}

/** The numbers that fine lines may have: a thimble shows a part of its own. */
function numbers({ whole, lines, start, step, rail }: Laid): number[] {
  const ends = [rail[0]?.at ?? 0, rail.at(-1)?.at ?? 0].map((at) => (at - start) / step);
  const low = whole ? Math.ceil(Math.min(...ends)) - 1 : 0;
  const high = whole ? Math.floor(Math.max(...ends)) + 1 : lines;
  return Array.from({ length: high - low + 1 }, (_, k) => low + k);
}

/** The fine lines of a picture when line `shown` meets. */
export function fineLines(laid: Laid, shown: number): Drawn[] {
  const start = laid.start + moved(laid, shown);
  return numbers(laid).flatMap((line) => {
    const place = placed(laid.rail, start + line * laid.step);
    const number = line + laid.first;
    const at = laid.whole ? ((number % laid.lines) + laid.lines) % laid.lines : number;
    return place ? [{ at, ...place, long: at % 5 === 0 }] : [];
  });
}

/** The lines of the main scale. */
export function mainLines({ main }: Laid): Drawn[] {
  return main.map(({ at, x, y, out_x, out_y }) => ({
    at,
    from: { x, y },
    out: { x: out_x, y: out_y },
    long: false,
  }));
}

/** Where a fine line lies as it was found; null where it is not in the picture. */
export function placeOf(laid: Laid, line: number): Point | null {
  const drawn = fineLines(laid, laid.position + laid.first);
  return drawn.find(({ at }) => at === line)?.from ?? null;
}

/** How far neighbouring fine lines are apart, in pixels. */
export function pitchOf(laid: Laid): number {
  const [one, other] = fineLines(laid, laid.position + laid.first).slice(-2);
  if (!one || !other) return 20;
  return Math.hypot(other.from.x - one.from.x, other.from.y - one.from.y);
}
