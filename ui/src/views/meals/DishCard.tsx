import { useState } from "react";
import type { Dish } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney } from "../../app/session";
import { Button } from "../../kit/kit";
import { inDays, shortDay } from "../../kit/words";
import { Cover } from "./Cover";

function Uses({ dish }: { dish: Dish }) {
  if (dish.uses.length === 0) return null;
  const words = dish.uses.slice(0, 4).map((use) => `${use.food.split(",")[0]}${use.days_left === null ? "" : use.days_left < 0 ? " (look first)" : ` (${inDays(use.days_left)})`}`);
  return <p className="text-beet font-semibold">uses {words.join(", ")}</p>;
}

/** Why a dish stands where it stands: money rescued less money to spend and the bother of what is missing. */
function Rank({ dish }: { dish: Dish }) {
  const money = useMoney();
  const bother = dish.rescued_minor - dish.share_minor - dish.score_minor;
  return <p className="text-soft text-small">Rank: rescued {money(dish.rescued_minor)} − the share of what is to buy {money(dish.share_minor)} − missing {100 - dish.covered_percent} % counted as {money(bother)} = {money(dish.score_minor)}</p>;
}

export function DishCard({ dish, day }: { dish: Dish; day: string }) {
  const { act } = useActs();
  const money = useMoney();
  const [why, setWhy] = useState(false);
  return (
    <li className="board p-3 flex flex-col text-small">
      <div className="text-soft text-small">{dish.meal}, {dish.minutes} min</div>
      <h3>{dish.name}</h3>
      <Cover percent={dish.covered_percent} />
      <p>{dish.covered_percent === 100 ? "all on the shelf" : `${dish.covered_percent} % on the shelf`}{dish.rescued_minor > 0 && <b className="text-pea"> · rescues {money(dish.rescued_minor)}</b>}</p>
      <Uses dish={dish} />
      {dish.stand_ins.length > 0 && <p className="text-soft">{dish.stand_ins.map((one) => `${one.food.split(",")[0]} for ${one.for.split(",")[0]}`).join("; ")}</p>}
      {dish.allergens.length > 0 && <p className="text-soft text-small">holds {dish.allergens.join(", ")}</p>}
      {dish.not_for.map((one) => <p key={one.person + one.because} className="text-beet font-semibold">Not for {one.person}: {one.because}</p>)}
      {dish.missing.length > 0 && <p className="text-soft">missing: {dish.missing.map((line) => `${line.amount} ${line.food.split(",")[0]}`).join("; ")} ({money(dish.buy_minor)}{dish.missing.some((line) => line.estimated) ? ", estimated" : ""})</p>}
      {why && <Rank dish={dish} />}
      <div className="mt-auto pt-2 flex flex-wrap gap-2">
        {dish.not_for.length === 0 && <Button look="main" onClick={() => act("/api/meals", { recipe_id: dish.recipe_id, on: day }, dish.name)} aria-label={`Put on ${shortDay(day)}: ${dish.name}`}>Put on {shortDay(day)}</Button>}
        <Button look="plain" aria-expanded={why} onClick={() => setWhy(!why)}>Why here?</Button>
      </div>
    </li>
  );
}
