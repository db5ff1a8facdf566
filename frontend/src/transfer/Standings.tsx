import { Select } from "antd";

import type { Arrival, Decision } from "../api";
import { say } from "../voice";
import { LABELS, standing, STANDINGS, type Standing } from "./standing";

interface Props {
  arrivals: Arrival[];
  decisions: Decision[];
  onDecide: (standing: Standing, decision: Decision) => void;
}

/** How many files stand how to what is here, and what to do with all of them that stand alike. */
export function Standings({ arrivals, decisions, onDecide }: Props) {
  const told = STANDINGS();
  const standings = Object.keys(told) as Standing[];
  return (
    <ul className="standings">
      {standings.map((each) => {
        const alike = arrivals.filter((one) => standing(one) === each);
        const possible = (["skip", "new", "replace"] as const).filter((one) =>
          alike.every((arrival) => arrival.possible.includes(one)),
        );
        const chosen = new Set(decisions.filter((_, at) => alike.some((a) => a === arrivals[at])));
        const [one, ...others] = chosen;
        if (alike.length === 0) return null;
        return (
          <li key={each}>
            <strong>{alike.length}</strong> {told[each]}
            {alike.length > 1 && possible.length > 1 && (
              <Select<Decision>
                aria-label={say("transfer-choice-all", { standing: told[each] })}
                placeholder={say("transfer-each-by-itself")}
                {...(others.length === 0 && one ? { value: one } : {})}
                options={possible.map((value) => ({ value, label: LABELS()[value] }))}
                onChange={(decision) => onDecide(each, decision)}
              />
            )}
          </li>
        );
      })}
    </ul>
  );
}
