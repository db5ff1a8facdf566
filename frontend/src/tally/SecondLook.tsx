import type { Flag, Reading, Remedy } from "../api";
import { Remedies } from "./Remedies";

/** What can be done about a reading. */
export interface LookActions {
  show: (reading: Reading) => void;
  lookAgain: (reading: Reading) => void;
  change: (reading: Reading) => void;
  amend: (reading: Reading, remedy: Remedy) => void;
  setAside: (reading: Reading, reason: string) => void;
  countAgain: (reading: Reading) => void;
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
      {actions && (
        <Remedies
          remedies={flag.remedies}
          onLookAgain={() => actions.lookAgain(reading)}
          onSetAside={(reason) => actions.setAside(reading, reason)}
          onAmend={(remedy) => actions.amend(reading, remedy)}
        />
      )}
    </div>
  );
}
