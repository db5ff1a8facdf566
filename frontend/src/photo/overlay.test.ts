import { expect, test } from "vitest";

import { fineLines, mainLines, pitchOf, placeOf } from "./overlay";
import type { Laid } from "./queries";

const mark = (at: number, x: number) => ({ at, x, y: 100, out_x: 0, out_y: 1 });

/** Ten fine lines on nine divisions of 20 px, of which line 3 meets. */
const CALIPER: Laid = {
  position: 3,
  start: 5.3,
  step: 0.9,
  drift: -0.1,
  modulo: 10,
  first: 0,
  lines: 10,
  whole: false,
  main: [5, 6, 7, 8].map((at) => ({ ...mark(at, at * 20), out_y: -1 })),
  rail: Array.from({ length: 31 }, (_, at) => mark(4 + at / 2, (4 + at / 2) * 20)),
};
const THIMBLE: Laid = {
  ...CALIPER,
  position: 2.4,
  start: 2.4,
  step: -1,
  drift: -1,
  modulo: 5,
  first: 45,
  lines: 50,
  whole: true,
  rail: Array.from({ length: 25 }, (_, at) => mark(-6 + at / 2, at * 10)),
};
const place = (laid: Laid, line: number, shown: number) =>
  fineLines(laid, shown).find(({ at }) => at === line)?.from.x;

test("fine lines lie where they were found", () => {
  expect(fineLines(CALIPER, 3)).toHaveLength(11);
  expect(place(CALIPER, 0, 3)).toBeCloseTo(5.3 * 20);
  // Line 3 meets main line 8.
  expect(place(CALIPER, 3, 3)).toBeCloseTo(8 * 20);
  expect(mainLines(CALIPER).map(({ from }) => from.x)).toContain(8 * 20);
});

test("where another line meets, the fine scale has moved by so many least counts", () => {
  expect(place(CALIPER, 4, 4)).toBeCloseTo(9 * 20);
  expect(place(CALIPER, 0, 4)).toBeCloseTo((5.3 + 0.1) * 20);
});

test("the end of the fine scale meets with its beginning", () => {
  const zero = { ...CALIPER, position: 0, start: 5 };
  expect(place(zero, 0, 10)).toBeCloseTo(place(zero, 0, 0) ?? 0);
});

test("a thimble shows a part of its lines, numbered near to what was read", () => {
  const numbers = fineLines(THIMBLE, 47.4).map(({ at }) => at);
  expect(numbers).toContain(47);
  expect(numbers).toContain(0);
  expect(Math.max(...numbers)).toBeLessThan(50);
  expect(place(THIMBLE, 47, 47.4)).toBeCloseTo((0.4 + 6) * 20);
});

test("a lens finds a line as it was found, and how far lines are apart", () => {
  expect(placeOf(CALIPER, 3)?.x).toBeCloseTo(160);
  expect(placeOf(THIMBLE, 47)?.x).toBeCloseTo(128);
  expect(placeOf(CALIPER, 11)).toBeNull();
  expect(pitchOf(CALIPER)).toBeCloseTo(18);
});

test("what lies beyond the rail is not drawn", () => {
  const short = { ...CALIPER, rail: CALIPER.rail.slice(0, 8) };
  expect(fineLines(short, 3).length).toBeLessThan(6);
});
