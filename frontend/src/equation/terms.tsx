import type { ReactNode } from "react";

import type { FineAs, Instrument, MainAs } from "../api";
import type { Desk } from "../entry/useDesk";
import { MenuOfActs } from "../common/overlays";
import { say } from "../voice";

/** On a sleeve with a mark at every second turn: which turn is it? */
export function SecondTurn({ desk, pitch }: { desk: Desk; pitch: string }) {
  return (
    <Term label={say("equation-second-turn")} part="main">
      <label className="second-turn">
        <input
          type="checkbox"
          checked={desk.entry.secondTurn ?? false}
          onChange={(event) => desk.type({ secondTurn: event.target.checked })}
        />
        + {pitch}
      </label>
    </Term>
  );
}

interface TermProps {
  label: ReactNode;
  part: "main" | "fine" | "read" | "zero" | "result";
  /** Whether something is wrong with it: what, is said under the line. */
  faulty?: boolean;
  aside?: boolean | undefined;
  children: ReactNode;
}

/** One figure of the line with its label. */
export function Term({ label, part, faulty = false, aside, children }: TermProps) {
  return (
    <div className={`term part-${part}`} data-faulty={faulty} data-aside={aside}>
      <span className="term-label">{label}</span>
      <span className="term-body">{children}</span>
    </div>
  );
}

interface StandsProps<As extends FineAs | MainAs> {
  /** What it says now. */
  children: string;
  now: As;
  choices: readonly As[];
  onChoose: (as: As) => void;
}

/** What the figures of a blank stand for on this tool: seen over the blank, and changed there. */
export function StandsFor<As extends FineAs | MainAs>({ children, ...props }: StandsProps<As>) {
  const { now, choices, onChoose } = props;
  return (
    <MenuOfActs
      acts={choices.map((one) => ({
        key: one,
        label: say(`figures-as-${one}`),
        disabled: one === now,
        onClick: () => onChoose(one),
      }))}
    >
      <button type="button" className="stands-for" title={say("equation-stands-for")}>
        {children} <span aria-hidden>▾</span>
      </button>
    </MenuOfActs>
  );
}

/** A sign of arithmetic between two figures. */
export function Sign({ children }: { children: string }) {
  return <span className="sign">{children}</span>;
}

interface FactorProps {
  fineAs: FineAs;
  instrument: Instrument;
  worth: string;
  /** Whether the figure that was typed is the number of the line. */
  asTyped: boolean;
}

/** What the figure in the fine blank is worth, or is multiplied by. */
export function FineFactor({ fineAs, instrument, worth, asTyped }: FactorProps) {
  const unit = instrument.unit_text;
  if (fineAs === "worth") return <span>{unit}</span>;
  if (fineAs === "numeral")
    return (
      <span>
        = {worth || "…"} {unit}
      </span>
    );
  if (asTyped && (instrument.pattern === "direct" || instrument.pattern === "screw"))
    return <span>{`× ${instrument.least_count_text}`}</span>;
  return (
    <span>
      → {worth || "…"} {unit}
    </span>
  );
}
