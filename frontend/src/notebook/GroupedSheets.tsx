import { Button } from "antd";
import { useState } from "react";

import { say } from "../voice";
import type { Group, Order } from "./groups";
import { SheetCard } from "./SheetCard";

/** As many as are shown at once; more when they are asked for. */
const AT_ONCE = 40;

interface GroupedSheetsProps {
  groups: Group[];
  order: Order;
}

/** The sheets, under what the notebook is shown by. */
export function GroupedSheets({ groups, order }: GroupedSheetsProps) {
  const count = groups.reduce((sum, { sheets }) => sum + sheets.length, 0);
  if (order === "changed") return <Cards sheets={groups[0]?.sheets ?? []} />;
  return groups.map((group) => (
    <Folded key={`${order} ${group.name}`} {...{ group, order }} unfolded={count <= AT_ONCE} />
  ));
}

interface FoldedProps {
  group: Group;
  order: Exclude<Order, "changed">;
  /** Whether all fit on the page, so that none has to be unfolded. */
  unfolded: boolean;
}

/** The sheets of one group; of many groups they come when it is unfolded. */
function Folded({ group: { name, sheets }, order, unfolded }: FoldedProps) {
  const [turned, setTurned] = useState<boolean | null>(null);
  const open = turned ?? unfolded;
  return (
    <details className="notebook-group" open={open}>
      <summary
        onClick={(event) => {
          event.preventDefault();
          setTurned(!open);
        }}
      >
        <h2>{name || say(`notebook-unsaid-${order}`)}</h2>
        <span className="quiet">{say("notebook-group-count", { count: sheets.length })}</span>
      </summary>
      {open && <Cards sheets={sheets} />}
    </details>
  );
}

function Cards({ sheets }: Pick<Group, "sheets">) {
  const [most, setMost] = useState(AT_ONCE);
  const left = sheets.length - most;
  return (
    <>
      <ul className="notebook">
        {sheets.slice(0, most).map((sheet) => (
          <SheetCard key={sheet.id} sheet={sheet} />
        ))}
      </ul>
      {left > 0 && (
        <Button block className="notebook-more" onClick={() => setMost(Infinity)}>
          {say("notebook-more", { count: left })}
        </Button>
      )}
    </>
  );
}
