import { useEffect, useRef, type RefObject } from "react";

const NOTCH = 30;

/**
 * Calls `onNotch` with 1 or -1 for each notch of the wheel over an element, instead of scrolling
 * the page (which a listener that React attaches could not prevent).
 */
export function useWheel(onNotch: (notches: number) => void): RefObject<SVGSVGElement | null> {
  const element = useRef<SVGSVGElement>(null);
  const latest = useRef(onNotch);
  useEffect(() => {
    latest.current = onNotch;
  });
  useEffect(() => {
    const target = element.current;
    let turned = 0;
    function onWheel(event: WheelEvent) {
      event.preventDefault();
      turned += event.deltaY + event.deltaX;
      if (Math.abs(turned) < NOTCH) return;
      latest.current(turned > 0 ? 1 : -1);
      turned = 0;
    }
    target?.addEventListener("wheel", onWheel, { passive: false });
    return () => target?.removeEventListener("wheel", onWheel);
  }, []);
  return element;
}
