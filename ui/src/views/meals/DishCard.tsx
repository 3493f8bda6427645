import { useState } from "react";
import type { Dish } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney } from "../../app/session";
import { Button } from "../../kit/kit";
import { inDays, shortDay, shortName } from "../../words/common";
import { Cover } from "./Cover";
import type { Chosen } from "./WeekGrid";
import * as say from "../../words/meals";

/** How long what is used still has. */
function left(days: number | null): string {
  if (days === null) return "";
  return days < 0 ? say.lookFirst : ` (${inDays(days)})`;
}

/** Each food once, by the stack of it that turns first: an opened rest and the packs behind it are one name. */
function named(uses: Dish["uses"]): Dish["uses"] {
  const soonest = [...uses].sort((one, other) => (one.days_left ?? Infinity) - (other.days_left ?? Infinity));
  const first = new Set(soonest.filter((use, at) => soonest.findIndex((one) => one.food === use.food) === at));
  return uses.filter((use) => first.has(use));
}

function Uses({ dish }: { dish: Dish }) {
  if (dish.uses.length === 0) return null;
  const words = named(dish.uses)
    .slice(0, 4)
    .map((use) => `${use.food.split(",")[0]}${left(use.days_left)}`);
  return (
    <p className="text-beet font-semibold">
      {say.uses} {words.join(", ")}
    </p>
  );
}

/** Why a dish stands where it stands: money rescued less money to spend and the bother of what is missing. */
function Rank({ dish }: { dish: Dish }) {
  const money = useMoney();
  const bother = dish.rescued_minor - dish.share_minor - dish.score_minor;
  return (
    <p className="text-soft text-small">
      {say.rankRescued} {money(dish.rescued_minor)} {say.shareWhatBuy} {money(dish.share_minor)} {say.missing}{" "}
      {100 - dish.covered_percent} {say.countedAs} {money(bother)} = {money(dish.score_minor)}
    </p>
  );
}

interface Props {
  dish: Dish;
  day: string;
  /** The meal it is chosen for; none: whatever meal it is made for. */
  chosen: Chosen | null;
  onPut: () => void;
}

export function DishCard({ dish, day, chosen, onPut }: Props) {
  const { act } = useActs();
  const money = useMoney();
  const [why, setWhy] = useState(false);
  const put = async () => {
    const instead = chosen?.instead;
    const done = instead
      ? await act(`/api/meals/${instead.id}/change`, { recipe_id: dish.recipe_id }, dish.name)
      : await act(
          "/api/meals",
          { recipe_id: dish.recipe_id, on: day, ...(chosen ? { meal: chosen.meal } : {}) },
          dish.name,
        );
    if (done) onPut();
  };
  return (
    <li className="board p-3 flex flex-col text-small">
      <div className="text-soft text-small">
        {dish.meal}, {dish.minutes} {say.minutes}
      </div>
      <h3>{dish.name}</h3>
      <Cover percent={dish.covered_percent} />
      <p>
        {dish.covered_percent === 100 ? say.allOnShelf : say.partOnShelf(dish.covered_percent)}
        {dish.rescued_minor > 0 && (
          <b className="text-pea">
            {" "}
            {say.rescues} {money(dish.rescued_minor)}
          </b>
        )}
      </p>
      <Uses dish={dish} />
      {dish.stand_ins.length > 0 && (
        <p className="text-soft">
          {dish.stand_ins.map((one) => say.standsFor(shortName(one.food), shortName(one.for))).join("; ")}
        </p>
      )}
      {dish.allergens.length > 0 && (
        <p className="text-soft text-small">
          {say.holding} {dish.allergens.join(", ")}
        </p>
      )}
      {dish.not_for.map((one) => (
        <p key={one.person + one.because} className="text-beet font-semibold">
          {say.notFor} {one.person}: {one.because}
        </p>
      ))}
      {dish.doubts.map((doubt) => (
        <p key={doubt} className="text-beet font-semibold">
          {doubt}
        </p>
      ))}
      {dish.missing.length > 0 && (
        <p className="text-soft">
          {say.missingThings} {dish.missing.map((line) => `${line.amount} ${line.food.split(",")[0]}`).join("; ")} (
          {money(dish.buy_minor)}
          {dish.missing.some((line) => line.estimated) ? say.estimated : ""})
        </p>
      )}
      {why && <Rank dish={dish} />}
      <div className="mt-auto pt-2 flex flex-wrap gap-2">
        {dish.not_for.length === 0 && (
          <Button
            look="main"
            onClick={put}
            aria-label={chosen?.instead ? say.putInstead(dish.name) : say.putOn(shortDay(day), dish.name)}
          >
            {chosen?.instead ? say.putThere : `${say.putOnDay} ${shortDay(day)}`}
          </Button>
        )}
        <Button look="plain" aria-expanded={why} onClick={() => setWhy(!why)}>
          {say.whyHere}
        </Button>
      </div>
    </li>
  );
}
