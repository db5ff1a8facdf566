import { QueryClient } from "@tanstack/react-query";
import { afterEach, expect, test, vi } from "vitest";

import { quantity, reading } from "../tests/fixtures";
import type { Sheet } from "./client";
import { sheetKey } from "./keys";
import { keepAnswer, merged, type SheetChange } from "./merged";

const rows = (...lines: string[]) =>
  lines.map((line, index) => reading({ id: `r${line}`, index, line }));

const KNOWN: Sheet = {
  id: "s",
  title: "Spars",
  version: 4,
  changed_at: "2026-03-14T10:00:00+00:00",
  authors: "",
  date: "",
  aim: "",
  simulated: "",
  convention: null,
  conventions: [],
  undo: null,
  redo: null,
  instruments: [],
  zero_checks: [],
  quantities: [
    quantity({ id: "a", readings: rows("1", "2", "3") }),
    quantity({ id: "b", readings: rows("4") }),
  ],
  derived: [],
};

const change = (some: Partial<SheetChange>): SheetChange => ({
  ...KNOWN,
  version: 5,
  since: 4,
  quantities: [],
  order: { instruments: [], zero_checks: [], quantities: ["a", "b"], derived: [] },
  ...some,
});

const lines = (sheet: Sheet | undefined) =>
  sheet?.quantities.map(({ id, readings }) => [id, ...readings.map(({ line }) => line)]);

afterEach(() => {
  vi.unstubAllGlobals();
});

test("a changed reading takes the place of the old one, the others stay", () => {
  const now = quantity({ id: "a", readings: [reading({ id: "r2", index: 1, line: "9" })] });
  const found = merged(KNOWN, change({ quantities: [{ ...now, reading_count: 3 }] }));
  expect(lines(found)).toEqual([
    ["a", "1", "9", "3"],
    ["b", "4"],
  ]);
});

test("readings and quantities that are gone are gone, and new ones stand where they belong", () => {
  const shorter = { ...quantity({ id: "a", readings: [] }), reading_count: 2 };
  const fresh = quantity({ id: "c", readings: rows("7") });
  const order = { instruments: [], zero_checks: [], quantities: ["c", "a"], derived: [] };
  expect(lines(merged(KNOWN, change({ quantities: [shorter, fresh], order })))).toEqual([
    ["c", "7"],
    ["a", "1", "2"],
  ]);
});

test("a quantity in brief has no readings, and stays so until it is asked for by itself", () => {
  const brief = { ...quantity({ id: "a", whole: false }), reading_count: 3 };
  const known = merged(KNOWN, change({ quantities: [brief] }));
  expect(known?.quantities[0]).toEqual(brief);
  const part = { ...quantity({ id: "a", readings: rows("8") }), reading_count: 4 };
  const found = merged(known, change({ since: 5, version: 6, quantities: [part] }));
  expect(found?.quantities[0]).toMatchObject({ whole: false, reading_count: 4, readings: [] });
});

test("an answer that goes on from another state asks for the sheet", async () => {
  expect(merged(KNOWN, change({ since: 3 }))).toBeUndefined();
  const whole = { ...KNOWN, version: 6, title: "Asked for" };
  vi.stubGlobal("fetch", () => Promise.resolve(Response.json(whole)));
  const queries = new QueryClient();
  queries.setQueryData(sheetKey("s"), KNOWN);
  await keepAnswer(queries, change({ since: 3 }));
  expect(queries.getQueryData<Sheet>(sheetKey("s"))?.title).toBe("Asked for");
});

test("an answer that a later one overtook changes nothing, a whole one is taken as it is", async () => {
  const queries = new QueryClient();
  queries.setQueryData(sheetKey("s"), { ...KNOWN, version: 8 });
  await keepAnswer(queries, change({ title: "Old" }));
  expect(queries.getQueryData<Sheet>(sheetKey("s"))?.title).toBe("Spars");
  await keepAnswer(queries, { ...KNOWN, version: 9, title: "New" });
  expect(queries.getQueryData<Sheet>(sheetKey("s"))?.title).toBe("New");
});
