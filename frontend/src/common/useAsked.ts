import { App } from "antd";
import { useCallback } from "react";

import { ApiError } from "../api";
import { say } from "../voice";

interface Asked {
  /** What the button is called that does it all the same. */
  okText: string;
  /** Does it though it is another window's, as `asks` of the refusal has it. */
  again: (command: string) => void;
  /** What comes of any other problem. */
  otherwise: (problem: unknown) => void;
}

/** What is another window's is named, and asked about, before it is done. */
export function useAsked(): (problem: unknown, asked: Asked) => void {
  const { modal } = App.useApp();
  return useCallback(
    (problem, { okText, again, otherwise }) => {
      if (!(problem instanceof ApiError) || !problem.asks) return otherwise(problem);
      void modal.confirm({
        title: problem.message,
        okText,
        cancelText: say("app-cancel"),
        focusable: { autoFocusButton: "cancel" },
        onOk: () => again(problem.asks),
      });
    },
    [modal],
  );
}
