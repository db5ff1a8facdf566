import type { Arrival, Decision } from "../api";
import { say } from "../voice";

/** How a file stands to what is here, and to those that came with it. */
export type Standing = Arrival["standing"] | "twin" | "state";

/** What files are that stand alike, in the order in which one wants to know. */
export const STANDINGS = (): Record<Standing, string> => ({
  new: say("transfer-new-here"),
  differs: say("transfer-here-differs"),
  state: say("transfer-state-among-these"),
  same: say("transfer-here-same"),
  twin: say("transfer-twin-among-these"),
  faulty: say("transfer-unreadable"),
  other: say("transfer-other"),
});

export function standing({ standing, earlier, here }: Arrival): Standing {
  if (!earlier || here) return standing;
  return standing === "same" ? "twin" : "state";
}

/** How one stands, with the file that is the same sheet. */
export function standingOf(arrival: Arrival): string {
  const found = standing(arrival);
  if (found === "twin") return say("transfer-twin", { file: arrival.earlier });
  if (found === "state") return say("transfer-other-state", { file: arrival.earlier });
  return STANDINGS()[found];
}

export const LABELS = (): Record<Decision, string> => ({
  new: say("transfer-again"),
  replace: say("transfer-replace"),
  skip: say("transfer-leave-it"),
});
