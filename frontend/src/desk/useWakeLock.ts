import { useEffect } from "react";

/** Keeps the screen awake while a quantity is recorded; where that cannot be done, it is left. */
export function useWakeLock(): void {
  useEffect(() => {
    let over = false;
    let lock: WakeLockSentinel | null = null;
    async function hold() {
      if (!("wakeLock" in navigator) || document.visibilityState !== "visible") return;
      try {
        const held = await navigator.wakeLock.request("screen");
        if (over) await held.release();
        else lock = held;
      } catch {
        // A low battery or the system's own rule says no: the screen sleeps as usual.
      }
    }
    // The system lets go when the page is hidden; it is asked again when it comes back.
    const back = () => void hold();
    document.addEventListener("visibilitychange", back);
    void hold();
    return () => {
      over = true;
      document.removeEventListener("visibilitychange", back);
      void lock?.release();
    };
  }, []);
}
