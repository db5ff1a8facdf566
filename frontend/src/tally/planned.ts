import type { Quantity } from "../api";
import type { Waiting } from "../outbox/outbox";
import { say } from "../voice";

/** A reading that is planned: where it is to be taken, and which it is of those planned there. */
export interface Planned {
  /** Null where no place is planned. */
  place: string | null;
  nth: number;
  of: number;
}

const folded = (text: string) => text.toLocaleLowerCase().trim().split(/\s+/).join(" ");

/**
 * The reading that is to be taken next by the plan; null where none is left.
 *
 * @param onTheWay places of readings that the server does not count yet.
 */
export function nextPlanned(plan: Quantity["plan"], onTheWay: string[]): Planned | null {
  const sent = onTheWay.map(folded);
  for (const { place, count } of plan?.left ?? []) {
    const there = sent.filter((one) => place === null || one === folded(place)).length;
    const left = count - there;
    const of = plan?.each ?? 0;
    if (left > 0) return { place, nth: of - left + 1, of };
  }
  return null;
}

/** Every reading that is planned and neither taken nor on its way, in the order of the plan. */
export function plannedRows(plan: Quantity["plan"], onTheWay: string[]): Planned[] {
  const rows: Planned[] = [];
  const taken = [...onTheWay];
  for (let next = nextPlanned(plan, taken); next; next = nextPlanned(plan, taken)) {
    rows.push(next);
    taken.push(next.place ?? "");
  }
  return rows;
}

/** The place of a reading that is on its way. */
export const placeOf = ({ fields }: Waiting): string => fields.place ?? "";

/** Which of the planned readings it is. */
export const wordsOf = ({ nth, of }: Planned): string => say("plan-nth", { nth, of });
