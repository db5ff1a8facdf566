import { Button, Input } from "antd";
import { useState } from "react";

import { useAmendZeroCheck, type Instrument, type Sheet } from "../api";
import { PhaseChoice } from "./PhaseChoice";
import { Bubble } from "../common/overlays";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

interface Props {
  sheet: Sheet;
  instrument: Instrument;
  check: Sheet["zero_checks"][number];
}

/** When a look at the zero was made, and on what, changed afterwards. */
export function ChangeZero({ sheet, instrument, check }: Props) {
  const showError = useShowError();
  const amend = useAmendZeroCheck(sheet.id);
  const [open, setOpen] = useState(false);
  const [phase, setPhase] = useState(check.phase);
  const [reference, setReference] = useState(check.reference ?? "");
  const keep = () =>
    amend.mutate(
      { seen: check, phase, reference: reference.trim().replace(",", ".") || null },
      {
        onSuccess: () => setOpen(false),
        onError: showError,
      },
    );
  const content = (
    <div className="zero-menu">
      <PhaseChoice phase={phase} onChange={setPhase} />
      <label>
        {say("zero-piece")}
        <Input
          value={reference}
          inputMode="decimal"
          suffix={instrument.kept_unit}
          onChange={(event) => setReference(event.target.value)}
        />
      </label>
      <Button type="primary" loading={amend.isPending} onClick={keep}>
        {say("instruments-change-it")}
      </Button>
    </div>
  );
  return (
    <Bubble content={content} open={open} onOpenChange={setOpen}>
      <Button type="text">{say("derived-change")}</Button>
    </Bubble>
  );
}
