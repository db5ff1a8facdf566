import { Button } from "antd";

import type { Flag, Reading } from "../api";
import { useShow } from "../app/settings";
import { SetAside } from "./SetAside";

/** What can be done about a reading. */
export interface LookActions {
  lookAgain: (reading: Reading) => void;
  change: (reading: Reading) => void;
  misread: (reading: Reading, suggestion: Flag["suggestion"]) => void;
  setAside: (reading: Reading, reason: string) => void;
  countAgain: (reading: Reading) => void;
  stands: (reading: Reading, code: string) => void;
}

interface Props {
  flag: Flag;
  reading: Reading;
  actions: LookActions;
}

/** One sentence about one reading, and what to do: look first, correct second, set aside last. */
export function SecondLook({ flag, reading, actions }: Props) {
  const show = useShow();
  return (
    <div className="look">
      <p>{show(flag.message)}</p>
      <div className="look-acts">
        <Button type="primary" onClick={() => actions.lookAgain(reading)}>
          Look again
        </Button>
        {flag.suggested && (
          <Button onClick={() => actions.misread(reading, flag.suggestion)}>
            I misread, it was {show(flag.suggested)}
          </Button>
        )}
        <SetAside onReason={(reason) => actions.setAside(reading, reason)}>
          <Button>Set aside…</Button>
        </SetAside>
        <Button type="text" onClick={() => actions.stands(reading, flag.code)}>
          It stands
        </Button>
      </div>
    </div>
  );
}
