import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { post, Problem } from "../../api/client";
import { foodsQuery } from "../../api/queries";
import type { EatDown, Food } from "../../api/types";
import { useActs } from "../../app/acts";
import { useGo } from "../../app/address";
import { useMoney } from "../../app/session";
import { Back } from "../../kit/Back";
import { Form, Submit, Text, Whole } from "../../kit/form";
import { Board, Button, Waiting } from "../../kit/kit";
import { shortDay } from "../../words/common";
import { FindFood } from "../keeping/FindFood";
import * as say from "../../words/eatDown";
import { sent } from "./useFilling";

const TWO_WEEKS = 14;

const MEALS = ["breakfast", "lunch", "dinner", "snack"];

type When = { on: string; meal: string };

function inTime(one: When, other: When): number {
  return one.on.localeCompare(other.on) || MEALS.indexOf(one.meal) - MEALS.indexOf(other.meal);
}

function Found({ found, fresh }: { found: EatDown; fresh: Pick<Food, "id">[] }) {
  const { act } = useActs();
  const money = useMoney();
  const go = useGo();
  const put = async () => {
    const meals = sent(found.meals);
    if (await act("/api/plan/fill", { meals, replace: found.replace }, say.title)) go("/meals");
  };
  const begin = async (fields: FormData) => {
    const body = { name: String(fields.get("name")), days: found.days, fresh: fresh.map((food) => food.id) };
    const done = await act("/api/plan/spans", body, body.name);
    if (done) go("/meals");
    return done;
  };
  return (
    <div className="grid gap-3 wide:grid-cols-2 items-start mt-3">
      <Board title={found.possible ? say.lastsAll(found.days) : say.lastsSome(found.lasts, found.days)}>
        <p className="mt-1">{say.sums(found.covered, money(found.from_shelf_minor))}</p>
        {found.gives_out.length > 0 && (
          <>
            <h3 className="mt-3">{say.givesOut}</h3>
            <ul>
              {found.gives_out.map((one) => (
                <li key={one.food}>{say.onDay(one.food, shortDay(one.on))}</li>
              ))}
            </ul>
          </>
        )}
        <div className="flex flex-wrap gap-2 items-end mt-3">
          {found.meals.length > 0 && (
            <Button look="main" onClick={put}>
              {say.put(found.meals.length)}
            </Button>
          )}
          <Form onSave={begin} label={say.begin} className="flex flex-wrap gap-2 items-end">
            <Text label={say.name} name="name" defaultValue={say.usualName} required maxLength={80} />
            <Submit>{say.begin}</Submit>
          </Form>
        </div>
      </Board>
      <Board title={say.theMeals}>
        <ul className="mt-1">
          {[...found.planned, ...found.meals].sort(inTime).map((one) => (
            <li key={one.on + one.meal} className="border-t border-zinc2 py-1">
              <b>{shortDay(one.on)}</b> <span className="text-soft">{one.meal}</span> {one.name}
              {one.missing.length > 0 && (
                <span className="block text-beet text-small">{say.missing(one.missing.join("; "))}</span>
              )}
            </li>
          ))}
          {found.open.map((one) => (
            <li key={one.on + one.meal} className="border-t border-zinc2 py-1 text-beet">
              {say.nothingFor(shortDay(one.on), one.meal)}
            </li>
          ))}
        </ul>
      </Board>
    </div>
  );
}

/** So many days without shopping: is it possible, how long, what gives out first. */
export default function EatDownView() {
  const { tell } = useActs();
  const [fresh, setFresh] = useState<number[]>([]);
  const [found, setFound] = useState<EatDown | "looking" | null>(null);
  const known = useQuery(foodsQuery("")).data ?? [];
  const ask = async (fields: FormData) => {
    setFound("looking");
    try {
      setFound(await post<EatDown>("/api/plan/eat-down", { days: Number(fields.get("days")), fresh }));
    } catch (error) {
      setFound(null);
      if (!(error instanceof Problem)) throw error;
      tell({ text: error.message, problem: error });
    }
    return false;
  };
  return (
    <>
      <Back to="/meals">{say.back}</Back>
      <div className="flex flex-wrap items-baseline gap-x-6 mb-3">
        <h1>{say.title}</h1>
        <span className="text-soft">{say.about}</span>
      </div>
      <Board>
        <Form onSave={ask} label={say.title} className="flex flex-wrap gap-4 items-end">
          <Whole
            label={say.days}
            name="days"
            min={1}
            max={42}
            defaultValue={TWO_WEEKS}
            required
            className="!w-[110px]"
          />
          <div className="w-[300px]">
            <FindFood label={say.freshToo} onPick={(food) => setFresh([...new Set([...fresh, food.id])])} />
          </div>
          <span className="flex flex-wrap gap-1">
            {fresh.map((id) => {
              const name = known.find((food) => food.id === id)?.name.split(",")[0] ?? "";
              return (
                <Button
                  key={id}
                  aria-label={say.without(name)}
                  onClick={() => setFresh(fresh.filter((one) => one !== id))}
                >
                  {name} ✕
                </Button>
              );
            })}
          </span>
          <Submit>{say.look}</Submit>
        </Form>
      </Board>
      {found === "looking" && <Waiting what={say.looking} />}
      {found !== null && found !== "looking" && <Found found={found} fresh={fresh.map((id) => ({ id }))} />}
    </>
  );
}
