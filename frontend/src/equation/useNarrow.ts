import { useSyncExternalStore } from "react";

import { MEDIA } from "../common/sizes";

const narrow = window.matchMedia(MEDIA.phone);

/** Whether the page is as small as a phone, upright or on its side, where our own key pad takes the place of the system's. */
export function useNarrow(): boolean {
  return useSyncExternalStore(
    (changed) => {
      narrow.addEventListener("change", changed);
      return () => narrow.removeEventListener("change", changed);
    },
    () => narrow.matches,
  );
}
