import { useEffect, useState } from "react";

import type { Description } from "../api";

type Step = Description["slide"][number];

const STEP_MILLISECONDS = 1100;

export interface LineAfterLine {
  slide: Step[];
  /** What is shown; null where the scales stand elsewhere. */
  shown: Step | null;
  at: number;
  running: boolean;
  /** Goes on by itself, or stays. */
  run: (running: boolean) => void;
  /** Stays at a step. */
  show: (step: number) => void;
  /** The scales were taken elsewhere. */
  leave: () => void;
}

/** The scales in slow motion: one least count after the other, line after line. */
export function useLineAfterLine(
  slide: Step[],
  begin: { step: number; running?: boolean },
): LineAfterLine {
  const [at, setAt] = useState<number | null>(begin.step);
  const [running, setRunning] = useState(begin.running ?? false);
  useEffect(() => {
    if (!running) return undefined;
    const clock = setInterval(() => {
      setAt((now) => ((now ?? -1) + 1) % Math.max(slide.length, 1));
    }, STEP_MILLISECONDS);
    return () => {
      clearInterval(clock);
    };
  }, [running, slide.length]);
  const stay = (step: number | null) => {
    setRunning(false);
    setAt(step);
  };
  return {
    slide,
    shown: at === null ? null : (slide[at] ?? null),
    at: at ?? 0,
    running,
    run: (wanted) => {
      setAt((now) => now ?? 0);
      setRunning(wanted);
    },
    show: stay,
    leave: () => stay(null),
  };
}
