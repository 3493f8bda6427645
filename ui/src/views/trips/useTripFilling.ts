import { useEffect, useRef, useState } from "react";
import { Problem } from "../../api/client";
import { proposeGrid, type Grid } from "../../api/propose";
import { useActs } from "../../app/acts";
import * as say from "../../words/trips";

export interface TripFilling {
  /** The best grid so far, while a search runs. */
  grid: Grid | null;
  running: boolean;
  /** @param keep whether all that stands there stays */
  start: (keep: boolean) => void;
  take: () => void;
  stop: () => void;
}

/** Fills a trip: shows what a search finds while it looks, and puts the last grid there in one act. */
export function useTripFilling(trip: number): TripFilling {
  const { act, tell } = useActs();
  const [grid, setGrid] = useState<Grid | null>(null);
  const [running, setRunning] = useState(false);
  const under = useRef<{ abort: AbortController; keep: boolean; best: Grid | null } | null>(null);
  useEffect(() => () => under.current?.abort.abort(), []);

  const over = () => {
    under.current?.abort.abort();
    under.current = null;
    setRunning(false);
    setGrid(null);
  };
  const put = async (best: Grid | null, keep: boolean) => {
    if (!best || best.meals.length === 0) {
      over();
      return tell({ text: say.noneFound });
    }
    const meals = best.meals.map(({ on, meal, kind, dish }) => ({ on, meal, kind, dish }));
    // What is proposed is seen until it stands there.
    await act(`/api/trips/${trip}/fill`, { keep, meals }, say.fill).finally(over);
  };
  const start = (keep: boolean) => {
    const mine = { abort: new AbortController(), keep, best: null as Grid | null };
    under.current = mine;
    setRunning(true);
    proposeGrid(trip, keep, mine.abort.signal, (better) => {
      if (under.current !== mine) return;
      mine.best = better;
      setGrid(better);
      if (better.done) void put(better, keep);
    }).catch((error: unknown) => {
      if (under.current !== mine) return;
      over();
      tell(error instanceof Problem ? { text: error.message, problem: error } : { text: say.noAnswer });
    });
  };
  const take = () => void put(under.current?.best ?? null, under.current?.keep ?? false);
  return { grid, running, start, take, stop: over };
}
