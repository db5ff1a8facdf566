import { describe, expect, it } from "vitest";

import { asFields, kept, nextPlace, NONE } from "./circumstances";

const at = (...places: string[]) => places.map((place) => ({ place }));

describe("the next place", () => {
  it("is the same in the first round", () => {
    expect(nextPlace(at("end A"), "middle")).toBe("middle");
    expect(nextPlace(at(), "end A")).toBe("end A");
  });

  it("follows the first round from the second on", () => {
    expect(nextPlace(at("end A", "middle", "end B"), "end A")).toBe("middle");
    expect(nextPlace(at("end A", "middle", "end B", "end A", "middle"), "end B")).toBe("end A");
  });

  it("stays where only one place is read", () => {
    expect(nextPlace(at("rim", "rim"), "rim")).toBe("rim");
  });
});

describe("circumstances", () => {
  it("are kept but for what belongs to one reading", () => {
    const given = { ...NONE, approach: "closing" as const, reader: "A", meets: "12", note: "burr" };
    expect(kept(given, [])).toEqual({ ...NONE, approach: "closing", reader: "A" });
  });

  it("become fields of a reading, empty ones taken away", () => {
    expect(asFields({ ...NONE, place: " rim ", meets: "12,5" })).toEqual({
      place: "rim",
      approach: null,
      reader: null,
      meets: "12.5",
      note: null,
    });
  });
});
