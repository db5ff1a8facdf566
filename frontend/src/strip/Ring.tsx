import { arcBetween, type Swept } from "./ring";

const DEGREES = 360 / (360 * 60);
const RADIUS = 37;

interface Props {
  position: number;
  /** From where to here the sweep of a pair goes; null while there is none. */
  swept: Swept | null;
  /** On a phone: in the corner that the arc leaves free. */
  small: boolean;
}

const PLACE = "translate(96 214)";
const SMALL_PLACE = "translate(28 137) scale(0.45)";

/** The whole circle, small: the arm with its two windows, and what a pair has swept. */
export function Ring({ position, swept, small }: Props) {
  return (
    <g className="ring" transform={small ? SMALL_PLACE : PLACE} data-small={small}>
      <circle r={50} className="steel" />
      <circle r={RADIUS} className="ring-inner" />
      {swept && <path className="ring-swept" d={arcBetween(swept, RADIUS)} />}
      {Array.from({ length: 36 }, (_, tenth) => (
        <line
          key={tenth}
          y1={-50}
          y2={tenth % 9 === 0 ? -40 : -45}
          transform={`rotate(${tenth * 10})`}
        />
      ))}
      {swept && (
        <line
          className="ring-arm ring-first"
          y1={-56}
          y2={56}
          transform={`rotate(${swept.from * DEGREES})`}
        />
      )}
      <g transform={`rotate(${(swept?.to ?? position) * DEGREES})`}>
        <line className="ring-arm" y1={-56} y2={56} />
        <rect className="ring-window" x={-9} y={-54} width={18} height={15} rx={2} />
        <rect className="ring-window" x={-9} y={39} width={18} height={15} rx={2} />
      </g>
      {!small && (
        <text className="ring-zero" y={-60} textAnchor="middle">
          0
        </text>
      )}
    </g>
  );
}
