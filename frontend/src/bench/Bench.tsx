import { Button } from "antd";

import type { Quantity, Sheet } from "../api";
import { figure, say } from "../voice";
import { useAtBench, type AtBench, type ButtonAct, type Do, type Standing } from "./AtBench";
import "./bench.css";
import { BenchScales } from "./BenchScales";
import { useDataButton } from "./queries";
import { Reveal } from "./Reveal";
import { useShowError } from "../common/useShowError";

interface Props {
  sheet: Sheet;
  quantity: Quantity;
}

/** The bench: a tool to be worked by hand, what can be done with it, and what it says. */
export function Bench({ sheet, quantity }: Props) {
  const bench = useAtBench();
  if (!bench?.standing) return null;
  const { standing, refused } = bench;
  return (
    <div className="bench" data-tool={standing.tool}>
      <BenchScales {...{ standing }} onMove={bench.drags} />
      <Acts bench={bench} standing={standing} quantity={quantity}>
        {standing.tool === "display" && <Data {...{ bench, sheet, quantity, standing }} />}
        <Reveal sheet={sheet.id} quantity={quantity} />
      </Acts>
      <p className="bench-says" role="status">
        {refused || standing.remark || standing.care[0]}
      </p>
    </div>
  );
}

/** What is done besides placing, in the order of the hand: before it, and after. */
const BEFORE: ButtonAct[] = ["wipe", "open"];
const AFTER: ButtonAct[] = ["turn", "close", "force", "ease", "lock", "unlock", "lift"];

interface ActsProps {
  bench: AtBench;
  standing: Standing;
  quantity: Quantity;
  children: React.ReactNode;
}

/** What the hand can do, in its order; what does not go now stays in its place, greyed. */
function Acts({ bench, standing, quantity, children }: ActsProps) {
  const { places, place, may } = standing;
  return (
    <div className="bench-acts" role="group" aria-label={say("bench-hand")}>
      <Buttons acts={BEFORE} {...{ bench, standing }} />
      <span className="bench-places" role="group" aria-label={say("bench-where")}>
        {places.map(({ key, name }) => (
          <Button
            key={key}
            disabled={!may.includes("place")}
            aria-pressed={place === key}
            onClick={() => bench.does(`place:${quantity.simulated}/${key}`)}
          >
            {name}
          </Button>
        ))}
      </span>
      <Buttons acts={AFTER} {...{ bench, standing }} />
      {children}
    </div>
  );
}

function Buttons(props: { acts: ButtonAct[]; bench: AtBench; standing: Standing }) {
  const { tool, may } = props.standing;
  const here = props.acts.filter((act) => !NEVER[tool]?.includes(act));
  // Of lock and unlock there is the one that goes.
  const other = may.includes("unlock") ? "lock" : "unlock";
  return here
    .filter((act) => act !== other)
    .map((act) => (
      <Button key={act} disabled={!may.includes(act)} onClick={() => props.bench.does(act)}>
        {say(`bench-act-${act}`, { tool })}
      </Button>
    ));
}

/** What cannot be done with a tool at all. */
const NEVER: Record<string, Do[]> = {
  circle: ["wipe", "turn", "force", "open"],
  display: ["lift"],
};

/** The data button of a display: what it shows goes through the door for devices. */
function Data({ bench, sheet, quantity, standing }: Props & Omit<ActsProps, "children">) {
  const showError = useShowError();
  const data = useDataButton(sheet.id, quantity.id);
  const send = () =>
    data.mutate(
      { shown: shownBy(standing), simulated: bench.written("read").simulated },
      { onError: showError },
    );
  return (
    <Button disabled={!standing.may.includes("read")} onClick={send}>
      {say("bench-data")}
    </Button>
  );
}

/** The digits of a display. */
const shownBy = ({ instrument, position }: Standing) =>
  figure(position.toFixed(instrument.least_count.split(".")[1]?.length ?? 0));
