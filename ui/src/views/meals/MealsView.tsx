import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { dishesQuery, mealsQuery } from "../../api/queries";
import type { Dish, Meal } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney, useSession } from "../../app/session";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { addDays, shortDay } from "../../words/common";
import { Cover } from "./Cover";
import { DishCard } from "./DishCard";
import * as say from "../../words/meals";
import { useInAddress } from "../../app/inAddress";
import { css } from "../../kit/css";

const DAYS = 7;
const SHOWN = 12;
const MEALS = ["breakfast", "lunch", "dinner", "snack"];

export default function MealsView() {
  const { today } = useSession();
  const [day, setDay] = useInAddress("day", today, (said) => /^\d{4}-\d{2}-\d{2}$/.test(said) && said >= today);
  const [meal, setMeal] = useInAddress("meal", "", (said) => MEALS.includes(said));
  const meals = useQuery(mealsQuery);
  const dishes = useQuery(dishesQuery(day));
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6 mb-3">
        <h1>{say.meals}</h1>
        <span className="text-soft">{say.dishesFromWhat}</span>
      </div>
      <Loaded query={meals} what={say.fetchingThePlan}>
        {(data) => <Days meals={data.meals} today={today} chosen={day} onChoose={setDay} />}
      </Loaded>
      <div className="flex flex-wrap items-center gap-2 mt-5 mb-2">
        <h2 className="mr-3">{say.whatCouldBe(day === today ? null : shortDay(day))}</h2>
        <Button aria-pressed={meal === ""} look={meal === "" ? "main" : "quiet"} onClick={() => setMeal("")}>
          {say.anyMeal}
        </Button>
        {MEALS.map((name) => (
          <Button
            key={name}
            aria-pressed={meal === name}
            look={meal === name ? "main" : "quiet"}
            onClick={() => setMeal(name)}
          >
            {name}
          </Button>
        ))}
      </div>
      <Loaded query={dishes} what={say.holdingEveryDish}>
        {(data) => (
          <>
            <Ranked
              key={day + meal}
              dishes={data.dishes.filter((dish) => meal === "" || dish.meal === meal)}
              day={day}
            />
            <Shut dishes={data.shut.filter((dish) => meal === "" || dish.meal === meal)} day={day} />
          </>
        )}
      </Loaded>
    </>
  );
}

function Ranked({ dishes, day }: { dishes: Dish[]; day: string }) {
  const [shown, setShown] = useState(SHOWN);
  return (
    <>
      <ul className="grid gap-3 grid-cols-[repeat(auto-fill,minmax(270px,1fr))]">
        {dishes.slice(0, shown).map((dish) => (
          <DishCard key={dish.recipe_id} dish={dish} day={day} />
        ))}
      </ul>
      {dishes.length > shown && (
        <Button className="mt-3" onClick={() => setShown(shown + 24)}>
          {say.showMoreOf} {dishes.length} {say.dishes}
        </Button>
      )}
    </>
  );
}

/** What somebody who eats along may not have stays in sight, with the reason, and out of reach. */
function Shut({ dishes, day }: { dishes: Dish[]; day: string }) {
  const who = [...new Set(dishes.flatMap((dish) => dish.not_for.map((one) => one.person)))];
  if (dishes.length === 0) return null;
  return (
    <details className="mt-5">
      <summary className="cursor-pointer font-semibold min-h-[44px] flex items-center gap-2">
        {say.notFor} {who.join(" and ")}: {say.countDishes(dishes.length)}
      </summary>
      <ul className="grid gap-3 mt-2 grid-cols-[repeat(auto-fill,minmax(270px,1fr))]">
        {dishes.map((dish) => (
          <DishCard key={dish.recipe_id} dish={dish} day={day} />
        ))}
      </ul>
    </details>
  );
}

function Days({
  meals,
  today,
  chosen,
  onChoose,
}: {
  meals: Meal[];
  today: string;
  chosen: string;
  onChoose: (day: string) => void;
}) {
  return (
    <ol className="grid gap-2 grid-cols-7 phone:grid-cols-1">
      {Array.from({ length: DAYS }, (_, index) => addDays(today, index)).map((day) => (
        <li key={day} className="min-w-0">
          <Board className="h-full !p-2" title={<span className="text-lead">{shortDay(day)}</span>}>
            <div className="grid gap-2 mt-2">
              {meals
                .filter((meal) => meal.on === day)
                .map((meal) => (
                  <MealCard key={meal.id} meal={meal} />
                ))}
              <button
                type="button"
                aria-pressed={chosen === day}
                className={css(
                  "rounded-md border-[1.5px] border-dashed px-2 py-1.5 text-small phone:min-h-[44px]",
                  `${chosen === day ? "border-rim text-rim font-semibold bg-rim2" : "border-edge text-soft"}`,
                )}
                onClick={() => onChoose(day)}
              >
                {chosen === day ? say.choosingForThis : say.chooseADish}
              </button>
            </div>
          </Board>
        </li>
      ))}
    </ol>
  );
}

function MealCard({ meal }: { meal: Meal }) {
  const { act } = useActs();
  const money = useMoney();
  return (
    <article className="rounded-md border-[1.5px] border-zinc2 bg-board p-2 text-small">
      <div className="text-soft">
        {meal.meal}, {meal.minutes} {say.minutes}
      </div>
      <h3 className="text-small leading-snug">{meal.name}</h3>
      {meal.status === "cooked" ? (
        <div className="text-pea font-semibold mt-1">{say.cookedAlready}</div>
      ) : (
        <>
          <Cover percent={meal.covered_percent ?? 0} />
          <div className="text-soft">{meal.buy_minor ? say.buy(money(meal.buy_minor)) : say.allOnShelf}</div>
          <div className="flex flex-wrap gap-1 mt-1.5">
            <Link
              className="btn !min-h-[28px] !px-2 !py-0 phone:!min-h-[44px]"
              to={`/meals/${meal.id}`}
              aria-label={say.cook(meal.name)}
            >
              {say.cookIt}
            </Link>
            <Button
              look="plain"
              className="!min-h-[28px] !py-0 phone:!min-h-[44px]"
              aria-label={say.drop(meal.name)}
              onClick={() => act(`/api/meals/${meal.id}/drop`, {}, "drop")}
            >
              {say.dropIt}
            </Button>
          </div>
        </>
      )}
    </article>
  );
}
