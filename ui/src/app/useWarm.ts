import { useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import {
  boughtQuery,
  countQuery,
  countsQuery,
  listQuery,
  mealQuery,
  mealsQuery,
  placesQuery,
  shelfQuery,
} from "../api/queries";
import { addDays } from "../words/common";

/** What is asked for first is not held up by what may be wanted later. */
const SOON = 4000;
/** Days whose cook's pages go along. */
const DAYS = 3;

/** Asks once for what is read where there is no signal, so that the worker has it. */
async function warm(client: QueryClient, today: string): Promise<void> {
  await client.prefetchQuery(listQuery(null, null));
  await client.prefetchQuery(boughtQuery);
  await client.prefetchQuery(shelfQuery);
  const counts = await client.fetchQuery(countsQuery);
  for (const count of counts.open) await client.prefetchQuery(countQuery(count.id));
  const places = await client.fetchQuery(placesQuery);
  for (const place of places.filter((one) => one.photo)) await fetch(`/api/places/${place.id}/photo`);
  const { meals } = await client.fetchQuery(mealsQuery);
  const last = addDays(today, DAYS);
  const near = meals.filter((meal) => meal.on !== null && meal.on <= last && meal.status === "planned");
  for (const meal of near) await client.prefetchQuery(mealQuery(meal.id));
}

export function useWarm(today: string): void {
  const client = useQueryClient();
  useEffect(() => {
    if (!("serviceWorker" in navigator) || !navigator.serviceWorker.controller) return;
    const timer = setTimeout(() => void warm(client, today).catch(() => undefined), SOON);
    return () => clearTimeout(timer);
  }, [client, today]);
}
