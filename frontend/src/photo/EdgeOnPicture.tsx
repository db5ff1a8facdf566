import {
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
  type PointerEvent,
  type ReactNode,
} from "react";

import { useNarrow } from "../equation/useNarrow";
import { say } from "../voice";
import { moved, stepOf, within, type Ends, type Point, type Size } from "./edge";

interface Props {
  address: string;
  size: Size;
  ends: Ends;
  /** Null while the ends stay where they are. */
  onEnds: ((ends: Ends) => void) | null;
  /** What lies over the picture. */
  children?: ReactNode;
}

/** The picture with the edge as a line, whose ends are moved by hand, keys, or two clicks. */
export function EdgeOnPicture({ address, size, ends, onEnds, children }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<0 | 1 | null>(null);
  const [next, setNext] = useState<0 | 1>(0);
  const placed = (event: { clientX: number; clientY: number }): Point => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return { x: 0, y: 0 };
    const x = ((event.clientX - box.left) / box.width) * size.width;
    const y = ((event.clientY - box.top) / box.height) * size.height;
    return within({ x, y }, size);
  };
  const put = (end: 0 | 1, to: Point) => onEnds?.(moved(ends, end, within(to, size)));
  function click(event: MouseEvent) {
    put(next, placed(event));
    setNext(next === 0 ? 1 : 0);
  }
  function drag(event: PointerEvent, end: 0 | 1) {
    if (held === end) put(end, placed(event));
  }
  function press(event: KeyboardEvent, end: 0 | 1) {
    const step = stepOf(event.key, event.shiftKey, Math.max(1, size.width / 1600));
    if (!step) return;
    event.preventDefault();
    put(end, { x: ends[end].x + step.x, y: ends[end].y + step.y });
  }
  // A thumb needs more room than a mouse.
  const radius = size.width / (useNarrow() ? 33 : 60);
  return (
    <div className="edge-on-picture">
      <svg
        ref={svg}
        viewBox={`0 0 ${size.width} ${size.height}`}
        style={{ aspectRatio: `${size.width} / ${size.height}` }}
        onClick={onEnds ? click : undefined}
      >
        <title>{say("photo-of-the-scales")}</title>
        <image href={address} width={size.width} height={size.height} />
        {children}
        {onEnds && (
          <>
            <EdgeLine ends={ends} width={size.width / 500} />
            {([0, 1] as const).map((end) => (
              <g
                key={end}
                className="edge-end"
                role="slider"
                tabIndex={0}
                aria-label={say("photo-edge-end", { at: end + 1 })}
                aria-valuemin={0}
                aria-valuemax={size.width}
                aria-valuenow={Math.round(ends[end].x)}
                aria-valuetext={say("photo-edge-at", {
                  x: Math.round(ends[end].x),
                  y: Math.round(ends[end].y),
                })}
                transform={`translate(${ends[end].x} ${ends[end].y})`}
                onPointerDown={(event) => {
                  event.currentTarget.setPointerCapture(event.pointerId);
                  setHeld(end);
                }}
                onPointerMove={(event) => drag(event, end)}
                onPointerUp={() => setHeld(null)}
                onPointerCancel={() => setHeld(null)}
                onClick={(event) => event.stopPropagation()}
                onKeyDown={(event) => press(event, end)}
              >
                <circle className="edge-grip" r={radius * 2.2} />
                <circle className="edge-ring" r={radius} strokeWidth={radius / 5} />
              </g>
            ))}
          </>
        )}
      </svg>
      {held !== null && <Loupe {...{ address, size, ends }} at={ends[held]} />}
    </div>
  );
}

function EdgeLine({ ends: [one, other], width }: { ends: Ends; width: number }) {
  const places = { x1: one.x, y1: one.y, x2: other.x, y2: other.y };
  return (
    <>
      <line className="edge-under" {...places} strokeWidth={width * 2} />
      <line className="edge-line" {...places} strokeWidth={width} />
    </>
  );
}

interface LoupeProps {
  address: string;
  size: Size;
  ends: Ends;
  at: Point;
}

/** What lies under the thumb, larger, in the half of the picture where the thumb is not. */
function Loupe({ address, size, ends, at }: LoupeProps) {
  const reach = size.width / 26;
  return (
    <div className="loupe" data-side={at.x > size.width / 2 ? "left" : "right"}>
      <Cutout {...{ address, size }} middle={at} reach={reach}>
        <EdgeLine ends={ends} width={reach / 60} />
        <circle className="edge-ring" cx={at.x} cy={at.y} r={reach / 8} strokeWidth={reach / 40} />
      </Cutout>
    </div>
  );
}

interface CutoutProps {
  address: string;
  size: Size;
  middle: Point;
  reach: number;
  children?: ReactNode;
}

/** A part of a picture about a point, with what lies over it. */
export function Cutout({ address, size, middle, reach, children }: CutoutProps) {
  const box = [middle.x - reach, middle.y - reach, 2 * reach, 2 * reach].join(" ");
  return (
    <svg className="cutout" viewBox={box} aria-hidden>
      <image href={address} width={size.width} height={size.height} />
      {children}
    </svg>
  );
}
