import { useState, type KeyboardEvent, type PointerEvent } from "react";

import type { Answer, Instrument } from "../api";
import { Beam, EDGE, FineScale } from "../strip/Beam";
import { frameAt } from "../strip/geometry";
import { Screw } from "../strip/Screw";
import { bent, STRAIGHT } from "../strip/shape";
import "../strip/strip.css";
import { useWidth } from "../strip/useWidth";

interface Props {
  instrument: Instrument;
  position: number;
  /** What meets, once it may be seen; null before. */
  answer: Answer | null;
  label: string;
}

/** Height of the scales, and where they begin, by kind. */
const HEIGHTS = { vernier: [10, 130], angular: [0, 200], screw: [40, 160], plain: [10, 130] };

const LARGER = 4;
const BAND = 112;
/** Pixels by which an arrow key moves the magnifier. */
const STEP = 6;

interface Place {
  x: number;
  y: number;
}

/** The scales as they stand, to be read and not to be moved; a magnifier follows the hand. */
export function StillScales({ instrument, position, answer, label }: Props) {
  const [ref, width] = useWidth();
  const [over, setOver] = useState<Place | null>(null);
  const { lines, kind } = instrument;
  const [top, height] = HEIGHTS[kind] as [number, number];
  const angular = kind === "angular";
  const frame = frameAt(lines, position, width);
  const shape = angular ? bent(width, EDGE) : STRAIGHT;
  const drawing =
    kind === "screw" ? (
      <Screw {...{ instrument, position, answer, width }} zeroError={0} />
    ) : (
      <>
        <Beam {...{ instrument, frame, shape, answer }} />
        <FineScale {...{ instrument, frame, shape, position, answer }} />
      </>
    );
  function follow(event: PointerEvent<SVGSVGElement>) {
    const box = event.currentTarget.getBoundingClientRect();
    setOver({ x: event.clientX - box.left, y: event.clientY - box.top + top });
  }
  function keys(event: KeyboardEvent) {
    const [right, down] = ARROWS[event.key] ?? [0, 0];
    if (!right && !down) return;
    event.preventDefault();
    const from = over ?? { x: width / 2, y: EDGE };
    setOver({
      x: Math.min(Math.max(from.x + right * STEP, 0), width),
      y: Math.min(Math.max(from.y + down * STEP, top), top + height),
    });
  }
  const wide = width / LARGER;
  const high = BAND / LARGER;
  return (
    <div ref={ref} className="still-scales">
      <svg
        className="strip-drawing"
        width={width}
        height={height}
        viewBox={`0 ${top} ${width} ${height}`}
        role="img"
        tabIndex={0}
        aria-label={label}
        onPointerMove={follow}
        onPointerDown={follow}
        onPointerLeave={() => setOver(null)}
        onBlur={() => setOver(null)}
        onKeyDown={keys}
      >
        {drawing}
      </svg>
      {over && (
        <svg
          className="magnifier strip-drawing"
          width={width}
          height={BAND}
          viewBox={`${over.x - wide / 2} ${over.y - high / 2} ${wide} ${high}`}
          aria-hidden="true"
        >
          {drawing}
        </svg>
      )}
    </div>
  );
}

const ARROWS: Record<string, [number, number]> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowDown: [0, 1],
  ArrowUp: [0, -1],
};
