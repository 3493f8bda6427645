import { useEffect } from "react";

/** Whether the house answers, as every read finds out by itself. */
export function useAway(setAway: (away: boolean) => void): void {
  useEffect(() => {
    const gone = () => setAway(true);
    const back = () => setAway(false);
    window.addEventListener("house-away", gone);
    window.addEventListener("house-back", back);
    return () => {
      window.removeEventListener("house-away", gone);
      window.removeEventListener("house-back", back);
    };
  }, [setAway]);
}
