import { describe, expect, it } from "vitest";

import { SCREW } from "../tests/fixtures";
import { screwPlaces, thimbleAt } from "./screwGeometry";
import { bent, inchMarks, STRAIGHT } from "./shape";

describe("a straight scale", () => {
  it("lies where its places say", () => {
    expect(STRAIGHT.place(42)).toBe("translate(42 0)");
    expect(STRAIGHT.band(1, 2, 3, 4)).toBe("M1 3H2V4H1Z");
  });
});

describe("a bent scale", () => {
  const shape = bent(1000, 76);
  const angle = (x: number) => Number(/rotate\((\S+)/.exec(shape.place(x))?.[1]);

  it("is level in the middle and falls off alike to both sides", () => {
    expect(angle(500)).toBe(0);
    expect(angle(900)).toBeCloseTo(-angle(100), 9);
    expect(angle(900)).toBeGreaterThan(0);
  });

  it("keeps lengths along its edge", () => {
    const step = angle(600) - angle(500);
    expect(angle(700) - angle(600)).toBeCloseTo(step, 9);
  });

  it("has a band between two arcs", () => {
    expect(shape.band(0, 1000, 14, 76).match(/A/g)).toHaveLength(2);
  });
});

describe("the second edge", () => {
  it("has sixteen marks to the inch, from the zero of the beam on", () => {
    const marks = inchMarks({ start: -5, perUnit: 10, width: 600 }, 25.4, null);
    expect(marks[0]).toEqual({ x: 50, index: 0, whole: true });
    const inch = marks.find(({ index }) => index === 16);
    expect(inch?.x).toBeCloseTo(50 + 254, 9);
    expect(inch?.whole).toBe(true);
  });

  it("ends with the beam", () => {
    const marks = inchMarks({ start: 0, perUnit: 10, width: 6000 }, 25.4, 50);
    expect((marks.at(-1)?.index ?? 0) * (25.4 / 16)).toBeLessThanOrEqual(50);
  });
});

describe("a thimble", () => {
  it.each([
    [0, 0],
    [4.88, 38],
    [0.5, 0],
    [0.49999999999, 50],
    [-0.07, 43],
    [12.345, 34.5],
  ])("at %s mm shows line %s", (position, line) => {
    // A whole turn, but for the rounding of floats, is line 0 and not line 50.
    expect(thimbleAt(SCREW, position) % 50).toBeCloseTo(line % 50, 5);
  });

  it("covers the sleeve marks it has not passed", () => {
    const { marks } = screwPlaces(SCREW, 4.88, 1216);
    expect(marks.at(-1)?.index).toBe(9);
    expect(marks.filter(({ numeral }) => numeral !== null).map(({ numeral }) => numeral)).toEqual([
      "0",
      "1",
      "2",
      "3",
      "4",
    ]);
  });

  it("stays in sight however far it is turned out", () => {
    for (const position of [0, 4.88, 12, 25]) {
      const { edge, marks, sleeveFrom } = screwPlaces(SCREW, position, 1216);
      expect(edge).toBeLessThan(760);
      for (const { x } of marks) expect(x).toBeGreaterThanOrEqual(sleeveFrom - 1);
    }
  });

  it.each([264, 288, 360, 640, 700, 788, 789, 1216])("is whole at %s px", (width) => {
    for (const position of [0, 4.88, 12, 25]) {
      const { edge, sleeveFrom } = screwPlaces(SCREW, position, width);
      expect(edge + 66).toBeLessThanOrEqual(width);
      expect(edge).toBeGreaterThan(sleeveFrom);
    }
  });

  it("crowds its lines towards the edges of the drum", () => {
    const { thimble } = screwPlaces(SCREW, 4.88, 1216);
    const heights = thimble.map(({ y }) => y).sort((a, b) => a - b);
    const middle = Math.floor(heights.length / 2);
    const gap = (i: number) => (heights[i + 1] ?? NaN) - (heights[i] ?? NaN);
    expect(gap(0)).toBeLessThan(gap(middle) / 2);
  });

  it("can have its half marks above the datum line", () => {
    const appearance = { ...SCREW.appearance, half_marks: "above" as const };
    const { marks } = screwPlaces({ ...SCREW, appearance }, 4.88, 1216);
    const half = marks.find(({ numeral }) => numeral === null);
    expect(half?.above).toBe(true);
  });
});
