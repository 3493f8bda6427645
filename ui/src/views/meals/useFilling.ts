import { useEffect, useRef, useState } from "react";
import { Problem } from "../../api/client";
import { propose, type Proposal, type Proposed } from "../../api/propose";
import { useActs } from "../../app/acts";
import * as say from "../../words/meals";

export interface Slot {
  on: string;
  meal: string;
}

export interface Filling {
  /** The best plan so far, while a search runs. */
  plan: Proposal | null;
  running: boolean;
  /** Planned meals that give way to the plan that is looked for. */
  again: readonly number[];
  /**
   * @param again planned meals that may be replaced
   * @param only the meals to fill; all open ones where nothing is named
   */
  start: (again?: number[], only?: Slot[]) => void;
  /** Looks for so many dinners without a day. */
  inHand: (count: number) => void;
  take: () => void;
  stop: () => void;
}

/** What is sent of proposed meals: their names are the house's own. */
export function sent(meals: readonly Omit<Proposed, "name">[]) {
  return meals.map(({ on, meal, recipe_id, leftovers_of, from_meal_id, lot_id, choices }) => ({
    on,
    meal,
    recipe_id,
    leftovers_of,
    from_meal_id,
    lot_id,
    choices,
  }));
}

/** Fills open meals: shows what a search finds while it looks, and puts the last plan onto its days in one act. */
export function useFilling(from: string, to: string): Filling {
  const { act, tell } = useActs();
  const [plan, setPlan] = useState<Proposal | null>(null);
  const [running, setRunning] = useState(false);
  const [giving, setGiving] = useState<readonly number[]>([]);
  const under = useRef<{ abort: AbortController; again: number[]; best: Proposal | null } | null>(null);
  useEffect(() => () => under.current?.abort.abort(), []);

  const over = () => {
    under.current?.abort.abort();
    under.current = null;
    setRunning(false);
    setPlan(null);
    setGiving([]);
  };
  const put = (best: Proposal | null, again: number[]) => {
    over();
    if (!best || best.meals.length === 0) return tell({ text: best?.open === 0 ? say.nothingOpen : say.noneFound });
    void act("/api/plan/fill", { meals: sent(best.meals), replace: again }, say.fillOpen);
  };
  const look = (again: number[], asked: { only?: Slot[]; in_hand?: number }) => {
    const mine = { abort: new AbortController(), again, best: null as Proposal | null };
    under.current = mine;
    setRunning(true);
    setGiving(again);
    propose({ from, to, again, ...asked }, mine.abort.signal, (better) => {
      if (under.current !== mine) return;
      mine.best = better;
      setPlan(better);
      if (better.done) put(better, again);
    }).catch((error: unknown) => {
      if (under.current !== mine) return;
      over();
      if (error instanceof Problem) tell({ text: error.message, problem: error });
    });
  };
  const start = (again: number[] = [], only?: Slot[]) => look(again, only ? { only } : {});
  const inHand = (count: number) => look([], { in_hand: count });
  const take = () => put(under.current?.best ?? null, under.current?.again ?? []);
  return { plan, running, again: giving, start, inHand, take, stop: over };
}
