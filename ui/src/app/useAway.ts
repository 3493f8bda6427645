import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { asOf } from "../api/answers";
import { answering } from "../api/bell";

/**
 * Whether the house is away, as every read finds out by itself. Once it is back, what was told from memory is asked.
 */
export function useAway(setAway: (away: boolean) => void): void {
  const client = useQueryClient();
  const was = useRef(false);
  useEffect(
    () =>
      answering.heard((answers) => {
        setAway(!answers);
        if (answers && was.current) void client.invalidateQueries({ queryKey: ["house"] });
        was.current = !answers;
      }),
    [setAway, client],
  );
}

/** The time of what is shown, while it is told from memory. */
export function useAsOf(): string | null {
  const [time, setTime] = useState<string | null>(null);
  useEffect(() => asOf.heard(setTime), []);
  return time;
}
