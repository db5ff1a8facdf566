import { useCallback } from "react";

import { useUndo, type StepAsked } from "../api";
import { say } from "../voice";
import { useAsked } from "./useAsked";
import { useShowError } from "./useShowError";

/** Undoes and redoes; asks first where the step is another window's. */
export function useStepping(sheet: string) {
  const { mutate } = useUndo(sheet);
  const ask = useAsked();
  const showError = useShowError();
  return useCallback(
    (direction: StepAsked["direction"], onSettled?: () => void) => {
      const step = (command?: string) =>
        mutate(
          { direction, ...(command ? { command } : {}) },
          {
            onError: (problem) =>
              ask(problem, {
                okText: direction === "undo" ? say("sheet-undo") : say("sheet-redo"),
                again: step,
                otherwise: showError,
              }),
            ...(onSettled ? { onSettled } : {}),
          },
        );
      step();
    },
    [mutate, ask, showError],
  );
}
