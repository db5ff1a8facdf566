import type { Reading } from "../api";
import { say } from "../voice";

/** How a reading was taken and what was remarked on it, below its row. */
export function NotedRow({ reading }: { reading: Reading }) {
  const { approach, reader, note } = reading;
  const noted = [
    approach === "opening" && say("approached-opening"),
    approach === "closing" && say("approached-closing"),
    reader && say("read-by", { reader }),
    note,
  ].filter(Boolean);
  if (noted.length === 0) return null;
  return (
    <tr className="noted">
      <td />
      <td colSpan={7}>{noted.join(" · ")}</td>
    </tr>
  );
}
