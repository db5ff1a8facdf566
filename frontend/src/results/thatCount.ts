import type { Quantity } from "../api";
import { say } from "../voice";

/** How many of its readings count, where some were set aside. */
export function thatCount({ result, reading_count: all }: Quantity): string {
  return result.count < all ? `, ${say("readings-that-count", { count: result.count })}` : "";
}
