import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import { get, setCsrf } from "./client";
import type {
  ActRow,
  Audit,
  Barcode,
  Bought,
  BringItem,
  CareRow,
  Container,
  Count,
  Counts,
  Difference,
  Dish,
  Food,
  Grid,
  KeepingPage,
  List,
  EventsPage,
  GiveAway,
  KitBoxes,
  KitClosing,
  KitMenu,
  KitPage,
  KitRefresh,
  KitsPage,
  LastingPage,
  OutagePage,
  PreparedForOutage,
  LookBack,
  LookBackAdvice,
  LookBackBehind,
  LookBackRows,
  Meal,
  MealDetail,
  Occasion,
  OccasionBrief,
  Paper,
  PeoplePage,
  Phones,
  Place,
  PlaceCheck,
  PlaceDetail,
  Recipe,
  RecipeBrief,
  Session,
  Stack,
  StackDetail,
  Tie,
  Today,
  Week,
} from "./types";

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

export const placesQuery = queryOptions({
  queryKey: [house, "places"],
  queryFn: async () => (await get<{ places: Place[] }>("/api/places")).places,
});

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
      const page: { stacks: Stack[]; next: string | null; totals: Shelf["totals"] | null } = await get(
        `/api/stacks?limit=2000${cursor ? `&cursor=${encodeURIComponent(cursor)}` : ""}`,
      );
      shelf.stacks.push(...page.stacks);
      if (page.totals) shelf.totals = page.totals;
      cursor = page.next;
    }
    return shelf;
  },
});

export const stackQuery = (id: number) =>
  queryOptions({ queryKey: [house, "stack", id], queryFn: () => get<StackDetail>(`/api/stacks/${id}`) });
export const todayQuery = queryOptions({ queryKey: [house, "today"], queryFn: () => get<Today>("/api/today") });
export const actsQuery = queryOptions({
  queryKey: [house, "acts"],
  queryFn: async () => (await get<{ acts: ActRow[] }>("/api/acts")).acts,
});
export const mealsQuery = queryOptions({
  queryKey: [house, "meals"],
  queryFn: () => get<{ meals: Meal[]; ties: Tie[] }>("/api/meals"),
});
export const weekQuery = (from: string, days: number) =>
  queryOptions({
    queryKey: [house, "week", from, days],
    queryFn: () => get<Week>(`/api/plan?from=${from}&days=${days}`),
  });
export const occasionsQuery = queryOptions({
  queryKey: [house, "occasions"],
  queryFn: () => get<{ occasions: OccasionBrief[] }>("/api/occasions").then((all) => all.occasions),
});
export const occasionQuery = (id: number) =>
  queryOptions({ queryKey: [house, "occasion", id], queryFn: () => get<Occasion>(`/api/occasions/${id}`) });
export const paperQuery = (path: string) =>
  queryOptions({ queryKey: [house, "paper", path], queryFn: () => get<Paper>(`/api/print/${path}`) });
export const auditQuery = (from: string, days: number) =>
  queryOptions({
    queryKey: [house, "audit", from, days],
    queryFn: () => get<Audit>(`/api/plan/audit?from=${from}&days=${days}`),
  });
export const mealQuery = (id: number) =>
  queryOptions({ queryKey: [house, "meal", id], queryFn: () => get<MealDetail>(`/api/meals/${id}`) });
export const dishesQuery = (on: string, using = "") =>
  queryOptions({
    queryKey: [house, "dishes", on, using],
    queryFn: () =>
      get<{ on: string; servings: string; dishes: Dish[]; shut: Dish[] }>(
        `/api/dishes?on=${on}${using === "" ? "" : `&with=${using}`}`,
      ),
  });
export const recipesQuery = queryOptions({
  queryKey: [house, "recipes"],
  queryFn: async () => (await get<{ recipes: RecipeBrief[] }>("/api/recipes")).recipes,
});
export const recipeQuery = (id: number, servings: number | null) =>
  queryOptions({
    queryKey: [house, "recipes", id, servings],
    queryFn: () => get<Recipe>(`/api/recipes/${id}${servings === null ? "" : `?servings=${servings}`}`),
  });
/** @param days null: by the household's shopping days */
export const listQuery = (days: number | null, shop: number | null) =>
  queryOptions({
    queryKey: [house, "list", days, shop],
    queryFn: () => {
      const asked = new URLSearchParams();
      if (days !== null) asked.set("days", String(days));
      if (shop !== null) asked.set("shop", String(shop));
      return get<List>(`/api/list${asked.size > 0 ? `?${asked.toString()}` : ""}`);
    },
  });
export const boughtQuery = queryOptions({ queryKey: [house, "bought"], queryFn: () => get<Bought>("/api/bought") });
export const foodsQuery = (text: string) =>
  queryOptions({
    queryKey: [house, "foods", text],
    queryFn: async () => (await get<{ foods: Food[] }>(`/api/foods?q=${encodeURIComponent(text)}`)).foods,
  });
export const usualFoodsQuery = queryOptions({
  queryKey: [house, "foods", "", "usual"],
  queryFn: async () => (await get<{ foods: Food[] }>("/api/foods?usual=yes")).foods,
});
export const countsQuery = queryOptions({ queryKey: [house, "count"], queryFn: () => get<Counts>("/api/counts") });
export const countQuery = (id: number) =>
  queryOptions({ queryKey: [house, "count", id], queryFn: () => get<Count>(`/api/counts/${id}`) });
export const differencesQuery = (id: number) =>
  queryOptions({
    queryKey: [house, "count", id, "differences"],
    queryFn: async () => (await get<{ differences: Difference[] }>(`/api/counts/${id}/differences`)).differences,
    staleTime: 0,
    gcTime: 0,
  });
