import { useQuery } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import { Link, useParams } from "wouter";
import { placesQuery } from "../../api/queries";
import { packingQuery } from "../../api/trips";
import type { PackingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Pick, Tick } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/trips";
import { ComingHome, Packed } from "./ComingHome";
import { OnTheWay } from "./OnTheWay";

type Take = PackingPage["foods"][number]["takes"][number];
type Pack = (takes: Take[], words: string) => void;

/** What goes along, with the stack each line comes from; what is packed; and the way home. */
export default function PackingView() {
  const id = Number(useParams<{ id: string }>().id);
  const query = useQuery(packingQuery(id));
  return (
    <Loaded query={query} what={say.fetching}>
      {(page) => <Page page={page} />}
    </Loaded>
  );
}

function Page({ page }: { page: PackingPage }) {
  const { act } = useActs();
  const places = useQuery(placesQuery).data ?? [];
  const [place, setPlace] = useState("");
  const pack: Pack = (takes, words) =>
    void act(
      `/api/trips/${page.id}/pack`,
      {
        takes: takes.map((take) => ({ lot_id: take.lot_id, amount: take.amount })),
        ...(place === "" ? {} : { place_id: Number(place) }),
      },
      words,
    );
  const all = [...page.bags, ...page.foods].flatMap((line) => line.takes);
  return (
    <>
      <Back to={`/trips/${page.id}`}>{page.name}</Back>
      <div className="flex flex-wrap items-baseline gap-x-4 mb-3">
        <h1>{say.packingOf(page.name)}</h1>
        <Link className="text-rim underline" to={`/print/trip/${page.id}`}>
          {say.onPaper}
        </Link>
        <a className="text-rim underline" href={`/api/trips/${page.id}/file`} download>
          {say.asTable}
        </a>
      </div>
      {page.status === "home" && <p className="mb-3">{say.isHome}</p>}
      <div className="grid gap-4 grid-cols-2 phone:grid-cols-1 items-start">
        <div className="grid gap-4">
          {page.status !== "home" && (
            <div className="flex flex-wrap gap-3 items-end">
              <Pick
                label={say.intoWhich}
                value={place}
                onChange={(event) => setPlace(event.target.value)}
                options={[["", say.staysThere], ...places.map((one): [string, string] => [String(one.id), one.name])]}
              />
              <Button look="main" disabled={all.length === 0} onClick={() => pack(all, say.packAll)}>
                {say.packAll}
              </Button>
            </div>
          )}
          <Lines page={page} onPack={pack} />
        </div>
        <div className="grid gap-4">
          <Packed page={page} />
          {["packed", "away"].includes(page.status) && <OnTheWay id={page.id} />}
          {page.packed.length > 0 && <ComingHome page={page} />}
          <Essentials page={page} />
        </div>
      </div>
    </>
  );
}

function Lines({ page, onPack }: { page: PackingPage; onPack: Pack }) {
  return (
    <>
      {page.bags.length > 0 && (
        <Board title={say.bagsTitle}>
          <ul className="mt-2">
            {page.bags.map((bag) => (
              <Line
                key={bag.key}
                name={bag.name}
                words={say.bagLine(bag.need, bag.packed, bag.to_fill)}
                takes={bag.takes}
                onPack={onPack}
              >
                {bag.to_fill > 0 && (
                  <Link className="btn" to="/portion/bags">
                    {say.fillBags}
                  </Link>
                )}
              </Line>
            ))}
          </ul>
        </Board>
      )}
      <Board title={say.foodTitle}>
        {page.foods.every((food) => food.takes.length === 0) && (
          <p className="text-soft mt-2">{say.nothingToPack}</p>
        )}
        <ul className="mt-2">
          {page.foods.map((food) => (
            <Line
              key={food.name}
              name={food.name}
              words={say.foodLine(food.need, food.packed, food.short)}
              takes={food.takes}
              onPack={onPack}
            />
          ))}
        </ul>
      </Board>
    </>
  );
}

interface LineProps {
  name: string;
  words: string;
  takes: Take[];
  onPack: Pack;
  children?: ReactNode;
}

function Line({ name, words, takes, onPack, children }: LineProps) {
  const { today } = useSession();
  return (
    <li className="flex items-center gap-3 border-t border-zinc2 py-1">
      <div className="grow min-w-0">
        <span className="font-semibold">{name}</span> <span className="text-soft">{words}</span>
        {takes.map((take) => (
          <span key={take.lot_id} className="block text-small">
            {say.fromWhere(take.words, take.name, take.place)}
            {take.until && <span className="text-soft"> {dayWords(take.until, today)}</span>}
          </span>
        ))}
      </div>
      {children}
      {takes.length > 0 && (
        <Button aria-label={say.packOf(name)} onClick={() => onPack(takes, say.packOf(name))}>
          {say.packIt}
        </Button>
      )}
    </li>
  );
}

/** What people forget, ticked as it is packed. */
function Essentials({ page }: { page: PackingPage }) {
  const { act } = useActs();
  const tick = (key: string, done: boolean) =>
    void act(
      `/api/trips/${page.id}/change`,
      { ticked: done ? page.ticked.filter((one) => one !== key) : [...page.ticked, key] },
      say.forgotten,
    );
  return (
    <Board title={say.forgotten}>
      <ul className="mt-2">
        {page.essentials.map((one) => (
          <li key={one.key}>
            <Tick
              checked={one.ticked}
              onChange={() => tick(one.key, one.ticked)}
              label={
                <span className={one.ticked ? "text-soft" : ""}>
                  {[one.item, one.each ? say.eachOne : ""].filter(Boolean).join(", ")}
                  <span className="text-soft text-small block">
                    {[
                      one.often ? say.oftenForgotten : "",
                      one.stands_in_for.length > 0 ? say.servesAs(one.stands_in_for) : "",
                    ]
                      .filter(Boolean)
                      .join("; ")}
                  </span>
                </span>
              }
            />
          </li>
        ))}
      </ul>
    </Board>
  );
}
