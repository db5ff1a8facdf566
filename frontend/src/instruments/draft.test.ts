import { describe, expect, it } from "vitest";

import { asked, STARTS } from "./draft";

describe("a draft", () => {
  it("is asked about with points for commas", () => {
    const draft = asked({ ...STARTS.screw, pitch: " 0,5 ", range: ["0", "12,5"] });
    expect(draft.pitch).toBe("0.5");
    expect(draft.range).toEqual(["0", "12.5"]);
  });

  it("has no name while none is typed", () => {
    expect(asked({ ...STARTS.vernier, name: "" })).not.toHaveProperty("name");
  });

  it("has no range while none is typed", () => {
    expect(asked({ ...STARTS.vernier, range: ["", ""] }).range).toBeUndefined();
  });

  it.each(Object.entries(STARTS))("of a %s starts whole", (kind, start) => {
    expect(asked(start)).toEqual(start);
    expect(start.kind).toBe(kind);
  });
});
