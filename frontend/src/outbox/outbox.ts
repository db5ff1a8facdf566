import { ApiError, type Entered, type Schemas } from "../api";

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
  /** When it was added: those added later are sent later. */
  at?: number;
  /** The window it was entered in, whichever sends it. */
  by?: string;
}

type Figures = Pick<
  Schemas["NewReading"],
  "main" | "fine" | "second_turn" | "a" | "b" | "a2" | "b2"
>;

const KEPT_UNDER = "metrion-outbox";

/** Whether something of what waits is kept under a key of the storage. */
export const isKeptUnder = (key: string | null): boolean => key?.startsWith(KEPT_UNDER) ?? false;

/**
 * The readings that wait, in order; they outlive a reload.
 *
 * Each is kept under a key of its own: two windows that wrote one list at once would lose what the
 * other had just added.
 */
export class Outbox {
  private readonly listeners = new Set<() => void>();
  private waiting: Waiting[];

  constructor(private readonly storage: Storage) {
    adoptList(storage);
    this.waiting = read(storage);
    // Another window of ours added or sent something.
    window.addEventListener("storage", (event) => {
      if (isKeptUnder(event.key)) this.show();
    });
  }

  readonly all = (): Waiting[] => this.waiting;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  add(entry: Waiting): void {
    const last = this.waiting.at(-1)?.at ?? 0;
    this.keep({ ...entry, at: Math.max(Date.now(), last + 1) });
  }

  remove(id: string): void {
    this.storage.removeItem(keyOf(id));
    this.show();
  }

  refuse(id: string, refused: string): void {
    const entry = read(this.storage).find((one) => one.id === id);
    if (entry) this.keep({ ...entry, refused });
  }

  /** The first that has not been refused. */
  next(): Waiting | undefined {
    return read(this.storage).find((entry) => entry.refused === "");
  }

  private keep(entry: Waiting): void {
    this.storage.setItem(keyOf(entry.id), JSON.stringify(entry));
    this.show();
  }

  private show(): void {
    this.waiting = read(this.storage);
    for (const listener of this.listeners) listener();
  }
}

const keyOf = (id: string): string => `${KEPT_UNDER}/${id}`;

function read(storage: Storage): Waiting[] {
  const keys = Array.from({ length: storage.length }, (_, index) => storage.key(index) ?? "");
  return keys
    .filter((key) => key.startsWith(keyOf("")))
    .flatMap((key) => understood(storage.getItem(key)) as Waiting[])
    .sort((one, other) => (one.at ?? 0) - (other.at ?? 0));
}

/** What is kept, as a list; nothing where it cannot be understood. */
function understood(kept: string | null): unknown[] {
  try {
    return [JSON.parse(kept ?? "[]") as unknown].flat();
  } catch {
    return [];
  }
}

/** All that waited used to be one list; before there were pairs, a reading was its one look. */
function adoptList(storage: Storage): void {
  const listed = understood(storage.getItem(KEPT_UNDER)) as (Waiting & {
    entered: Entered | Entered[];
  })[];
  listed.forEach((entry, at) => {
    storage.setItem(
      keyOf(entry.id),
      JSON.stringify({ ...entry, entered: [entry.entered].flat(), at }),
    );
  });
  storage.removeItem(KEPT_UNDER);
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
