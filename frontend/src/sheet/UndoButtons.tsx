import { RedoOutlined, UndoOutlined } from "@ant-design/icons";
import { Button, Tooltip } from "antd";

import type { Sheet } from "../api";
import { goOn } from "../common/hand";
import { say } from "../voice";
import { DRAWN } from "../common/icons";
import { useStepping } from "../common/useStepping";

/** Undo, and redo where something was undone; each says what it would do. */
export function UndoButtons({ sheet }: { sheet: Sheet }) {
  const step = useStepping(sheet.id);
  const act = (direction: "undo" | "redo") => () => step(direction, () => goOn());
  return (
    <span className="undo">
      <Tooltip title={sheet.undo && say("sheet-undo-what", { undo: sheet.undo })}>
        <Button
          type="text"
          icon={<UndoOutlined {...DRAWN} />}
          aria-label={say("sheet-undo")}
          disabled={sheet.undo === null}
          onClick={act("undo")}
        >
          <span className="undo-word">{say("sheet-undo")}</span>
        </Button>
      </Tooltip>
      {sheet.redo !== null && (
        <Tooltip title={say("sheet-redo-what", { redo: sheet.redo })}>
          <Button
            type="text"
            icon={<RedoOutlined {...DRAWN} />}
            aria-label={say("sheet-redo")}
            onClick={act("redo")}
          >
            <span className="undo-word">{say("sheet-redo")}</span>
          </Button>
        </Tooltip>
      )}
    </span>
  );
}
