import { xOf, type Frame } from "./geometry";

/** How places along a scale become places on screen: straight, or bent round a circle. */
export interface Shape {
  /** Puts what is drawn at x = 0 to where `x` lies along the scale. */
  place: (x: number) => string;
  /** A band along the scale from `left` to `right`, between two heights. */
  band: (left: number, right: number, top: number, bottom: number) => string;
}

export const STRAIGHT: Shape = {
  place: (x) => `translate(${x} 0)`,
  band: (left, right, top, bottom) => `M${left} ${top}H${right}V${bottom}H${left}Z`,
};

/** Bent round a centre far below the drawing, so that the edge at `edge` keeps its lengths. */
export function bent(width: number, edge: number): Shape {
  const radius = width * 1.9;
  const middle = width / 2;
  const centre = edge + radius;
  const angle = (x: number) => (x - middle) / radius;
  const at = (x: number, y: number) => {
    const r = centre - y;
    return `${middle + r * Math.sin(angle(x))} ${centre - r * Math.cos(angle(x))}`;
  };
  return {
    place: (x) =>
      `rotate(${(angle(x) * 180) / Math.PI} ${middle} ${centre}) translate(${middle} 0)`,
    band: (left, right, top, bottom) =>
      `M${at(left, top)}A${centre - top} ${centre - top} 0 0 1 ${at(right, top)}` +
      `L${at(right, bottom)}A${centre - bottom} ${centre - bottom} 0 0 0 ${at(left, bottom)}Z`,
  };
}

/** Marks of the second edge, sixteenths of an inch on a metric beam. */
export function inchMarks(frame: Frame, perInch: number, high: number | null) {
  const step = perInch / 16;
  const first = Math.max(0, Math.ceil(frame.start / step));
  const end = Math.min(frame.start + frame.width / frame.perUnit, high ?? Infinity);
  const marks = [];
  for (let index = first; index * step <= end; index++)
    marks.push({ x: xOf(frame, index * step), index, whole: index % 16 === 0 });
  return marks;
}
