import type { KeyboardEvent } from "react";

import type { Answer, Instrument } from "../api";
import type { PhotoLook } from "./look";
import { frameAt } from "../strip/geometry";
import { HEIGHTS } from "../strip/heights";
import { Photographed } from "./Photographed";
import { Magnifier, useMagnifier } from "../strip/Magnifier";
import { Scales } from "../strip/Scales";
import "../strip/strip.css";
import { useWidth } from "../strip/useWidth";

interface Props {
  instrument: Instrument;
  position: number;
  /** What meets, once it may be seen; null before. */
  answer: Answer | null;
  label: string;
  /** How it looks as a photograph; null for a drawing. */
  look?: PhotoLook | null;
}

/** Pixels by which an arrow key moves the magnifier. */
const STEP = 6;
const ARROWS: Record<string, [number, number]> = {
  ArrowRight: [STEP, 0],
  ArrowLeft: [-STEP, 0],
  ArrowDown: [0, STEP],
  ArrowUp: [0, -STEP],
};

/** The scales as they stand, to be read and not to be moved; a magnifier follows the hand. */
export function StillScales({ instrument, position, answer, label, look = null }: Props) {
  const [ref, width] = useWidth();
  const [top, height] = HEIGHTS[instrument.traits.drawing].still;
  const { over, follow, moved, away } = useMagnifier({ width, top, height });
  const scales = (
    <Scales
      {...{ instrument, position, answer }}
      frame={frameAt(instrument.lines, position, width)}
      narrow={width < 640}
      zeroError={0}
      beside={false}
    />
  );
  const drawing = look ? (
    <Photographed {...{ look, width, top, height }}>{scales}</Photographed>
  ) : (
    scales
  );
  function keys(event: KeyboardEvent) {
    const by = ARROWS[event.key];
    if (!by) return;
    event.preventDefault();
    moved(...by);
  }
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
        onPointerLeave={away}
        onBlur={away}
        onKeyDown={keys}
      >
        {drawing}
      </svg>
      <Magnifier {...{ over, width }}>{drawing}</Magnifier>
    </div>
  );
}
