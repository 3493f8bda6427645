import type { Week } from "../../api/types";
import { Fold } from "../../kit/Fold";
import { shortDay } from "../../words/common";
import * as say from "../../words/meals";

type Trips = NonNullable<Week["trips"]>;

function Faults({ list, words }: { list: Trips["late"]; words: (food: string, day: string) => string }) {
  return list.map((one) => (
    <li key={one.food + one.on} className="text-beet">
      {words(one.food, shortDay(one.on))}
    </li>
  ));
}

/** What the meals of these days lack, by the day it is got on: what keeps at once, what is fresh as late as can be. */
export function ShoppingDays({ trips }: { trips: Week["trips"] }) {
  if (!trips) return null;
  const count = trips.days.reduce((sum, day) => sum + day.buys.length, 0);
  return (
    <div className="mt-3">
      <Fold title={say.shoppingDays} note={say.toGet(count, trips.days.length)}>
        <ul className="pb-2">
          <Faults list={trips.late} words={say.tooLate} />
          <Faults list={trips.short} words={say.keepsShort} />
        </ul>
        <div className="grid gap-x-6 gap-y-3 pb-3 grid-cols-[repeat(auto-fill,minmax(260px,1fr))]">
          {trips.days.map((day) => (
            <section key={day.on}>
              <h3>{shortDay(day.on)}</h3>
              {day.buys.length === 0 && <p className="text-soft text-small">{say.nothingToGet}</p>}
              <ul className="text-small">
                {day.buys.map((buy) => (
                  <li key={buy.food} className="border-t border-zinc2 py-1">
                    {buy.amount} {buy.food}{" "}
                    <span className="text-soft">{say.forDays(buy.for.map((on) => shortDay(on)).join(", "))}</span>
                  </li>
                ))}
              </ul>
            </section>
          ))}
        </div>
      </Fold>
    </div>
  );
}
