import type { QueryClient } from "@tanstack/react-query";
import { shelfQuery, type Shelf } from "./queries";
import type { Done, Stack } from "./types";

type Touched = NonNullable<Done["touched"]>;

const FAR = "9999";

/** Front first, as the house sends them. */
function earlier(one: Stack, other: Stack): number {
  return (one.usable_until ?? FAR).localeCompare(other.usable_until ?? FAR) || one.id - other.id;
}

function counted(stacks: Stack[]): Shelf["totals"] {
  const of = (state: string) => stacks.filter((stack) => stack.state === state).length;
  const value = stacks.reduce((sum, stack) => sum + stack.value_minor, 0);
  return {
    stacks: stacks.length,
    value_minor: value,
    front: of("front"),
    look: of("look"),
    stop: of("stop"),
    undated: of("undated"),
  };
}

/** The shelf with what an act touched as it is now; every other stack is the very same object. */
export function patched(shelf: Shelf, touched: Touched): Shelf {
  const changed = new Set([...touched.gone, ...touched.stacks.map((stack) => stack.id)]);
  const stacks = [...shelf.stacks.filter((stack) => !changed.has(stack.id)), ...touched.stacks].sort(earlier);
  return { stacks, totals: counted(stacks) };
}

/**
 * Takes an act's answer into what is shown. Where it names what it touched, the shelf is patched and not asked for
 * again;
 * everything else that is in sight is read anew, and what is not is read when it is next looked at.
 */
export function taken(client: QueryClient, done: Done): void {
  const { touched } = done;
  if (!touched) return void client.invalidateQueries({ queryKey: ["house"] });
  client.setQueryData<Shelf>(shelfQuery.queryKey, (shelf) => shelf && patched(shelf, touched));
  const isShelf = (key: readonly unknown[]) => key[1] === "stacks";
  void client.invalidateQueries({ queryKey: ["house"], predicate: (query) => !isShelf(query.queryKey) });
}
