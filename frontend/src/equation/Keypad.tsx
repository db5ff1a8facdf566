import { Button } from "antd";
import type { ReactNode } from "react";

import type { Key } from "./Equation";
import { figure, say } from "../voice";

export interface KeypadProps {
  /** What the entry comes to, corrected, with its unit; empty while it is not complete. */
  corrected: string;
  /** The figure that was recorded last, with its unit; empty before the first. */
  kept: string;
  recordable: boolean;
  /** Whether it writes degrees and minutes. */
  angular?: boolean;
  /** Whether there is but one blank. */
  single?: boolean;
  /** What could be meant by a figure in question: asked here, where the thumb and the eye are. */
  offers?: ReactNode;
  /** What a reading was taken up again for. */
  task?: ReactNode;
  /** What is asked about the reading before, in the place of its figure. */
  question?: ReactNode;
  /** What the big key does. */
  act: string;
  onKey: (key: Key) => void;
  onRecord: () => void;
}

const KEYS: Key[] = ["7", "8", "9", "back", "4", "5", "6", "next", "1", "2", "3"];
const NAMES = (): Partial<Record<Key, string>> => ({
  back: say("equation-erase"),
  next: say("equation-next-blank"),
  "-": say("equation-minus"),
  ":": say("equation-degrees-hint"),
});

/** Figures for one thumb: the corrected reading docked above, Record below. */
export function Keypad({
  corrected,
  kept,
  recordable,
  angular,
  single,
  offers,
  task,
  question,
  act,
  onKey,
  onRecord,
}: KeypadProps) {
  // On a circle nothing lies below zero, and minutes follow the degrees.
  const keys: Key[] = [...KEYS, angular ? ":" : "-", "0", "."];
  const face = (key: Key) =>
    ({ back: "⌫", next: say("equation-next"), "-": "−", ":": "°", ".": figure("0.0").charAt(1) })[
      key as string
    ] ?? key;
  return (
    <div
      className="keypad"
      role="group"
      aria-label={say("equation-key-pad")}
      // The blank that is being filled keeps the cursor.
      onPointerDown={(event) => event.preventDefault()}
    >
      <div className="keypad-dock">
        <div className="keypad-offers">{offers}</div>
        {task && <p className="keypad-task">{task}</p>}
        {question || (
          <output className="keypad-corrected part-result">
            {corrected || (kept ? say("equation-kept", { kept }) : "…")}
          </output>
        )}
      </div>
      {keys.map((key) => (
        <Button
          key={key}
          aria-label={NAMES()[key] ?? key}
          disabled={single === true && key === "next"}
          onClick={() => onKey(key)}
        >
          {face(key)}
        </Button>
      ))}
      <Button
        type="primary"
        className="keypad-record"
        aria-label={say("equation-record-touch")}
        disabled={!recordable}
        onClick={onRecord}
      >
        {act}
      </Button>
    </div>
  );
}
