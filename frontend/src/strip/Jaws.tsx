import { BOTTOM, EDGE } from "./Beam";
import { xOf, type Frame } from "./geometry";

interface Props {
  frame: Frame;
  position: number;
  zeroError: number;
  narrow: boolean;
  face: string;
  /** How thick it is what lies between the faces; without it, the gap is filled. */
  item?: number | undefined;
}

/**
 * The faces with what is measured. The gap is the corrected length: a zero error shows as the
 * offset between the moving face and the fine zero.
 */
export function Faces(props: Props) {
  if (props.face === "inside") return <InsideJaws {...props} />;
  if (props.face === "depth") return <DepthRod {...props} />;
  return <OutsideJaws {...props} />;
}

const sizes = (narrow: boolean) =>
  narrow ? { top: 132, bottom: 158, knee: 26 } : { top: 160, bottom: 220, knee: 68 };

function OutsideJaws({ frame, position, zeroError, narrow, item }: Props) {
  const fixed = xOf(frame, 0);
  const moving = xOf(frame, position - zeroError);
  const { top, bottom, knee } = sizes(narrow);
  return (
    <g className="jaws">
      <path
        className="jaw-fixed"
        d={`M${fixed} ${EDGE}V${bottom - 6}l-10 6h-32l-50 -${knee}V${EDGE}Z`}
      />
      <Material
        left={fixed}
        right={item === undefined ? moving : xOf(frame, item)}
        top={top}
        bottom={bottom - 2}
      />
      <path
        className="jaw-moving"
        d={`M${moving} ${BOTTOM}V${bottom - 6}l10 6h26l22 -${knee} 60 -22V${BOTTOM}Z`}
      />
    </g>
  );
}

function InsideJaws({ frame, position, zeroError, narrow }: Props) {
  const fixed = xOf(frame, 0);
  const moving = xOf(frame, position - zeroError);
  const { top, bottom } = sizes(narrow);
  return (
    <g className="jaws">
      <path className="jaw-fixed" d={`M${fixed} ${bottom}V${EDGE}h46l-20 60Z`} />
      <path className="jaw-moving" d={`M${moving} ${bottom}V${BOTTOM}h-46l20 40Z`} />
      <Material left={fixed - 70} right={fixed} top={top} bottom={bottom - 2} />
      <Material left={moving} right={moving + 70} top={top} bottom={bottom - 2} />
    </g>
  );
}

function DepthRod({ frame, position, zeroError, narrow }: Props) {
  const end = xOf(frame, 0);
  const tip = xOf(frame, position - zeroError);
  const { top, bottom } = sizes(narrow);
  return (
    <g className="jaws">
      <rect className="jaw-fixed" x={end - 60} y={EDGE} width={60} height={bottom - EDGE} />
      <rect
        className="jaw-moving"
        x={end}
        y={bottom - 26}
        width={Math.max(tip - end, 0)}
        height={8}
      />
      <Material left={end} right={tip} top={top} bottom={bottom - 30} />
      <Material left={tip} right={tip + 40} top={top} bottom={bottom} />
    </g>
  );
}

function Material(props: { left: number; right: number; top: number; bottom: number }) {
  const left = Math.max(props.left, -2);
  const width = props.right - left;
  if (width <= 1) return null;
  return (
    <>
      <rect
        className="object"
        fill="url(#hatch)"
        x={left}
        y={props.top}
        width={width}
        height={Math.max(props.bottom - props.top, 0)}
      />
      <Hatch />
    </>
  );
}

export function Hatch() {
  return (
    <defs>
      <pattern id="hatch" width="9" height="9" patternUnits="userSpaceOnUse">
        <path className="hatch" d="M-1 10L10 -1M-1 1L1 -1M8 10L10 8" />
      </pattern>
    </defs>
  );
}
