import { useState, type PointerEvent, type ReactNode } from "react";

import "./magnifier.css";

const LARGER = 4;
const BAND = 112;

export interface Place {
  x: number;
  y: number;
}

/** The part of a drawing that a magnifier looks at, in its own pixels. */
export interface Box {
  width: number;
  top: number;
  height: number;
}

/** A magnifier over a drawing: where it looks, and what moves it. */
export function useMagnifier({ width, top, height }: Box) {
  const [over, setOver] = useState<Place | null>(null);
  function follow(event: PointerEvent<SVGSVGElement>) {
    const box = event.currentTarget.getBoundingClientRect();
    const zoom = event.currentTarget.currentCSSZoom || 1;
    setOver({
      x: (event.clientX - box.left) / zoom,
      y: (event.clientY - box.top) / zoom + top,
    });
  }
  function moved(right: number, down: number) {
    const from = over ?? { x: width / 2, y: top + height / 2 };
    setOver({
      x: Math.min(Math.max(from.x + right, 0), width),
      y: Math.min(Math.max(from.y + down, top), top + height),
    });
  }
  return { over, follow, moved, away: () => setOver(null) };
}

/** What a magnifier shows of a drawing; under it, over what comes next, so that nothing moves. */
export function Magnifier(props: { over: Place | null; width: number; children: ReactNode }) {
  const { over, width, children } = props;
  if (!over) return null;
  const wide = width / LARGER;
  const high = BAND / LARGER;
  return (
    <svg
      className="magnifier strip-drawing"
      width={width}
      height={BAND}
      viewBox={`${over.x - wide / 2} ${over.y - high / 2} ${wide} ${high}`}
      aria-hidden="true"
    >
      {children}
    </svg>
  );
}
