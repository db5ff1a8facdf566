import { describe, expect, it } from "vitest";

import type { SheetSummary } from "../api";
import { groupsOf, speaksOf } from "./groups";

const HEAD = { version: 1, changed_at: "", instruments: ["Caliper B"], damage: null };
const RESULT = { mean: null, sentence: null, symbol: "", open_looks: 0 };

/** A sheet with quantities of things. */
function sheet(id: string, authors: string, date: string, things: string[]): SheetSummary {
  const results = things.map((thing, index) => ({
    ...RESULT,
    id: `${id}${index}`,
    name: `width ${index}`,
    thing,
  }));
  return { ...HEAD, id, title: id, authors, date, results, derived: [] } as unknown as SheetSummary;
}

const SHEETS = [
  sheet("A", "Noor", "2031-05-02", ["Ferrule", "spar"]),
  sheet("B", "", "2031-05-10", []),
  sheet("C", " noor ", "", ["ferrule ", "Ferrule"]),
  sheet("D", "Ida", "2031-05-02", [""]),
];

const shown = (order: "changed" | "person" | "thing" | "date") =>
  groupsOf(SHEETS, order).map(
    ({ name, sheets }) => `${name}: ${sheets.map(({ id }) => id).join()}`,
  );

describe("groups", () => {
  it("leaves the order of the latest alone", () => {
    expect(shown("changed")).toEqual([": A,B,C,D"]);
  });

  it("puts people by name, whatever the spelling, and nobody last", () => {
    expect(shown("person")).toEqual(["Ida: D", "Noor: A,C", ": B"]);
  });

  it("puts the latest date first, and none last", () => {
    expect(shown("date")).toEqual(["2031-05-10: B", "2031-05-02: A,D", ": C"]);
  });

  it("shows of a sheet, by thing, the quantities of that thing alone", () => {
    expect(shown("thing")).toEqual(["Ferrule: A,C", "spar: A", ": B,D"]);
    const [ferrule] = groupsOf(SHEETS, "thing");
    expect(ferrule?.sheets.map(({ results }) => results.length)).toEqual([1, 2]);
  });
});

describe("what is looked for", () => {
  it("stands somewhere in the sheet, every word by itself", () => {
    const found = (wanted: string) =>
      SHEETS.filter((one) => speaksOf(one, wanted)).map(({ id }) => id);
    expect(found("ferrule NOOR")).toEqual(["A", "C"]);
    expect(found("  ")).toEqual(["A", "B", "C", "D"]);
    expect(found("spar ida")).toEqual([]);
    expect(found("caliper 2031-05-10")).toEqual(["B"]);
  });
});
