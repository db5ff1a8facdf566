import type { Answer, Lines } from "../api";
import { fineLinesAt, marksInView, xOf, type Frame } from "./geometry";

const BEAM_TOP = 14;
const EDGE = 76;
const FINE_BOTTOM = 124;
const LENGTHS = { long: 26, middle: 20, short: 13 };

/** The main scale; the last mark the fine zero has passed stands out. */
export function Beam(props: { lines: Lines; frame: Frame; answer: Answer | null }) {
  const { lines, frame, answer } = props;
  const passed = answer?.bounds ? Number(answer.main.value) : NaN;
  const left = Math.max(0, xOf(frame, lines.low ?? 0) - frame.width * 0.1);
  const end = lines.high === null ? frame.width : xOf(frame, lines.high + 6 * lines.division);
  const right = Math.min(frame.width, end);
  return (
    <g className="beam">
      <rect className="steel" x={left} y={BEAM_TOP} width={right - left} height={EDGE - BEAM_TOP} />
      {marksInView(lines, frame).map((mark) => {
        const isPassed = Math.abs(mark.index * lines.division - passed) < lines.least_count / 2;
        return (
          <g key={mark.index} className={isPassed ? "mark passed" : "mark"}>
            <line x1={mark.x} x2={mark.x} y1={EDGE - LENGTHS[mark.tier]} y2={EDGE} />
            {mark.numeral !== null && (
              <text x={mark.x} y={EDGE - 33}>
                {mark.numeral}
              </text>
            )}
          </g>
        );
      })}
      <text className="beam-unit" x={right - 10} y={BEAM_TOP + 17}>
        {lines.main_unit}
      </text>
    </g>
  );
}

interface FineProps {
  lines: Lines;
  frame: Frame;
  position: number;
  answer: Answer | null;
}

/** The fine scale on its slide; the line that meets a mark stands out. */
export function FineScale({ lines, frame, position, answer }: FineProps) {
  const coinciding = answer?.fine.value == null ? null : Number(answer.fine.value);
  const drawn = fineLinesAt(lines, frame, position);
  const first = Math.min(...drawn.map(({ x }) => x)) - 26;
  const last = Math.max(...drawn.map(({ x }) => x)) + 26;
  const meets = drawn.find(({ line }) => line === coinciding);
  return (
    <g className="fine-scale">
      <rect className="brass" x={first} y={EDGE} width={last - first} height={FINE_BOTTOM - EDGE} />
      {drawn.map(({ x, line, numeral }) => (
        <g
          key={line}
          className={line === coinciding ? "line meeting" : line === 0 ? "line pointing" : "line"}
        >
          <line x1={x} x2={x} y1={EDGE} y2={EDGE + (numeral === null ? 15 : 24)} />
          {numeral !== null && (
            <text x={x} y={EDGE + 40}>
              {numeral}
            </text>
          )}
        </g>
      ))}
      {meets && (
        <line className="meeting-mark" x1={meets.x} x2={meets.x} y1={EDGE - 26} y2={EDGE} />
      )}
      {meets && <circle className="meeting-ring" cx={meets.x} cy={EDGE} r={7} />}
    </g>
  );
}

interface JawsProps {
  frame: Frame;
  position: number;
  zeroError: number;
  narrow: boolean;
}

/**
 * The outside jaws with the object between them. The gap is the corrected length: a zero error
 * shows as the offset between the moving face and the fine zero.
 */
export function Jaws({ frame, position, zeroError, narrow }: JawsProps) {
  const fixed = xOf(frame, 0);
  const moving = xOf(frame, position - zeroError);
  const bottom = narrow ? 158 : 220;
  const top = narrow ? 132 : 160;
  const knee = narrow ? 26 : 68;
  const gap = moving - Math.max(fixed, 0);
  return (
    <g className="jaws">
      <path
        className="jaw-fixed"
        d={`M${fixed} ${EDGE}V${bottom - 6}l-10 6h-32l-50 -${knee}V${EDGE}Z`}
      />
      {gap > 1 && (
        <rect
          className="object"
          fill="url(#hatch)"
          x={Math.max(fixed, -2)}
          y={top}
          width={gap}
          height={bottom - 2 - top}
        />
      )}
      <path
        className="jaw-moving"
        d={`M${moving} ${FINE_BOTTOM}V${bottom - 6}l10 6h26l22 -${knee} 60 -22V${FINE_BOTTOM}Z`}
      />
      <defs>
        <pattern id="hatch" width="9" height="9" patternUnits="userSpaceOnUse">
          <path className="hatch" d="M-1 10L10 -1M-1 1L1 -1M8 10L10 8" />
        </pattern>
      </defs>
    </g>
  );
}
