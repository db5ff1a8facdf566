import { useMutation, useQueryClient } from "@tanstack/react-query";

import { keepAnswer, type SheetChange, type TableFit, type TableFound } from "../api";
import { send } from "./send";

/** How a table is to be read. */
export interface Asked {
  file: File;
  /** What each column holds; none for what the headings tell. */
  columns: string[];
  /** Cells that were mended, by `row/column`. */
  mended: ReadonlyMap<string, string>;
  /** What the figures of a column stand for, by its role, where that was asked. */
  stands: Readonly<Record<string, string>>;
}

/** A table of readings for a quantity: looked through, then taken in. */
export function useTable(sheet: string, quantity: string) {
  const queries = useQueryClient();
  const at = `/api/sheets/${sheet}/quantities/${encodeURIComponent(quantity)}/table`;
  const asked = ({ columns, mended, stands }: Asked) => [
    ...columns.map((one) => ["column", one]),
    ...Object.entries(stands).map(([role, one]) => [`${role}_as`, one]),
    ...[...mended].map(([cell, text]) => ["mend", `${cell}/${text}`]),
  ];
  const preview = useMutation({
    mutationFn: (how: Asked) =>
      send<TableFound>(`${at}/preview?${new URLSearchParams(asked(how))}`, how.file),
  });
  const take = useMutation({
    mutationFn: async (how: Asked & { goodOnly: boolean }) => {
      const query = new URLSearchParams([...asked(how), ["good_only", String(how.goodOnly)]]);
      return keepAnswer(queries, await send<SheetChange>(`${at}/take?${query}`, how.file));
    },
  });
  return { preview, take };
}

/** The quantities that may take a table, the best first. */
export function useFits() {
  return useMutation({ mutationFn: (file: File) => send<TableFit[]>("/api/tables/fits", file) });
}
