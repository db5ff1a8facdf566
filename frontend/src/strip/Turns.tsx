import type { Answer, Instrument } from "../api";
import { numeralOf } from "./geometry";
import { early } from "./screwGeometry";
import "./turns.css";
import { figure, say } from "../voice";

const WIDTH = 104;
const HEIGHT = 62;
const EDGE = 70;
const DATUM = 31;
const PX_PER_PITCH = 26;
const LONGEST = 16;
const SHOWING = 0.1;

type Turn = Answer["turns"][number];

interface Props {
  instrument: Instrument;
  turns: Turn[];
  onTurn: (turn: Turn) => void;
}

/** The two turns that show the same thimble line, one pitch apart: which sleeve is yours? */
export function Turns({ instrument, turns, onTurn }: Props) {
  return (
    <div className="turns" role="group" aria-label={say("strip-which-sleeve-looks-like-yours")}>
      {turns.map((turn) => (
        <button
          key={turn.read}
          type="button"
          aria-pressed={turn.chosen}
          aria-label={`${turn.read} ${instrument.unit}, ${turn.words}`}
          onClick={() => onTurn(turn)}
        >
          <Sleeve instrument={instrument} position={turn.position} />
          <span>{turn.read}</span>
        </button>
      ))}
    </div>
  );
}

/** The sleeve close to the edge of the thimble, with the spindle at `position`. */
function Sleeve({ instrument, position }: { instrument: Instrument; position: number }) {
  const { lines, appearance } = instrument;
  const perUnit = PX_PER_PITCH / (lines.pitch ?? 1);
  const drawn = [];
  const last = Math.floor(position / lines.division + 1e-9);
  const seen = position + early(instrument);
  // Close to the edge the next mark shows already, though it has not been passed.
  const next = last + 1;
  const showing = next * lines.division - seen < SHOWING * lines.division;
  for (
    let index = showing ? next : last;
    EDGE - (seen - index * lines.division) * perUnit > 4;
    index--
  ) {
    const numbered = index % lines.main_every === 0;
    const above = numbered === (appearance.half_marks === "below");
    const x = EDGE - (seen - index * lines.division) * perUnit;
    drawn.push({ index, x, above, numeral: numbered ? numeralOf(lines, index) : "" });
  }
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
      <rect className="steel" y={4} width={EDGE} height={HEIGHT - 8} />
      <rect className="brass" x={EDGE} width={WIDTH - EDGE} height={HEIGHT} />
      <line className="datum" x2={EDGE} y1={DATUM} y2={DATUM} />
      {drawn.map(({ index, x, above, numeral }) => (
        <g key={index} className={index === last ? "passed" : index > last ? "showing" : ""}>
          <line x1={x} x2={x} y1={DATUM} y2={above ? DATUM - LONGEST + 4 : DATUM + LONGEST} />
          <text x={x} y={above ? DATUM - LONGEST : DATUM + LONGEST + 12}>
            {figure(numeral)}
          </text>
        </g>
      ))}
    </svg>
  );
}
