import { Button } from "antd";

import { say } from "../voice";
import type { Says } from "./queries";

interface AskProps {
  /** What is at the equation, to be recorded first; null where the reading is on record. */
  entered: string | null;
  /** The line that was read. */
  own: string;
  waiting: boolean;
  onAsk: () => void;
  onAnother: () => void;
  onBack: () => void;
}

/** Blind first: the picture is asked once the reader's own line stands. */
export function AskActs({ entered, own, waiting, onAsk, onAnother, onBack }: AskProps) {
  const blank = entered === "";
  return (
    <div className="photo-acts">
      {blank && <p className="photo-first">{say("photo-own-first")}</p>}
      {blank ? (
        <Button type="primary" size="large" onClick={onBack}>
          {say("photo-back-to-equation")}
        </Button>
      ) : (
        <Button type="primary" size="large" loading={waiting} onClick={onAsk}>
          {entered === null
            ? say("photo-ask", { own })
            : say("photo-record-and-ask", { read: entered })}
        </Button>
      )}
      <Button size="large" onClick={onAnother}>
        {say("photo-another")}
      </Button>
    </div>
  );
}

interface OutcomeProps {
  says: Says;
  busy: boolean;
  onKeep: (taken?: Says["takes"][number]) => void;
  onSetEdge: () => void;
  onAnother: () => void;
}

/** What may be done with what the picture says: the reader decides. */
export function Outcome({ says, busy, onKeep, onSetEdge, onAnother }: OutcomeProps) {
  const told = says.verdict !== "cannot-tell";
  return (
    <div className="photo-acts">
      <Button
        type={told ? "primary" : "default"}
        size="large"
        loading={busy}
        onClick={() => onKeep()}
      >
        {say("photo-keep-own", { own: says.own })}
      </Button>
      {says.takes.map((taken) => (
        <Button key={taken.line} size="large" disabled={busy} onClick={() => onKeep(taken)}>
          {say("photo-take-line", { line: taken.line, read: taken.read })}
        </Button>
      ))}
      <Button size="large" type="text" onClick={onSetEdge}>
        {say("photo-edge-again")}
      </Button>
      <Button size="large" type={told ? "text" : "primary"} onClick={onAnother}>
        {say("photo-another")}
      </Button>
    </div>
  );
}
