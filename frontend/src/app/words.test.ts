import { describe, expect, it } from "vitest";

import type { Concept } from "../api";
import { chosen, inWords } from "./settings";

const CONCEPTS: Concept[] = [
  { id: "least_count", words: ["least count", "vernier constant"], meaning: "" },
  { id: "thimble", words: ["thimble", "drum"], meaning: "" },
];

describe("the words of the course", () => {
  const words = { "least count": "vernier constant", thimble: "drum" };

  it.each([
    ["Least count 0.05 mm", "Vernier constant 0.05 mm"],
    ["3 least counts", "3 vernier constants"],
    ["The thimble’s numerals", "The drum’s numerals"],
    ["a thimbleful", "a thimbleful"],
    ["nothing to change", "nothing to change"],
  ])("%s", (text, own) => {
    expect(inWords(text, words)).toBe(own);
  });

  it("are the usual ones until others are picked", () => {
    expect(inWords("The thimble", {})).toBe("The thimble");
    expect(chosen({ words: { thimble: "thimble" } }, CONCEPTS).words).toEqual({});
  });

  it("come from the settings by concept", () => {
    const settings = { words: { thimble: "drum", unheard_of: "x" } };
    expect(chosen(settings, CONCEPTS).words).toEqual({ thimble: "drum" });
  });
});
