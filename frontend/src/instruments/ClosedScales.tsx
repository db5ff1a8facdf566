import type { Lines } from "../api";
import { Beam, FineScale } from "../strip/Beam";
import { viewLength } from "../strip/geometry";

const WIDTH = 400;

/** The scales with the jaws closed: zero and last line meet, the rest do not. */
export function ClosedScales({ lines }: { lines: Lines }) {
  const length = viewLength(lines);
  const frame = { start: -0.07 * length, perUnit: WIDTH / length, width: WIDTH };
  return (
    <svg
      className="closed-scales strip-drawing"
      viewBox={`0 10 ${WIDTH} 118`}
      role="img"
      aria-label="scales with the jaws closed"
    >
      <Beam lines={lines} frame={frame} answer={null} />
      <FineScale lines={lines} frame={frame} position={0} answer={null} />
    </svg>
  );
}
