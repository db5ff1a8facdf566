import type { Instrument, ZeroStands } from "../api";
import { say } from "../voice";
import { ZeroSketch } from "./ZeroSketch";

/** How far off the sketches show a zero that is not on its mark. */
const OFF: Record<ZeroStands, number> = { on: 0, short: 0.35, past: -0.35 };
const SIDES = ["on", "short", "past"] as const;

interface Props {
  instrument: Instrument;
  chosen: ZeroStands | null;
  onChoose: (side: ZeroStands) => void;
}

/** The first question at the zero, asked with pictures: which side does it stand on? */
export function SideChoices({ instrument, chosen, onChoose }: Props) {
  const screw = instrument.traits.turns;
  return (
    <div className="zero-sides" role="group" aria-label={say("zero-which-way")}>
      {SIDES.map((side) => (
        <button
          key={side}
          type="button"
          aria-pressed={side === chosen}
          onClick={() => onChoose(side)}
        >
          <ZeroSketch instrument={instrument} off={OFF[side]} />
          <strong>{say(`zero-side-${side}`)}</strong>
          <span>{say(`zero-side-${side}-${screw ? "screw" : "slide"}`)}</span>
        </button>
      ))}
    </div>
  );
}
