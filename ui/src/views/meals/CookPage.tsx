import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "wouter";
import { useGo } from "../../app/address";
import { mealQuery, placesQuery } from "../../api/queries";
import type { MealDetail, Place } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords, inDays } from "../../words/common";
import * as say from "../../words/meals";
import { withGear } from "../../words/recipes";
import { CookSteps } from "./CookSteps";
import { KeepPart, useKept } from "./KeepPart";
import { useAwake } from "./useAwake";

export default function CookPage() {
  const id = Number(useParams().id);
  const query = useQuery({ ...mealQuery(id), refetchInterval: false, refetchOnWindowFocus: false });
  const places = useQuery(placesQuery);
  return (
    <Loaded query={query} what={say.fetchingTheDish}>
      {(detail) => (
        <Loaded query={places} what={say.fetchingTheDish}>
          {(rows) => (
            <Page
              key={`${id}.${detail.servings}.${JSON.stringify([detail.choices, detail.later])}`}
              detail={detail}
              places={rows}
            />
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

function Page({ detail, places }: { detail: MealDetail; places: Place[] }) {
  const { today } = useSession();
  const { meal } = detail;
  const awake = useAwake();
  const gear = detail.gear.map((one) => withGear[one] ?? one).join(", ");
  const when = meal.on === null ? say.withoutDay : dayWords(meal.on, today);
  return (
    <>
      <Back to="/meals">{say.meals}</Back>
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-2 mb-3">
        <h1>{meal.name}</h1>
        <span className="text-soft">
          {meal.meal}, {when}; {say.portionsOf(meal.servings)}, {meal.minutes} {say.min} {gear}
          {detail.allergens.length > 0 ? say.holds(detail.allergens.join(", ")) : ""}
          {awake ? say.screenStays : ""}
        </span>
        {meal.status !== "cooked" && <Otherwise detail={detail} />}
      </div>
      {detail.not_for.map((one) => (
        <p
          key={one.person + one.because}
          role="alert"
          className="mb-3 border-l-4 border-beet pl-3 text-beet font-semibold"
        >
          {say.notFor} {one.person}: {one.because}
        </p>
      ))}
      {detail.doubts.map((doubt) => (
        <p key={doubt} role="alert" className="mb-3 border-l-4 border-beet pl-3 text-beet font-semibold">
          {doubt}
        </p>
      ))}
      {meal.status === "cooked" ? (
        <Board title={say.cooked}>
          <p className="mt-2">
            {say.thisMealWas}{" "}
            <Link className="text-rim underline" to="/shelf">
              {say.toTheShelf}
            </Link>
            {say.canBeUndone}
          </p>
        </Board>
      ) : (
        <div className="grid gap-4 wide:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] items-start">
          <Picking detail={detail} places={places} />
          <CookSteps detail={detail} />
        </div>
      )}
    </>
  );
}

/** It went another way than planned: one press each. */
function Otherwise({ detail }: { detail: MealDetail }) {
  const { act } = useActs();
  const go = useGo();
  const { meal } = detail;
  const change = (body: object, words: string) => act(`/api/meals/${meal.id}/change`, body, words);
  const aside = async () => {
    if (await act(`/api/meals/${meal.id}/slide`, { on: null }, say.notTodayOf(meal.name))) go("/meals");
  };
  const half = String(Math.max(0.1, Math.round(Number(detail.servings) * 5) / 10));
  return (
    <span className="flex flex-wrap gap-2 ml-auto phone:ml-0">
      <Button onClick={() => change({ servings: half }, say.halfOf(meal.name))}>{say.halfOfIt}</Button>
      <Button onClick={aside}>{say.notToday}</Button>
      <Button onClick={() => go(`/meals?${meal.on === null ? "" : `from=${meal.on}&`}instead=${meal.id}`)}>
        {say.somethingElse}
      </Button>
    </span>
  );
}

/** One stack may serve two lines: each line's take is its own. */
const spot = (line: number, lot: number) => `${line}.${lot}`;
const START = (detail: MealDetail) =>
  Object.fromEntries(
    detail.lines.flatMap((line, index) => line.picks.map((pick) => [spot(index, pick.lot_id), pick.amount])),
  );

function Picking({ detail, places }: { detail: MealDetail; places: Place[] }) {
  const { act } = useActs();
  const go = useGo();
  const [used, setUsed] = useState<Record<string, string>>(() => START(detail));
  const kept = useKept(detail, places);
  const instead = (key: string, other: string | null) =>
    act(
      `/api/meals/${detail.meal.id}/change`,
      { recipe_id: detail.meal.recipe_id, choices: { ...detail.choices, [key]: other } },
      detail.meal.name,
    );
  const wrong =
    kept.wrong ||
    Object.values(used).some((amount) => !/^\d{1,9}([.,]\d{1,6})?$/.test(amount.trim() === "" ? "0" : amount.trim()));
  const cook = async () => {
    const amounts = Object.entries(used).map(([key, amount]) => ({
      lot_id: Number(key.split(".")[1]),
      amount: amount.trim() === "" ? "0" : amount.trim().replace(",", "."),
    }));
    const done = await act(`/api/meals/${detail.meal.id}/cook`, { used: amounts, ...kept.body }, detail.meal.name);
    if (done) void go("/meals");
  };
  return (
    <Board title={say.whatToTake} note={say.frontShelfFirst}>
      <Walk detail={detail} />
      <ul className="mt-2">
        {detail.lines.map((line, index) => (
          <Line
            key={`${line.food}${index}`}
            line={line}
            used={(lot) => used[spot(index, lot)] ?? ""}
            onUsed={(lot, amount) => setUsed((now) => ({ ...now, [spot(index, lot)]: amount }))}
            onInstead={(other) => void instead(line.key, other)}
          />
        ))}
        {detail.texts.map((text) => (
          <li key={text} className="border-t border-zinc2 py-2">
            {text} <span className="text-soft">{say.asWritten}</span>
          </li>
        ))}
      </ul>
      <KeepPart detail={detail} places={places} kept={kept} />
      {wrong && (
        <p role="alert" className="text-beet font-semibold mt-2">
          {say.amountNoNumber}
        </p>
      )}
      <Button look="main" className="mt-4" disabled={wrong} onClick={() => void cook()}>
        {say.cooked}
      </Button>
    </Board>
  );
}

/** What to fetch, place by place, in the order one walks them. */
function Walk({ detail }: { detail: MealDetail }) {
  const picks = detail.lines.flatMap((line) => line.picks);
  const places = [...new Map(picks.map((pick) => [pick.place, pick.walk]))].sort((one, other) => one[1] - other[1]);
  return (
    <ul aria-label={say.fetchInOrder} className="mt-2 text-small">
      {places.map(([place]) => (
        <li key={place}>
          <b>{place}</b>:{" "}
          {picks
            .filter((pick) => pick.place === place)
            .map((pick) => `${pick.packs ?? pick.amount_text} ${pick.name.split(",")[0]}`)
            .join(", ")}
        </li>
      ))}
    </ul>
  );
}

function Line({
  line,
  used,
  onUsed,
  onInstead,
}: {
  line: MealDetail["lines"][number];
  used: (lot: number) => string;
  onUsed: (lot: number, amount: string) => void;
  onInstead: (other: string | null) => void;
}) {
  return (
    <li className="border-t border-zinc2 py-2">
      <div>
        <b>
          {line.wanted} {line.food}
        </b>{" "}
        <span className="text-soft">
          {[
            line.note,
            line.optional ? say.ifYouLike : "",
            line.substitute ? say.insteadOf(line.substitute) : "",
            line.free ? say.isThere : "",
            line.unknown ? say.howMuchWeighs : "",
          ]
            .filter(Boolean)
            .join(", ")}
        </span>
      </div>
      {line.picks.map((pick) => (
        <label
          key={pick.lot_id}
          className="grid grid-cols-[minmax(0,1fr)_96px_52px] gap-2 items-center mt-1 text-small"
        >
          <span>
            {say.fromIt} {pick.place}: {pick.packs && <b>{pick.packs} </b>}
            {pick.name}
            {pick.days_left !== null ? ` (${inDays(pick.days_left)})` : ""}
            {pick.opens ? say.opensAPack : ""}
            {pick.look ? say.lookAtFirst : ""}
            {pick.guessed ? say.sizeGuessed : ""}
          </span>
          <input
            className="field text-right"
            inputMode="decimal"
            aria-label={say.usedFromIn(pick.name, pick.place, pick.unit)}
            value={used(pick.lot_id)}
            onChange={(event) => onUsed(pick.lot_id, event.target.value)}
          />
          <span className="text-soft">{pick.unit}</span>
        </label>
      ))}
      {line.made && <div className="text-small mt-1">{say.comesFromBefore(line.made)}</div>}
      {line.missing && (
        <div className="text-beet font-semibold text-small mt-1">
          {line.missing} {say.isMissing}
        </div>
      )}
      {line.others.length > 0 && (
        <div className="flex flex-wrap gap-1 items-center mt-1 text-small">
          <span className="text-soft">{say.takeInstead}</span>
          {line.others.map((one) => (
            <button key={one.key} type="button" className="pill phone:min-h-[44px]" onClick={() => onInstead(one.key)}>
              {one.food}
              {one.enough ? "" : say.notHere}
            </button>
          ))}
        </div>
      )}
    </li>
  );
}
