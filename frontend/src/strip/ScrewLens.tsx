import type { Answer, Instrument } from "../api";
import { numeralOf } from "./geometry";
import { thimbleAt } from "./screwGeometry";
import { figure, say } from "../voice";

const WIDTH = 212;
const HEIGHT = 212;
const SPACING = 34;
const EDGE = 96;

interface Props {
  instrument: Instrument;
  position: number;
  answer: Answer | null;
  /** Whether the two turns are drawn under it, and leave it less height. */
  above: boolean;
}

/** The datum line at the edge of the thimble, large: the line at it, and its neighbours. */
export function ScrewLens({ instrument, position, answer, above }: Props) {
  const { lines, appearance } = instrument;
  const now = thimbleAt(instrument, position);
  const up = appearance.thimble_numerals === "up" ? 1 : -1;
  const middle = HEIGHT / 2;
  const drawn = [];
  for (let step = Math.ceil(now - 3.4); step <= now + 3.4; step++) {
    const line = ((step % lines.fine_divisions) + lines.fine_divisions) % lines.fine_divisions;
    drawn.push({ line, y: middle - up * (step - now) * SPACING });
  }
  const index = Math.floor(position / lines.division + 1e-9);
  const below = index % lines.main_every !== 0 && appearance.half_marks === "below";
  const meets = answer?.fine.seen ?? [];
  return (
    <svg
      className="screw-lens"
      data-turns={above}
      preserveAspectRatio="xMidYMid slice"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={say("strip-lens-line-at-the-datum-line", { line: figure(now.toFixed(1)) })}
    >
      <rect className="steel" width={EDGE} height={HEIGHT} />
      <rect className="brass" x={EDGE} width={WIDTH - EDGE} height={HEIGHT} />
      <line className="datum" x1={0} x2={EDGE} y1={middle} y2={middle} />
      <line className="passed" x1={40} x2={40} y1={middle} y2={middle + (below ? 30 : -30)} />
      <text className="lens-mark" x={40} y={below ? middle + 47 : middle - 36}>
        {figure(numeralOf(lines, index))}
      </text>
      {drawn.map(({ line, y }) => (
        <g key={line} className={meets.includes(line) ? "meets" : ""}>
          <line x1={EDGE} x2={EDGE + (line % 5 === 0 ? 60 : 42)} y1={y} y2={y} />
          <text className="lens-line" x={WIDTH - 30} y={y + 5}>
            {line}
          </text>
        </g>
      ))}
    </svg>
  );
}