export const placeQuery = (id: number) =>
  queryOptions({ queryKey: [house, "place", id], queryFn: () => get<PlaceDetail>(`/api/places/${id}`) });
export const placeCheckQuery = (id: number) =>
  queryOptions({ queryKey: [house, "place", id, "check"], queryFn: () => get<PlaceCheck>(`/api/places/${id}/check`) });
export const bringQuery = queryOptions({
  queryKey: [house, "bring"],
  queryFn: () => get<{ items: BringItem[]; crossed: PlaceDetail["warnings"] }>("/api/bring-forward"),
});
export const jarsQuery = queryOptions({
  queryKey: [house, "jars"],
  queryFn: async () => (await get<{ containers: Container[] }>("/api/containers")).containers,
});
export const careQuery = queryOptions({
  queryKey: [house, "care"],
  queryFn: async () => (await get<{ care: CareRow[] }>("/api/care")).care,
});
export const barcodesQuery = queryOptions({
  queryKey: [house, "barcodes"],
  queryFn: async () => (await get<{ barcodes: Barcode[] }>("/api/barcodes")).barcodes,
});
export const keepingQuery = (id: number) =>
  queryOptions({ queryKey: [house, "keeping", id], queryFn: () => get<KeepingPage>(`/api/keeping/${id}`) });
export const peopleQuery = queryOptions({ queryKey: [house, "people"], queryFn: () => get<PeoplePage>("/api/people") });
export const gridsQuery = queryOptions({
  queryKey: ["grids"],
  queryFn: async () => (await get<{ grids: Grid[] }>("/api/labels/grids")).grids,
});

function spanOf(from: string | null, to: string | null): string {
  const asked = new URLSearchParams();
  if (from) asked.set("from", from);
  if (to) asked.set("to", to);
  return asked.size > 0 ? `?${asked.toString()}` : "";
}

export const kitsQuery = queryOptions({ queryKey: [house, "kits"], queryFn: () => get<KitsPage>("/api/kits") });

export const kitQuery = (id: number) =>
  queryOptions({ queryKey: [house, "kits", id], queryFn: () => get<KitPage>(`/api/kits/${id}`) });

export const kitClosingQuery = (id: number, leave: boolean) =>
  queryOptions({
    queryKey: [house, "kits", id, "closing", leave],
    queryFn: () => get<KitClosing>(`/api/kits/${id}/closing${leave ? "?shelf=leave" : ""}`),
  });

export const kitMenuQuery = (id: number) =>
  queryOptions({ queryKey: [house, "kits", id, "menu"], queryFn: () => get<KitMenu>(`/api/kits/${id}/menu`) });

export const kitRefreshQuery = (id: number) =>
  queryOptions({ queryKey: [house, "kits", id, "refresh"], queryFn: () => get<KitRefresh>(`/api/kits/${id}/refresh`) });

export const kitBoxesQuery = (id: number) =>
  queryOptions({ queryKey: [house, "kits", id, "boxes"], queryFn: () => get<KitBoxes>(`/api/kits/${id}/boxes`) });

/** What was found of stacks, as the house reads it: "12:icy,13:warm". */
function foundOf(found: Readonly<Record<number, string>>): string {
  const list = Object.entries(found).filter(([, state]) => state !== "");
  return list.length > 0 ? `&found=${list.map(([id, state]) => `${id}:${state}`).join(",")}` : "";
}

export const outageQuery = (found: Readonly<Record<number, string>>) =>
  queryOptions({
    queryKey: [house, "kits", "outage", foundOf(found)],
    queryFn: () => get<OutagePage>(`/api/outages?now=${new Date().toISOString()}${foundOf(found)}`),
    placeholderData: keepPreviousData,
    refetchInterval: 60000,
  });

/** What is said in a power cut where nothing answers. */
export const preparedQuery = queryOptions({
  queryKey: [house, "kits", "prepared"],
  queryFn: () => get<PreparedForOutage>("/api/outages/prepared"),
});

export const eventsQuery = queryOptions({
  queryKey: [house, "kits", "events"],
  queryFn: () => get<EventsPage>(`/api/events?now=${new Date().toISOString()}`),
  refetchInterval: 60000,
});

export const lastingQuery = (freezer: number) =>
  queryOptions({
    queryKey: [house, "kits", "lasting", freezer],
    queryFn: () => get<LastingPage>(`/api/kits/lasting?freezer=${freezer}`),
  });

export const lookBackQuery = (from: string | null, to: string | null) =>
  queryOptions({
    queryKey: [house, "lookBack", from, to],
    queryFn: () => get<LookBack>(`/api/look-back${spanOf(from, to)}`),
  });

export const lookBackByQuery = (way: string, from: string, to: string) =>
  queryOptions({
    queryKey: [house, "lookBack", "by", way, from, to],
    queryFn: () => get<LookBackRows>(`/api/look-back/by/${way}${spanOf(from, to)}`),
  });

export const lookBackBehindQuery = (way: string, key: string, from: string, to: string) =>
  queryOptions({
    queryKey: [house, "lookBack", "behind", way, key, from, to],
    queryFn: () =>
      get<LookBackBehind>(`/api/look-back/by/${way}/behind${spanOf(from, to)}&key=${encodeURIComponent(key)}`),
  });

export const lookBackAdviceQuery = (from: string, to: string) =>
  queryOptions({
    queryKey: [house, "lookBack", "advice", from, to],
    queryFn: () => get<LookBackAdvice>(`/api/look-back/advice${spanOf(from, to)}`),
  });

export const giveAwayQuery = queryOptions({
  queryKey: [house, "lookBack", "giveAway"],
  queryFn: () => get<GiveAway>("/api/look-back/give-away"),
});

export const phonesQuery = queryOptions({ queryKey: [house, "phones"], queryFn: () => get<Phones>("/api/phones") });
