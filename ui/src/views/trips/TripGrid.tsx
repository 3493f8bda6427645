import { useState } from "react";
import type { Grid } from "../../api/propose";
import type { TripPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { css } from "../../kit/css";
import { Board } from "../../kit/kit";
import { dayWords } from "../../words/common";
import * as say from "../../words/trips";
import { MealSheet } from "./MealSheet";

type Day = TripPage["days"][number];
type Dish = Day["meals"][number]["dishes"][number];

/** Below that many percent of what a day asks for it is said. */
const LOW = 90;
const MEALS = Object.keys(say.meal);

/** Days by meals: what is eaten, what stands against it, and each day's energy against what it asks for. */
export function TripGrid({ page, proposed }: { page: TripPage; proposed: Grid | null }) {
  const [chosen, setChosen] = useState<{ on: string; meal: string } | null>(null);
  return (
    <Board title={say.grid}>
      <ul className="grid gap-3 mt-2">
        {page.days.map((day) => (
          <li key={day.on} className="border-t border-zinc2 pt-2 first:border-0 first:pt-0">
            <DayRow
              trip={page.trip.id}
              day={day}
              proposed={proposed && proposed.meals.filter((one) => one.on === day.on)}
              days={page.days.map((one) => one.on)}
              onPick={(meal) => setChosen({ on: day.on, meal })}
            />
          </li>
        ))}
      </ul>
      {chosen && <MealSheet page={page} {...chosen} onClose={() => setChosen(null)} />}
    </Board>
  );
}

interface RowProps {
  trip: number;
  day: Day;
  /** What a search would have there, while one runs. */
  proposed: Grid["meals"] | null;
  /** All days of the trip. */
  days: string[];
  onPick: (meal: string) => void;
}

function DayRow({ trip, day, proposed, days, onPick }: RowProps) {
  const { act } = useActs();
  const { today } = useSession();
  const words = dayWords(day.on, today);
  return (
    <div className="grid grid-cols-[170px_repeat(4,1fr)] phone:grid-cols-1 gap-2 items-stretch">
      <div>
        <h3>{words}</h3>
        <p className={day.percent < LOW ? "text-beet font-semibold text-small" : "text-soft text-small"}>
          {say.dayEnergy(day.kcal, day.wants)}
          {day.percent < LOW && <span className="block">{say.low(day.percent)}</span>}
        </p>
        <p className="text-soft text-small">
          {say.protein(day.protein_g, day.wants_protein_g)}, {say.weightOf(day.weight)}
        </p>
        <select
          className="field !min-h-[28px] !py-0 text-small phone:!min-h-[44px]"
          aria-label={say.swapOf(words)}
          value=""
          onChange={(event) => void act(`/api/trips/${trip}/swap`, { on: day.on, with: event.target.value }, say.swap)}
        >
          <option value="">{say.swap}</option>
          {days
            .filter((one) => one !== day.on)
            .map((one) => (
              <option key={one} value={one}>
                {dayWords(one, today)}
              </option>
            ))}
        </select>
      </div>
      {MEALS.map((meal) => {
        const here = day.meals.find((one) => one.meal === meal);
        if (!here) return <div key={meal} className="phone:hidden" />;
        return (
          <Cell
            key={meal}
            meal={meal}
            on={day.on}
            days={days}
            day={words}
            dishes={here.dishes}
            proposed={proposed && (proposed.find((one) => one.meal === meal)?.name ?? "")}
            onPick={() => onPick(meal)}
          />
        );
      })}
    </div>
  );
}

const DRAGGED = "text/x-trip-meal";
/** With Shift held, a day later or earlier, as in Meals. */
const STEPS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

interface CellProps {
  meal: string;
  on: string;
  days: string[];
  day: string;
  dishes: Dish[];
  /** The dish a search would have there, while one runs; empty: none. */
  proposed: string | null;
  onPick: () => void;
}

function Cell({ meal, on, days, day, dishes, proposed, onPick }: CellProps) {
  const { act } = useActs();
  const [over, setOver] = useState(false);
  const name = say.meal[meal] ?? meal;
  const main = dishes.find((dish) => dish.kind !== "food");
  const put = (id: number | string, to: object) => void act(`/api/trips/meals/${id}/change`, to, say.moveTo);
  return (
    <button
      type="button"
      className={css(
        "text-left border border-zinc2 rounded-[8px] px-2 py-1 min-h-[64px] grid content-start",
        over ? "bg-rim2" : "bg-enamel",
      )}
      draggable={main !== undefined}
      onDragStart={(event) => main && event.dataTransfer.setData(DRAGGED, String(main.id))}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes(DRAGGED)) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        setOver(false);
        const id = event.dataTransfer.getData(DRAGGED);
        if (id && id !== String(main?.id)) put(id, { on, meal });
      }}
      onKeyDown={(event) => {
        const to = days[days.indexOf(on) + (STEPS[event.key] ?? 0)];
        if (!event.shiftKey || !main || !to || to === on) return;
        event.preventDefault();
        put(main.id, { on: to });
      }}
      onClick={onPick}
    >
      <span className="text-soft text-small">
        {name}
        <span className="sr-only">, {day}</span>
      </span>
      {proposed !== null && <span className="text-soft italic">{proposed || say.open}</span>}
      {proposed === null && dishes.length === 0 && <span className="text-soft">{say.open}</span>}
      {(proposed === null ? dishes : []).map((dish) => (
        <span key={dish.id} className="block">
          <span className="font-semibold">
            {dish.name}
            {dish.grams && `, ${dish.grams}`}
          </span>
          {dish.soaked && <span className="text-soft text-small"> {say.soaked}</span>}
          {dish.pinned && dish.kind !== "food" && <span className="text-soft text-small"> {say.pinned}</span>}
          {dish.faults.map((fault) => (
            <span key={fault.kind} className="block text-beet text-small">
              {fault.words}
            </span>
          ))}
        </span>
      ))}
    </button>
  );
}
