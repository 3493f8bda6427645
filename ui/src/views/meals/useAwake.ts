import { useEffect, useState } from "react";

/** Keeps the screen on while a page is looked at, where the device can. @returns whether it does */
export function useAwake(): boolean {
  const [awake, setAwake] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const ask = async () => {
      if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
      try {
        lock = await navigator.wakeLock.request("screen");
        if (over) return void lock.release();
        setAwake(true);
        lock.addEventListener("release", () => setAwake(false));
      } catch {
        // A device that is low on power keeps its own counsel.
        setAwake(false);
      }
    };
    void ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      over = true;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, []);
  return awake;
}
