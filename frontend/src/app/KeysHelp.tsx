import { Modal } from "antd";
import { useEffect, useState } from "react";

import { isTaken } from "../desk/useBenchKeys";

const KEYS = [
  ["6 space 3 Enter", "records a reading: main 6, line 3; type it anywhere on a quantity"],
  ["12-14", "several lines seem to meet: takes the middle one"],
  ["↑ ↓", "in a blank or on the scales: one mark or one line; with Shift, ten"],
  ["Esc", "empties the equation"],
  ["Ctrl+Z, Ctrl+Y", "undo, redo"],
  ["?", "shows these keys"],
] as const;

/** The keys, on `?`. */
export function KeysHelp() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      if (event.key !== "?") return;
      const blank = event.target instanceof HTMLElement && event.target.className === "blank";
      if (isTaken(event.target) && !blank) return;
      event.preventDefault();
      setOpen(true);
    }
    window.addEventListener("keydown", onKey);
    return () => {
      window.removeEventListener("keydown", onKey);
    };
  }, []);
  return (
    <Modal title="Keys" open={open} onCancel={() => setOpen(false)} footer={null}>
      <dl className="keys">
        {KEYS.map(([key, meaning]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{meaning}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
