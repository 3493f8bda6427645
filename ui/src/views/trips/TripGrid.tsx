import { useState } from "react";
import type { TripPage } from "../../api/types";
import { useSession } from "../../app/session";
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
export function TripGrid({ page }: { page: TripPage }) {
  const [chosen, setChosen] = useState<{ on: string; meal: string } | null>(null);
  return (
    <Board title={say.grid}>
      <ul className="grid gap-3 mt-2">
        {page.days.map((day) => (
          <li key={day.on} className="border-t border-zinc2 pt-2 first:border-0 first:pt-0">
            <DayRow day={day} onPick={(meal) => setChosen({ on: day.on, meal })} />
          </li>
        ))}
      </ul>
      {chosen && <MealSheet page={page} {...chosen} onClose={() => setChosen(null)} />}
    </Board>
  );
}

function DayRow({ day, onPick }: { day: Day; onPick: (meal: string) => void }) {
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
      </div>
      {MEALS.map((meal) => {
        const here = day.meals.find((one) => one.meal === meal);
        if (!here) return <div key={meal} className="phone:hidden" />;
        return <Cell key={meal} meal={meal} day={words} dishes={here.dishes} onPick={() => onPick(meal)} />;
      })}
    </div>
  );
}

interface CellProps {
  meal: string;
  day: string;
  dishes: Dish[];
  onPick: () => void;
}

function Cell({ meal, day, dishes, onPick }: CellProps) {
  const name = say.meal[meal] ?? meal;
  return (
    <button
      type="button"
      className="text-left border border-zinc2 rounded-[8px] bg-enamel px-2 py-1 min-h-[64px] grid content-start"
      onClick={onPick}
    >
      <span className="text-soft text-small">
        {name}
        <span className="sr-only">, {day}</span>
      </span>
      {dishes.length === 0 && <span className="text-soft">{say.open}</span>}
      {dishes.map((dish) => (
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
