import type { Answer, Instrument } from "../api";
import type { Ending } from "../equation/Equation";
import type { Position, Positions } from "../entry/usePositions";
import { say } from "../voice";

/** How the equation of a reading goes on that is made of several positions. */
export function pairEnding(
  { kept, before, more, windows }: Positions,
  instrument: Instrument,
  answer: Answer | null,
  onTakeBack: (position: Position) => void,
): Ending {
  if (before === null) return { readAs: say("desk-read") };
  const earlier = windows ? kept : [before.position];
  return {
    readAs: say("desk-read"),
    less: {
      label: windows ? say("desk-read-before") : before.name,
      // What lies between is no plain difference: not backwards, not through the zero of a circle.
      as: windows ? "beside" : "from",
      part: "read",
      node: (
        <button
          type="button"
          className="term-tap"
          aria-label={say("desk-look-again", { name: before.name })}
          onClick={() => onTakeBack(before.position)}
        >
          {earlier.map(({ read }) => read).join(" · ")}
        </button>
      ),
    },
    outcome: more
      ? undefined
      : {
          label: windows
            ? say("desk-swept-mean")
            : say(instrument.traits.circular ? "desk-swept" : "desk-between-them"),
          text: answer?.between,
        },
  };
}
