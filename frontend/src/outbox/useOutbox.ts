import { useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useEffect, useSyncExternalStore } from "react";

import { ApiError, ASKED_BY, body, client, keepAnswer, type Entered, type Schemas } from "../api";
import { asLooks } from "../entry/usePositions";
import { flush, isKeptUnder, Outbox, type Waiting } from "./outbox";
import { say } from "../voice";

const outbox = new Outbox(localStorage);
const AGAIN_MILLISECONDS = 1500;
const PATIENCE_MILLISECONDS = 8000;
const OWNER = "metrion-outbox";

/** Adds a reading to what waits; it is sent at once if the server is there. */
export function post(entry: Waiting): void {
  outbox.add({ ...entry, by: ASKED_BY["Metrion-Window"] });
}

/** Takes back a reading that the server refused. */
export function discard(id: string): void {
  outbox.remove(id);
}

/** Waits until all that waits was sent or refused; rejects if that takes too long. */
export function sent(): Promise<void> {
  return new Promise((resolve, reject) => {
    const look = () => {
      if (outbox.next()) return;
      stop();
      clearTimeout(patience);
      resolve();
    };
    const patience = setTimeout(() => {
      stop();
      reject(new ApiError(say("outbox-unsent"), [], 0));
    }, PATIENCE_MILLISECONDS);
    const stop = outbox.subscribe(look);
    look();
  });
}

/** The readings of a quantity that the server does not have yet. */
export function useWaiting(sheet: string, quantity: string): Waiting[] {
  const all = useSyncExternalStore(outbox.subscribe, outbox.all);
  return all.filter((entry) => entry.sheet === sheet && entry.quantity === quantity);
}

/** Keeps sending what waits; of several windows one does it at a time. */
export function useOutboxSender(): void {
  const queries = useQueryClient();
  useEffect(() => {
    let over = false;
    let busy = false;
    const send = (entry: Waiting) => sendOne(entry, queries);
    async function run() {
      if (busy || over || !outbox.next()) return;
      busy = true;
      try {
        await asOwner(() => flush(outbox, send));
      } finally {
        busy = false;
      }
    }
    const clock = setInterval(() => void run(), AGAIN_MILLISECONDS);
    const hurry = () => void run();
    const stop = outbox.subscribe(hurry);
    // Another window sent something for this one, or for itself: look what there is now.
    const elsewhere = (event: StorageEvent) => {
      if (isKeptUnder(event.key)) void queries.invalidateQueries({ queryKey: ["sheet"] });
    };
    window.addEventListener("storage", elsewhere);
    window.addEventListener("online", hurry);
    hurry();
    return () => {
      over = true;
      clearInterval(clock);
      stop();
      window.removeEventListener("storage", elsewhere);
      window.removeEventListener("online", hurry);
    };
  }, [queries]);
}

/** Does something unless another window is at it; where windows cannot agree, does it. */
async function asOwner(act: () => Promise<boolean>): Promise<void> {
  if (!("locks" in navigator)) {
    await act();
    return;
  }
  await navigator.locks.request(OWNER, { ifAvailable: true }, async (lock) => {
    if (lock) await act();
  });
}

/** Sends a reading as it was typed: the server alone says what figures mean. */
async function sendOne(entry: Waiting, queries: QueryClient): Promise<void> {
  const change = await body(
    client.POST("/api/sheets/{sheet}/readings", {
      params: { path: { sheet: entry.sheet } },
      headers: {
        "Idempotency-Key": entry.id,
        ...(entry.by ? { "Metrion-Window": entry.by } : {}),
      },
      body: {
        ...entry.fields,
        typed: typedLooks(entry.entered),
        id: entry.id,
        quantity: entry.quantity,
      },
    }),
  );
  await keepAnswer(queries, change);
}

/** One look stands for itself; those of a pair go by their names. */
function typedLooks(entered: Entered[]): Schemas["TypedReading"] {
  const looks = asLooks(entered);
  return { ...NOT_TYPED, ...looks };
}

/** What a pair has beside the looks it names. */
const NOT_TYPED: Entered = {
  ...{ main: "", fine: "", fine_as: null, main_as: null, numerals: null },
  ...{ second_turn: null, meant: "" },
};
