import type { ReactNode } from "react";
import type { ChangeTrip, TripPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Pick, Tick } from "../../kit/form";
import { Board } from "../../kit/kit";
import { dayWords } from "../../words/common";
import * as say from "../../words/trips";

/** Weight, cold, fuel, water and what must be got before a trip. */
export function TripBalance({ page }: { page: TripPage }) {
  return (
    <div className="grid gap-4 grid-cols-2 phone:grid-cols-1 items-start">
      <div className="grid gap-4">
        <Sums page={page} />
        <Tasks page={page} />
      </div>
      <div className="grid gap-4">
        <Shorts page={page} />
        <Days page={page} />
      </div>
    </div>
  );
}

function Sums({ page }: { page: TripPage }) {
  const { balance, trip } = page;
  const { today } = useSession();
  const [day, hour] = (trip.cold_until ?? "").split("T");
  return (
    <Board title={say.balance}>
      <p className="font-semibold text-[18px] mt-2">{say.food(balance.food, balance.packing)}</p>
      {balance.per_person_day && <p>{say.each(balance.per_person_day, balance.kcal_per_g)}</p>}
      <p className="text-soft">{say.carriedOut(balance.carried_out)}</p>
      <Carried page={page} />
      <Part>{day && hour ? say.coldUntil(dayWords(day, today), hour) : say.noCold}</Part>
      {balance.fuel ? (
        <Part>
          {say.fuel(balance.fuel.canisters, balance.fuel.need, balance.fuel.with_spare, balance.fuel.meals)}.{" "}
          {balance.fuel.cold && <span className="text-beet font-semibold">{say.fuelCold} </span>}
          {say.outdoors} {balance.fuel.own && say.ownGas}
        </Part>
      ) : (
        <Part>{say.noFuel}</Part>
      )}
      <Water page={page} />
      <p className="text-soft text-small mt-2">{say.aid}</p>
    </Board>
  );
}

/** Bags by their days, and the way from shop to shop. */
function Carried({ page }: { page: TripPage }) {
  const { today } = useSession();
  const day = (text: string) => dayWords(text, today);
  if (page.bags.length === 0) return null;
  return (
    <div className="border-t border-zinc2 mt-2 pt-2">
      <h3>{say.bagsCarried}</h3>
      <ul>
        {page.bags.map((bag) => (
          <li key={bag.days.join()}>
            {say.bagOf(bag.days.map(day).join(", "), bag.carrier, bag.weight)}
            {bag.full && <span className="text-beet font-semibold"> {say.bagFull}</span>}
          </li>
        ))}
      </ul>
      {page.legs.length > 1 && (
        <ul className="text-soft">
          {page.legs.map((leg) => (
            <li key={leg.from}>{say.legOf(day(leg.from), day(leg.to), leg.weight)}</li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** What is begun, thawed, filled, packed and soaked, and on which day. */
function Tasks({ page }: { page: TripPage }) {
  const { today } = useSession();
  return (
    <Board title={say.tasks}>
      {page.tasks.length === 0 ? (
        <p className="text-soft mt-2">{say.noTasks}</p>
      ) : (
        <ul className="mt-2">
          {page.tasks.map((task) => (
            <li
              key={`${task.kind}-${task.on}-${task.words}`}
              className="border-t border-zinc2 py-1 grid grid-cols-[110px_1fr] gap-2"
            >
              <span className={task.late ? "text-beet font-semibold" : "text-soft"}>
                {task.late ? say.taskLate : dayWords(task.on, today)}
              </span>
              <span>{task.words}</span>
            </li>
          ))}
        </ul>
      )}
    </Board>
  );
}

function Part({ children }: { children: ReactNode }) {
  return <p className="border-t border-zinc2 mt-2 pt-2">{children}</p>;
}

function Water({ page }: { page: TripPage }) {
  const { water } = page.balance;
  const { today } = useSession();
  const at = (from: string) => {
    const [day, slot] = from.split(" ");
    return say.sourceOn(say.slot[slot ?? ""] ?? "", dayWords(day ?? "", today));
  };
  return (
    <div className="border-t border-zinc2 mt-2 pt-2">
      {page.trip.sources.length === 0 && <p>{say.noSource}</p>}
      <ul>
        {water.stretches.map((one) => (
          <li key={one.from}>{say.stretch(at(one.from), one.carry_l)}</li>
        ))}
      </ul>
      {water.holds !== null && (
        <p className={water.holds ? "text-soft" : "text-beet font-semibold"}>
          {water.holds ? say.holds : say.tooFew} {!water.two_containers && say.oneOnly}
        </p>
      )}
    </div>
  );
}

function Shorts({ page }: { page: TripPage }) {
  const { today } = useSession();
  return (
    <Board title={say.shorts}>
      {page.shorts.length === 0 ? (
        <p className="text-soft mt-2">{say.nothingShort}</p>
      ) : (
        <ul className="mt-2">
          {page.shorts.map((one) => (
            <li key={`${one.name}-${one.on}`} className="flex justify-between gap-3 border-t border-zinc2 py-1">
              <span>
                {one.name}
                {one.on && <span className="text-soft"> {say.getOn(dayWords(one.on, today))}</span>}
              </span>
              <span className="tabular-nums">{one.amount}</span>
            </li>
          ))}
        </ul>
      )}
    </Board>
  );
}

const toggled = (list: string[], one: string) =>
  list.includes(one) ? list.filter((other) => other !== one) : [...list, one];

/** How hard each day is, and where water is found. */
function Days({ page }: { page: TripPage }) {
  const { act } = useActs();
  const { today } = useSession();
  const { trip } = page;
  const change = (body: ChangeTrip) =>
    act(`/api/trips/${trip.id}/change`, { version: trip.version, ...body }, say.changeTrip);
  const told = Object.fromEntries(
    page.days.map((day) => [day.on, { effort: day.effort, hours: day.hours, hot: day.hot }]),
  );
  return (
    <Board title={say.source}>
      <ul className="grid gap-2 mt-2">
        {page.days.map((day) => {
          const words = dayWords(day.on, today);
          return (
            <li key={day.on} className="flex flex-wrap items-end gap-x-4 border-t border-zinc2 pt-2">
              <Pick
                label={say.effortOn(words)}
                value={day.effort}
                options={say.efforts}
                onChange={(event) =>
                  void change({
                    days: { ...told, [day.on]: { ...told[day.on], effort: event.target.value as typeof day.effort } },
                  })
                }
              />
              {Object.entries(say.slot).map(([slot, name]) => (
                <Tick
                  key={slot}
                  label={name}
                  aria-label={say.sourceOn(name, words)}
                  checked={trip.sources.includes(`${day.on} ${slot}`)}
                  onChange={() => void change({ sources: toggled(trip.sources, `${day.on} ${slot}`) })}
                />
              ))}
              <Tick
                label={say.shopThere}
                aria-label={say.shopOn(words)}
                checked={trip.shops.includes(day.on)}
                onChange={() => void change({ shops: toggled(trip.shops, day.on) })}
              />
            </li>
          );
        })}
      </ul>
    </Board>
  );
}
