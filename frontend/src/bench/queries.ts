import { keepPreviousData, useMutation, useQuery } from "@tanstack/react-query";

import { body, client, newId, useSheetChange, type Schemas } from "../api";

/** What lies at the bench. */
export function useDrawer() {
  return useQuery({
    queryKey: ["drawer"],
    queryFn: () => body(client.GET("/api/bench")),
    staleTime: Infinity,
  });
}

/** How the bench stands after all that was done; until it is known, as it stood. */
export function useStanding(simulated: string) {
  return useQuery({
    queryKey: ["standing", simulated],
    queryFn: () => body(client.POST("/api/bench/stand", { body: { simulated } })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 10_000,
    retry: false,
  });
}

/** A sheet for a tool and a part of a new bench. */
export function useBeginBench() {
  return useSheetChange((chosen: Omit<Schemas["Begin"], "id">) =>
    body(client.POST("/api/bench/sheets", { body: { ...chosen, id: newId() } })),
  );
}

/** Another part at the bench of a sheet; its quantity has the id that is given. */
export function useAnotherPart(sheet: string) {
  return useSheetChange((chosen: Schemas["Begin"]) =>
    body(
      client.POST("/api/bench/sheets/{sheet}/quantities", {
        params: { path: { sheet } },
        body: chosen,
      }),
    ),
  );
}

/** Sends what a display shows through the door for devices. */
export function useDataButton(sheet: string, quantity: string) {
  return useSheetChange(({ shown, simulated }: { shown: string; simulated: string }) =>
    body(
      client.POST("/api/readings", {
        params: { query: { sheet, quantity, simulated } },
        body: `${shown}\n` as never,
        bodySerializer: (text: unknown) => text as string,
        headers: { "Content-Type": "text/plain" },
      }),
    ),
  );
}

/** The truth, once it is asked for. */
export function useReveal(sheet: string, quantity: string) {
  return useMutation({
    mutationFn: () =>
      body(
        client.POST("/api/bench/sheets/{sheet}/quantities/{key}/reveal", {
          params: { path: { sheet, key: quantity } },
        }),
      ),
  });
}
