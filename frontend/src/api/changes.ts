/** What changes a sheet: each comes to the sheet as it is then. */
import { useMutation, useQueryClient } from "@tanstack/react-query";

import { ApiError, body, client, newId, type Schemas, type Sheet } from "./client";
import { sheetKey } from "./keys";
import { keepAnswer, type SheetChange } from "./merged";

/** Something that changes a sheet; it comes to the sheet as it is then. */
export function useSheetChange<Given>(change: (given: Given) => Promise<Sheet | SheetChange>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (given: Given) => keepAnswer(queries, await change(given)),
  });
}

interface NewSheet {
  title: string;
  date: string;
}

/** Begins an empty sheet; a number follows its title where another has that. */
export const newSheet = (given: NewSheet) =>
  body(client.POST("/api/sheets", { body: { id: newId(), numbered: true, ...given } }));

export const useNewSheet = () => useSheetChange(newSheet);

/** A finished sheet to look at. */
export function useExample() {
  return useSheetChange(() => body(client.POST("/api/sheets/example")));
}

/** Changes the title of a sheet, or what stands at the head of its report. */
export function useAmendSheet(id: string) {
  const queries = useQueryClient();
  return useSheetChange(async (change: Schemas["SheetPatch"]) => {
    const seen = queries.getQueryData<Sheet>(sheetKey(id));
    try {
      return await amended(id, change, seen);
    } catch (problem) {
      if (!(problem instanceof ApiError) || problem.status !== 412) throw problem;
      const now = await body(client.GET("/api/sheets/{key}", { params: { path: { key: id } } }));
      queries.setQueryData(sheetKey(id), now);
      // That something else of the sheet has changed meanwhile is no reason to refuse a title.
      const names = Object.keys(change) as (keyof typeof change)[];
      if (!seen || names.some((name) => now[name] !== seen[name])) throw problem;
      return amended(id, change, now);
    }
  });
}

function amended(id: string, change: Schemas["SheetPatch"], seen?: Seen): Promise<Sheet> {
  const headers = seen ? { "If-Match": `"${seen.version}"` } : {};
  const params = { path: { key: id } };
  return body(client.PATCH("/api/sheets/{key}", { params, headers, body: change }));
}

/** A step back or forth; `command` is the one that is meant, where it is another window's. */
export interface StepAsked {
  direction: "undo" | "redo";
  command?: string;
}

export function useUndo(id: string) {
  return useSheetChange(({ direction, command = "" }: StepAsked) => {
    const params = { path: { key: id }, query: { command } };
    return body(
      direction === "undo"
        ? client.POST("/api/sheets/{key}/undo", { params })
        : client.POST("/api/sheets/{key}/redo", { params }),
    );
  });
}

export function useAddInstrument(sheet: string) {
  return useSheetChange((instrument: Schemas["NewInstrument"]) =>
    body(
      client.POST("/api/sheets/{sheet}/instruments", {
        params: { path: { sheet } },
        body: instrument,
      }),
    ),
  );
}

export function useAddZeroCheck(sheet: string) {
  return useSheetChange((check: Schemas["NewZeroCheck"]) =>
    body(
      client.POST("/api/sheets/{sheet}/zero_checks", { params: { path: { sheet } }, body: check }),
    ),
  );
}

/** Changes a zero check; every quantity that it corrects follows. */
export function useAmendZeroCheck(sheet: string) {
  return useSheetChange(({ seen, ...change }: { seen: Seen } & Schemas["ZeroCheckPatch"]) =>
    body(
      client.PATCH("/api/sheets/{sheet}/zero_checks/{key}", { ...at(sheet, seen), body: change }),
    ),
  );
}

export function useAddQuantity(sheet: string) {
  return useSheetChange((quantity: Schemas["NewQuantity"]) =>
    body(
      client.POST("/api/sheets/{sheet}/quantities", {
        params: { path: { sheet } },
        body: quantity,
      }),
    ),
  );
}

/** Adds a derived quantity, or changes the one that was seen. */
export function useKeepDerived(sheet: string) {
  return useSheetChange(({ seen, ...derived }: { seen: Seen | null } & Schemas["NewDerived"]) =>
    seen
      ? body(
          client.PATCH("/api/sheets/{sheet}/derived/{key}", { ...at(sheet, seen), body: derived }),
        )
      : body(
          client.POST("/api/sheets/{sheet}/derived", {
            params: { path: { sheet } },
            body: derived,
          }),
        ),
  );
}

/** An entry of a sheet as it was seen: what a change has to start from. */
export interface Seen {
  id: string;
  version: number;
}

const at = (sheet: string, seen: Seen) => ({
  params: { path: { sheet, key: seen.id } },
  headers: { "If-Match": `"${seen.version}"` },
});

export function useAmendInstrument(sheet: string) {
  return useSheetChange(({ seen, ...change }: { seen: Seen } & Schemas["InstrumentPatch"]) =>
    body(
      client.PATCH("/api/sheets/{sheet}/instruments/{key}", { ...at(sheet, seen), body: change }),
    ),
  );
}

export function useAmendQuantity(sheet: string) {
  return useSheetChange(({ seen, ...change }: { seen: Seen } & Schemas["QuantityFields"]) =>
    body(
      client.PATCH("/api/sheets/{sheet}/quantities/{key}", { ...at(sheet, seen), body: change }),
    ),
  );
}

export function useAmendReading(sheet: string) {
  return useSheetChange(({ seen, ...change }: { seen: Seen } & Schemas["ReadingPatch"]) =>
    body(client.PATCH("/api/sheets/{sheet}/readings/{key}", { ...at(sheet, seen), body: change })),
  );
}

/** What a sheet is made of. */
export type Section = "instruments" | "zero_checks" | "quantities" | "derived";

export function useRemove(sheet: string) {
  return useSheetChange(({ section, seen }: { section: Section; seen: Seen }) => {
    const options = at(sheet, seen);
    if (section === "instruments")
      return body(client.DELETE("/api/sheets/{sheet}/instruments/{key}", options));
    if (section === "derived")
      return body(client.DELETE("/api/sheets/{sheet}/derived/{key}", options));
    if (section === "zero_checks")
      return body(client.DELETE("/api/sheets/{sheet}/zero_checks/{key}", options));
    return body(client.DELETE("/api/sheets/{sheet}/quantities/{key}", options));
  });
}
