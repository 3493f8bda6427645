import { queryOptions, type QueryClient } from "@tanstack/react-query";
import { get } from "./client";

export type Topic = "stock" | "plan" | "people" | "counts" | "list" | "rules";

export interface Changes {
  revision: number;
  topics: Topic[];
  stacks: number[] | null;
  today: string;
}

/**
 * What each view reads of, by the second part of its key, as the house names it. What is not here reads of
 * everything.
 */
const READS: Record<string, readonly Topic[]> = {
  places: ["stock", "plan", "people", "rules"],
  place: ["stock", "plan", "people", "rules"],
  stacks: ["stock", "rules"],
  stack: ["stock", "plan", "rules"],
  foods: ["stock", "rules"],
  bring: ["stock", "plan", "people", "rules"],
  jars: ["stock", "rules"],
  barcodes: ["rules"],
  keeping: ["stock", "plan", "people", "list", "rules"],
  care: ["plan", "stock", "rules"],
  today: ["stock", "plan", "people", "rules"],
  meals: ["stock", "plan", "people", "rules"],
  audit: ["stock", "plan", "people", "rules"],
  bags: ["stock", "plan", "people", "rules"],
  batches: ["stock", "plan", "rules"],
  ready: ["stock", "rules"],
  season: ["stock", "plan", "people", "rules"],
  trips: ["stock", "plan", "people", "rules"],
  occasions: ["plan", "people"],
  occasion: ["stock", "plan", "people", "rules"],
  paper: ["stock", "plan", "people", "rules"],
  week: ["stock", "plan", "people", "rules"],
  count: ["stock", "counts", "rules"],
  recipes: ["stock", "plan", "people", "rules"],
  dishes: ["stock", "plan", "people", "rules"],
  list: ["stock", "plan", "people", "list", "rules"],
  bought: ["stock", "list", "rules"],
  kits: ["stock", "plan", "people", "list", "rules"],
  lookBack: ["stock", "plan", "people", "list", "rules"],
  // The cook's page must not change under the cook's hands.
  meal: [],
};

/** Whether a view must be asked for again after these topics changed. */
export function reads(key: readonly unknown[], topics: readonly Topic[]): boolean {
  if (key[0] !== "house") return false;
  const read = READS[String(key[1])];
  return topics.length > 0 && (!read || read.some((topic) => topics.includes(topic)));
}

/** How often a device asks whether anything changed: a small question, and the only one that is asked unasked. */
export const EVERY = 5000;

let seen: { house: number; revision: number; today: string } | undefined;

/** Asks what changed since it last asked, and has what reads of it asked for again. */
export const changesQuery = (house: number, client: QueryClient) =>
  queryOptions({
    queryKey: ["changes", house],
    queryFn: async () => {
      const before = seen?.house === house ? seen : undefined;
      const now = await get<Changes>(`/api/changes${before ? `?since=${before.revision}` : ""}`);
      seen = { house, revision: now.revision, today: now.today };
      if (!before) return now.revision;

      const newDay = before.today !== now.today;
      await client.invalidateQueries({ predicate: ({ queryKey }) => newDay || reads(queryKey, now.topics) });
      return now.revision;
    },
    refetchInterval: EVERY,
    staleTime: 0,
    gcTime: 0,
  });
