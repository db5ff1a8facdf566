import type { KeyboardEvent, RefObject } from "react";

import type { Instrument } from "../api";
import type { Desk } from "../entry/useDesk";

type Blank = "main" | "fine";

interface Keyed {
  desk: Desk;
  instrument: Instrument;
  onEnter: () => void;
  /** Leaves a reading that was taken up again, as it is. */
  onLeave: (() => void) | undefined;
  main: RefObject<HTMLInputElement | null>;
  fine: RefObject<HTMLInputElement | null>;
}

/** What the keys do in the two blanks: arrows move the scales, space goes on, Enter records. */
export function useBlankKeys(keyed: Keyed) {
  const { desk, instrument, onEnter, onLeave, main, fine } = keyed;
  const { entry, answer } = desk;
  function move(blank: Blank, marks: number) {
    const { division, least_count } = instrument.lines;
    const from = answer?.position ?? 0;
    const width = blank === "main" ? division : least_count;
    desk.move(from + marks * width);
    desk.release();
  }
  return function keys(blank: Blank) {
    return (event: KeyboardEvent<HTMLInputElement>) => {
      const many = event.shiftKey ? 10 : 1;
      if (event.key === "ArrowUp" || event.key === "ArrowDown") {
        event.preventDefault();
        move(blank, event.key === "ArrowUp" ? many : -many);
      } else if (blank === "main" && (event.key === " " || event.key === "+")) {
        event.preventDefault();
        fine.current?.focus();
        fine.current?.select();
      } else if (blank === "fine" && entry.fine === "" && /^[a-zµ"]$/i.test(event.key)) {
        // After a space a unit follows: it belongs to the figure before it.
        if (event.ctrlKey || event.metaKey || event.altKey || entry.main.trim() === "") return;
        event.preventDefault();
        desk.type({ main: `${entry.main.trim()} ${event.key}` });
        main.current?.focus();
      } else if (blank === "fine" && event.key === " " && entry.fine === "") {
        event.preventDefault();
      } else if (event.key === "Enter") {
        event.preventDefault();
        if (blank === "main" && entry.fine.trim() === "" && fine.current) {
          fine.current.focus();
          desk.split();
        } else onEnter();
      } else if (event.key === "Escape") {
        desk.clear();
        main.current?.focus();
        onLeave?.();
      } else if (event.key === "Backspace" && blank === "fine" && entry.fine === "") {
        main.current?.focus();
      }
    };
  };
}
