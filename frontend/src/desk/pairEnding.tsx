import type { Answer, Instrument } from "../api";
import type { Ending } from "../equation/Equation";
import type { Position, Positions } from "./usePositions";

const BETWEEN: Record<string, string> = { angular: "swept" };

/** How the equation of a reading goes on that is made of several positions. */
export function pairEnding(
  { name, kept, before, more, windows }: Positions,
  instrument: Instrument,
  answer: Answer | null,
  show: (text: string) => string,
  onTakeBack: (position: Position) => void,
): Ending {
  if (before === null) return { readAs: name };
  const earlier = windows ? kept : [before.position];
  return {
    readAs: name,
    less: {
      label: windows ? "read before" : before.name,
      // What lies between is no plain difference: not backwards, not through the zero of a circle.
      as: windows ? "beside" : "from",
      part: "read",
      node: (
        <button
          type="button"
          className="term-tap"
          aria-label={`${before.name}, tap to take it again`}
          onClick={() => onTakeBack(before.position)}
        >
          {earlier.map(({ read }) => show(read)).join(" · ")}
        </button>
      ),
    },
    outcome: more
      ? undefined
      : {
          label: windows ? "swept, mean of both" : (BETWEEN[instrument.kind] ?? "between them"),
          text: answer?.between,
        },
  };
}
