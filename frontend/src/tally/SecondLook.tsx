import { Button } from "antd";

import type { Flag, Reading } from "../api";
import { SetAside } from "./SetAside";
import { say } from "../voice";

/** What can be done about a reading. */
export interface LookActions {
  show: (reading: Reading) => void;
  lookAgain: (reading: Reading) => void;
  change: (reading: Reading) => void;
  misread: (reading: Reading, suggestion: Flag["suggestion"]) => void;
  setAside: (reading: Reading, reason: string) => void;
  countAgain: (reading: Reading) => void;
  stands: (reading: Reading, code: string) => void;
  photograph: (reading: Reading) => void;
}

interface Props {
  flag: Flag;
  reading: Reading;
  /** Null where they are asked elsewhere. */
  actions: LookActions | null;
}

/** One sentence about one reading, and what to do: look first, correct second, set aside last. */
export function SecondLook({ flag, reading, actions }: Props) {
  return (
    <div className="look">
      <p>{flag.message}</p>
      {actions && <LookActs {...{ flag, reading, actions }} />}
    </div>
  );
}

function LookActs({ flag, reading, actions }: Props & { actions: LookActions }) {
  return (
    <div className="look-acts">
      <Button type="primary" onClick={() => actions.lookAgain(reading)}>
        {say("tally-look-again")}
      </Button>
      {flag.suggested && (
        <Button onClick={() => actions.misread(reading, flag.suggestion)}>
          {say("tally-i-misread-it-was", { suggested: flag.suggested })}
        </Button>
      )}
      <SetAside onReason={(reason) => actions.setAside(reading, reason)}>
        <Button>{say("tally-set-aside")}</Button>
      </SetAside>
      <Button type="text" onClick={() => actions.stands(reading, flag.code)}>
        {say("results-it-stands")}
      </Button>
    </div>
  );
}
