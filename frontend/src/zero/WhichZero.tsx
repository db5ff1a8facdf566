import { Button } from "antd";
import { useState } from "react";

import type { Answer } from "../api";
import { useShow } from "../app/settings";

interface Props {
  answer: Answer | null;
  /** Puts other figures into the equation. */
  onLikely: (figures: { main: string; fine: string; secondTurn: boolean }) => void;
}

/** Closed faces that read nearer to a full mark than to nothing: asked at once, not kept unasked. */
export function WhichZero({ answer, onLikely }: Props) {
  const show = useShow();
  const [meant, setMeant] = useState("");
  const wrapped = answer?.finding?.wrapped;
  if (!wrapped || meant === wrapped.kept) return null;
  const { main = "0", second_turn } = wrapped;
  const fine = answer.fine.value ?? "";
  return (
    <div className="which-zero" role="group" aria-label="Which zero is it?">
      <p>{show(wrapped.words)}</p>
      <Button
        type="primary"
        onClick={() => onLikely({ main, fine, secondTurn: second_turn ?? false })}
      >
        {capital(show(wrapped.likely))}
      </Button>
      <Button onClick={() => setMeant(wrapped.kept)}>{capital(show(wrapped.kept))}</Button>
    </div>
  );
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
