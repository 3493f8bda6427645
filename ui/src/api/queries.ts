import { queryOptions } from "@tanstack/react-query";
import { get, setCsrf } from "./client";
import type { ActRow, Dish, Food, Meal, MealDetail, Missing, Place, Session, Stack, StackDetail, Tie, Today } from "./types";

// Key and fetcher stand together; every write makes all of "house" stale.
const house = "house";

export const sessionQuery = queryOptions({
  queryKey: ["session"],
  queryFn: async () => {
    const session = await get<Session>("/api/session");
    setCsrf(session.csrf);
    return session;
  },
});

export const placesQuery = queryOptions({ queryKey: [house, "places"], queryFn: async () => (await get<{ places: Place[] }>("/api/places")).places });

export interface Shelf {
  stacks: Stack[];
  totals: { stacks: number; value_minor: number; front: number; look: number; stop: number; undated: number };
}

const NO_TOTALS = { stacks: 0, value_minor: 0, front: 0, look: 0, stop: 0, undated: 0 };

export const shelfQuery = queryOptions({
  queryKey: [house, "stacks"],
  queryFn: async (): Promise<Shelf> => {
    const shelf: Shelf = { stacks: [], totals: NO_TOTALS };
    let cursor: string | null = "";
    while (cursor !== null) {
      const page: { stacks: Stack[]; next: string | null; totals: Shelf["totals"] | null } = await get(`/api/stacks?limit=2000${cursor ? `&cursor=${encodeURIComponent(cursor)}` : ""}`);
      shelf.stacks.push(...page.stacks);
      if (page.totals) shelf.totals = page.totals;
      cursor = page.next;
    }
    return shelf;
  },
});

export const stackQuery = (id: number) => queryOptions({ queryKey: [house, "stack", id], queryFn: () => get<StackDetail>(`/api/stacks/${id}`) });
export const todayQuery = queryOptions({ queryKey: [house, "today"], queryFn: () => get<Today>("/api/today") });
export const actsQuery = queryOptions({ queryKey: [house, "acts"], queryFn: async () => (await get<{ acts: ActRow[] }>("/api/acts")).acts });
export const mealsQuery = queryOptions({ queryKey: [house, "meals"], queryFn: () => get<{ meals: Meal[]; ties: Tie[] }>("/api/meals") });
export const mealQuery = (id: number) => queryOptions({ queryKey: [house, "meal", id], queryFn: () => get<MealDetail>(`/api/meals/${id}`) });
export const dishesQuery = (on: string) => queryOptions({ queryKey: [house, "dishes", on], queryFn: () => get<{ on: string; servings: string; dishes: Dish[] }>(`/api/dishes${on ? `?on=${on}` : ""}`) });
export const missingQuery = (days: number) => queryOptions({ queryKey: [house, "missing", days], queryFn: () => get<Missing>(`/api/missing?days=${days}`) });
export const foodsQuery = (text: string) =>
  queryOptions({ queryKey: [house, "foods", text], queryFn: async () => (await get<{ foods: Food[] }>(`/api/foods?q=${encodeURIComponent(text)}`)).foods });
