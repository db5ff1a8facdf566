import { createContext, useContext, useMemo, useState, type ReactNode } from "react";

import type { Quantity, Schemas, Sheet } from "../api";
import { useStanding } from "./queries";

export type Do = Schemas["Standing"]["may"][number];
/** What is done by a button of its own name. */
export type ButtonAct = Exclude<Do, "take" | "place" | "move" | "read" | "zero">;
export type Standing = Schemas["Standing"];

/** The simulated bench that a quantity is measured at. */
export interface AtBench {
  standing: Standing | undefined;
  /** Why the last act does not go; empty where it did. */
  refused: string;
  /** Does something at the bench. */
  does: (act: string) => void;
  /** Drags to a position; of one drag only the last place counts. */
  drags: (to: number) => void;
  /** Notes that the look is written down; what was done until then, and where. */
  written: (act: "read" | "zero") => Schemas["Done"] & { place: string | null };
}

const Bench = createContext<AtBench | null>(null);

/** The bench at hand; null with a tool of metal. */
export const useAtBench = () => useContext(Bench);

const keptUnder = (sheet: string) => `metrion-bench-${sheet}`;

/** Beyond so many characters a bench is left, and the tool taken up afresh. */
const FULL = 18_000;

/** What was done so far, with the tool of this quantity in the hand. */
function begun(sheet: Sheet, quantity: Quantity): string {
  const last = quantity.readings.at(-1)?.simulated;
  const log = sessionStorage.getItem(keptUnder(sheet.id)) ?? (last || sheet.simulated);
  const take = `take:${quantity.instrument.replace("bench-", "")}`;
  if (log.length > FULL) return `${sheet.simulated} ${take}`;
  const taken = log.split(" ").findLast((act) => act.startsWith("take:"));
  return taken === take ? log : `${log} ${take}`;
}

interface Props {
  sheet: Sheet;
  quantity: Quantity;
  children: ReactNode;
}

/** Stands a simulated bench beside everything within. */
export function BenchProvider({ sheet, quantity, children }: Props) {
  const [log, setLog] = useState(() => begun(sheet, quantity));
  const [held, setHeld] = useState(log);
  const { data: standing, error } = useStanding(log);
  const bench = useMemo<AtBench>(() => {
    const keep = (next: string) => {
      sessionStorage.setItem(keptUnder(sheet.id), next);
      setLog(next);
      return next;
    };
    // What was refused is as if it had not been tried.
    const good = error ? held : log;
    return {
      standing,
      refused: error?.message ?? "",
      does: (act) => {
        setHeld(good);
        keep(`${good} ${act}`);
      },
      drags: (to) => {
        setHeld(good);
        keep(`${good.replace(/ move:\S+$/, "")} move:${to.toFixed(5)}`);
      },
      written: (act) => ({
        // Where nothing could be read, nothing was.
        simulated: standing?.may.includes(act) ? keep(`${good} ${act}`) : "",
        place: standing?.places.find(({ key }) => key === standing.place)?.name ?? null,
      }),
    };
  }, [sheet.id, log, held, standing, error]);
  return <Bench value={bench}>{children}</Bench>;
}
