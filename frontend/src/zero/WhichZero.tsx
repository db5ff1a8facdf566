import { Button } from "antd";

import type { Instrument, Schemas } from "../api";
import { capital, say } from "../voice";
import { ZeroSketch } from "./ZeroSketch";

interface Props {
  instrument: Instrument;
  fine: string;
  error: number;
  wrapped: Schemas["WrappedZero"];
  /** Puts other figures into the equation. */
  onLikely: (figures: { main: string; fine: string; secondTurn: boolean }) => void;
  /** It was meant as it was entered, in the words for it. */
  onMeant: (kept: string) => void;
}

/** Closed faces that read nearer to a full mark than to nothing: asked at once, not kept unasked. */
export function WhichZero({ instrument, fine, error, wrapped, onLikely, onMeant }: Props) {
  const { main, second_turn: secondTurn } = wrapped;
  const off = error / (instrument.lines.pitch ?? instrument.lines.division);
  return (
    <div className="which-zero" role="group" aria-label={say("zero-which-zero-is-it")}>
      <p>{wrapped.words}</p>
      <Button type="primary" onClick={() => onLikely({ main, fine, secondTurn })}>
        <ZeroSketch instrument={instrument} off={off - Math.sign(off)} />
        {capital(wrapped.likely)}
      </Button>
      <Button onClick={() => onMeant(wrapped.kept)}>
        <ZeroSketch instrument={instrument} off={off} />
        {capital(wrapped.kept)}
      </Button>
    </div>
  );
}
