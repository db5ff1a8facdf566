import { App, Button } from "antd";

import { useRestore, useTrash } from "../api";
import { say } from "../voice";
import { useAsked } from "../common/useAsked";
import { useShowError } from "../common/useShowError";

interface TrashButtonProps {
  id: string;
  title: string;
  /** What comes after it is gone. */
  onGone?: () => void;
}

/** Puts a sheet into the trash, and offers to take that back. */
export function TrashButton({ id, title, onGone }: TrashButtonProps) {
  const trash = useTrash();
  const restore = useRestore();
  const { message } = App.useApp();
  const showError = useShowError();
  const ask = useAsked();
  function discard(command?: string) {
    trash.mutate(
      { id, ...(command ? { command } : {}) },
      {
        onSuccess: () => {
          onGone?.();
          const key = `trash ${id}`;
          const undo = () => restore.mutate(id, { onSettled: () => message.destroy(key) });
          void message.open({
            key,
            duration: 8,
            content: (
              <>
                {say("sheet-trashed", { title })}{" "}
                <Button type="link" onClick={undo}>
                  {say("sheet-undo")}
                </Button>
              </>
            ),
          });
        },
        onError: (problem) =>
          ask(problem, { okText: say("sheet-trash"), again: discard, otherwise: showError }),
      },
    );
  }
  return (
    <Button type="text" className="discard" onClick={() => discard()}>
      {say("sheet-trash")}
    </Button>
  );
}
