import type { Mutation, QueryClient } from "@tanstack/react-query";

import { sent } from "../outbox/useOutbox";

/**
 * Waits until everything that was typed or changed has been saved: what is being typed in a field
 * is handed in, what is on its way arrives, readings that wait are sent.
 *
 * @throws the error of what could not be saved.
 */
export async function saved(queries: QueryClient): Promise<void> {
  // A field keeps what was typed when it is left; a tap on a button need not leave it.
  const field = document.activeElement;
  if (field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) field.blur();
  const changes = queries.getMutationCache();
  const pending = changes.findAll({ status: "pending" });
  await Promise.all(pending.map((change) => ended(change, changes.subscribe.bind(changes))));
  await sent();
}

type Subscribe = (listener: () => void) => () => void;

/** Waits for one change; rejects with its error. */
function ended(change: Mutation, subscribe: Subscribe): Promise<void> {
  return new Promise((resolve, reject) => {
    const look = () => {
      const { status, error } = change.state;
      if (status === "pending") return;
      stop();
      if (error) reject(error);
      else resolve();
    };
    const stop = subscribe(look);
    look();
  });
}
