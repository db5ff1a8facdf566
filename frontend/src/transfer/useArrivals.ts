import { useMutation, useQueryClient } from "@tanstack/react-query";

import { asError, SHEETS, type Arrival, type Decision, type Taken } from "../api";

/** Sends a file as the body; an answer that says no becomes an error. */
export async function send<Found>(address: string, file: File): Promise<Found> {
  const response = await fetch(address, { method: "POST", body: file });
  const sent: unknown = await response.json();
  if (!response.ok) throw asError(sent, response.status);
  return sent as Found;
}

/** What a file would bring; nothing is stored. */
export function useLookThrough() {
  return useMutation({
    mutationFn: (file: File) =>
      send<Arrival[]>(`/api/arrivals?name=${encodeURIComponent(file.name)}`, file),
  });
}

/** Takes in what was decided, all or nothing. */
export function useTakeIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ file, decisions }: { file: File; decisions: Decision[] }) => {
      const asked = new URLSearchParams([
        ["name", file.name],
        ...decisions.map((decision) => ["decision", decision]),
      ]);
      return send<Taken[]>(`/api/arrivals/take?${asked.toString()}`, file);
    },
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: SHEETS });
      void queries.invalidateQueries({ queryKey: ["sheet"] });
    },
  });
}
