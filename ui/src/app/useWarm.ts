import { useQuery, useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import {
  boughtQuery,
  countQuery,
  countsQuery,
  kitQuery,
  kitRefreshQuery,
  kitsQuery,
  listQuery,
  mealQuery,
  mealsQuery,
  placesQuery,
  preparedQuery,
  shelfQuery,
} from "../api/queries";
import { packingQuery, tripQuery, tripsQuery } from "../api/trips";
import type { TripsPage } from "../api/types";
import { addDays } from "../words/common";

/** What is asked for first is not held up by what may be wanted later. */
const SOON = 4000;
/** Days whose cook's pages go along. */
const DAYS = 3;

/** Days before a trip from which its pages go along. */
const TRIP_DAYS = 14;

/** Nobody is home from it yet, and it leaves before long. */
const goesSoon = (trip: TripsPage["trips"][number], today: string) =>
  trip.status !== "home" && trip.leaves_on <= addDays(today, TRIP_DAYS);

/** Asks once for what is read where there is no signal, so that the worker has it. */
async function warm(client: QueryClient, today: string): Promise<void> {
  await client.prefetchQuery(listQuery(null, null));
  await client.prefetchQuery(boughtQuery);
  await client.prefetchQuery(shelfQuery);
  const counts = await client.fetchQuery(countsQuery);
  for (const count of counts.open) await client.prefetchQuery(countQuery(count.id));
  const { kits } = await client.fetchQuery(kitsQuery);
  for (const kit of kits) {
    await client.prefetchQuery(kitQuery(kit.id));
    if (kit.school === "set_apart") await client.prefetchQuery(kitRefreshQuery(kit.id));
  }
  const { trips } = await client.fetchQuery(tripsQuery);
  for (const trip of trips.filter((one) => goesSoon(one, today))) {
    await client.prefetchQuery(tripQuery(trip.id));
    await client.prefetchQuery(packingQuery(trip.id));
  }
  const places = await client.fetchQuery(placesQuery);
  for (const place of places.filter((one) => one.photo)) await fetch(`/api/places/${place.id}/photo`);
  const { meals } = await client.fetchQuery(mealsQuery);
  const last = addDays(today, DAYS);
  const near = meals.filter((meal) => meal.on !== null && meal.on <= last && meal.status === "planned");
  for (const meal of near) await client.prefetchQuery(mealQuery(meal.id));
}

export function useWarm(today: string): void {
  const client = useQueryClient();
  const [ready, setReady] = useState(false);
  // The power may go at any time: asked again whenever something of it changes.
  useQuery({ ...preparedQuery, enabled: ready });
  useEffect(() => {
    if (!("serviceWorker" in navigator) || !navigator.serviceWorker.controller) return;
    const begin = () => {
      setReady(true);
      void warm(client, today).catch(() => undefined);
    };
    const timer = setTimeout(begin, SOON);
    return () => clearTimeout(timer);
  }, [client, today]);
}
