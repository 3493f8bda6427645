import type { LookBackAdvice } from "../../api/types";
import * as say from "../../words/advice";

/** How long things keep in this house, beside the guide. */
export function KeptHere({ list, named = true }: { list: LookBackAdvice["keeping"]; named?: boolean }) {
  return (
    <ul>
      {list.map((one) => (
        <li
          key={`${one.food_id} ${one.state} ${one.place} ${one.method}`}
          className="border-t border-zinc2 py-1 first:border-t-0"
        >
          {named && <b>{one.food}, </b>}
          {say.way(one.state, one.place, one.method)}: {say.kept(one)}
        </li>
      ))}
    </ul>
  );
}
