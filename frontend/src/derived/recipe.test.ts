import { describe, expect, it } from "vitest";

import type { Recipe, Sheet } from "../api";
import { CALIPER, quantity } from "../tests/fixtures";
import { asRecord, begun, draftOf, fitting, inputsFor, sourcesOf, symbolsOf } from "./recipe";

const CIRCLE = {
  ...CALIPER,
  id: "circle",
  kind: "angular" as const,
  traits: { ...CALIPER.traits, circular: true },
};
const SHEET = {
  instruments: [CALIPER, CIRCLE],
  quantities: [
    quantity({ id: "outer", instrument: CALIPER.id }),
    quantity({ id: "angle", instrument: "circle", dimension: "0 0 1" }),
    quantity({ id: "inner", instrument: CALIPER.id }),
  ],
  derived: [
    { id: "volume", name: "Volume", dimension: "3 0 0", sentence: "12 mm³" },
    { id: "later", name: "Ratio", dimension: "0 0 0", sentence: null },
  ],
} as unknown as Sheet;
const GRATING: Recipe = {
  id: "grating",
  title: "Distance of grating lines",
  formula: "k*w/sin(theta)",
  unit: "um",
  blanks: [
    { symbol: "k", label: "order", unit: "1", dimension: "0 0 0", found: null },
    { symbol: "w", label: "wavelength", unit: "nm", dimension: "1 0 0", found: null },
    { symbol: "theta", label: "angle", unit: "deg", dimension: "0 0 1", found: "angle" },
  ],
};
const TUBE: Recipe = {
  id: "tube",
  title: "Volume of a tube",
  formula: "pi*(D**2 - d**2)*h/4",
  unit: "mm**3",
  blanks: ["D", "d", "h"].map((symbol) => ({
    ...{ symbol, label: symbol, unit: "mm", dimension: "1 0 0" },
    found: symbol === "h" ? null : symbol === "D" ? "outer" : "inner",
  })),
};

describe("the symbols of a formula", () => {
  it("are its names in order, each once, without functions and numbers", () => {
    expect(symbolsOf("pi*(D**2 - d**2)*h/4 + sqrt(D) - 2.5")).toEqual(["D", "d", "h"]);
    expect(symbolsOf("a_1 + b2")).toEqual(["a_1", "b2"]);
    expect(symbolsOf("12/4")).toEqual([]);
  });
});

describe("a recipe", () => {
  it("takes what was found for its blanks, and leaves the rest to be typed", () => {
    expect(begun(TUBE).inputs).toEqual({
      D: { quantity: "outer" },
      d: { quantity: "inner" },
      h: { value: "", uncertainty: "0", unit: "mm" },
    });
  });

  it("puts an angle where an angle is wanted", () => {
    expect(begun(GRATING).inputs).toEqual({
      k: { value: "", uncertainty: "0", unit: "1" },
      w: { value: "", uncertainty: "0", unit: "nm" },
      theta: { quantity: "angle" },
    });
  });

  it("may take what fits, measured or derived before it", () => {
    const ids = (changed?: string) => sourcesOf(SHEET, changed).map(({ id }) => id);
    expect(ids()).toEqual(["outer", "angle", "inner", "volume", "later"]);
    expect(ids("later")).toEqual(["outer", "angle", "inner", "volume"]);
    expect(fitting(sourcesOf(SHEET), "3 0 0").map(({ id }) => id)).toEqual(["volume"]);
  });

  it("asks for what a changed formula names anew, and keeps what was given", () => {
    const draft = { ...begun(TUBE), formula: "(D - x)/2" };
    expect(inputsFor(draft)).toEqual([
      ["D", { quantity: "outer" }],
      ["x", { value: "", uncertainty: "0", unit: "mm" }],
    ]);
  });
});

describe("what is sent", () => {
  it("has points for commas and only the inputs that are named", () => {
    const draft = begun(TUBE);
    draft.inputs.h = { value: " 12,5", uncertainty: "0,1 ", unit: "mm" };
    draft.inputs.old = { quantity: "gone" };
    expect(asRecord(draft)).toEqual({
      name: "Volume of a tube",
      formula: "pi*(D**2 - d**2)*h/4",
      unit: "mm**3",
      inputs: { D: "outer", d: "inner", h: { value: " 12,5", uncertainty: "0,1 ", unit: "mm" } },
    });
  });

  it("is what was there, where nothing was changed", () => {
    const derived = {
      id: "w",
      version: 1,
      name: "Wall",
      formula: "(D - d)/2",
      unit: "mm",
      convention: "half-division",
      convention_name: "Half division",
      working: [],
      budget: { shares: [], sentences: [] },
      compared: null,
      subtracted: null,
      dimension: "1 0 0",
      inputs: [
        { symbol: "D", quantity: "outer", value: null, uncertainty: null, unit: null, words: "" },
        { symbol: "d", quantity: null, value: "4", uncertainty: "0.1", unit: "mm", words: "" },
      ],
      sentence: null,
      relative_percent: null,
      convention_note: "",
      also: [],
      shared_zeros: [],
    };
    expect(asRecord(draftOf(derived))).toEqual({
      name: "Wall",
      formula: "(D - d)/2",
      unit: "mm",
      inputs: { D: "outer", d: { value: "4", uncertainty: "0.1", unit: "mm" } },
    });
  });
});
