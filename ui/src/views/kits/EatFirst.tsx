import type { Outage } from "../../api/types";
import { FirstOf } from "../../kit/Fold";
import { Board } from "../../kit/kit";
import { Mark } from "../../kit/Mark";
import * as say from "../../words/outage";

const MOST = 14;

/** What to eat next in the dark, what stops keeping first ahead. */
export function EatFirst({ outage }: { outage: Outage }) {
  return (
    <Board title={say.eatFirst}>
      {outage.stacks.length === 0 && <p className="text-soft mt-1">{say.nothing}</p>}
      <ul className="mt-1">
        <FirstOf list={outage.stacks} most={MOST} what="">
          {(one) => (
            <li key={one.lot_id} className="flex gap-3 border-t border-zinc2 py-1.5">
              <Mark kind={one.mark} className="size-6 shrink-0" />
              <span className="grow min-w-0">
                <b>{one.name}</b> {one.amount}
                <span className="block text-soft text-small">
                  {[one.place, one.perishable ? say.spoils : ""].filter(Boolean).join(" · ")}
                </span>
              </span>
              <span className="whitespace-nowrap">{say.byHour(one.by_hour)}</span>
            </li>
          )}
        </FirstOf>
      </ul>
    </Board>
  );
}
