import { queryOptions } from "@tanstack/react-query";
import { get } from "./client";
import type { BagsPage, BatchesPage, ReadyMade, SeasonPage } from "./types";

const house = "house";

export const bagsQuery = queryOptions({
  queryKey: [house, "bags"],
  queryFn: () => get<BagsPage>("/api/bench/bags"),
});

export const batchesQuery = queryOptions({
  queryKey: [house, "batches"],
  queryFn: () => get<BatchesPage>("/api/bench/batches"),
});

export const seasonQuery = queryOptions({
  queryKey: [house, "season"],
  queryFn: () => get<SeasonPage>("/api/season"),
});

export const readyQuery = queryOptions({
  queryKey: [house, "ready"],
  queryFn: () => get<ReadyMade>("/api/bench/ready"),
});
