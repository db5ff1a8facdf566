import { RedoOutlined, UndoOutlined } from "@ant-design/icons";
import { App, Button, Tooltip } from "antd";

import { useUndo, type Sheet } from "../api";

/** Undo and redo, each saying what it would do. */
export function UndoButtons({ sheet }: { sheet: Sheet }) {
  const { message } = App.useApp();
  const undo = useUndo(sheet.id);
  const act = (direction: "undo" | "redo") => () =>
    undo.mutate(direction, { onError: (problem) => void message.error(problem.message) });
  return (
    <span className="undo">
      <Tooltip title={sheet.undo && `Undo: ${sheet.undo} (Ctrl+Z)`}>
        <Button
          type="text"
          icon={<UndoOutlined />}
          aria-label="Undo"
          disabled={sheet.undo === null}
          onClick={act("undo")}
        />
      </Tooltip>
      <Tooltip title={sheet.redo && `Redo: ${sheet.redo} (Ctrl+Y)`}>
        <Button
          type="text"
          icon={<RedoOutlined />}
          aria-label="Redo"
          disabled={sheet.redo === null}
          onClick={act("redo")}
        />
      </Tooltip>
    </span>
  );
}
