import type { Instrument } from "../api";

const WIDTH = 132;
const HEIGHT = 64;
const EDGE = 30;
const MIDDLE = 44;
const PX_PER_MARK = 34;
const SLEEVE = 62;
const PX_PER_LINE = 9;
const SEEN = 3;

interface Props {
  instrument: Instrument;
  /** Where the fine zero stands from nothing, in marks or turns. */
  off: number;
}

/** Where the two zeros stand to each other: on each other, short of it, or past it. */
export function ZeroSketch({ instrument, off }: Props) {
  return (
    <svg className="zero-sketch" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
      {instrument.traits.turns ? (
        <ThimbleAtDatum instrument={instrument} off={off} />
      ) : (
        <ZeroLineAtMark off={off} fine={instrument.traits.fine_scale} />
      )}
    </svg>
  );
}

/** The fine zero under the first marks of the main scale. */
function ZeroLineAtMark({ off, fine }: { off: number; fine: boolean }) {
  const at = MIDDLE + off * PX_PER_MARK;
  const marks = [-1, 0, 1, 2].map((mark) => ({ mark, x: MIDDLE + mark * PX_PER_MARK }));
  return (
    <>
      <rect className="steel" width={WIDTH} height={EDGE} />
      {marks.map(({ mark, x }) => (
        <line key={mark} x1={x} x2={x} y1={mark === 0 ? 12 : 18} y2={EDGE} />
      ))}
      <text className="main-zero" x={MIDDLE} y={10}>
        0
      </text>
      <rect className="brass" x={at - 8} y={EDGE} width={WIDTH} height={HEIGHT - EDGE} />
      <line className="fine-zero" x1={at} x2={at} y1={EDGE} y2={EDGE + 18} />
      {fine && (
        <text className="fine-numeral" x={at} y={EDGE + 31}>
          0
        </text>
      )}
    </>
  );
}

/** The thimble's zero at the datum line, and the zero mark of the sleeve at its edge. */
function ThimbleAtDatum({ instrument, off }: Props) {
  const datum = HEIGHT / 2;
  const up = instrument.appearance.thimble_numerals === "up" ? 1 : -1;
  const part = off - Math.round(off);
  const near = part === 0 ? 0 : Math.sign(part) * SEEN;
  const edge = SLEEVE + off * PX_PER_MARK;
  const lines = [-3, -2, -1, 0, 1, 2, 3].map((line) => ({
    line,
    y: datum - up * (line - near) * PX_PER_LINE,
  }));
  return (
    <>
      <rect className="steel" y={6} width={edge} height={HEIGHT - 12} />
      <line x1={0} x2={edge} y1={datum} y2={datum} />
      {edge >= SLEEVE && (
        <>
          <line x1={SLEEVE} x2={SLEEVE} y1={datum - 14} y2={datum} />
          <text className="main-zero" x={SLEEVE - 9} y={datum - 6}>
            0
          </text>
        </>
      )}
      <rect className="brass" x={edge} width={WIDTH - edge} height={HEIGHT} />
      {lines
        .filter(({ y }) => y > 2 && y < HEIGHT - 2)
        .map(({ line, y }) => (
          <g key={line}>
            <line
              className={line === 0 ? "fine-zero" : ""}
              x1={edge}
              x2={edge + (line === 0 ? 22 : 14)}
              y1={y}
              y2={y}
            />
            {line === 0 && (
              <text className="fine-numeral" x={edge + 31} y={y + 5}>
                0
              </text>
            )}
          </g>
        ))}
    </>
  );
}
