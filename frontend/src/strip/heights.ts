import type { Drawing } from "../api";

/** How high the scales are drawn, in pixels: where the drawing begins, and its height. */
interface Heights {
  /** The strip at the desk, beyond its usual height: an arc falls off, a thimble is thick. */
  taller: number;
  /** The same where it is narrow: an arc falls off little there. */
  narrowTaller: number;
  /** A small drawing beside an answer. */
  asked: [number, number];
  /** Scales that are only read. */
  still: [number, number];
  /** The tool at the bench; above a screw nothing is drawn so far away. */
  bench: [number, number];
  /** The same where it is narrow; the frame of a screw is left out. */
  narrowBench: [number, number];
}

export const HEIGHTS: Record<Drawing, Heights> = {
  beam: {
    taller: 0,
    narrowTaller: 0,
    asked: [14, 116],
    still: [10, 130],
    bench: [0, 226],
    narrowBench: [0, 164],
  },
  circle: {
    taller: 54,
    narrowTaller: 0,
    asked: [14, 116],
    still: [0, 200],
    bench: [0, 226],
    narrowBench: [0, 200],
  },
  thimble: {
    taller: 14,
    narrowTaller: 14,
    asked: [40, 160],
    still: [40, 160],
    bench: [32, 206],
    narrowBench: [32, 174],
  },
  rule: {
    taller: -60,
    narrowTaller: 0,
    asked: [26, 104],
    still: [10, 130],
    bench: [0, 130],
    narrowBench: [0, 110],
  },
};
