import { describe, expect, it } from "vitest";

import { nextPlanned, plannedRows } from "./planned";

const PLAN = {
  places: ["end A", "end B"],
  each: 2,
  zero: [],
  made: 1,
  of: 4,
  left: [
    { place: "end A", count: 1 },
    { place: "end B", count: 2 },
  ],
  zero_left: [],
  says: "",
};

describe("the next planned reading", () => {
  it("is the first that is left", () => {
    expect(nextPlanned(PLAN, [])).toEqual({ place: "end A", nth: 2, of: 2 });
    expect(nextPlanned(null, [])).toBeNull();
    expect(nextPlanned({ ...PLAN, left: [] }, [])).toBeNull();
  });

  it("counts what is on its way, whatever its spelling", () => {
    expect(nextPlanned(PLAN, ["  End  a"])).toEqual({ place: "end B", nth: 1, of: 2 });
    expect(nextPlanned(PLAN, ["end B"])).toEqual({ place: "end A", nth: 2, of: 2 });
    expect(nextPlanned(PLAN, ["end A", "end B", "end B", "elsewhere"])).toBeNull();
  });

  it("is anywhere where no place is planned", () => {
    const anywhere = { ...PLAN, places: [], each: 5, left: [{ place: null, count: 3 }] };
    expect(nextPlanned(anywhere, ["there"])).toEqual({ place: null, nth: 4, of: 5 });
    expect(plannedRows(anywhere, []).map(({ nth }) => nth)).toEqual([3, 4, 5]);
  });

  it("stands before all that follow", () => {
    const rows = plannedRows(PLAN, []).map(({ place, nth }) => `${place} ${nth}`);
    expect(rows).toEqual(["end A 2", "end B 1", "end B 2"]);
  });
});
