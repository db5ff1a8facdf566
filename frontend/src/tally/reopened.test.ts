import { describe, expect, it } from "vitest";

import type { Flag } from "../api";
import { quantity, reading } from "../tests/fixtures";
import { toAsk } from "./reopened";

const flag = (observation: number | null, some: Partial<Flag> = {}): Flag => ({
  code: "outlier",
  level: "warning",
  message: "",
  observation,
  remedies: [],
  zero_check: null,
  settled: false,
  without: null,
  ...some,
});
const readings = [reading({ id: "a" }), reading({ id: "b" }), reading({ id: "c" })];
const asked = (flags: Flag[], made: string | null) =>
  toAsk(quantity({ readings, flags }), made)?.reading.id;

describe("what is asked at the equation", () => {
  it("is about the reading just made", () => {
    expect(asked([flag(0), flag(1), flag(2)], "b")).toBe("b");
  });

  it("is what was found last where nothing is odd about that", () => {
    expect(asked([flag(0), flag(1)], "c")).toBe("b");
    expect(asked([flag(1)], null)).toBe("b");
  });

  it("is nothing that is settled, for information, or about the whole series", () => {
    expect(asked([flag(0, { settled: true }), flag(1, { level: "info" }), flag(null)], "a")).toBe(
      undefined,
    );
  });
});
