import { useEffect, useRef } from "react";

/** A place where figures are entered. */
interface Place {
  /** Whether something is entered that Enter would keep. */
  isFilled: () => boolean;
  /** Puts the cursor where the next figure goes, or behind the last. */
  resume: (over: boolean) => void;
}

/** The places that are on the page, the one on top last. */
const places: Place[] = [];

/** Says where the hand goes on, as long as that is on the page. */
export function useHandPlace(place: Place): void {
  const latest = useRef(place);
  useEffect(() => {
    latest.current = place;
  });
  useEffect(() => {
    const own: Place = {
      isFilled: () => latest.current.isFilled(),
      resume: (over) => latest.current.resume(over),
    };
    places.push(own);
    return () => {
      places.splice(places.indexOf(own), 1);
    };
  }, []);
}

/** What somebody is typing in: nothing takes the cursor from there. */
const TYPED_IN = "input, textarea, select, [contenteditable='true']";

/**
 * The hand goes on with the figures, once what was done beside them is shown.
 *
 * @param over whether what stands there is typed over, as after a drag.
 */
export function goOn(over = false): void {
  requestAnimationFrame(() => {
    if (!document.activeElement?.matches(TYPED_IN)) places.at(-1)?.resume(over);
  });
}

/**
 * The same at once; whether there was a place to go to.
 *
 * @param onlyFilled whether it goes only where something waits to be kept.
 */
export function resumeNow(onlyFilled = false): boolean {
  const place = places.at(-1);
  if (!place || (onlyFilled && !place.isFilled())) return false;
  place.resume(false);
  return true;
}
