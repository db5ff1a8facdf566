import { useEffect, useRef } from "react";

const onItsSide = window.matchMedia("(max-height: 500px)");

/** On a phone on its side, brings a part to the top of the page, so that all of it is seen. */
export function useWhole<Part extends HTMLElement>() {
  const ref = useRef<Part>(null);
  useEffect(() => {
    if (onItsSide.matches) ref.current?.scrollIntoView({ block: "start" });
  }, []);
  return ref;
}
