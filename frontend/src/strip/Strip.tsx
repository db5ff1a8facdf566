import { Button } from "antd";
import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { throttle } from "throttle-debounce";

import type { Answer, Instrument } from "../api";
import { goOn } from "../common/hand";
import { frameAt, frameKept, viewLength, type Frame } from "./geometry";
import { Digits } from "./Digits";
import { HEIGHTS } from "./heights";
import { Lens } from "./Lens";
import { Locator } from "./Locator";
import type { Swept } from "./ring";
import { Scales } from "./Scales";
import { screwPlaces } from "./screwGeometry";
import { ScrewLens } from "./ScrewLens";
import "./strip.css";
import { Turns } from "./Turns";
import { useWheel } from "./useWheel";
import { useWidth } from "./useWidth";
import { say } from "../voice";

export interface StripProps {
  instrument: Instrument;
  /** Where the fine zero (or the edge of the thimble) stands, in the unit of the instrument. */
  position: number;
  /** Whether that is an entry, and not just where the last one was left. */
  live: boolean;
  answer: Answer | null;
  zeroError: number;
  /** Which faces are used; without any, the scales are drawn alone. */
  face?: string | null;
  /** On a circle, from where and which way round a pair sweeps to this position. */
  swept?: Omit<Swept, "to"> | null;
  /** Lines to stand out besides the one of the answer. */
  meeting?: number[];
  label: string;
  readOut: string;
  onMove: (position: number) => void;
  onRelease: () => void;
  /** Whether there are buttons for one line, for a thumb. */
  steps?: boolean;
  /** Takes the other turn of a screw; without it the two are not offered. */
  onTurn?: (turn: Answer["turns"][number]) => void;
}

/** The scales in the hand: where they were taken, where they and the hand are now, and the view. */
interface Held {
  from: number;
  at: number;
  x: number;
  /** At what height they were taken. */
  y: number;
  frame: Frame;
}

/** A hand that is moved away from where it took hold goes so many times slower: the fine gear. */
const FINE_GEAR = 8;
/** Pixels away from there, at which it begins. */
const AWAY = 56;

const HEIGHT = 226;
const NARROW_HEIGHT = 164;
/** While the scales are dragged, how often the page around them is told: they move at once. */
const TOLD_MS = 100;

/** The student's own instrument, drawn to scale and framed on its fine scale. */
export function Strip(props: StripProps) {
  const { instrument, onMove, onRelease } = props;
  const { lines, traits } = instrument;
  const { taller, narrowTaller } = HEIGHTS[traits.drawing];
  const [ref, width] = useWidth();
  const [held, setHeld] = useState<Held | null>(null);
  const position = held ? held.at : props.position;
  const tell = useRef(onMove);
  useEffect(() => {
    tell.current = onMove;
  });
  const tellNow = useMemo(() => throttle(TOLD_MS, (at: number) => tell.current(at)), []);
  const drawing = useWheel((notches) => step(notches));
  const narrow = width < 640;
  const frame = held ? frameKept(held.frame, position) : frameAt(lines, position, width);
  const perUnit = traits.turns ? screwPlaces(instrument, position, width).perUnit : frame.perUnit;

  function grab(event: PointerEvent<SVGSVGElement>) {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setHeld({ from: position, at: position, x: event.clientX, y: event.clientY, frame });
  }
  function drag(event: PointerEvent<SVGSVGElement>) {
    if (!held) return;
    const gear = Math.abs(event.clientY - held.y) > AWAY ? FINE_GEAR : 1;
    const moved = (event.clientX - held.x) / (event.currentTarget.currentCSSZoom || 1);
    const at = clamped(instrument, held.at + moved / perUnit / gear);
    setHeld({ ...held, at, x: event.clientX });
    tellNow(at);
  }
  function release() {
    if (!held) return;
    tellNow.cancel({ upcomingOnly: true });
    setHeld(null);
    if (held.at !== held.from) onMove(held.at);
    onRelease();
    // What was dragged is typed on, or kept.
    if (held.at !== held.from) goOn(true);
  }
  function step(counts: number) {
    onMove(clamped(instrument, position + counts * lines.least_count));
    onRelease();
  }
  function keys(event: KeyboardEvent) {
    const direction = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (direction === undefined) return;
    event.preventDefault();
    step(direction * (event.shiftKey ? 10 : 1));
  }

  const answer = props.live ? props.answer : null;
  const turns = props.onTurn ? (answer?.turns ?? []) : [];
  if (instrument.appearance.display)
    return (
      <div className="strip strip-display" ref={ref} data-live={props.live}>
        <Digits instrument={instrument} position={position} />
      </div>
    );
  return (
    <div className="strip" ref={ref} data-narrow={narrow} data-drawing={traits.drawing}>
      <svg
        ref={drawing}
        role="slider"
        tabIndex={0}
        aria-label={props.label}
        aria-valuenow={position}
        aria-valuemin={traits.circular ? -21600 : lowest(instrument)}
        aria-valuemax={lines.high ?? viewLength(lines) * 100}
        aria-valuetext={props.readOut}
        className="strip-drawing"
        data-live={props.live}
        width={width}
        height={narrow ? NARROW_HEIGHT + narrowTaller : HEIGHT + taller}
        onPointerDown={grab}
        onPointerMove={drag}
        onPointerUp={release}
        onPointerCancel={release}
        onKeyDown={keys}
      >
        <Scales {...props} {...{ answer, frame, narrow, position }} />
      </svg>
      {props.steps && (
        <div className="strip-steps">
          <Button aria-label={say("zero-step-back")} onClick={() => step(-1)}>
            −
          </Button>
          <Button aria-label={say("zero-step-on")} onClick={() => step(1)}>
            +
          </Button>
        </div>
      )}
      {traits.turns ? (
        <ScrewLens {...{ instrument, position, answer }} above={turns.length > 0} />
      ) : (
        props.meeting === undefined && traits.fine_scale && <Lens lines={lines} answer={answer} />
      )}
      {props.onTurn && turns.length > 0 && (
        <Turns {...{ instrument, turns }} onTurn={props.onTurn} />
      )}
      <Locator lines={lines} frame={frame} position={position} />
    </div>
  );
}

const lowest = ({ traits, lines }: Instrument) =>
  traits.circular ? -Infinity : (lines.low ?? 0) - 2 * (lines.pitch ?? lines.division);

function clamped(instrument: Instrument, position: number): number {
  const { high, division } = instrument.lines;
  const highest = high === null ? Infinity : high + division;
  return Math.min(Math.max(position, lowest(instrument)), highest);
}
