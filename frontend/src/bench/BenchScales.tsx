import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { throttle } from "throttle-debounce";

import { Digits } from "../strip/Digits";
import { frameAt } from "../strip/geometry";
import { HEIGHTS } from "../strip/heights";
import { Magnifier, useMagnifier } from "../strip/Magnifier";
import { Scales } from "../strip/Scales";
import { screwPlaces } from "../strip/screwGeometry";
import "../strip/strip.css";
import { useWidth } from "../strip/useWidth";
import { say } from "../voice";
import type { Standing } from "./AtBench";
import { EYEPIECE, Eyepiece } from "./Eyepiece";

interface Props {
  standing: Standing;
  onMove: (to: number) => void;
}

/** How often the bench is told where a drag is. */
const TOLD_MS = 30;

/** Calls what was given last, at most once in a while; the latest call counts. */
function useThrottled(call: (to: number) => void) {
  const latest = useRef(call);
  const throttled = useRef<(to: number) => void>(null);
  useEffect(() => {
    latest.current = call;
  });
  useEffect(() => {
    throttled.current = throttle(TOLD_MS, (to: number) => latest.current(to));
  }, []);
  return (to: number) => throttled.current?.(to);
}

/** The tool in the hand: dragged, wheeled or moved by the arrow keys; a magnifier follows the eye. */
export function BenchScales({ standing, onMove }: Props) {
  const { instrument, position, faces, item } = standing;
  const [ref, width] = useWidth();
  const narrow = width < 640;
  const heights = HEIGHTS[instrument.traits.drawing];
  const [top, height] = narrow ? heights.narrowBench : heights.bench;
  const magnifier = useMagnifier({ width, top, height });
  const [held, setHeld] = useState<{ x: number; at: number } | null>(null);
  const move = useThrottled(onMove);
  const frame = frameAt(instrument.lines, position, width);
  const perUnit = instrument.traits.turns
    ? screwPlaces(instrument, position, width).perUnit
    : frame.perUnit;
  const still = !standing.may.includes("move");
  function drag(event: PointerEvent<SVGSVGElement>) {
    if (!held) return magnifier.follow(event);
    move(held.at + (event.clientX - held.x) / (event.currentTarget.currentCSSZoom || 1) / perUnit);
  }
  function grab(event: PointerEvent<SVGSVGElement>) {
    if (still || event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    magnifier.away();
    setHeld({ x: event.clientX, at: position });
  }
  function keys(event: KeyboardEvent) {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    if (still) magnifier.moved(by * 6, 0);
    else onMove(position + by * (event.shiftKey ? 10 : 1) * instrument.lines.least_count);
  }
  const label = `${say("bench-stands", { name: instrument.name })} ${standing.seen.join(" ")}`;
  if (instrument.appearance.display) return <Digits {...{ instrument, position }} />;
  const drawing = (
    <Scales
      {...{ instrument, position, frame, narrow, item }}
      answer={null}
      face="outside"
      zeroError={position - faces}
      beside={false}
    />
  );
  return (
    <div ref={ref} className="bench-scales">
      <svg
        className="strip-drawing"
        width={width}
        height={height}
        viewBox={`0 ${top} ${width} ${height}`}
        role="slider"
        tabIndex={0}
        aria-label={label}
        // Those who hear it are told what an eye sees, and no more.
        aria-valuenow={Math.floor(position / instrument.lines.division)}
        data-position={position}
        aria-valuetext={standing.seen.join(" ")}
        onPointerDown={grab}
        onPointerMove={drag}
        onPointerUp={() => setHeld(null)}
        onPointerCancel={() => setHeld(null)}
        onPointerLeave={magnifier.away}
        onBlur={magnifier.away}
        onKeyDown={keys}
      >
        {drawing}
        {standing.aimed !== null && (
          <Eyepiece off={standing.aimed - position} x={width / 2} y={height - EYEPIECE - 3} />
        )}
      </svg>
      <Magnifier over={magnifier.over} width={width}>
        {drawing}
      </Magnifier>
    </div>
  );
}
