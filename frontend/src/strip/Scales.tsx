import type { Answer, Instrument } from "../api";
import { Beam, EDGE, FineScale, heights } from "./Beam";
import { xOf, type Frame } from "./geometry";
import { Faces, Hatch } from "./Jaws";
import { Ring } from "./Ring";
import type { Swept } from "./ring";
import { Screw } from "./Screw";
import { bent, STRAIGHT } from "./shape";

export interface ScalesProps {
  instrument: Instrument;
  position: number;
  answer: Answer | null;
  frame: Frame;
  narrow: boolean;
  zeroError: number;
  /** Which faces are used; without any, the scales are drawn alone. */
  face?: string | null | undefined;
  /** How thick it is what lies between the faces; without it, the gap is filled. */
  item?: number | undefined;
  /** On a circle, from where and which way round a pair sweeps to this position. */
  swept?: Omit<Swept, "to"> | null | undefined;
  /** Whether the whole circle is drawn besides, and the light that leads to the lens. */
  beside?: boolean;
  /** Lines to stand out besides the one of the answer. */
  meeting?: number[] | undefined;
}

/** The scales of a tool, with its faces: a vernier straight or bent, a screw, or marks alone. */
export function Scales(props: ScalesProps) {
  const { instrument, answer, position, zeroError, frame, item } = props;
  switch (instrument.traits.drawing) {
    case "beam":
    case "circle":
    case "rule":
      return <Sliding {...props} />;
    case "thimble":
      return <Screw {...{ instrument, answer, position, zeroError, item }} width={frame.width} />;
  }
}

/** A vernier, straight with its faces or bent round a circle with its ring. */
function Sliding({ instrument, answer, frame, narrow, ...props }: ScalesProps) {
  const { position, zeroError, face, item, meeting, swept = null, beside = true } = props;
  const { circular: angular, fine_scale: fine, slides: jaws } = instrument.traits;
  const shape = angular ? bent(frame.width, EDGE) : STRAIGHT;
  return (
    <>
      {jaws && face != null && <Faces {...{ frame, position, zeroError, narrow, face, item }} />}
      <Beam {...{ instrument, frame, answer, shape, position }} />
      {!fine ? (
        <Laid from={xOf(frame, 0)} to={xOf(frame, position)} />
      ) : (
        <FineScale
          {...{ instrument, frame, answer, shape, position }}
          {...(meeting ? { meeting } : {})}
        />
      )}
      {angular && beside && (
        <Ring position={position} swept={swept && { ...swept, to: position }} small={narrow} />
      )}
      {beside && !narrow && answer?.meets != null && !angular && (
        <Fan
          x={xOf(frame, answer.meets)}
          y={heights(instrument)(112) > 100 ? 112 : 128}
          width={frame.width}
        />
      )}
    </>
  );
}

/** What is laid along a scale without a fine one, from its zero to where it is read. */
function Laid({ from, to }: { from: number; to: number }) {
  return (
    <g className="fine-scale">
      <Hatch />
      <rect
        className="object"
        fill="url(#hatch)"
        x={Math.min(from, to)}
        y={EDGE + 6}
        width={Math.abs(to - from)}
        height={58}
      />
      <line className="pointer" x1={to} x2={to} y1={EDGE - 30} y2={EDGE + 74} />
    </g>
  );
}

/** The light from the coincidence to the lens that shows it larger. */
function Fan({ x, y, width }: { x: number; y: number; width: number }) {
  const left = width * 0.4 + 40;
  const right = width * 0.84 - 40;
  return <path className="strip-fan" d={`M${x - 5} ${y}L${left} 140H${right}L${x + 5} ${y}Z`} />;
}
