import { useEffect, useRef } from "react";

import type { Sheet } from "../api";
import { useStepping } from "../common/useStepping";

interface Options {
  sheet: Sheet;
  /** Whether digits typed anywhere go into the equation. */
  enabled: boolean;
  begin: (text: string) => void;
  /** Keeps what is entered. */
  enter: () => void;
}

/** Whether a key belongs to a text that is being typed, or to something that is open on top. */
export function isTaken(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  const typing = target.closest("input, textarea, select, [contenteditable='true']");
  return typing !== null || target.closest("[role='dialog']") !== null;
}

/** Digits anywhere begin a reading; Ctrl+Z and Ctrl+Y undo and redo. Text fields are left alone. */
export function useBenchKeys(options: Options): void {
  const latest = useRef(options);
  const stepping = useStepping(options.sheet.id);
  const step = useRef(stepping);
  useEffect(() => {
    latest.current = options;
    step.current = stepping;
  });
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      const { sheet, enabled, begin, enter } = latest.current;
      if (isTaken(event.target) && !isEmptyBlank(event.target)) return;
      const key = event.key.toLowerCase();
      if ((event.ctrlKey || event.metaKey) && (key === "z" || key === "y")) {
        const redo = key === "y" || event.shiftKey;
        if (redo ? sheet.redo === null : sheet.undo === null) return;
        event.preventDefault();
        step.current(redo ? "redo" : "undo");
        return;
      }
      // Wherever the cursor was lost, what stands in the equation is kept.
      if (event.key === "Enter" && event.target === document.body) enter();
      if (!enabled || event.ctrlKey || event.metaKey || event.altKey || isTaken(event.target))
        return;
      if (/^[0-9-]$/.test(event.key)) {
        event.preventDefault();
        begin(event.key);
      }
    }
    window.addEventListener("keydown", onKey);
    return () => {
      window.removeEventListener("keydown", onKey);
    };
  }, []);
}

/** A blank of the equation with nothing in it: there is no text of its own to undo. */
export function isEmptyBlank(target: EventTarget | null): boolean {
  return target instanceof HTMLInputElement && target.className === "blank" && target.value === "";
}
