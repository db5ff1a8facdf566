import { useMutation, useQueryClient } from "@tanstack/react-query";

import {
  body,
  client,
  keepAnswer,
  newId,
  newSheet,
  STANDS_ON_ZERO,
  type Instrument,
  type Measurand,
  type ZeroStands,
} from "../api";
import type { Draft } from "../instruments/draft";
import { today } from "../common/today";

/** What is measured of a thing, and what each of its quantities is called. */
export interface MeasuredOfIt {
  measurand: Measurand;
  /** As many as the measurand counts. */
  names: string[];
  /** How many lie in the stack, where it is one. */
  items: number;
}

interface Wanted {
  thing: string;
  tool: { name: string; record: Draft; instrument: Instrument };
  of: MeasuredOfIt[];
  /** What the difference of two is called. */
  difference: string;
  /** Where its zero stands; null where that is looked at later, or there is none. */
  stands: ZeroStands | null;
}

/** Makes a sheet of its own for a thing, with its tool and, where it stands exactly, its zero. */
export function useBegin() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (wanted: Wanted) => {
      const { id: sheet } = await newSheet({ title: wanted.thing, date: today() });
      try {
        const { quantity, change } = await filled(sheet, wanted);
        await keepAnswer(queries, change);
        return { sheet, quantity };
      } catch (problem) {
        // Who tries again begins a new one.
        await client.DELETE("/api/sheets/{key}", { params: { path: { key: sheet } } });
        throw problem;
      }
    },
  });
}

const CLOSED = "outside";

/** What is to be measured, with what, put into an empty sheet. */
async function filled(sheet: string, wanted: Wanted) {
  const { tool, of, difference, stands } = wanted;
  const [instrument, check] = [newId(), newId()];
  const params = { path: { sheet } };
  const described = { ...tool.record, id: instrument, name: tool.name };
  let change = await body(
    client.POST("/api/sheets/{sheet}/instruments", { params, body: described }),
  );
  if (stands === "on") {
    const looked = { id: check, instrument, face: CLOSED, ...STANDS_ON_ZERO };
    change = await body(client.POST("/api/sheets/{sheet}/zero_checks", { params, body: looked }));
  }
  const made: string[] = [];
  for (const one of of) {
    const ids = one.names.map(newId);
    for (const fields of quantitiesOf(one, ids, wanted, instrument, stands === "on" ? check : null))
      change = await body(client.POST("/api/sheets/{sheet}/quantities", { params, body: fields }));
    made.push(...ids);
    const [a, b] = ids;
    if (one.measurand.count === 2) {
      const inputs = { a, b };
      const apart = { id: newId(), name: difference, formula: "a - b", inputs };
      const unit = tool.instrument.unit;
      change = await body(
        client.POST("/api/sheets/{sheet}/derived", { params, body: { ...apart, unit } }),
      );
    }
  }
  return { quantity: made[0] ?? "", change };
}

/** The quantities that a measurand takes, as they are described. */
function quantitiesOf(
  { measurand, names, items }: MeasuredOfIt,
  ids: string[],
  { thing, tool }: Wanted,
  instrument: string,
  check: string | null,
) {
  const { face, pairs, divide_by: divideBy } = measurand;
  // A tool without faces of its own is as if it had the usual ones.
  const on = tool.instrument.traits.circular ? "" : face || CLOSED;
  // The other faces of a slide have a zero of their own, or take this one over.
  const zero = check !== null && on === CLOSED && !pairs ? [check] : [];
  return ids.map((id, at) => ({
    ...{ id, name: names[at] ?? "", thing, instrument, face: on, items, zero },
    ...(pairs ? { pairs } : {}),
    ...(divideBy > 1 ? { divide_by: divideBy } : {}),
  }));
}
