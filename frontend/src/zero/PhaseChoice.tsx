import { Segmented } from "antd";

import type { Sheet } from "../api";
import { say } from "../voice";

type Phase = Sheet["zero_checks"][number]["phase"];

interface Props {
  phase: Phase;
  onChange: (phase: Phase) => void;
}

/** Whether a look at the zero is from before the readings or after them. */
export function PhaseChoice({ phase, onChange }: Props) {
  return (
    <Segmented<Phase>
      aria-label={say("zero-when")}
      value={phase}
      onChange={onChange}
      options={[
        { value: "before", label: say("zero-state-before") },
        { value: "after", label: say("zero-after") },
      ]}
    />
  );
}
