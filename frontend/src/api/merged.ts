import type { QueryClient } from "@tanstack/react-query";

import { body, client, type Schemas, type Sheet } from "./client";
import { sheetKey, SHEETS } from "./keys";

export type SheetChange = Schemas["SheetChange"];
type Quantity = Schemas["Quantity"];

/**
 * The sheet after a change: what the answer leaves out is as it was known; undefined if what is
 * known is another state than the one the answer goes on from.
 */
export function merged(known: Sheet | undefined, change: SheetChange): Sheet | undefined {
  const { since, order, ...sheet } = change;
  if (since === null) return sheet;
  if (known?.version !== since) return undefined;
  return {
    ...sheet,
    instruments: inOrder(order.instruments, known.instruments, change.instruments),
    zero_checks: inOrder(order.zero_checks, known.zero_checks, change.zero_checks),
    quantities: inOrder(
      order.quantities,
      known.quantities,
      change.quantities.map((one) => filled(known.quantities, one)),
    ),
    derived: inOrder(order.derived, known.derived, change.derived),
  };
}

function inOrder<Entry extends { id: string }>(ids: string[], known: Entry[], now: Entry[]) {
  const entries = new Map([...known, ...now].map((entry) => [entry.id, entry]));
  return ids.flatMap((id) => entries.get(id) ?? []);
}

/** A quantity with those of its readings that have not changed; in brief, where they are not known. */
function filled(known: Quantity[], now: Quantity): Quantity {
  const before = known.find(({ id }) => id === now.id);
  if (!now.whole || before?.whole === false) return { ...now, whole: false, readings: [] };
  const rows = new Map(
    [...(before?.readings ?? []), ...now.readings].map((row) => [row.index, row]),
  );
  const readings = Array.from({ length: now.reading_count }, (_, at) => rows.get(at));
  return { ...now, readings: readings.filter((row) => row !== undefined) };
}

/** Takes an answer about a sheet over into what is known, and asks where it does not go on from it. */
export async function keepAnswer(
  queries: QueryClient,
  answer: Sheet | SheetChange,
): Promise<Sheet> {
  const key = sheetKey(answer.id);
  const known = queries.getQueryData<Sheet>(key);
  // An answer that was overtaken by a later one tells nothing new.
  if (known && known.version > answer.version) return known;
  const sheet =
    ("order" in answer ? merged(known, answer) : answer) ??
    (await body(client.GET("/api/sheets/{key}", { params: { path: { key: answer.id } } })));
  queries.setQueryData(key, sheet);
  void queries.invalidateQueries({ queryKey: SHEETS });
  return sheet;
}
