import { expect, test } from "vitest";

import { acrossMiddle, moved, stepOf, within } from "./edge";

const SIZE = { width: 400, height: 300 };

test("without a proposal the edge lies across the middle, upright at a thimble", () => {
  expect(acrossMiddle(SIZE, false)).toEqual([
    { x: 100, y: 150 },
    { x: 300, y: 150 },
  ]);
  expect(acrossMiddle(SIZE, true)).toEqual([
    { x: 200, y: 75 },
    { x: 200, y: 225 },
  ]);
});

test("an end is moved alone, and stays in the picture", () => {
  const ends = acrossMiddle(SIZE, false);
  expect(moved(ends, 1, { x: 9, y: 8 })).toEqual([ends[0], { x: 9, y: 8 }]);
  expect(within({ x: -5, y: 999 }, SIZE)).toEqual({ x: 0, y: 300 });
});

test("arrow keys move one step, with Shift ten; others do not", () => {
  expect(stepOf("ArrowUp", false, 2)).toEqual({ x: 0, y: -2 });
  expect(stepOf("ArrowRight", true, 2)).toEqual({ x: 20, y: 0 });
  expect(stepOf("a", false, 2)).toBeNull();
});
