import { lines } from "./lines";
import type { FillMeals, FillTrip } from "./types";

/** A meal a search would put onto a day, with the name of its dish. */
export type Proposed = FillMeals["meals"][number] & { name: string };

export interface Proposal {
  open: number;
  meals: Proposed[];
  cost?: number;
  done: boolean;
}

export interface Asked {
  from: string;
  to: string;
  again?: number[];
  only?: { on: string; meal: string }[];
  /** Dinners without a day to look for instead. */
  in_hand?: number;
}

/** Asks for plans, see `lines`. */
export const propose = (asked: Asked, signal: AbortSignal, told: (plan: Proposal) => void): Promise<void> =>
  lines("/api/plan/proposals", asked, signal, told);

/** What is eaten when on a trip, as a search would have it. */
export interface Grid {
  meals: (NonNullable<FillTrip["meals"]>[number] & { name: string })[];
  open: number;
  /** How much stands against what is there. */
  faults: number;
  done: boolean;
}

/** Asks for grids of a trip, see `lines`. */
export const proposeGrid = (
  trip: number,
  keep: boolean,
  signal: AbortSignal,
  told: (grid: Grid) => void,
): Promise<void> => lines(`/api/trips/${trip}/proposals`, { keep }, signal, told);
