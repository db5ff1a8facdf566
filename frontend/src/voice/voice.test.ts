import { afterEach, describe, expect, it } from "vitest";

import { speak } from "../setup";
import { dated, say, speakAs } from ".";

afterEach(() => speak());

describe("the voice", () => {
  it("has the words of the course", () => {
    speak({ thimble: "drum", datum_line: "index line" });
    expect(
      say("equation-how-screw", {
        least: "0.01 mm",
        main: "4.5",
        fine: "38",
        bench: "false",
      }),
    ).toContain("the drum’s edge");
    expect(say("strip-lens-line-at-the-datum-line", { line: "3" })).toBe(
      "lens: line 3 at the index line",
    );
  });

  it("tells one from many, with nothing between the digits of a count", () => {
    const counted = (count: number) => say("counted-readings", { count });
    expect([1, 2, 12345].map(counted)).toEqual(["1 reading", "2 readings", "12345 readings"]);
    expect(say("results-result-of-readings", { count: 3 })).toBe("result of three readings");
    expect(say("results-looks-open", { count: 12 })).toBe("12 second looks open");
  });

  it("says what a catalogue lacks as the usual one does, and leaves names alone", () => {
    const catalogue = "desk-another-like = « { $name } », noch eins";
    speakAs({
      language: "de",
      decimal_sign: "comma",
      catalogue,
      words: {},
    });
    expect(say("desk-another-like", { name: "6.5 left-end" })).toBe("« 6.5 left-end », noch eins");
    expect(say("sheet-measure-it")).toBe("Measure it");
    expect(dated("2026-03-05T12:00:00Z", { dateStyle: "medium" })).toBe("05.03.2026");
  });

  it("refuses what it does not know", () => {
    // @ts-expect-error: a code that the catalogue has not does not compile.
    expect(() => say("no-such-message")).toThrow("no-such-message");
    expect(() => say("desk-another-like")).toThrow();
  });
});
