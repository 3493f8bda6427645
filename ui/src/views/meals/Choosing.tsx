import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { dishesQuery } from "../../api/queries";
import type { Dish } from "../../api/types";
import { useInAddress } from "../../app/inAddress";
import { useSession } from "../../app/session";
import { Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { shortDay } from "../../words/common";
import * as say from "../../words/meals";
import { DishCard } from "./DishCard";
import type { Chosen } from "./WeekGrid";

const SHOWN = 12;
const MEALS = ["breakfast", "lunch", "dinner", "snack"];

function Ranked({ dishes, ...rest }: { dishes: Dish[]; day: string; chosen: Chosen | null; onPut: () => void }) {
  const [shown, setShown] = useState(SHOWN);
  return (
    <>
      <ul className="grid gap-3 grid-cols-[repeat(auto-fill,minmax(270px,1fr))]">
        {dishes.slice(0, shown).map((dish) => (
          <DishCard key={dish.recipe_id} dish={dish} {...rest} />
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
          <DishCard key={dish.recipe_id} dish={dish} day={day} chosen={null} onPut={() => undefined} />
        ))}
      </ul>
    </details>
  );
}

/** The dishes for a day, what rescues most first: for an open meal, or instead of what stands there. */
export function Choosing({ chosen, onDone }: { chosen: Chosen | null; onDone: () => void }) {
  const { today } = useSession();
  const [meal, setMeal] = useInAddress("meal", "", (said) => MEALS.includes(said));
  const day = chosen?.on ?? today;
  const shown = meal || (chosen?.instead ? chosen.meal : "");
  const dishes = useQuery(dishesQuery(day));
  return (
    <section aria-label={say.whatCouldBe(day === today ? null : shortDay(day))}>
      <div className="flex flex-wrap items-center gap-2 mt-5 mb-2">
        <h2 className="mr-3">
          {chosen?.instead
            ? say.insteadOfMeal(chosen.instead.name)
            : say.whatCouldBe(day === today ? null : shortDay(day))}
        </h2>
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
        {chosen?.instead && (
          <Button look="plain" onClick={onDone}>
            {say.stopChoosing}
          </Button>
        )}
      </div>
      <Loaded query={dishes} what={say.holdingEveryDish}>
        {(data) => (
          <>
            <Ranked
              key={day + shown}
              dishes={data.dishes.filter(
                (dish) => (shown === "" || dish.meal === shown) && dish.recipe_id !== chosen?.instead?.recipe_id,
              )}
              day={day}
              chosen={chosen}
              onPut={onDone}
            />
            <Shut dishes={data.shut.filter((dish) => shown === "" || dish.meal === shown)} day={day} />
          </>
        )}
      </Loaded>
    </section>
  );
}
