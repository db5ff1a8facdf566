import type { Flag, Instrument, Quantity } from "../api";

/** The stretch of values that the tally's dots share. */
export interface Axis {
  low: number;
  high: number;
}

const ROOM = 0.3;
const LEAST_COUNTS = 2;

/** Indices of readings that a warning singles out. */
export function singledOut(flags: Flag[]): Set<number> {
  const indices = flags
    .filter((flag) => flag.level === "warning")
    .map((flag) => flag.observation)
    .filter((index) => index !== null);
  return new Set(indices);
}

/** The axis: framed on the readings that belong together, so that a stray one does not flatten them. */
export function axisOf(quantity: Quantity, leastCount: number): Axis | null {
  const out = singledOut(quantity.flags);
  const counting = quantity.readings.filter((reading) => !reading.excluded);
  const family = counting.filter((reading) => !out.has(quantity.readings.indexOf(reading)));
  const values = (family.length > 0 ? family : counting).map((reading) => reading.value);
  if (values.length === 0) return null;
  const low = Math.min(...values);
  const high = Math.max(...values);
  const room = Math.max((high - low) * ROOM, LEAST_COUNTS * leastCount);
  return { low: low - room, high: high + room };
}

/** A value as a share of the axis, and on which side it leaves it. */
export function shareOf(axis: Axis, value: number): { share: number; off: "" | "low" | "high" } {
  const share = (value - axis.low) / (axis.high - axis.low);
  if (share < 0) return { share: 0, off: "low" };
  if (share > 1) return { share: 1, off: "high" };
  return { share, off: "" };
}

/** An end of the axis, to the place that the least count has. */
export function axisText(value: number, { traits, least_count }: Instrument): string {
  const decimals = least_count.split(".")[1]?.length ?? 0;
  const sign = value < 0 ? "−" : "";
  const size = Number(Math.abs(value).toFixed(decimals));
  if (!traits.circular) return sign + size.toFixed(decimals);
  return `${sign}${Math.floor(size / 60)}°${(size % 60).toFixed(decimals)}′`;
}
