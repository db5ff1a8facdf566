/** A sweep of a pair on the circle, in arc minutes. */
export interface Swept {
  from: number;
  to: number;
  /** Whether it goes the shorter way round, or onward from the first to the second. */
  arc: "shorter" | "forward";
}

const FULL = 360 * 60;

/** How far the sweep goes from its first position: clockwise above zero, else the other way. */
export function turnOf({ from, to, arc }: Swept): number {
  const forward = (((to - from) % FULL) + FULL) % FULL;
  return arc === "shorter" && forward > FULL / 2 ? forward - FULL : forward;
}

/** The sector of a sweep as the path of an SVG; zero is up, angles grow clockwise. */
export function arcBetween(swept: Swept, radius: number): string {
  const turn = turnOf(swept);
  const point = (minutes: number) => {
    const angle = (minutes / FULL) * 2 * Math.PI;
    return `${(radius * Math.sin(angle)).toFixed(2)} ${(-radius * Math.cos(angle)).toFixed(2)}`;
  };
  const large = Math.abs(turn) > FULL / 2 ? 1 : 0;
  const way = turn >= 0 ? 1 : 0;
  const end = point(swept.from + turn);
  return `M0 0L${point(swept.from)}A${radius} ${radius} 0 ${large} ${way} ${end}Z`;
}
