import { App } from "antd";
import { useCallback } from "react";

import { say } from "../voice";

/** Says why something could not be done: the one place for what no form says beside its fields. */
export function useShowError(): (problem: unknown) => void {
  const { message } = App.useApp();
  return useCallback(
    (problem) =>
      void message.error(problem instanceof Error ? problem.message : say("could-not-be-saved")),
    [message],
  );
}
