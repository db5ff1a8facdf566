/** A point of a picture, in its pixels from the upper left. */
export interface Point {
  x: number;
  y: number;
}

/** Both ends of the edge over the fine scale. */
export type Ends = [Point, Point];

export interface Size {
  width: number;
  height: number;
}

/** An edge across the middle, where nobody has seen one yet. */
export function acrossMiddle({ width, height }: Size, upright: boolean): Ends {
  return upright
    ? [
        { x: width / 2, y: height / 4 },
        { x: width / 2, y: (3 * height) / 4 },
      ]
    : [
        { x: width / 4, y: height / 2 },
        { x: (3 * width) / 4, y: height / 2 },
      ];
}

/** A point kept within its picture. */
export const within = ({ x, y }: Point, { width, height }: Size): Point => ({
  x: Math.min(Math.max(x, 0), width),
  y: Math.min(Math.max(y, 0), height),
});

/** One end moved to another place. */
export function moved(ends: Ends, end: 0 | 1, to: Point): Ends {
  return end === 0 ? [to, ends[1]] : [ends[0], to];
}

const ARROWS: Record<string, Point> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** How far a key moves an end: one step, with Shift ten; null for another key. */
export function stepOf(key: string, shift: boolean, step: number): Point | null {
  const arrow = ARROWS[key];
  const far = step * (shift ? 10 : 1);
  return arrow ? { x: arrow.x * far, y: arrow.y * far } : null;
}
