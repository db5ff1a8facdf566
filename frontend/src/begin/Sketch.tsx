import type { Measurand } from "../api";

/** The part that is measured, its hole, and where the sizes are taken, on a field of 64 by 40. */
const SKETCHES: Record<Measurand["id"], { part: string; size: string }> = {
  outside: { part: "M14 8H50V32H14Z", size: "M14 36H50M14 33V39M50 33V39" },
  inside: { part: "M6 8H20V32H6ZM44 8H58V32H44Z", size: "M20 20H44M20 16V24M44 16V24" },
  depth: { part: "M10 8H22V26H42V8H54V34H10Z", size: "M32 8V26M28 8H36M28 26H36" },
  thickness: {
    part: "M8 17H56V25H8Z",
    size: "M32 6V17M32 25V36M28 13L32 17L36 13M28 29L32 25L36 29",
  },
  stack: {
    part: "M10 8H46V13H10ZM10 15H46V20H10ZM10 22H46V27H10ZM10 29H46V34H10Z",
    size: "M53 8V34M49 8H57M49 34H57",
  },
  ends: {
    part: "M12 6H50V18H12Z",
    size: "M4 24H60M4 24V36H60V24M12 24V32M22 24V29M31 24V29M41 24V29M50 24V32",
  },
  difference: { part: "M8 6H26V34H8ZM38 14H56V34H38Z", size: "M26 6H60M56 14V6M53 9L56 6L59 9" },
  angle: { part: "M10 34L54 34L48 10Z", size: "M28 34A18 18 0 0 0 24.4 26" },
  "half-angle": { part: "M10 34L54 34L34 6Z", size: "M10 34L44 20M26 34A16 16 0 0 0 24.7 27.6" },
};

/** What is measured of a thing, as a small picture. */
export function Sketch({ of }: { of: Measurand["id"] }) {
  const { part, size } = SKETCHES[of];
  return (
    <svg className="sketch" viewBox="0 0 64 42" width="64" height="42" aria-hidden>
      <path className="sketch-part" d={part} />
      <path className="sketch-size" d={size} />
    </svg>
  );
}
