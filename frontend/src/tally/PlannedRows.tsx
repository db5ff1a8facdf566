import type { Quantity } from "../api";
import type { Waiting } from "../outbox/outbox";
import { say } from "../voice";
import { placeOf, plannedRows, wordsOf } from "./planned";

interface Props {
  plan: Quantity["plan"];
  waiting: Waiting[];
}

/** As many as are shown one by one. */
const AT_ONCE = 8;

/** What is planned and not read yet, as empty rows; then the looks at the zero that are missing. */
export function PlannedRows({ plan, waiting }: Props) {
  if (!plan) return null;
  const rows = plannedRows(plan, waiting.map(placeOf));
  const more = rows.length - AT_ONCE;
  return (
    <>
      {rows.slice(0, AT_ONCE).map((row, index) => (
        <tr key={`${row.place} ${row.nth}`} className="planned" data-next={index === 0}>
          <td />
          <td>{row.place}</td>
          <td colSpan={6}>{wordsOf(row)}</td>
        </tr>
      ))}
      {more > 0 && (
        <tr className="planned">
          <td />
          <td colSpan={7}>{say("plan-more", { count: more })}</td>
        </tr>
      )}
      {plan.zero_left.map((phase) => (
        <tr key={phase} className="planned">
          <td />
          <td colSpan={7}>{say(`plan-look-${phase}`)}</td>
        </tr>
      ))}
    </>
  );
}
