import { useQuery } from "@tanstack/react-query";
import { placesQuery } from "../../api/queries";
import type { KeepingPage } from "../../api/types";
import { Amount, amountOf, Pick } from "../../kit/form";
import * as say from "../../words/food";

type Figures = { [name in "g_per_ml" | "g_per_piece"]: KeepingPage["figures"][name] };

/** Where it goes when nobody says it. */
export function Home({ value = null }: { value?: number | null }) {
  const places = useQuery(placesQuery).data ?? [];
  // Drawn with the places, so that the one it has is chosen.
  return (
    <Pick
      key={places.length}
      label={say.home}
      name="home_place_id"
      defaultValue={value ?? ""}
      none={say.nowhereSpecial}
      options={places.map((place) => [String(place.id), place.name] as const)}
    />
  );
}

/** What it weighs for its size, where a kitchen scale told. */
export function Weights({ figures }: { figures?: Figures }) {
  return (
    <div className="grid gap-2">
      <Amount beside label={say.pieceWeighs} name="g_per_piece" defaultValue={figures?.g_per_piece ?? ""} />
      <Amount beside label={say.millilitreWeighs} name="g_per_ml" defaultValue={figures?.g_per_ml ?? ""} />
    </div>
  );
}

/** The weights that were changed. */
export function weights(form: FormData, before?: Figures): Record<string, string | null> {
  const names = ["g_per_piece", "g_per_ml"] as const;
  return Object.fromEntries(
    names.flatMap((name) => {
      const now = amountOf(form.get(name));
      return now === (before?.[name] ?? "") ? [] : [[name, now === "" ? null : now] as const];
    }),
  );
}
