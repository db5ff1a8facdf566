import { useEffect, useState } from "react";

import { isTaken } from "../desk/useBenchKeys";
import { Dialog } from "../common/overlays";
import { say } from "../voice";

const KEYS = () =>
  [
    [say("app-six-three"), say("keys-record")],
    ["12-14", say("keys-several-lines")],
    ["↑ ↓", say("keys-step")],
    ["PgUp PgDn", say("keys-of-the-thing")],
    ["Esc", say("keys-empty")],
    [say("keys-undo-name"), say("app-undo-redo")],
    ["?", say("keys-help")],
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
  if (!open) return null;
  return (
    <Dialog title={say("app-keys")} onCancel={() => setOpen(false)}>
      <dl className="keys">
        {KEYS().map(([key, meaning]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{meaning}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
