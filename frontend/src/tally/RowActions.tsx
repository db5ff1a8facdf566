import { MoreOutlined } from "@ant-design/icons";
import { Button } from "antd";
import { useState } from "react";

import type { Reading } from "../api";
import type { LookActions } from "./SecondLook";
import { ReasonForm } from "./SetAside";
import { Bubble, MenuOfActs } from "../common/overlays";
import { say } from "../voice";
import { DRAWN } from "../common/icons";

interface Props {
  reading: Reading;
  index: number;
  actions: LookActions;
  /** Whether there are scales to photograph. */
  fine: boolean;
}

/** What can be done with a row: look, photograph, change, set aside or count again. */
export function RowActions({ reading, index, actions, fine }: Props) {
  const [asking, setAsking] = useState(false);
  const items = [
    {
      key: "show",
      label: say("tally-show"),
      onClick: () => actions.show(reading),
    },
    { key: "again", label: say("remedy-look-again"), onClick: () => actions.lookAgain(reading) },
    {
      key: "change",
      label: say("tally-change"),
      onClick: () => actions.change(reading),
    },
    ...(fine
      ? [
          {
            key: "photograph",
            label: say("tally-photograph-it"),
            onClick: () => actions.photograph(reading),
          },
        ]
      : []),
    reading.excluded
      ? {
          key: "count",
          label: say("tally-count"),
          onClick: () => actions.countAgain(reading),
        }
      : { key: "aside", label: say("remedy-set-aside"), onClick: () => setAsking(true) },
  ];
  const reason = (
    <ReasonForm
      onReason={(given) => {
        setAsking(false);
        actions.setAside(reading, given);
      }}
    />
  );
  return (
    <Bubble
      content={reason}
      trigger={[]}
      open={asking}
      placement="bottomRight"
      destroyOnHidden
      onOpenChange={setAsking}
    >
      <span>
        <MenuOfActs acts={items}>
          <Button
            type="text"
            icon={<MoreOutlined {...DRAWN} />}
            aria-label={say("tally-actions-of", { at: index + 1 })}
          />
        </MenuOfActs>
      </span>
    </Bubble>
  );
}
