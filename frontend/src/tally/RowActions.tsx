import { MoreOutlined } from "@ant-design/icons";
import { Button, Popover } from "antd";
import { useState } from "react";

import type { Reading } from "../api";
import type { LookActions } from "./SecondLook";
import { SetAside } from "./SetAside";
import { say } from "../voice";
import { DRAWN } from "../app/icons";

interface Props {
  reading: Reading;
  index: number;
  actions: LookActions;
}

/** What can be done with a row: look, change, set aside or count again. */
export function RowActions({ reading, index, actions }: Props) {
  const [open, setOpen] = useState(false);
  const then = (act: () => void) => () => {
    setOpen(false);
    act();
  };
  const menu = (
    <div className="row-menu">
      <Button type="text" onClick={then(() => actions.show(reading))}>
        {say("tally-show-it-on-the-scales")}
      </Button>
      <Button type="text" onClick={then(() => actions.lookAgain(reading))}>
        {say("tally-look-again")}
      </Button>
      <Button type="text" onClick={then(() => actions.change(reading))}>
        {say("tally-change-its-figures")}
      </Button>
      {reading.excluded ? (
        <Button type="text" onClick={then(() => actions.countAgain(reading))}>
          {say("tally-count-it-again")}
        </Button>
      ) : (
        <SetAside
          onReason={(reason) => {
            setOpen(false);
            actions.setAside(reading, reason);
          }}
        >
          <Button type="text">{say("tally-set-aside")}</Button>
        </SetAside>
      )}
    </div>
  );
  return (
    <Popover content={menu} trigger="click" open={open} onOpenChange={setOpen} placement="left">
      <Button
        type="text"
        icon={<MoreOutlined {...DRAWN} />}
        aria-label={say("tally-actions-for-reading", { at: index + 1 })}
      />
    </Popover>
  );
}
