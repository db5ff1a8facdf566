import { Button } from "antd";
import type { Ref } from "react";

import type { Answer, Instrument } from "../api";
import { capital, say } from "../voice";
import type { Kept } from "./useZeroLook";
import { ZeroSketch } from "./ZeroSketch";

interface Props {
  ref: Ref<HTMLDivElement>;
  instrument: Instrument;
  finding: NonNullable<Answer["finding"]>;
  /** Whether it can have moved between: the new look may still be the one after the readings. */
  moves: boolean;
  onKeep: (kept: Kept) => void;
}

/** Looks at one zero that do not agree are never averaged unasked: both drawn, one tap decides. */
export function WhichLook({ ref, instrument, finding, moves, onKeep }: Props) {
  const mark = instrument.lines.pitch ?? instrument.lines.division;
  return (
    <div
      ref={ref}
      className="which-zero which-look"
      role="group"
      aria-label={say("zero-looks-which")}
    >
      <p>{say("zero-looks-differ-which")}</p>
      {finding.unlike.map((look) => (
        <figure key={look.id}>
          <ZeroSketch instrument={instrument} off={look.error / mark} />
          <figcaption>{look.words}</figcaption>
        </figure>
      ))}
      <figure>
        <ZeroSketch instrument={instrument} off={finding.error / mark} />
        <figcaption>{capital(say("zero-look-new"))}</figcaption>
      </figure>
      <div className="which-look-acts">
        <Button type="primary" onClick={() => onKeep("replaces")}>
          {say("zero-replaces")}
        </Button>
        <Button onClick={() => onKeep("both")}>{say("zero-both-hold")}</Button>
        {moves && <Button onClick={() => onKeep("moved")}>{say("zero-moved-between")}</Button>}
      </div>
    </div>
  );
}
