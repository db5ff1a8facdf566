import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render } from "@testing-library/react";
import type { ReactNode } from "react";

import type { Answer, Instrument, Quantity, Reading } from "../api";
import type { Entered } from "../api";
import { SettingsContext, USUAL, type Chosen } from "../common/settings";

/** Renders with settings of its own. */
export function show(children: ReactNode, settings: Partial<Chosen> = {}) {
  const chosen = { ...USUAL, ...settings };
  return render(
    <QueryClientProvider client={new QueryClient()}>
      <SettingsContext value={chosen}>{children}</SettingsContext>
    </QueryClientProvider>,
  );
}

/** A caliper of twenty lines on 39 mm. */
export const CALIPER: Instrument = {
  id: "cal",
  version: 1,
  name: "Caliper A",
  kind: "vernier",
  traits: {
    circular: false,
    fine_scale: true,
    turns: false,
    slides: true,
    stacks: true,
    closes: true,
    drawing: "beam",
  },
  unit: "mm",
  unit_text: "mm",
  main_division: "1",
  fine_divisions: 20,
  span: 39,
  pitch: null,
  numbering: null,
  range: ["0", "150"],
  maker_limit: null,
  fine_as: "line",
  main_as: null,
  appearance: {
    numerals: "mm",
    fine_as: "line",
    main_as: null,
    fine_side: "below",
    half_marks: "below",
    thimble_numerals: "up",
    numbered_every: null,
    marks_early: 0,
    display: false,
    second_edge: false,
  },
  least_count: "0.05",
  least_count_text: "0.05 mm",
  pattern: "direct",
  derivation: [],
  notes: [],
  engraved_unit: "mm",
  kept_unit: "mm",
  example_main: "6",
  example_fine: "3",
  below_main: "-1",
  below_second_turn: false,
  record: {},
  lines: {
    division: 1,
    least_count: 0.05,
    fine_divisions: 20,
    extended: true,
    places: Array.from({ length: 21 }, (_, line) => line * 1.95),
    worths: Array.from({ length: 20 }, (_, line) => line * 0.05),
    main_every: 10,
    main_step: 10,
    main_unit: "mm",
    numerals_differ: true,
    fine_numerals: Array.from({ length: 11 }, (_, i) => ({ line: 2 * i, text: String(i) })),
    low: 0,
    high: 150,
    pitch: null,
    two_turns: false,
    against: false,
  },
};

/** A screw gauge of half-millimetre turns. */
export const SCREW: Instrument = {
  ...CALIPER,
  id: "screw",
  name: "Screw gauge B",
  kind: "screw",
  traits: { ...CALIPER.traits, slides: false, turns: true, drawing: "thimble" },
  pitch: "0.5",
  pattern: "screw",
  lines: {
    ...CALIPER.lines,
    division: 0.5,
    least_count: 0.01,
    fine_divisions: 50,
    places: [],
    worths: Array.from({ length: 50 }, (_, line) => line * 0.01),
    main_every: 2,
    main_step: 1,
    fine_numerals: Array.from({ length: 10 }, (_, i) => ({ line: 5 * i, text: String(5 * i) })),
    high: 25,
    pitch: 0.5,
  },
};

/** The answer to 6 and line 3 on the caliper. */
export const ANSWER: Answer = {
  seq: 1,
  asked: [],
  meant: "",
  whole: false,
  main: { value: "6", typed: "6", fault: "", offers: [] },
  fine: { value: "3", typed: "3", fault: "", offers: [], seen: [3], numeral: "1½", worth: "0.15" },
  read: "6.15",
  corrected: "6.30",
  position: 6.15,
  bounds: ["6", "7"],
  meets: 12,
  neighbours: [
    { line: 2, mark: 10, miss: 0.05, words: "0.05 right of 10" },
    { line: 4, mark: 14, miss: -0.05, words: "0.05 left of 14" },
  ],
  sentences: ["Line 3 is printed 1½ and worth 0.15 mm."],
  second_turn: false,
  turns: [],
  between: null,
  reference_fault: "",
  finding: null,
};

/** A reading of the caliper. */
export function reading(some: Partial<Reading>): Reading {
  return {
    id: "r",
    version: 1,
    index: 0,
    place: "",
    approach: "",
    reader: "",
    note: "",
    meets: "",
    excluded: "",
    main: "6",
    line: "3",
    looks: [{ main: "6", line: "3" }],
    position: 6.15,
    positions: [6.15],
    read: "6.15",
    corrected: "6.30",
    value: 6.3,
    at: null,
    history: [],
    photographs: [],
    simulated: "",
    ...some,
  };
}

/** A quantity with these readings. */
export function quantity(some: Partial<Quantity>): Quantity {
  return {
    id: "q",
    version: 1,
    name: "Lower spreader",
    symbol: "D",
    thing: "",
    plan: null,
    instrument: "cal",
    unit: "mm",
    face: "outside",
    items: 1,
    budget: { shares: [], sentences: [] },
    compared: null,
    dimension: "1 0 0",
    divide_by: 1,
    arc: "shorter",
    sort: "single",
    zero: [],
    zero_exact: false,
    zero_taken_over: false,
    also: [],
    zero_error: 0,
    zero_text: "0.00",
    zero_words: "",
    estimates: false,
    convention: "half-division",
    convention_name: "Half division",
    whole: true,
    photographs: 0,
    reading_count: some.readings?.length ?? 0,
    readings: [],
    result: {
      count: 0,
      sentence: null,
      mean: null,
      low: null,
      high: null,
      relative_percent: null,
    },
    working: [],
    flags: [],
    hints: [],
    places: [],
    places_apart: false,
    simulated: "",
    advice: "",
    ...some,
  };
}

/** Figures as they were typed into the equation: the third line past 6. */
export const ENTERED: Entered = {
  ...{ main: "6", fine: "3", fine_as: "line", main_as: null, numerals: null },
  ...{ second_turn: false, meant: "" },
};
