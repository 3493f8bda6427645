import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "wouter";
import { usualFoodsQuery } from "../../api/queries";
import { newKey } from "../../api/client";
import { boxQuery } from "../../api/trips";
import type { BoxPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney, useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Form, Pick, Submit, Whole } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/box";
import { trips } from "../../words/trips";

type Line = BoxPage["lines"][number];

/** A box that stands packed: what a refresh keeps, takes out, puts in and has bought. */
export default function BoxView() {
  const id = Number(useParams<{ id: string }>().id);
  const query = useQuery(boxQuery(id));
  return (
    <>
      <Back to="/trips">{trips}</Back>
      <Loaded query={query} what={say.fetching}>
        {(page) => <Page page={page} />}
      </Loaded>
    </>
  );
}

function Page({ page }: { page: BoxPage }) {
  const { act, note } = useActs();
  const { today } = useSession();
  const bought = page.lines.filter((line) => line.buy > 0);
  const list = async () => {
    for (const line of bought) {
      const words = say.buyNote(line.buy, page.place, line.buy_dated ? dayWords(line.buy_dated, today) : null);
      await note("/api/list", { ref: newKey(), food_id: line.food_id, note: words }, say.onTheList(line.name));
    }
  };
  const moves = page.lines.some((line) => line.out.length + line.in.length > 0);
  return (
    <>
      <h1>{say.title(page.place)}</h1>
      <p>{say.about(dayWords(page.must_reach, today), dayWords(page.half_year, today))}</p>
      <p className="text-soft mb-3">
        {page.high_c === null ? say.noClimate : say.heat(String(page.low_c ?? "?"), String(page.high_c))}
      </p>
      <div className="grid gap-4 grid-cols-2 phone:grid-cols-1 items-start">
        <Board title={say.wanted}>
          {page.lines.length === 0 && <p className="text-soft mt-2">{say.emptyNote}</p>}
          <ul className="mt-2">
            {page.lines.map((line) => (
              <Wanted key={line.food_id} line={line} />
            ))}
          </ul>
          <div className="flex flex-wrap gap-3 mt-3 items-center">
            <Button
              look="main"
              disabled={!moves}
              onClick={() => void act(`/api/places/${page.place_id}/box/refresh`, {}, say.refresh)}
            >
              {say.refresh}
            </Button>
            {!moves && page.lines.length > 0 && <span className="text-soft">{say.nothingToDo}</span>}
            <Link className="btn" to={`/places/${page.place_id}/check`}>
              {say.lookThrough}
            </Link>
            {bought.length > 0 && <Button onClick={() => void list()}>{say.listIt}</Button>}
          </div>
          <Ideas page={page} />
        </Board>
        <Wants page={page} />
      </div>
    </>
  );
}

/** Another food that would do, where something has to be bought. */
function Ideas({ page }: { page: BoxPage }) {
  const { act } = useActs();
  const money = useMoney();
  if (page.ideas.length === 0) return null;
  const bought = page.lines.filter((line) => line.buy > 0);
  const swap = (food: number, line: Line) =>
    act(
      `/api/places/${page.place_id}/box`,
      { food_id: food, packs: line.buy, instead_of: line.food_id },
      say.insteadOf(line.buy, line.name),
    );
  return (
    <div className="border-t border-zinc2 mt-3 pt-2">
      <h3>{say.instead}</h3>
      <p className="text-soft text-small">{say.insteadNote}</p>
      <ul>
        {page.ideas.map((one) => (
          <li key={one.food_id}>
            <span className="font-semibold">{say.idea(one.name, one.amount)}</span>{" "}
            {say.gives(one.kcal, one.protein_g, one.price_minor === null ? "" : money(one.price_minor))}
            <span className="flex flex-wrap gap-2 my-1">
              {bought.map((line) => (
                <Button
                  key={line.food_id}
                  aria-label={say.takeInstead(one.name, say.insteadOf(line.buy, line.name))}
                  onClick={() => void swap(one.food_id, line)}
                >
                  {say.insteadOf(line.buy, line.name)}
                </Button>
              ))}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Wanted({ line }: { line: Line }) {
  const { today } = useSession();
  const day = (text: string | null) => (text ? dayWords(text, today) : null);
  return (
    <li className="border-t border-zinc2 py-1">
      <span className="font-semibold">{line.name}</span>{" "}
      <span className="text-soft">{say.want(line.want, line.stays)}</span>
      {line.out.map((one) => (
        <span key={one.lot_id} className="block">
          {say.out(one.packs, one.name, day(one.eat_by))}
        </span>
      ))}
      {line.in.map((one) => (
        <span key={one.lot_id} className="block">
          {say.into(one.packs, one.name, one.place, day(one.until) ?? "")}
        </span>
      ))}
      {line.buy > 0 && <span className="block font-semibold">{say.buy(line.buy, day(line.buy_dated) ?? "")}</span>}
      {line.will_freeze && <span className="block text-beet text-small">{say.freezes}</span>}
    </li>
  );
}

/** Which foods, and how many packs of each. */
function Wants({ page }: { page: BoxPage }) {
  const { act } = useActs();
  const foods = useQuery(usualFoodsQuery).data ?? [];
  const wanted = page.lines.map((line): [string, string] => [String(line.food_id), line.name]);
  const others = foods
    .filter((food) => !page.lines.some((line) => line.food_id === food.id))
    .map((food): [string, string] => [String(food.id), food.name]);
  const save = async (form: FormData) => {
    const food = Number(form.get("food"));
    if (!food) return;
    return act(`/api/places/${page.place_id}/box`, { food_id: food, packs: Number(form.get("packs")) }, say.add);
  };
  return (
    <Board title={say.add}>
      <Form label={say.add} onSave={save} className="grid grid-cols-[1fr_90px_auto] gap-2 items-end mt-2">
        <Pick label={say.food} name="food" none={say.choose} options={[...wanted, ...others]} />
        <Whole label={say.packs} name="packs" min={0} max={999} required defaultValue={1} />
        <Submit>{say.say}</Submit>
      </Form>
    </Board>
  );
}
