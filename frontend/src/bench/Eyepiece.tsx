/** Its radius. */
export const EYEPIECE = 44;
/** Pixels for an arc minute. */
const PER_MINUTE = 1.6;

/** What the telescope shows: the cross-hair stands still, the line moves behind it. */
export function Eyepiece({ off, x, y }: { off: number; x: number; y: number }) {
  const at = off * PER_MINUTE;
  return (
    <g className="eyepiece" transform={`translate(${x} ${y})`}>
      <circle r={EYEPIECE} />
      {Math.abs(at) < EYEPIECE - 4 && <LineOfLight at={at} />}
      <path d={`M${-EYEPIECE} 0H${EYEPIECE}M0 ${-EYEPIECE}V${EYEPIECE}`} />
    </g>
  );
}

function LineOfLight({ at }: { at: number }) {
  const half = Math.sqrt(EYEPIECE ** 2 - at ** 2) - 3;
  return <line className="line-of-light" x1={at} x2={at} y1={-half} y2={half} />;
}
