import { newKey } from "../../api/client";
import type { ListItem } from "../../api/types";
import { useActs } from "../../app/acts";
import * as say from "../../words/shop";

/** What the list asks for has one name on every device, so that two who tick it tick the same line. */
export function reckonedRef(food: number | null, trip: string): string {
  return `food${food}on${trip.replaceAll("-", "")}`;
}

/** What is done to lines of the list: each is a letter that waits where there is no signal. */
export function useListActs(days: number | null, shopping: number | null, trip: string) {
  const { act, note } = useActs();
  const out = shopping === null ? {} : { shopping_id: shopping };
  const mark = (ref: string, status: "ticked" | "open" | "removed", words: string) =>
    note(`/api/list/${ref}/mark`, { status }, words);
  return {
    tick: (item: ListItem) => {
      if (item.ref !== null)
        return item.status === "ticked"
          ? mark(item.ref, "open", say.untick(item))
          : mark(item.ref, "ticked", say.tick(item));
      const ref = reckonedRef(item.food_id, trip);
      const line = { ref, food_id: item.food_id, reckoned: true, days, ticked: true, ...out };
      return note("/api/list", line, say.tick(item));
    },
    strike: (item: ListItem) => (item.ref === null ? undefined : mark(item.ref, "removed", say.struck(item.text))),
    putBack: (item: ListItem) => (item.ref === null ? undefined : mark(item.ref, "open", say.onList(item.text))),
    write: (text: string) => note("/api/list", { ref: newKey(), text, ...out }, say.onList(text)),
    change: (item: ListItem, facts: object) =>
      item.ref === null ? undefined : note(`/api/list/${item.ref}`, facts, say.changed(item.text)),
    silence: (food: number, text: string, until: string | null, because: string) =>
      act(`/api/wants/${food}/silence`, { until, because }, until ? say.silenced(text) : say.askAgain),
  };
}
