import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { dishesQuery, foodsQuery } from "../../api/queries";
import type { Dish } from "../../api/types";
import { useGo } from "../../app/address";
import { useInAddress } from "../../app/inAddress";
import { useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Select } from "../../kit/choices";
import { Tick } from "../../kit/form";
import { Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { FindFood } from "../keeping/FindFood";
import * as say from "../../words/make";
import { DishCard } from "./DishCard";

const IDS = /^\d+(,\d+){0,19}$/;
const SHOWN = 12;
const COLD = "no-cook";

function List({ dishes }: { dishes: Dish[] }) {
  const { today } = useSession();
  const go = useGo();
  const [minutes, setMinutes] = useInAddress("within", "", (said) => say.within.some(([value]) => value === said));
  const [cold, setCold] = useInAddress("cold", "", (said) => said === "yes");
  const [whole, setWhole] = useInAddress("whole", "", (said) => said === "yes");
  const [shown, setShown] = useState(SHOWN);
  const fitting = dishes.filter(
    (dish) =>
      (minutes === "" || dish.minutes <= Number(minutes)) &&
      (cold === "" || dish.tags.includes(COLD)) &&
      (whole === "" || dish.missing.length === 0),
  );
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 mb-3">
        <Select label={say.howLong} value={minutes} none={say.anyTime} options={say.within} onPick={setMinutes} />
        <Tick
          label={say.withoutFlame}
          checked={cold === "yes"}
          onChange={(event) => setCold(event.target.checked ? "yes" : "")}
        />
        <Tick
          label={say.nothingMissing}
          checked={whole === "yes"}
          onChange={(event) => setWhole(event.target.checked ? "yes" : "")}
        />
        <span className="text-soft" role="status">
          {say.count(fitting.length)}
        </span>
      </div>
      {fitting.length === 0 && <Empty title={say.none} />}
      <h2 className="sr-only">{say.whatGoes}</h2>
      <ul className="grid gap-3 grid-cols-[repeat(auto-fill,minmax(270px,1fr))]">
        {fitting.slice(0, shown).map((dish) => (
          <DishCard key={dish.recipe_id} dish={dish} day={today} chosen={null} onPut={() => go("/meals")} />
        ))}
      </ul>
      {fitting.length > shown && (
        <Button className="mt-3" onClick={() => setShown(shown + SHOWN)}>
          {say.more(Math.min(SHOWN, fitting.length - shown))}
        </Button>
      )}
    </>
  );
}

/** What can be made with some foods: what is missing least first. */
export default function MakeView() {
  const { today } = useSession();
  const [ids, setIds] = useInAddress("with", "", (said) => IDS.test(said));
  const dishes = useQuery({ ...dishesQuery(today, ids), enabled: ids !== "" });
  const known = useQuery(foodsQuery("")).data ?? [];
  const chosen = ids === "" ? [] : ids.split(",").map(Number);
  const names = chosen.map((id) => known.find((food) => food.id === id));
  return (
    <>
      <Back to="/shelf">{say.toShelf}</Back>
      <h1 className="mb-2">{say.title}</h1>
      <div className="flex flex-wrap gap-2 mb-2 items-center">
        {names.map((food, index) => (
          <Button
            key={chosen[index]}
            aria-label={say.without(food?.name ?? "")}
            onClick={() => setIds(chosen.filter((id) => id !== chosen[index]).join(","))}
          >
            {food?.name.split(",")[0]} ✕
          </Button>
        ))}
      </div>
      <div className="max-w-[420px] mb-3">
        <FindFood label={say.andWith} onPick={(food) => setIds([...new Set([...chosen, food.id])].join(","))} />
      </div>
      {ids === "" ? (
        <p className="text-soft">{say.pickFirst}</p>
      ) : (
        <Loaded query={dishes} what={say.looking}>
          {(found) => <List dishes={found.dishes} />}
        </Loaded>
      )}
    </>
  );
}
