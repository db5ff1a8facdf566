import type { Answer, Instrument } from "../api";
import { beamOf, fineLinesAt, marksInView, xOf, type Frame } from "./geometry";
import { inchMarks, STRAIGHT, type Shape } from "./shape";

export const TOP = 14;
export const EDGE = 76;
export const BOTTOM = 124;
const LENGTHS = { long: 26, middle: 20, short: 13 };
const PER_INCH: Record<string, number> = { mm: 25.4, cm: 2.54 };

export interface ScaleProps {
  instrument: Instrument;
  frame: Frame;
  answer: Answer | null;
  /** Where the fine zero stands. */
  position: number;
  shape?: Shape;
}

/** Heights, turned over where the fine scale lies above the main scale. */
export function heights(instrument: Instrument): (y: number) => number {
  const above = instrument.appearance.fine_side === "above";
  return above ? (y) => TOP + BOTTOM - y : (y) => y;
}

/** The main scale; the last mark the fine zero has passed stands out. */
export function Beam({ instrument, frame, answer, position, shape = STRAIGHT }: ScaleProps) {
  const { lines, appearance } = instrument;
  const y = heights(instrument);
  const passed = answer?.bounds ? markPassed(answer, instrument) : NaN;
  const open = instrument.traits.circular;
  const beam = open ? undefined : beamOf(lines, position);
  const ends = beam && {
    left: xOf(frame, beam.first * lines.division) - frame.width * 0.1,
    right: xOf(frame, (beam.last + 2) * lines.division),
  };
  const left = Math.max(0, ends?.left ?? 0);
  const right = Math.min(frame.width, ends?.right ?? frame.width);
  return (
    <g className="beam">
      <path className="steel" d={shape.band(left, right, y(TOP), y(EDGE))} />
      {appearance.second_edge &&
        inchMarks(frame, PER_INCH[instrument.unit] ?? Infinity, lines.high).map((mark) => (
          <g key={`in ${mark.index}`} className="second-edge" transform={shape.place(mark.x)}>
            <line y1={y(TOP)} y2={y(TOP + (mark.whole ? 12 : 6))} />
            {mark.whole && (
              <text x={5} y={textAt(y(TOP + 6), 5)}>
                {mark.index / 16}″
              </text>
            )}
          </g>
        ))}
      {marksInView(lines, frame, beam).map((mark) => (
        <g
          key={mark.index}
          className={mark.index === passed ? "mark passed" : "mark"}
          transform={shape.place(mark.x)}
        >
          <line y1={y(EDGE - LENGTHS[mark.tier])} y2={y(EDGE)} />
          {mark.numeral !== null && <text y={textAt(y(EDGE - 38), 5)}>{mark.numeral}</text>}
        </g>
      ))}
      <text
        className="beam-unit"
        x={appearance.second_edge ? left + 30 : right - 10}
        y={textAt(y(TOP + 12), 5)}
      >
        {lines.main_unit}
      </text>
    </g>
  );
}

/** The baseline of a text whose middle is to lie at `middle`. */
const textAt = (middle: number, half: number) => middle + half;

/** The index of the mark that the answer's main reading names. */
function markPassed(answer: Answer, instrument: Instrument): number {
  const { lines } = instrument;
  if (answer.position === null) return NaN;
  const offset = lines.worths[answer.fine.seen[0] ?? 0] ?? 0;
  const start = answer.read === null ? answer.position : answer.position - offset;
  return Math.round(start / lines.division);
}

/** The fine scale on its slide; the line that meets a mark stands out. */
export function FineScale(props: ScaleProps & { meeting?: number[] }) {
  const { instrument, frame, answer, position, shape = STRAIGHT } = props;
  const y = heights(instrument);
  const meeting = props.meeting ?? answer?.fine.seen ?? [];
  const drawn = fineLinesAt(instrument.lines, frame, position);
  const first = Math.min(...drawn.map(({ x }) => x)) - 26;
  const last = Math.max(...drawn.map(({ x }) => x)) + 26;
  return (
    <g className="fine-scale">
      <path className="brass" d={shape.band(first, last, y(EDGE), y(BOTTOM))} />
      {drawn.map(({ x, line, numeral }) => {
        const meets = meeting.includes(line);
        const role = meets ? "line meeting" : line === 0 ? "line pointing" : "line";
        return (
          <g key={line} className={role} transform={shape.place(x)}>
            <line y1={y(EDGE)} y2={y(EDGE + (numeral === null ? 15 : 24))} />
            {numeral !== null && <text y={textAt(y(EDGE + 35), 5)}>{numeral}</text>}
            {meets && <line y1={y(EDGE - 26)} y2={y(EDGE)} />}
            {meets && <circle className="meeting-ring" cy={y(EDGE)} r={7} />}
          </g>
        );
      })}
    </g>
  );
}
