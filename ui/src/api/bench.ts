import { queryOptions } from "@tanstack/react-query";
import { get } from "./client";
import type { BagsPage, BatchesPage } from "./types";

const house = "house";

export const bagsQuery = queryOptions({
  queryKey: [house, "bags"],
  queryFn: () => get<BagsPage>("/api/bench/bags"),
});

export const batchesQuery = queryOptions({
  queryKey: [house, "batches"],
  queryFn: () => get<BatchesPage>("/api/bench/batches"),
});
