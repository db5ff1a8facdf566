import type { Reading } from "../api";

/** How a reading is taken: kept from reading to reading, but for what belongs to one alone. */
export interface Circumstances {
  place: string;
  approach: "" | "opening" | "closing";
  reader: string;
  /** The main mark the line was seen to meet; a check of this reading only. */
  meets: string;
  /** A remark on this reading only. */
  note: string;
}

export const NONE: Circumstances = { place: "", approach: "", reader: "", meets: "", note: "" };

/** The circumstances of a reading that is taken up to be changed. */
export function circumstancesOf(reading: Reading): Circumstances {
  const { place, reader, meets, note } = reading;
  const approach =
    reading.approach === "opening" || reading.approach === "closing" ? reading.approach : "";
  return { place, approach, reader, meets, note };
}

/** As fields of a reading; what is empty is taken away. */
export function asFields(given: Circumstances) {
  const meets = given.meets.trim().replace(",", ".").replace("−", "-");
  return {
    place: given.place.trim() || null,
    approach: given.approach || null,
    reader: given.reader.trim() || null,
    meets: meets || null,
    note: given.note.trim() || null,
  };
}

/**
 * The place to go to after a reading at `place`: from the second round on, the one that came next
 * in the first; until then the same.
 */
export function nextPlace(readings: Pick<Reading, "place">[], place: string): string {
  const visited = [...readings.map((reading) => reading.place), place].filter(Boolean);
  const round = [...new Set(visited)];
  const times = visited.filter((one) => one === place).length;
  if (round.length < 2 || times < 2) return place;
  return round[(round.indexOf(place) + 1) % round.length] ?? place;
}

/** What stays for the next reading. */
export function kept(given: Circumstances, readings: Pick<Reading, "place">[]): Circumstances {
  return { ...given, place: nextPlace(readings, given.place.trim()), meets: "", note: "" };
}
