import { App } from "antd";

import { useRemove, type Section, type Seen, type Sheet } from "../api";
import { say } from "../voice";

/** Removes an entry; what still refers to it is told, and undo brings it back. */
export function useRemoval(sheet: Sheet) {
  const { message } = App.useApp();
  const remove = useRemove(sheet.id);
  return (section: Section, seen: Seen) =>
    remove.mutate(
      { section, seen },
      {
        onSuccess: () => void message.success(say("sheet-removed-undo-brings-it-back")),
        onError: (problem) => void message.error(problem.message),
      },
    );
}
