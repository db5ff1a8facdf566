import { Button } from "antd";
import type { Ref } from "react";

import type { Instrument, Schemas } from "../api";
import { capital, say } from "../voice";
import { ZeroSketch } from "./ZeroSketch";

interface Props {
  instrument: Instrument;
  ref: Ref<HTMLDivElement>;
  /** What is odd about it. */
  why: string;
  error: number;
  /** What the error would be in the likelier case. */
  likely: number;
  either: Schemas["WrappedZero"];
  onLikely: () => void;
  /** It was meant as it was entered. */
  onMeant: () => void;
}

/** A look at the zero that is likely another one: asked at once, both drawn, not kept unasked. */
export function WhichZero({ ref, instrument, why, error, likely, either, ...props }: Props) {
  const mark = instrument.lines.pitch ?? instrument.lines.division;
  return (
    <div ref={ref} className="which-zero" role="group" aria-label={say("zero-question")}>
      <p>{why}</p>
      <Button type="primary" onClick={props.onLikely}>
        <ZeroSketch instrument={instrument} off={likely / mark} />
        {capital(either.likely)}
      </Button>
      <Button onClick={props.onMeant}>
        <ZeroSketch instrument={instrument} off={error / mark} />
        {capital(either.kept)}
      </Button>
    </div>
  );
}
