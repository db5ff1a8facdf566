import type { Reading } from "../api";
import { say } from "../voice";

/** The looks of a pair as a small table: first and second position, a line for each window. */
export function Looks({ looks }: { looks: Reading["looks"] }) {
  const windows = [looks.slice(0, 2), looks.slice(2)].filter((window) => window.length > 0);
  return (
    <span className="looks" data-windows={windows.length}>
      {windows.map((window, at) => (
        <span key={at} role="group" aria-label={say("tally-window", { at: at + 1 })}>
          {windows.length > 1 && <small aria-hidden>{at + 1}</small>}
          {window.map((look, position) => (
            <span key={position} className="look-figures">
              <span className="part-main figures">{look.main}</span>
              <span className="part-fine figures">{look.line}</span>
            </span>
          ))}
        </span>
      ))}
    </span>
  );
}
