import { App } from "antd";
import { Link } from "react-router";

import { ApiError, useRemove, type Section, type Seen, type Sheet, type Use } from "../api";
import { say } from "../voice";
import { useShowError } from "./useShowError";

/** Where an entry of a sheet is seen. */
const placeOf = (sheet: string, { section, id }: Use) =>
  section === "measurements"
    ? `/sheets/${sheet}/quantities/${encodeURIComponent(id)}`
    : `/sheets/${sheet}#${encodeURIComponent(id)}`;

/** Removes an entry; what still uses it is named, and a tap leads there. Undo brings it back. */
export function useRemoval(sheet: Sheet) {
  const { message, modal } = App.useApp();
  const showError = useShowError();
  const remove = useRemove(sheet.id);
  function refused(problem: Error) {
    const uses = problem instanceof ApiError ? problem.uses : [];
    if (uses.length === 0) return showError(problem);
    const shown = modal.warning({
      title: problem.message,
      icon: null,
      content: (
        <ul className="uses">
          {uses.map((use) => (
            <li key={`${use.section} ${use.id}`}>
              <Link to={placeOf(sheet.id, use)} onClick={() => shown.destroy()}>
                {use.name}
              </Link>
            </li>
          ))}
        </ul>
      ),
    });
  }
  return (section: Section, seen: Seen) =>
    remove.mutate(
      { section, seen },
      {
        onSuccess: () => void message.success(say("sheet-removed")),
        onError: refused,
      },
    );
}
