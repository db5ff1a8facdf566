import { Button } from "antd";

import { useChosen } from "../app/settings";
import type { Key } from "./Equation";

interface Props {
  /** What the entry comes to, corrected, with its unit; empty while it is not complete. */
  corrected: string;
  /** The figure that was recorded last, with its unit; empty before the first. */
  kept: string;
  recordable: boolean;
  /** What the big key does. */
  act: string;
  onKey: (key: Key) => void;
  onRecord: () => void;
}

const ROWS: Key[][] = [
  ["7", "8", "9", "back"],
  ["4", "5", "6", "next"],
  ["1", "2", "3"],
  ["-", "0", "."],
];
const NAMES: Partial<Record<Key, string>> = { back: "Erase", next: "Next blank", "-": "minus" };

/** Figures for one thumb: the corrected reading docked above, Record below. */
export function Keypad({ corrected, kept, recordable, act, onKey, onRecord }: Props) {
  const { decimalSign } = useChosen();
  const face = (key: Key) =>
    ({ back: "⌫", next: "next", "-": "−", ".": decimalSign === "comma" ? "," : "." })[
      key as string
    ] ?? key;
  return (
    <div
      className="keypad"
      role="group"
      aria-label="key pad"
      // The blank that is being filled keeps the cursor.
      onPointerDown={(event) => event.preventDefault()}
    >
      <output className="keypad-corrected part-result">
        {corrected || (kept ? `kept ${kept}` : "…")}
      </output>
      {ROWS.flat().map((key) => (
        <Button key={key} aria-label={NAMES[key] ?? key} onClick={() => onKey(key)}>
          {face(key)}
        </Button>
      ))}
      <Button
        type="primary"
        className="keypad-record"
        aria-label="Record by thumb"
        disabled={!recordable}
        onClick={onRecord}
      >
        {act}
      </Button>
    </div>
  );
}
