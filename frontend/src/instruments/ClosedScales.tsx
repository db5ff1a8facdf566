import type { Instrument } from "../api";
import { Beam, EDGE, FineScale } from "../strip/Beam";
import { Digits } from "../strip/Digits";
import { viewLength } from "../strip/geometry";
import { Screw } from "../strip/Screw";
import { bent, STRAIGHT } from "../strip/shape";
import { say } from "../voice";

const WIDTH = 400;

/** The scales at zero: zero and last line meet, the rest do not. */
export function ClosedScales({ instrument }: { instrument: Instrument }) {
  const { lines, traits } = instrument;
  if (traits.turns)
    return (
      <svg
        className="closed-scales strip-drawing"
        viewBox="14 36 300 164"
        role="img"
        aria-label={say("instruments-sleeve-and-thimble-closed")}
      >
        <Screw instrument={instrument} position={0} zeroError={0} answer={null} width={500} />
      </svg>
    );
  if (instrument.appearance.display) return <Digits instrument={instrument} position={0} />;
  const length = viewLength(lines);
  const start = lines.against ? -0.93 * length : -0.07 * length;
  const frame = { start, perUnit: WIDTH / length, width: WIDTH };
  const shape = traits.circular ? bent(WIDTH, EDGE) : STRAIGHT;
  return (
    <svg
      className="closed-scales strip-drawing"
      viewBox={`0 10 ${WIDTH} ${traits.circular ? 150 : 118}`}
      role="img"
      aria-label={say("instruments-preview-zero")}
    >
      <Beam {...{ instrument, frame, shape }} position={0} answer={null} />
      {traits.fine_scale && (
        <FineScale {...{ instrument, frame, shape }} position={0} answer={null} />
      )}
    </svg>
  );
}
