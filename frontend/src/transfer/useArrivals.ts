import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { SHEETS, type Arrival, type Decision, type Taken } from "../api";
import { send, type Progress } from "./send";

/** What a file would bring; nothing is stored. With how much of it has been looked through. */
export function useLookThrough() {
  const [progress, setProgress] = useState<Progress | null>(null);
  const look = useMutation({
    mutationFn: (file: File) =>
      send<Arrival[]>(`/api/arrivals?name=${encodeURIComponent(file.name)}`, file, setProgress),
    onSettled: () => setProgress(null),
  });
  return { ...look, progress };
}

/** Takes in what was decided, all or nothing. With how far that is. */
export function useTakeIn() {
  const queries = useQueryClient();
  const [progress, setProgress] = useState<Progress | null>(null);
  const take = useMutation({
    mutationFn: ({ file, decisions }: { file: File; decisions: Decision[] }) => {
      const asked = new URLSearchParams([
        ["name", file.name],
        ...decisions.map((decision) => ["decision", decision]),
      ]);
      return send<Taken[]>(`/api/arrivals/take?${asked.toString()}`, file, setProgress);
    },
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: SHEETS });
      void queries.invalidateQueries({ queryKey: ["sheet"] });
    },
    onSettled: () => setProgress(null),
  });
  return { ...take, progress };
}
