import { describe, expect, it } from "vitest";

import type { Recipe, Sheet } from "../api";
import { CALIPER, quantity } from "../tests/fixtures";
import { asRecord, begun, draftOf, fitting, inputsFor, symbolsOf } from "./recipe";

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
    quantity({ id: "angle", instrument: "circle" }),
    quantity({ id: "inner", instrument: CALIPER.id }),
  ],
} as unknown as Sheet;
const GRATING: Recipe = {
  id: "grating",
  title: "Distance of grating lines",
  formula: "k*w/sin(theta)",
  unit: "um",
  blanks: [
    { symbol: "k", label: "order", unit: "1" },
    { symbol: "w", label: "wavelength", unit: "nm" },
    { symbol: "theta", label: "angle", unit: "deg" },
  ],
};
const TUBE: Recipe = {
  id: "tube",
  title: "Volume of a tube",
  formula: "pi*(D**2 - d**2)*h/4",
  unit: "mm**3",
  blanks: ["D", "d", "h"].map((symbol) => ({ symbol, label: symbol, unit: "mm" })),
};

describe("the symbols of a formula", () => {
  it("are its names in order, each once, without functions and numbers", () => {
    expect(symbolsOf("pi*(D**2 - d**2)*h/4 + sqrt(D) - 2.5")).toEqual(["D", "d", "h"]);
    expect(symbolsOf("a_1 + b2")).toEqual(["a_1", "b2"]);
    expect(symbolsOf("12/4")).toEqual([]);
  });
});

describe("a recipe", () => {
  it("takes quantities that fit, each once, and leaves the rest to be typed", () => {
    expect(begun(TUBE, SHEET).inputs).toEqual({
      D: { quantity: "outer" },
      d: { quantity: "inner" },
      h: { value: "", uncertainty: "0", unit: "mm" },
    });
  });

  it("puts an angle where an angle is wanted", () => {
    expect(begun(GRATING, SHEET).inputs).toEqual({
      k: { value: "", uncertainty: "0", unit: "1" },
      w: { value: "", uncertainty: "0", unit: "nm" },
      theta: { quantity: "angle" },
    });
    expect(fitting(SHEET, "deg").map(({ id }) => id)).toEqual(["angle"]);
    expect(fitting(SHEET, "g")).toEqual([]);
  });

  it("asks for what a changed formula names anew, and keeps what was given", () => {
    const draft = { ...begun(TUBE, SHEET), formula: "(D - x)/2" };
    expect(inputsFor(draft)).toEqual([
      ["D", { quantity: "outer" }],
      ["x", { value: "", uncertainty: "0", unit: "mm" }],
    ]);
  });
});

describe("what is sent", () => {
  it("has points for commas and only the inputs that are named", () => {
    const draft = begun(TUBE, SHEET);
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
