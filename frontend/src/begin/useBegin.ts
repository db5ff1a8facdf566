import { useMutation, useQueryClient } from "@tanstack/react-query";

import { body, client, keepAnswer, newId, newSheet, STANDS_ON_ZERO, type ZeroStands } from "../api";
import type { Draft } from "../instruments/draft";
import { today } from "../common/today";

interface Wanted {
  name: string;
  tool: { name: string; record: Draft };
  /** Where its zero stands; null where that is looked at later, or there is none. */
  stands: ZeroStands | null;
}

/** Makes a sheet of its own for a quantity, with its tool and, where it stands exactly, its zero. */
export function useBegin() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (wanted: Wanted) => {
      const { id: sheet } = await newSheet({ title: wanted.name, date: today() });
      try {
        const { quantity, change } = await filled(sheet, wanted);
        await keepAnswer(queries, change);
        return { sheet, quantity };
      } catch (problem) {
        // Who tries again begins a new one.
        await client.DELETE("/api/sheets/{key}", { params: { path: { key: sheet } } });
        throw problem;
      }
    },
  });
}

/** What is to be measured, with what, put into an empty sheet. */
async function filled(sheet: string, { name, tool, stands }: Wanted) {
  const [instrument, check, quantity] = [newId(), newId(), newId()];
  const params = { path: { sheet } };
  const face = "outside";
  const described = { ...tool.record, id: instrument, name: tool.name };
  await body(client.POST("/api/sheets/{sheet}/instruments", { params, body: described }));
  const zero = stands === "on" ? [check] : [];
  for (const id of zero) {
    const looked = { id, instrument, face, ...STANDS_ON_ZERO };
    await body(client.POST("/api/sheets/{sheet}/zero_checks", { params, body: looked }));
  }
  const measured = { id: quantity, name, instrument, face, zero };
  const change = await body(
    client.POST("/api/sheets/{sheet}/quantities", { params, body: measured }),
  );
  return { quantity, change };
}

/** The date as records have it, by the clock on the wall. */
