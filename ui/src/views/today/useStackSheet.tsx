import { useQuery } from "@tanstack/react-query";
import { Suspense, useMemo, type ReactNode } from "react";
import { useSearchParams } from "wouter";
import { mealsQuery, placesQuery } from "../../api/queries";
import { lazily } from "../../kit/lazily";

const StackSheet = lazily(
  () => import("../shelf/StackSheet"),
  (module) => module.StackSheet,
  true,
);

/** The side sheet of a stack on any view; which one is open stands in the address. */
export function useStackSheet(): { open: (id: number, panel?: string) => void; sheet: ReactNode } {
  const [params, setParams] = useSearchParams();
  const places = useQuery(placesQuery).data ?? [];
  const ties = useQuery(mealsQuery).data?.ties;
  const tied = useMemo(() => new Map((ties ?? []).map((tie) => [tie.stack_id, tie])), [ties]);
  const id = params.get("stack");
  const open = (next: number, panel?: string) => setParams({ stack: String(next), ...(panel ? { do: panel } : {}) });
  const sheet =
    id === null ? null : (
      <Suspense fallback={null}>
        <StackSheet
          id={Number(id)}
          panel={params.get("do")}
          places={places}
          tied={tied}
          onClose={() => setParams({}, { replace: true })}
          onPick={open}
        />
      </Suspense>
    );
  return { open, sheet };
}
