import type { List, ListItem } from "../../api/types";
import { useMoney, useSession } from "../../app/session";
import { Fold } from "../../kit/Fold";
import { Board, Button } from "../../kit/kit";
import * as say from "../../words/shop";
import type { useListActs } from "./useListActs";

type Acts = ReturnType<typeof useListActs>;

/** What stands beside the list: the next trip, what to fetch, what is not asked for. */
export function Beside({ list, removed, acts }: { list: List; removed: ListItem[]; acts: Acts }) {
  return (
    <>
      {list.fetch.length > 0 && <Fetch list={list} />}
      {list.not_sold.length > 0 && (
        <Board title={say.notSold} note={say.notSoldNote} tone="mustard">
          <ul>
            {list.not_sold.map((one) => (
              <li key={one.food} className="border-t border-zinc2 py-1.5">
                <b>{one.food}</b> <span className="text-soft">{say.forMeals(one.meals)}</span>
              </li>
            ))}
          </ul>
        </Board>
      )}
      {list.later.map((trip) => (
        <Later key={trip.on} trip={trip} />
      ))}
      {list.silent.length > 0 && <Silent list={list} acts={acts} />}
      {removed.length > 0 && (
        <Fold title={say.removedTitle} note={String(removed.length)}>
          <ul>
            {removed.map((item) => (
              <li key={item.ref} className="flex items-center gap-2 border-t border-zinc2 py-1.5">
                <span className="grow">{item.text}</span>
                <Button onClick={() => acts.putBack(item)}>{say.putBack}</Button>
              </li>
            ))}
          </ul>
        </Fold>
      )}
    </>
  );
}

function Fetch({ list }: { list: List }) {
  const today = useSession().today;
  return (
    <Board title={say.fetch}>
      <ul>
        {list.fetch.map((one) => (
          <li key={one.stack_id} className="border-t border-zinc2 py-1.5 leading-snug">
            <b>{say.fetchWords(one.amount, one.food, one.place)}</b>
            <span className="block text-small text-soft">
              {say.forMeals(one.meals)}
              {one.until ? `; ${say.goodUntil(one.until, today)}` : ""}
            </span>
          </li>
        ))}
      </ul>
    </Board>
  );
}

function Later({ trip }: { trip: List["later"][number] }) {
  const money = useMoney();
  return (
    <Fold title={say.laterOn(trip.on)} note={say.laterNote}>
      <ul>
        {trip.items.map((item) => (
          <li key={item.food_id} className="border-t border-zinc2 py-1.5 leading-snug flex gap-2">
            <span className="grow">
              {say.take({ ...item, source: "list" })}
              <span className="block text-small text-soft">{say.why(item)}</span>
            </span>
            <span>{item.cost_minor === null ? "" : money(item.cost_minor)}</span>
          </li>
        ))}
      </ul>
    </Fold>
  );
}

function Silent({ list, acts }: { list: List; acts: Acts }) {
  return (
    <Fold title={say.silentTitle} note={String(list.silent.length)}>
      <ul>
        {list.silent.map((one) => (
          <li key={one.food_id} className="flex items-center gap-2 border-t border-zinc2 py-1.5">
            <span className="grow leading-snug">
              <b>{one.food}</b>
              <span className="block text-small text-soft">{say.silentLine(one.until, one.because)}</span>
            </span>
            <Button onClick={() => acts.silence(one.food_id, one.food, null, "")}>{say.askAgain}</Button>
          </li>
        ))}
      </ul>
    </Fold>
  );
}
