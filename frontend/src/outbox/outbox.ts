import { ApiError, type FineAs, type Schemas } from "../api";

/** Figures as they were typed into the equation. */
export interface Entered {
  main: string;
  fine: string;
  fine_as: FineAs;
  second_turn: boolean;
}

/** A reading on its way to the server: as it was entered, until the server has it. */
export interface Waiting {
  /** The id the reading will have; sending it twice adds it once. */
  id: string;
  sheet: string;
  quantity: string;
  /** One look, or those of a pair in the order they were entered. */
  entered: Entered[];
  fields: Omit<Schemas["NewReading"], "id" | "quantity" | "typed" | keyof Figures>;
  /** Why the server will not take it; empty while it has not said so. */
  refused: string;
}

type Figures = Pick<
  Schemas["NewReading"],
  "main" | "fine" | "second_turn" | "a" | "b" | "a2" | "b2"
>;

export const KEPT_UNDER = "metrion-outbox";

/** The readings that wait, in order; they outlive a reload. */
export class Outbox {
  private readonly listeners = new Set<() => void>();
  private waiting: Waiting[];

  constructor(private readonly storage: Storage) {
    this.waiting = read(storage);
    // Another window of ours added or sent something.
    window.addEventListener("storage", (event) => {
      if (event.key === KEPT_UNDER) this.show(read(storage));
    });
  }

  readonly all = (): Waiting[] => this.waiting;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  add(entry: Waiting): void {
    this.keep([...read(this.storage), entry]);
  }

  remove(id: string): void {
    this.keep(read(this.storage).filter((entry) => entry.id !== id));
  }

  refuse(id: string, refused: string): void {
    const marked = (entry: Waiting) => (entry.id === id ? { ...entry, refused } : entry);
    this.keep(read(this.storage).map(marked));
  }

  /** The first that has not been refused. */
  next(): Waiting | undefined {
    return read(this.storage).find((entry) => entry.refused === "");
  }

  private keep(waiting: Waiting[]): void {
    this.storage.setItem(KEPT_UNDER, JSON.stringify(waiting));
    this.show(waiting);
  }

  private show(waiting: Waiting[]): void {
    this.waiting = waiting;
    for (const listener of this.listeners) listener();
  }
}

function read(storage: Storage): Waiting[] {
  try {
    const kept: unknown = JSON.parse(storage.getItem(KEPT_UNDER) ?? "[]");
    if (!Array.isArray(kept)) return [];
    // Before there were pairs, a reading was kept as its one look.
    return (kept as (Waiting & { entered: Entered | Entered[] })[]).map((entry) => ({
      ...entry,
      entered: [entry.entered].flat(),
    }));
  } catch {
    return [];
  }
}

/** Answers that will be others later: none at all, who are you, too much at once, no room. */
const PASSING = new Set([0, 401, 403, 408, 429, 502, 503, 504, 507]);

/**
 * Send what waits, one after the other, until nothing is left or the server is away.
 *
 * @param send brings one reading to the server; an `ApiError` that will not pass refuses it.
 * @returns whether all that can be sent was sent.
 */
export async function flush(
  outbox: Outbox,
  send: (entry: Waiting) => Promise<void>,
): Promise<boolean> {
  for (let entry = outbox.next(); entry; entry = outbox.next()) {
    try {
      await send(entry);
      outbox.remove(entry.id);
    } catch (problem) {
      if (!(problem instanceof ApiError) || PASSING.has(problem.status)) return false;
      outbox.refuse(entry.id, problem.message);
    }
  }
  return true;
}
