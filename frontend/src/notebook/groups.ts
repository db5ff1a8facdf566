import type { SheetSummary } from "../api";

/** What the notebook can be shown by. */
export const ORDERS = ["changed", "person", "thing", "date"] as const;
export type Order = (typeof ORDERS)[number];

/** Sheets that belong together by what the notebook is shown by. */
export interface Group {
  /** Empty where their sheets do not say it. */
  name: string;
  sheets: SheetSummary[];
}

/** Whether every word that is looked for stands somewhere in a sheet. */
export function speaksOf(sheet: SheetSummary, wanted: string): boolean {
  const texts = [
    sheet.title,
    sheet.authors,
    sheet.date,
    ...sheet.instruments,
    ...sheet.results.flatMap(({ name, thing }) => [name, thing]),
    ...sheet.derived.map(({ name }) => name),
  ];
  const all = texts.join("\n").toLocaleLowerCase();
  return words(wanted).every((word) => all.includes(word));
}

/** The sheets in groups: people and things by name, dates with the latest first, unsaid ones last. */
export function groupsOf(sheets: SheetSummary[], order: Order): Group[] {
  if (order === "changed") return [{ name: "", sheets }];
  const groups = new Map<string, Group>();
  for (const sheet of sheets)
    for (const { name, part } of partsOf(sheet, order)) {
      const key = words(name).join(" ");
      const group = groups.get(key) ?? { name: name.trim(), sheets: [] };
      group.sheets.push(part);
      groups.set(key, group);
    }
  const turn = order === "date" ? -1 : 1;
  return [...groups.values()].sort(
    (one, other) =>
      Number(one.name === "") - Number(other.name === "") ||
      turn * one.name.localeCompare(other.name, undefined, { numeric: true }),
  );
}

const words = (text: string) => text.toLocaleLowerCase().split(/\s+/).filter(Boolean);

interface Part {
  name: string;
  part: SheetSummary;
}

/** Where a sheet stands: once, or with the quantities of each of its things. */
function partsOf(sheet: SheetSummary, order: Exclude<Order, "changed">): Part[] {
  switch (order) {
    case "person":
      return [{ name: sheet.authors, part: sheet }];
    case "date":
      return [{ name: sheet.date, part: sheet }];
    case "thing": {
      if (sheet.results.length === 0) return [{ name: "", part: sheet }];
      const alike = new Map<string, SheetSummary["results"]>();
      for (const result of sheet.results) {
        const key = words(result.thing).join(" ");
        alike.set(key, [...(alike.get(key) ?? []), result]);
      }
      return [...alike.values()].map((results) => ({
        name: results[0]?.thing ?? "",
        part: { ...sheet, results },
      }));
    }
  }
}
