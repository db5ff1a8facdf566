import { useCallback, useState } from "react";

/** The width of an element in px, kept up with as it changes. */
export function useWidth(): [(element: HTMLElement | null) => (() => void) | undefined, number] {
  const [width, setWidth] = useState(1200);
  const ref = useCallback((element: HTMLElement | null) => {
    if (!element) return undefined;
    if (element.clientWidth) setWidth(element.clientWidth);
    const observer = new ResizeObserver(() => {
      setWidth(element.clientWidth);
    });
    observer.observe(element);
    return () => {
      observer.disconnect();
    };
  }, []);
  return [ref, width];
}
