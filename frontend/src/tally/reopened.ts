import type { Flag, Quantity, Reading } from "../api";

/** A reading taken up from the tally. */
export interface Reopened {
  reading: Reading;
  /** Shown on the scales; looked at afresh, its old figures hidden; or its figures put right. */
  to: "show" | "again" | "change";
}

/** Something odd about a reading, to be asked where the eye is. */
export interface Question {
  flag: Flag;
  reading: Reading;
}

/** What is open about single readings. */
export function openLooks({ flags, readings }: Quantity): Question[] {
  return flags.flatMap((flag) => {
    const reading = flag.observation === null ? undefined : readings[flag.observation];
    return reading && flag.level === "warning" && !flag.settled ? [{ flag, reading }] : [];
  });
}

/** What to ask between two readings: about the one just made, else what was found last. */
export function toAsk(quantity: Quantity, made: string | null): Question | null {
  const looks = openLooks(quantity);
  return looks.find(({ reading }) => reading.id === made) ?? looks.at(-1) ?? null;
}
