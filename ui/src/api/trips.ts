import { queryOptions } from "@tanstack/react-query";
import { get } from "./client";
import type { BoxPage, PackingPage, TripChoices, TripPage, TripsPage } from "./types";

const house = "house";

export const tripsQuery = queryOptions({
  queryKey: [house, "trips"],
  queryFn: () => get<TripsPage>("/api/trips"),
});

export const tripQuery = (id: number) =>
  queryOptions({ queryKey: [house, "trips", id], queryFn: () => get<TripPage>(`/api/trips/${id}`) });

export const packingQuery = (id: number) =>
  queryOptions({
    queryKey: [house, "trips", id, "packing"],
    queryFn: () => get<PackingPage>(`/api/trips/${id}/packing`),
  });

export const boxQuery = (id: number) =>
  queryOptions({ queryKey: [house, "trips", "box", id], queryFn: () => get<BoxPage>(`/api/places/${id}/box`) });

export const tripChoicesQuery = (id: number, on: string, meal: string) =>
  queryOptions({
    queryKey: [house, "trips", id, "choices", on, meal],
    queryFn: () => get<TripChoices>(`/api/trips/${id}/choices?on=${on}&meal=${meal}`),
  });
