import { Button, Input } from "antd";
import { useState, type ReactNode } from "react";
import { Bubble } from "../common/overlays";
import { say } from "../voice";

interface Props {
  onReason: (reason: string) => void;
  children: ReactNode;
}

/** Asks for the reason before a reading is set aside: without one it is not. */
export function SetAside({ onReason, children }: Props) {
  const [open, setOpen] = useState(false);
  const form = (
    <ReasonForm
      onReason={(reason) => {
        setOpen(false);
        onReason(reason);
      }}
    />
  );
  return (
    <Bubble content={form} open={open} onOpenChange={setOpen} destroyOnHidden>
      {children}
    </Bubble>
  );
}

/** Keeps its text itself: a popover that is still opening shows its content as it was at first. */
export function ReasonForm({ onReason }: { onReason: (reason: string) => void }) {
  const [reason, setReason] = useState("");
  const given = reason.trim();
  return (
    <form
      className="set-aside"
      onSubmit={(event) => {
        event.preventDefault();
        if (given) onReason(given);
      }}
    >
      <label>
        {say("tally-discount-why")}
        <Input
          autoFocus
          value={reason}
          maxLength={500}
          placeholder={say("tally-a-burr-stood-between-the-jaws")}
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      <Button type="primary" htmlType="submit" disabled={!given}>
        {say("tally-set-aside")}
      </Button>
    </form>
  );
}
