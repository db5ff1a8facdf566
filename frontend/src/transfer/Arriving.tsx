import { Select } from "antd";

import type { Arrival, Decision } from "../api";
import { titleOf, whose } from "../common/whose";
import { say } from "../voice";
import { Faults } from "./Faults";
import { LABELS, standingOf } from "./standing";

const holds = ({ quantities, readings }: Pick<Arrival, "quantities" | "readings">) =>
  [
    say("counted-quantities", { count: quantities }),
    say("counted-readings", { count: readings }),
  ].join(", ");

interface Props {
  arrival: Arrival;
  decision: Decision;
  /** Whether it is the only one. */
  alone: boolean;
  onDecide: (decision: Decision) => void;
}

/** One logbook that arrived: whose it is, how it stands to what is here, and what to do with it. */
export function Arriving({ arrival, decision, alone, onDecide }: Props) {
  const { here, faults, possible } = arrival;
  const readable = arrival.standing !== "faulty" && arrival.standing !== "other";
  return (
    <article className="arrival">
      <h3>{readable ? titleOf(arrival) : arrival.file}</h3>
      {readable && <span className="arrival-whose">{whose(arrival, arrival.file)}</span>}
      {faults.length === 0 && (
        <span className="quiet">
          {readable && `${holds(arrival)}; `}
          {standingOf(arrival)}
        </span>
      )}
      {possible.length > 1 && (
        <Select<Decision>
          aria-label={say("transfer-choice", { title: arrival.title })}
          value={decision}
          options={possible.map((value) => ({ value, label: LABELS()[value] }))}
          onChange={onDecide}
        />
      )}
      {here && decision === "replace" && (
        <p className="arrival-goes">
          {say("transfer-what-would-go", {
            sheet: [titleOf(here), whose(here)].filter(Boolean).join(" · "),
            holds: holds(here),
          })}
        </p>
      )}
      {faults.length > 0 && <Faults faults={faults} left={!alone} />}
    </article>
  );
}
