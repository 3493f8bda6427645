import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { foodsQuery, recipesQuery } from "../../api/queries";
import type { RecipeBrief } from "../../api/types";
import { useInAddress } from "../../app/inAddress";
import { useGo } from "../../app/address";
import { Find, Select } from "../../kit/choices";
import { Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/recipes";

/** So many are drawn at once. */
const DRAWN = 60;
const QUICK = 20;
const ANY = () => true;

const KINDS: Record<string, (dish: RecipeBrief) => boolean> = {
  all: (dish) => !dish.archived,
  quick: (dish) => !dish.archived && dish.minutes <= QUICK,
  cold: (dish) => !dish.archived && dish.gear.every((one) => one === "none"),
  pantry: (dish) => !dish.archived && dish.tags.includes("pantry"),
  own: (dish) => !dish.archived && dish.own,
  away: (dish) => dish.archived,
};

function Row({ dish }: { dish: RecipeBrief }) {
  return (
    <li>
      <Link to={`/recipes/${dish.recipe_id}`} className="btn card h-full !block" data-look="quiet">
        <span className="font-semibold block">{dish.name}</span>
        <span className="text-soft text-small font-normal">
          {dish.meal}, {say.inAll(dish.minutes, dish.active_minutes)},{" "}
          {dish.gear.map((one) => say.withGear[one] ?? one).join(", ")}
          {dish.own ? `, ${say.ours}` : ""}
        </span>
      </Link>
    </li>
  );
}

function List({ all }: { all: RecipeBrief[] }) {
  const [find, setFind] = useInAddress("find", "", ANY);
  const [meal, setMeal] = useInAddress("meal", "", ANY);
  const [kind, setKind] = useInAddress("which", "all", (said) => said in KINDS);
  const [drawn, setDrawn] = useState(DRAWN);
  const word = find.trim().toLowerCase();
  const foods = useQuery({ ...foodsQuery(word), enabled: word.length > 1 }).data ?? [];
  const named = foods.filter((food) => food.name.toLowerCase().includes(word));
  const called = (dish: RecipeBrief) => dish.name.toLowerCase().includes(word);
  // A word that names nothing here may still be another word for a food.
  const near = named.length === 0 && !all.some(called) ? foods.slice(0, 3) : named;
  const ids = new Set(near.map((food) => food.id));
  const shown = all.filter(
    (dish) =>
      KINDS[kind]!(dish) &&
      (meal === "" || dish.meal === meal) &&
      (word === "" || called(dish) || dish.food_ids.some((id) => ids.has(id))),
  );
  if (word !== "") shown.sort((one, other) => Number(called(other)) - Number(called(one)));
  return (
    <>
      <div className="flex flex-wrap items-center gap-2 mb-3">
        <Find className="!w-[260px] phone:!w-full" label={say.find} value={find} onFind={setFind} />
        <Select label={say.everyMeal} value={meal} none={say.everyMeal} options={say.meals} onPick={setMeal} />
        <Select label={say.which} value={kind} options={say.kinds} onPick={setKind} />
        <span className="text-soft" role="status">
          {say.count(shown.length)}
        </span>
      </div>
      {shown.length === 0 && <Empty title={say.noneLike} />}
      <ul className="grid gap-2 grid-cols-[repeat(auto-fill,minmax(250px,1fr))]">
        {shown.slice(0, drawn).map((dish) => (
          <Row key={dish.dish_id} dish={dish} />
        ))}
      </ul>
      {shown.length > drawn && (
        <Button className="mt-3" onClick={() => setDrawn(drawn + DRAWN)}>
          {say.showMore(Math.min(DRAWN, shown.length - drawn))}
        </Button>
      )}
    </>
  );
}

/** The household's dishes. */
export default function RecipesView() {
  const query = useQuery(recipesQuery);
  const go = useGo();
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2 mb-3">
        <h1>{say.dishes}</h1>
        <span className="flex gap-2 ml-auto phone:ml-0">
          <Button onClick={() => go("/recipes/bring-in")}>{say.bringIn}</Button>
          <Button look="main" onClick={() => go("/recipes/new")}>
            {say.write}
          </Button>
        </span>
      </div>
      <Loaded query={query} what={say.fetching}>
        {(all) => <List all={all} />}
      </Loaded>
    </>
  );
}
