import { Button } from "antd";
import { useState } from "react";

import type { Answer } from "../api";
import { capital, say } from "../voice";

interface Props {
  answer: Answer | null;
  /** Puts other figures into the equation. */
  onLikely: (figures: { main: string; fine: string; secondTurn: boolean }) => void;
}

/** Closed faces that read nearer to a full mark than to nothing: asked at once, not kept unasked. */
export function WhichZero({ answer, onLikely }: Props) {
  const [meant, setMeant] = useState("");
  const wrapped = answer?.finding?.wrapped;
  if (!wrapped || meant === wrapped.kept) return null;
  const { main, second_turn } = wrapped;
  const fine = answer.fine.typed ?? "";
  return (
    <div className="which-zero" role="group" aria-label={say("zero-which-zero-is-it")}>
      <p>{wrapped.words}</p>
      <Button type="primary" onClick={() => onLikely({ main, fine, secondTurn: second_turn })}>
        {capital(wrapped.likely)}
      </Button>
      <Button onClick={() => setMeant(wrapped.kept)}>{capital(wrapped.kept)}</Button>
    </div>
  );
}
