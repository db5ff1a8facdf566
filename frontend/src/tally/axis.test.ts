import { describe, expect, it } from "vitest";

import type { Flag, Instrument, Quantity, Reading } from "../api";
import { axisOf, axisText, shareOf, singledOut } from "./axis";

const reading = (value: number, excluded = "") => ({ value, excluded }) as Reading;
const flag = (observation: number | null, level: Flag["level"] = "warning") =>
  ({ observation, level }) as Flag;
const quantity = (readings: Reading[], flags: Flag[] = []) => ({ readings, flags }) as Quantity;

describe("the axis", () => {
  it("is framed on the readings that belong together", () => {
    const axis = axisOf(
      quantity([reading(6.3), reading(6.35), reading(6.3), reading(7.3)], [flag(3)]),
      0.05,
    );
    expect(axis?.low).toBeCloseTo(6.2);
    expect(axis?.high).toBeCloseTo(6.45);
  });

  it("leaves out what was set aside", () => {
    const axis = axisOf(quantity([reading(6.3), reading(9, "a burr")]), 0.05);
    expect(axis?.high).toBeLessThan(7);
  });

  it("is there even if every reading is singled out, and not without readings", () => {
    expect(axisOf(quantity([reading(6), reading(7)], [flag(0), flag(1)]), 0.05)).not.toBeNull();
    expect(axisOf(quantity([]), 0.05)).toBeNull();
  });

  it("does not single out readings for hints that are no warnings", () => {
    expect(singledOut([flag(0, "info"), flag(null), flag(2)])).toEqual(new Set([2]));
  });
});

describe("a place on the axis", () => {
  it.each([
    [1, 0.5, ""],
    [-1, 0, "low"],
    [5, 1, "high"],
  ] as const)("%s", (value, share, off) => {
    expect(shareOf({ low: 0, high: 2 }, value)).toEqual({ share, off });
  });
});

describe("the ends of the axis", () => {
  const text = (value: number, circular: boolean, leastCount: string) =>
    axisText(value, { traits: { circular }, least_count: leastCount } as Instrument);

  it("have the decimals of the least count, and degrees on a circle", () => {
    expect(text(6.15, false, "0.05")).toBe("6.15");
    expect(text(-0.126, false, "0.01")).toBe("−0.13");
    expect(text(2248, true, "0.5")).toBe("37°28.0′");
    expect(text(-59.96, true, "0.5")).toBe("−1°0.0′");
  });
});
