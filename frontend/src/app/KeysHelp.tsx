import { useEffect, useState } from "react";

import { isTaken } from "../desk/useBenchKeys";
import { Dialog } from "../common/overlays";
import { say } from "../voice";

const KEYS = () =>
  [
    [say("app-six-three"), say("app-records-a-reading-main-6-line")],
    ["12-14", say("app-several-lines-seem-to-meet-takes")],
    ["↑ ↓", say("app-in-a-blank-or-on-the")],
    ["Esc", say("app-empties-the-equation")],
    [say("app-ctrl-z-ctrl-y"), say("app-undo-redo")],
    ["?", say("app-shows-these-keys")],
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
