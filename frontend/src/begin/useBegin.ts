import { useMutation, useQueryClient } from "@tanstack/react-query";

import { body, client, keepAnswer, newId, type ZeroStands } from "../api";
import type { Draft } from "../instruments/draft";
import { say } from "../voice";

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
    mutationFn: async ({ name, tool, stands }: Wanted) => {
      const [sheet, instrument, check, quantity] = [newId(), newId(), newId(), newId()];
      const params = { path: { sheet } };
      const title = say("begin-sheet-title", { tool: tool.name, date: today() });
      await body(client.POST("/api/sheets", { body: { id: sheet, title } }));
      const described = { ...tool.record, id: instrument, name: tool.name };
      await body(client.POST("/api/sheets/{sheet}/instruments", { params, body: described }));
      const exactly = stands === "on";
      if (exactly) {
        const looked = { id: check, instrument, face: "outside", main: "0", fine: 0 };
        await body(client.POST("/api/sheets/{sheet}/zero_checks", { params, body: looked }));
      }
      const measured = { id: quantity, name, instrument, zero: exactly ? [check] : [] };
      await keepAnswer(
        queries,
        await body(client.POST("/api/sheets/{sheet}/quantities", { params, body: measured })),
      );
      return { sheet, quantity };
    },
  });
}

/** The date as records have it, by the clock on the wall. */
const today = () => new Date().toLocaleDateString("sv");
