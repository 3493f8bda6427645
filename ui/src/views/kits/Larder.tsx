import type { Event } from "../../api/types";
import { useSession } from "../../app/session";
import { FirstOf } from "../../kit/Fold";
import { Board } from "../../kit/kit";
import { Mark } from "../../kit/Mark";
import { dayWords } from "../../words/common";
import * as say from "../../words/before";

const MOST = 8;

/** What to eat before it comes, what fresh food to buy, and room for ice. */
export function Larder({ event }: { event: Event }) {
  const { today } = useSession();
  return (
    <>
      <Board title={say.eatFirst}>
        {event.eat_first.length === 0 && <p className="text-soft mt-1">{say.nothingChilled}</p>}
        <ul className="mt-1">
          <FirstOf list={event.eat_first} most={MOST} what="">
            {(one) => (
              <li key={one.lot_id} className="flex gap-3 border-t border-zinc2 py-1">
                <Mark kind={one.mark} className="size-6 shrink-0" />
                <span className="grow">{`${one.name} ${one.amount}`}</span>
                <span className="text-soft text-small">{one.until ? say.until(dayWords(one.until, today)) : ""}</span>
              </li>
            )}
          </FirstOf>
        </ul>
      </Board>
      {event.stretched.length > 0 && (
        <Board title={say.together} note={say.togetherWhy}>
          <ul className="mt-1">
            {event.stretched.map((one) => (
              <li key={one.lot_id} className="border-t border-zinc2 py-1">
                {say.stretch(one.name, one.amount, one.feeds, `${one.count} x ${one.tin}, ${one.pack}`)}
              </li>
            ))}
          </ul>
        </Board>
      )}
      <Board title={say.fresh} note={event.ice_l ? say.ice(event.ice_l) : undefined}>
        {event.fresh.map((group) => (
          <section key={group.label} className="mt-1">
            <h3 className="font-semibold">{group.label}</h3>
            <ul>
              {group.foods.map((one) => (
                <li key={one.name} className="flex gap-3 border-t border-zinc2 py-1">
                  <span className="grow">{`${one.amount} ${one.name}`}</span>
                  <span className="text-soft">{say.serves(one.from, one.to)}</span>
                </li>
              ))}
            </ul>
            {group.tins_from_day !== null && (
              <p className="text-soft text-small">{say.tins(group.label, group.tins_from_day)}</p>
            )}
          </section>
        ))}
      </Board>
    </>
  );
}
