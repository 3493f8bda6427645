import { useQuery } from "@tanstack/react-query";
import { Suspense, useState } from "react";
import { useSearchParams } from "wouter";
import { foodsQuery, keepingQuery, shelfQuery } from "../../api/queries";
import type { KeepingPage } from "../../api/types";
import { useSession } from "../../app/session";
import { Board, Button, Empty } from "../../kit/kit";
import { lazily } from "../../kit/lazily";
import { Loaded } from "../../kit/state";
import { every } from "../../words/common";
import { Mark } from "../../kit/Mark";
import { Figures } from "./Figures";
import { Wanted } from "./Wanted";
import { FoodSheet } from "./FoodSheet";
import { OwnTime } from "./OwnTime";
import { css } from "../../kit/css";
import { Season } from "./Season";
import { Methods, Own, PLACES, Times } from "./Tables";
import { Find } from "../../kit/choices";
import * as learnt from "../../words/advice";
import * as say from "../../words/keeping";
import { KeptHere } from "../look-back/KeptHere";

const NewFood = lazily(
  () => import("../../app/aside"),
  (module) => module.NewFood,
);

/** How to keep each food. */
export default function KeepingView() {
  const [params, setParams] = useSearchParams();
  const [find, setFind] = useState("");
  const [making, setMaking] = useState(false);
  const id = params.get("food");
  const made = (food: number) => {
    setMaking(false);
    setFind("");
    setParams({ food: String(food) });
  };
  return (
    <>
      <Suspense fallback={null}>
        {making && <NewFood name={find} onMade={made} onClose={() => setMaking(false)} />}
      </Suspense>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 mb-3">
        <h1>{say.keeping}</h1>
        <Find className="!w-[280px] phone:!w-full" label={say.findAFood} value={find} onFind={setFind} />
        <Button onClick={() => setMaking(true)}>{say.aNewFood}</Button>
        {id && <span className="text-soft">{say.figuresArePlanning}</span>}
      </div>
      <div className="grid gap-4 wide:grid-cols-[250px_minmax(0,1fr)] items-start">
        <Foods
          find={find}
          chosen={id}
          onPick={(food) => {
            setFind("");
            setParams({ food: String(food) });
          }}
        />
        {id ? <Page id={Number(id)} /> : <Empty title={say.whichFood}>{say.findOneOr}</Empty>}
      </div>
    </>
  );
}

function Foods({ find, chosen, onPick }: { find: string; chosen: string | null; onPick: (id: number) => void }) {
  const shelf = useQuery(shelfQuery).data?.stacks ?? [];
  const found = useQuery({ ...foodsQuery(find), enabled: find.trim() !== "" }).data ?? [];
  const here = [...new Map(shelf.map((stack) => [stack.food_id, stack.food])).entries()].sort((a, b) =>
    a[1].localeCompare(b[1]),
  );
  const list: [number, string][] = find.trim() === "" ? here : found.map((food) => [food.id, food.name]);
  return (
    <nav
      aria-label={say.foods}
      className={css(
        "board p-2 wide:max-h-[calc(100dvh-130px)] overflow-y-auto",
        chosen && find.trim() === "" ? "phone:hidden" : "phone:max-h-[60dvh]",
      )}
    >
      {list.length === 0 && (
        <p className="text-soft p-2">{find.trim() === "" ? say.nothingOnShelf : say.noFoodCalled}</p>
      )}
      <ul>
        {list.map(([id, name]) => (
          <li key={id}>
            <button
              type="button"
              aria-current={chosen === String(id)}
              className={css(
                "w-full text-left px-2 py-1 rounded-md phone:min-h-[44px] hover:bg-rim2",
                chosen === String(id) && "bg-rim2 font-semibold",
              )}
              onClick={() => onPick(id)}
            >
              {name}
            </button>
          </li>
        ))}
      </ul>
    </nav>
  );
}

function Page({ id }: { id: number }) {
  const query = useQuery(keepingQuery(id));
  return (
    <Loaded query={query} what={say.lookingItUp}>
      {(page) => <Guide key={page.food_id} page={page} />}
    </Loaded>
  );
}

function Guide({ page }: { page: KeepingPage }) {
  const keeper = useSession().person?.role === "keeper";
  const [own, setOwn] = useState(false);
  const [right, setRight] = useState(false);
  return (
    <article className="grid gap-4 min-w-0">
      <header>
        <div className="flex items-center gap-3">
          <Mark kind={page.known.mark} className="text-big" />
          <h2 className="!text-big">{page.food}</h2>
          {keeper && <Button onClick={() => setRight(true)}>{say.putThisFood}</Button>}
        </div>
        <p className="text-soft">
          {page.aisle}
          {say.by}
          {page.school}”
          {page.no_opened_limit
            ? say.openingDoesNot
            : page.opened_where
              ? say.onceOpen(PLACES[page.opened_where]?.toLowerCase() ?? page.opened_where)
              : ""}
        </p>
      </header>
      <ul className="border-l-4 border-mustard pl-3 text-small" aria-label={say.cautions}>
        {page.cautions.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <Times page={page} />
      <div className="grid gap-4 wide:grid-cols-2 items-start">
        {page.methods.length > 0 && <Methods page={page} />}
        <Board title={say.throwOutWhen}>
          <ul className="mt-2 list-disc pl-5">
            {page.signs.map((line) => (
              <li key={line}>{line}</li>
            ))}
            {page.signs.length === 0 && <li>{say.smellsLooksOr}</li>}
          </ul>
        </Board>
        <Board title={say.freezingAndThawing}>
          <p className="mt-2">
            {{ yes: say.itFreezesWell, no: say.notForFreezer, changed: say.freezesButChanges }[page.freezes] ??
              page.freezes}{" "}
            {page.freeze_note}
          </p>
          {page.thaw_hours_per_kg && page.freezes !== "no" && (
            <p className="mt-1">
              {say.inFridgeKilogram} {page.thaw_hours_per_kg} {say.hoursThawSmall}
            </p>
          )}
          <ul className="mt-2 grid gap-1 text-small">
            {page.losses.map((loss) => (
              <li key={loss.process + loss.what}>
                <b>{loss.what}</b>
                {say.lostBy} {loss.process}: {loss.about}
              </li>
            ))}
          </ul>
        </Board>
        {page.revival && (
          <Board title={say.onlyLimp}>
            <p className="mt-2">{page.revival}</p>
          </Board>
        )}
        <Season page={page} keeper={keeper} />
        {page.care.length > 0 && (
          <Board title={say.care}>
            <ul className="mt-2 grid gap-1">
              {page.care.map((care) => (
                <li key={care.text + care.place + care.state}>
                  {care.text}, {every(care.every_days, "day")} ({PLACES[care.place]?.toLowerCase()}, {care.state})
                </li>
              ))}
            </ul>
          </Board>
        )}
        {page.here.length > 0 && (
          <Board title={learnt.keptHere} note={learnt.keptHereNote}>
            <KeptHere list={page.here} named={false} />
          </Board>
        )}
        <Own page={page} keeper={keeper} onNew={() => setOwn(true)} />
        <Figures page={page} />
        <Wanted page={page} />
      </div>
      {right && <FoodSheet page={page} onClose={() => setRight(false)} />}
      {own && <OwnTime page={page} onClose={() => setOwn(false)} />}
    </article>
  );
}
