import { expect, test } from "vitest";

import { MEDIA, TYPE } from "./sizes";

const sheets = Object.entries(
  import.meta.glob<string>("../**/*.css", { query: "?raw", import: "default", eager: true }),
);

test.each(sheets)("%s takes sizes of type and kinds of window by name", (_, css) => {
  const sizes = [...css.matchAll(/\bfont(?:-size)?: ([^;]+);/g)].map((found) => found[1] ?? "");
  const named = Object.keys(TYPE).map((name) => `var(--type-${name})`);
  const own = sizes.filter((one) => /\d+(px|rem|pt)/.test(one.split("/")[0] ?? ""));
  const unknown = sizes.flatMap((one) => one.match(/var\(--type-\w+\)/g) ?? []);
  expect(own).toEqual([]);
  expect(unknown.filter((one) => !named.includes(one))).toEqual([]);
  const windows = [...css.matchAll(/@media ([^{]+?) \{/g)].map((found) => found[1] ?? "");
  const known = [...Object.keys(MEDIA).map((name) => `(--${name})`), "print"];
  const others = windows.filter((one) => !known.includes(one) && !one.includes("prefers-"));
  expect(others).toEqual([]);
});

test("there are style sheets to look at", () => {
  expect(sheets.filter(([, css]) => css.includes("--type-")).length).toBeGreaterThan(20);
});
