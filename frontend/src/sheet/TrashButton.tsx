import { App, Button } from "antd";

import { useRestore, useTrash } from "../api";
import { say } from "../voice";
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
  function discard() {
    trash.mutate(id, {
      onSuccess: () => {
        onGone?.();
        const key = `trash ${id}`;
        const undo = () => restore.mutate(id, { onSettled: () => message.destroy(key) });
        void message.open({
          key,
          duration: 8,
          content: (
            <>
              {say("sheet-is-in-the-trash", { title })}{" "}
              <Button type="link" onClick={undo}>
                {say("sheet-undo")}
              </Button>
            </>
          ),
        });
      },
      onError: showError,
    });
  }
  return (
    <Button type="text" className="discard" onClick={discard}>
      {say("sheet-trash")}
    </Button>
  );
}
