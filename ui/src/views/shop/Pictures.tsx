import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { placesQuery } from "../../api/queries";
import * as say from "../../words/shop";

/** What stands at home, to look at in the aisle. */
export function Pictures() {
  const shown = (useQuery(placesQuery).data ?? []).filter((place) => place.photo);
  const [open, setOpen] = useState<number | null>(null);
  if (shown.length === 0) return null;
  return (
    <div className="mb-3">
      <div role="group" aria-label={say.picturesShelvesAt} className="flex gap-2 overflow-x-auto pb-1">
        {shown.map((place) => (
          <button
            key={place.id}
            type="button"
            aria-expanded={open === place.id}
            className="shrink-0 text-left"
            onClick={() => setOpen(open === place.id ? null : place.id)}
          >
            <img
              src={`/api/places/${place.id}/photo`}
              alt=""
              className="w-[112px] h-[72px] object-cover rounded-lg"
              loading="lazy"
            />
            <span className="text-small text-soft">{place.name}</span>
          </button>
        ))}
      </div>
      {open !== null && (
        <img
          src={`/api/places/${open}/photo`}
          alt={say.whatLooksLike(shown.find((place) => place.id === open)?.name ?? "it")}
          className="mt-2 rounded-xl max-h-[70dvh] w-full object-contain bg-board"
        />
      )}
    </div>
  );
}
