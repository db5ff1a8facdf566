import { useEffect } from "react";
import { useLocation } from "react-router";

/** Goes to the part of the page that the address names, once it is there. */
export function usePlace(): void {
  const { hash, key } = useLocation();
  useEffect(() => {
    if (hash) goTo(decodeURIComponent(hash.slice(1)));
  }, [hash, key]);
}

function goTo(id: string) {
  const place = document.getElementById(id);
  if (!place) return;
  place.tabIndex = -1;
  place.focus({ preventScroll: true });
  place.scrollIntoView({ block: "center" });
}
