import type { Place, Stack } from "../../api/types";

export interface ShelfFilter {
  text: string;
  state: string;
  place: string;
  group: string;
  apart: string;
}

export function fromUrl(params: URLSearchParams): ShelfFilter {
  return {
    text: params.get("q") ?? "",
    state: params.get("state") ?? "",
    place: params.get("place") ?? "",
    group: params.get("group") ?? "",
    apart: params.get("apart") ?? "",
  };
}

export function filtered(stacks: Stack[], places: Place[], filter: ShelfFilter): Stack[] {
  const words = filter.text.trim().toLowerCase();
  const apart = new Set(places.filter((place) => place.tier === "set_apart").map((place) => place.id));
  return stacks.filter(
    (stack) =>
      (words === "" || `${stack.name} ${stack.food}`.toLowerCase().includes(words)) &&
      (filter.state === "" || stack.state === filter.state) &&
      (filter.place === "" || String(stack.place_id) === filter.place) &&
      (filter.group === "" || stack.group === filter.group) &&
      (filter.apart === "" || (stack.reserved !== null || apart.has(stack.place_id)) === (filter.apart === "yes")),
  );
}
