import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { body, client, SHEETS, type Arrival, type Decision, type Taken } from "../api";
import { bodyOf, type Picked } from "./files";
import { send, type Progress } from "./send";

/** What files would bring; nothing is stored. With how much of them has been looked through. */
export function useLookThrough() {
  const [progress, setProgress] = useState<Progress | null>(null);
  const look = useMutation({
    mutationFn: (files: Picked[]) => {
      const { name, sent } = bodyOf(files);
      return send<Arrival[]>(`/api/arrivals?name=${encodeURIComponent(name)}`, sent, setProgress);
    },
    onSettled: () => setProgress(null),
  });
  return { ...look, progress };
}

/** Takes in what was decided, all or nothing. With how far that is. */
export function useTakeIn() {
  const renew = useRenew();
  const [progress, setProgress] = useState<Progress | null>(null);
  const take = useMutation({
    mutationFn: ({ files, decisions }: { files: Picked[]; decisions: Decision[] }) => {
      const { name, sent } = bodyOf(files);
      const asked = new URLSearchParams([
        ["name", name],
        ...decisions.map((decision) => ["decision", decision]),
      ]);
      return send<Taken[]>(`/api/arrivals/take?${asked.toString()}`, sent, setProgress);
    },
    onSuccess: renew,
    onSettled: () => setProgress(null),
  });
  return { ...take, progress };
}

/** Takes all of it out again; answers with the sheets that were changed meanwhile, and left. */
export function useTakeBack() {
  const renew = useRenew();
  return useMutation({
    mutationFn: (taken: Taken[]) =>
      body(
        client.POST("/api/arrivals/undo", {
          body: {
            taken: taken.flatMap(({ id, version, decision }) =>
              id ? [{ id, version, decision }] : [],
            ),
          },
        }),
      ),
    onSuccess: renew,
  });
}

function useRenew() {
  const queries = useQueryClient();
  return () => {
    void queries.invalidateQueries({ queryKey: SHEETS });
    void queries.invalidateQueries({ queryKey: ["sheet"] });
  };
}
