import { useMutation, useQueryClient } from "@tanstack/react-query";

import { keepAnswer, type FineAs, type SheetChange, type TableFound } from "../api";
import { send } from "./send";

interface Asked {
  file: File;
  /** What each column holds; none for what the headings tell. */
  columns: string[];
}

/** A table of readings for a quantity: looked through, then taken in. */
export function useTable(sheet: string, quantity: string, fineAs: FineAs) {
  const queries = useQueryClient();
  const at = `/api/sheets/${sheet}/quantities/${encodeURIComponent(quantity)}/table`;
  const asked = (columns: string[]) =>
    new URLSearchParams([["fine_as", fineAs], ...columns.map((one) => ["column", one])]).toString();
  const preview = useMutation({
    mutationFn: ({ file, columns }: Asked) =>
      send<TableFound>(`${at}/preview?${asked(columns)}`, file),
  });
  const take = useMutation({
    mutationFn: async ({ file, columns }: Asked) =>
      keepAnswer(queries, await send<SheetChange>(`${at}/take?${asked(columns)}`, file)),
  });
  return { preview, take };
}
