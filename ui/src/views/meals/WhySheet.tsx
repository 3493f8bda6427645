import { useQuery } from "@tanstack/react-query";
import { dishesQuery, mealQuery } from "../../api/queries";
import type { Dish, MealDetail, PlannedMeal } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney, useSession } from "../../app/session";
import { Board, Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { Loaded } from "../../kit/state";
import { inDays, shortName } from "../../words/common";
import * as say from "../../words/meals";

/** A pick that turns within so many days counts as rescued. */
const FRONT = 7;
const OTHERS = 2;

function Takes({ detail }: { detail: MealDetail }) {
  const picks = detail.lines.flatMap((line) => line.picks);
  const turning = picks.filter((pick) => pick.days_left !== null && pick.days_left <= FRONT);
  const missing = detail.lines.filter((line) => line.missing !== null);
  return (
    <>
      <p>
        {turning.length > 0
          ? say.becauseTurns(
              turning.map((pick) => `${shortName(pick.name)} (${inDays(pick.days_left ?? 0)})`).join(", "),
            )
          : say.becauseThere}
      </p>
      <ul>
        {picks.map((pick) => (
          <li key={pick.lot_id} className="border-t border-zinc2 py-1 text-small">
            {pick.packs ?? pick.amount_text} {pick.name} <span className="text-soft">{say.from(pick.place)}</span>
          </li>
        ))}
        {missing.map((line) => (
          <li key={line.key} className="border-t border-zinc2 py-1 text-small text-beet font-semibold">
            {line.missing} {line.food} {say.isMissing}
          </li>
        ))}
      </ul>
    </>
  );
}

function Others({ meal, dishes, onDone }: { meal: PlannedMeal; dishes: Dish[]; onDone: () => void }) {
  const { act } = useActs();
  const money = useMoney();
  const others = dishes.filter((dish) => dish.meal === meal.meal && dish.recipe_id !== meal.recipe_id).slice(0, OTHERS);
  const swap = async (dish: Dish) => {
    if (await act(`/api/meals/${meal.id}/change`, { recipe_id: dish.recipe_id }, dish.name)) onDone();
  };
  return (
    <Board title={say.nextBest} className="mt-3">
      <ul className="mt-1">
        {others.map((dish) => (
          <li key={dish.recipe_id} className="border-t border-zinc2 py-2 flex gap-3 items-center">
            <span className="grow min-w-0">
              <b className="block">{dish.name}</b>
              <span className="text-soft text-small">
                {say.partOnShelf(dish.covered_percent)}
                {dish.rescued_minor > 0 && ` ${say.rescues} ${money(dish.rescued_minor)}`},{" "}
                {say.buy(money(dish.buy_minor))}
              </span>
            </span>
            <Button aria-label={say.putInstead(dish.name)} onClick={() => swap(dish)}>
              {say.swap}
            </Button>
          </li>
        ))}
      </ul>
    </Board>
  );
}

/** Why this dish stands there: from which stacks, what it rescues and costs, and what would be next best. */
export function WhySheet({ meal, onClose }: { meal: PlannedMeal; onClose: () => void }) {
  const { today } = useSession();
  const money = useMoney();
  const detail = useQuery(mealQuery(meal.id));
  const dishes = useQuery(dishesQuery(meal.on ?? today));
  return (
    <Sheet open onClose={onClose} title={meal.name}>
      <Loaded query={detail} what={say.fetchingTheDish}>
        {(found) => <Takes detail={found} />}
      </Loaded>
      {meal.buy_minor !== null && <p className="mt-2">{say.toBuyForIt(money(meal.buy_minor))}</p>}
      <Loaded query={dishes} what={say.holdingEveryDish}>
        {(found) => <Others meal={meal} dishes={found.dishes} onDone={onClose} />}
      </Loaded>
    </Sheet>
  );
}
