import type { Instrument } from "../api";
import { figure } from "../voice";

const WIDTH = 400;
const HEIGHT = 118;

/** A display: the digits, as many as its last one asks for. */
export function Digits({ instrument, position }: { instrument: Instrument; position: number }) {
  const decimals = instrument.least_count.split(".")[1]?.length ?? 0;
  const shown = figure(position.toFixed(decimals));
  return (
    <svg className="digits" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={shown}>
      <rect className="steel" x={40} y={10} width={320} height={98} rx={10} />
      <rect className="digits-window" x={64} y={28} width={272} height={62} rx={6} />
      <text x={286} y={74}>
        {shown}
      </text>
      <text className="digits-unit" x={326} y={74}>
        {instrument.unit}
      </text>
    </svg>
  );
}
