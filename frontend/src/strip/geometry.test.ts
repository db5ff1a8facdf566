import { describe, expect, it } from "vitest";

import type { Lines } from "../api";
import {
  fineLinesAt,
  frameAt,
  frameKept,
  lensPower,
  beamOf,
  marksInView,
  numeralOf,
  viewLength,
  xOf,
} from "./geometry";

/** Twenty fine lines over 39 mm. */
const EXTENDED: Lines = {
  division: 1,
  least_count: 0.05,
  fine_divisions: 20,
  extended: true,
  places: Array.from({ length: 21 }, (_, line) => line * 1.95),
  worths: Array.from({ length: 21 }, (_, line) => (line % 20) * 0.05),
  main_every: 10,
  main_step: 10,
  main_unit: "mm",
  numerals_differ: true,
  fine_numerals: [
    { line: 0, text: "0" },
    { line: 2, text: "1" },
  ],
  low: 0,
  high: 150,
  pitch: null,
  two_turns: false,
  against: false,
};

describe("the frame", () => {
  it.each([0, 6.15, 64.85, 150])("holds the whole fine scale at %s mm", (position) => {
    const frame = frameAt(EXTENDED, position, 1216);
    expect(xOf(frame, position)).toBeGreaterThan(0);
    expect(xOf(frame, position + 39)).toBeLessThanOrEqual(1216);
  });

  it("shows some of the beam before zero when the jaws are closed", () => {
    expect(frameAt(EXTENDED, 0, 1216).start).toBeLessThan(0);
  });

  it("stays where it is while the slide is dragged inside it", () => {
    const frame = frameAt(EXTENDED, 20, 1216);
    expect(frameKept(frame, 22).start).toBe(frame.start);
  });

  it("follows the slide when it is dragged out of it", () => {
    const frame = frameAt(EXTENDED, 20, 1216);
    for (const position of [120, 0]) {
      const x = xOf(frameKept(frame, position), position);
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(1216);
    }
  });
});

describe("the marks", () => {
  const frame = frameAt(EXTENDED, 6.15, 1216);

  it("are one division apart, the first at zero", () => {
    const marks = marksInView(EXTENDED, frame, beamOf(EXTENDED, 6.15));
    expect(marks[0]?.index).toBe(0);
    const gaps = marks.slice(1).map((mark, i) => mark.x - (marks[i]?.x ?? NaN));
    for (const gap of gaps) expect(gap).toBeCloseTo(frame.perUnit, 9);
  });

  it("bear a numeral at every centimetre and are longer there", () => {
    const beam = beamOf(EXTENDED, 6.15);
    const numbered = marksInView(EXTENDED, frame, beam).filter(({ numeral }) => numeral !== null);
    expect(numbered.map(({ numeral }) => numeral)).toEqual(["0", "10", "20", "30", "40"]);
    expect(numbered.every(({ tier }) => tier === "long")).toBe(true);
  });

  it("end shortly after the range", () => {
    const frame = { start: 130, perUnit: 20, width: 1216 };
    expect(marksInView(EXTENDED, frame, beamOf(EXTENDED, 100)).at(-1)?.index).toBe(154);
  });

  it.each([
    [150, 189],
    [120, 159],
    [149.5, 189],
  ])("go as far as the fine scale reaches at %s", (position, end) => {
    const frame = frameAt(EXTENDED, position, 1216);
    expect(marksInView(EXTENDED, frame, beamOf(EXTENDED, position)).at(-1)?.index).toBe(end);
  });

  it("go down as far as lines that run backwards reach", () => {
    const places = EXTENDED.places.map((place) => -place);
    const against = { ...EXTENDED, against: true, places };
    expect(beamOf(against, 0.5).first).toBe(-39);
    expect(beamOf(against, 60).first).toBe(0);
  });

  it("can be numbered in centimetres", () => {
    expect(numeralOf({ ...EXTENDED, main_step: 1 }, 20)).toBe("2");
    expect(numeralOf(EXTENDED, -10)).toBe("−10");
  });

  it("are degrees and minutes on a circle, and begin anew at 360", () => {
    const circle = { ...EXTENDED, main_every: 2, main_step: 1, main_unit: "°", low: null };
    expect(numeralOf(circle, 3)).toBe("1°30′");
    expect(numeralOf(circle, -2)).toBe("359");
    const marks = marksInView(circle, { start: -5, perUnit: 40, width: 400 });
    expect(marks.map(({ index }) => index)).toEqual([-5, -4, -3, -2, -1, 0, 1, 2, 3, 4, 5]);
  });

  it("leave numerals out where they would run into each other", () => {
    const dense = { ...EXTENDED, main_every: 1, main_step: 1 };
    const marks = marksInView(dense, { start: 0, perUnit: 8, width: 400 });
    expect(marks.filter(({ numeral }) => numeral !== null).map(({ index }) => index)[1]).toBe(5);
  });
});

describe("the fine lines", () => {
  it("meet a mark just where the coinciding line is", () => {
    const frame = frameAt(EXTENDED, 6.15, 1216);
    const misfit = fineLinesAt(EXTENDED, frame, 6.15).map(({ x }) => {
      const place = x / frame.perUnit + frame.start;
      return Math.abs(place - Math.round(place));
    });
    expect(misfit.indexOf(Math.min(...misfit))).toBe(3);
  });

  it("bear their numerals", () => {
    const lines = fineLinesAt(EXTENDED, frameAt(EXTENDED, 0, 1216), 0);
    expect(lines.map(({ numeral }) => numeral).filter(Boolean)).toEqual(["0", "1"]);
  });
});

describe("the lens", () => {
  it.each([60, 120, 180, 400])("shows a least count as 8 px at least in cells of %s px", (cell) => {
    expect(lensPower(EXTENDED, cell) * EXTENDED.least_count).toBeGreaterThanOrEqual(8 - 1e-9);
  });

  it("fits at least thirty divisions or the fine scale with room", () => {
    expect(viewLength(EXTENDED)).toBeGreaterThan(39);
    expect(viewLength({ ...EXTENDED, places: [0, 0.9, 9] })).toBe(30);
  });
});
