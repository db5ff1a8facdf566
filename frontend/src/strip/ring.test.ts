import { describe, expect, it } from "vitest";

import { arcBetween, turnOf } from "./ring";

const degrees = (from: number, to: number, arc: "shorter" | "forward" = "shorter") => ({
  from: from * 60,
  to: to * 60,
  arc,
});

describe("the sweep on the ring", () => {
  it.each([
    [degrees(10, 50), 40],
    [degrees(50, 10), -40],
    [degrees(341, 18), 37],
    [degrees(18, 341), -37],
    [degrees(18, 341, "forward"), 323],
    [degrees(0, 180), 180],
  ])("goes the way that counts, through zero where it must", (swept, turn) => {
    expect(turnOf(swept) / 60).toBe(turn);
  });

  it("is a sector from the first arm to the second", () => {
    expect(arcBetween(degrees(0, 90), 10)).toBe("M0 0L0.00 -10.00A10 10 0 0 1 10.00 -0.00Z");
    expect(arcBetween(degrees(90, 0, "forward"), 10)).toContain("A10 10 0 1 1 ");
    expect(arcBetween(degrees(10, 350), 10)).toContain("A10 10 0 0 0 ");
  });
});
