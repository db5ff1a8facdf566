import { useState, type KeyboardEvent, type PointerEvent } from "react";

import type { Answer, Lines } from "../api";
import { Beam, FineScale, Jaws } from "./Beam";
import { frameAt, frameKept, viewLength, xOf, type Frame } from "./geometry";
import { Lens } from "./Lens";
import { Locator } from "./Locator";
import "./strip.css";
import { useWheel } from "./useWheel";
import { useWidth } from "./useWidth";

export interface StripProps {
  lines: Lines;
  /** Where the fine zero stands, in the unit of the instrument. */
  position: number;
  /** Whether that is an entry, and not just where the last one was left. */
  live: boolean;
  answer: Answer | null;
  zeroError: number;
  label: string;
  readOut: string;
  onMove: (position: number) => void;
  onRelease: () => void;
}

const HEIGHT = 226;
const NARROW_HEIGHT = 164;

export function Strip(props: StripProps) {
  const { lines, position, onMove, onRelease } = props;
  const [ref, width] = useWidth();
  const [held, setHeld] = useState<{ from: number; x: number; frame: Frame } | null>(null);
  const drawing = useWheel((notches) => step(notches));
  const narrow = width < 640;
  const frame = held ? frameKept(held.frame, position) : frameAt(lines, position, width);

  function grab(event: PointerEvent<SVGSVGElement>) {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setHeld({ from: position, x: event.clientX, frame });
  }
  function drag(event: PointerEvent<SVGSVGElement>) {
    if (!held) return;
    const moved = (event.clientX - held.x) / held.frame.perUnit;
    onMove(clamped(lines, held.from + moved));
  }
  function release() {
    if (!held) return;
    setHeld(null);
    onRelease();
  }
  function step(counts: number) {
    onMove(clamped(lines, position + counts * lines.least_count));
    onRelease();
  }
  function keys(event: KeyboardEvent) {
    const direction = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (direction === undefined) return;
    event.preventDefault();
    step(direction * (event.shiftKey ? 10 : 1));
  }

  return (
    <div className="strip" ref={ref} data-narrow={narrow}>
      <svg
        role="slider"
        tabIndex={0}
        aria-label={props.label}
        aria-valuenow={position}
        aria-valuemin={lowest(lines)}
        aria-valuemax={lines.high ?? viewLength(lines) * 10}
        aria-valuetext={props.readOut}
        className="strip-drawing"
        data-live={props.live}
        width={width}
        height={narrow ? NARROW_HEIGHT : HEIGHT}
        onPointerDown={grab}
        onPointerMove={drag}
        onPointerUp={release}
        onPointerCancel={release}
        onKeyDown={keys}
        ref={drawing}
      >
        <Jaws frame={frame} position={position} zeroError={props.zeroError} narrow={narrow} />
        <Beam lines={lines} frame={frame} answer={props.live ? props.answer : null} />
        <FineScale
          lines={lines}
          frame={frame}
          position={position}
          answer={props.live ? props.answer : null}
        />
        {!narrow && props.live && props.answer?.meets != null && (
          <Fan x={xOf(frame, props.answer.meets)} width={width} />
        )}
      </svg>
      <Lens lines={lines} answer={props.live ? props.answer : null} />
      <Locator lines={lines} frame={frame} position={position} />
    </div>
  );
}

/** The light from the coincidence to the lens that shows it larger. */
function Fan({ x, width }: { x: number; width: number }) {
  const left = width * 0.4 + 40;
  const right = width * 0.84 - 40;
  return <path className="strip-fan" d={`M${x - 5} 112L${left} 140H${right}L${x + 5} 112Z`} />;
}

const lowest = (lines: Lines) => (lines.low ?? 0) - 2 * lines.division;

function clamped(lines: Lines, position: number): number {
  const highest = lines.high === null ? Infinity : lines.high + lines.division;
  return Math.min(Math.max(position, lowest(lines)), highest);
}
