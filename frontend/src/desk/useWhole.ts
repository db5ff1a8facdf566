import { useEffect, useRef } from "react";

import { MEDIA } from "../common/sizes";

const onItsSide = window.matchMedia(MEDIA.low);

/** On a phone on its side, brings a part to the top of the page, so that all of it is seen. */
export function useWhole<Part extends HTMLElement>() {
  const ref = useRef<Part>(null);
  useEffect(() => {
    if (onItsSide.matches) ref.current?.scrollIntoView({ block: "start" });
  }, []);
  return ref;
}
