import { useCallback, useState } from "react";

import type { Answer, Entered, Quantity } from "../api";
import { figuresOf, type Figures } from "./useDesk";
import { say } from "../voice";

/** The looks that make one reading, in the order they are entered, and what each is called. */
interface Place {
  /** The field of a logbook that holds it. */
  field: "a" | "b" | "a2" | "b2";
  name: string;
}

const PLACES = (): Record<Quantity["sort"], Place[]> => ({
  single: [],
  pair: [
    { field: "a", name: say("desk-first-position") },
    { field: "b", name: say("desk-second-position") },
  ],
  // At each position both windows are read before the table or the arm is moved on.
  "pair with two windows": [
    { field: "a", name: say("desk-position-first-1") },
    { field: "a2", name: say("desk-position-first-2") },
    { field: "b", name: say("desk-position-second-1") },
    { field: "b2", name: say("desk-position-second-2") },
  ],
});

/** A position that has been entered: as it was typed, as a logbook holds it, where it lies. */
export interface Position {
  entered: Entered;
  /** As a logbook holds it; null if the server was away and has not said what it means. */
  figures: Figures | null;
  /** What it reads, or what was typed while that is not known. */
  read: string;
  position: number | null;
}

export interface Positions {
  /** Those entered so far. */
  kept: Position[];
  /** What is entered now; empty where a reading is one look. */
  name: string;
  /** What the position before is called, and what was read there. */
  before: { name: string; position: Position } | null;
  /** Whether each position is read in two windows. */
  windows: boolean;
  /** Where the sweep begins that this position ends, in the same window; null if it ends none. */
  sweptFrom: number | null;
  /** Whether others follow before the reading is whole. */
  more: boolean;
  /** Keeps a position with its answer; without one, as it was typed. */
  keep: (entered: Entered, answer: Answer | null) => void;
  /** Takes the last one away to be entered again. */
  takeBack: () => void;
  clear: () => void;
}

/** The positions of one reading while they are entered, one after the other. */
export function usePositions(sort: Quantity["sort"]): Positions {
  const [kept, setKept] = useState<Position[]>([]);
  const places = PLACES()[sort];
  const last = kept.at(-1);
  return {
    kept,
    name: places[kept.length]?.name ?? "",
    before: last ? { name: places[kept.length - 1]?.name ?? "", position: last } : null,
    windows: sort === "pair with two windows",
    sweptFrom: kept.at(-places.length / 2)?.position ?? null,
    more: kept.length + 1 < places.length,
    keep: useCallback((entered, answer) => {
      const figures = answer && figuresOf(answer);
      if (answer && !figures) return;
      const read = answer?.read ?? `${entered.main} + ${entered.fine}`;
      const position = answer?.position ?? null;
      setKept((before) => [...before, { entered, figures, read, position }]);
    }, []),
    takeBack: useCallback(() => setKept((before) => before.slice(0, -1)), []),
    clear: useCallback(() => setKept([]), []),
  };
}

/** The looks of one reading as a logbook holds them, given in the order they were entered. */
export function asLooks<Look>(looks: Look[]): Look | Partial<Record<Place["field"], Look>> {
  const [only, ...others] = looks;
  if (only === undefined) throw new RangeError(say("desk-looks-per-reading"));
  if (others.length === 0) return only;
  const places = PLACES()[others.length === 1 ? "pair" : "pair with two windows"];
  return Object.fromEntries(places.map(({ field }, index) => [field, looks[index]]));
}
