import { useEffect } from "react";
import { answering } from "../api/bell";

/** Whether the house is away, as every read finds out by itself. */
export function useAway(setAway: (away: boolean) => void): void {
  useEffect(() => answering.heard((answers) => setAway(!answers)), [setAway]);
}
