import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { missingQuery, placesQuery } from "../../api/queries";
import type { MissingItem } from "../../api/types";
import { useMoney } from "../../app/session";
import { Board, Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { shortDay } from "../../words/common";
import { lineBack } from "../../label-line/lineBack";
import { useInAddress } from "../../app/inAddress";
import * as packs from "../../words/packs";
import * as say from "../../words/shop";

const SPANS = [3, 7, 14];

export default function ShopView() {
  const [said, setSaid] = useInAddress("days", "7", (text) => SPANS.includes(Number(text)));
  const days = Number(said);
  const setDays = (span: number) => setSaid(String(span));
  const query = useQuery(missingQuery(days));
  const money = useMoney();
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-2 mb-3">
        <h1>{say.shop}</h1>
        <span className="text-soft">{say.whatComingMeals}</span>
        <Link className="underline text-rim" to="/shop/packs">
          {packs.check}
        </Link>
        <span className="flex gap-2 ml-auto phone:ml-0" role="group" aria-label={say.forHowMany}>
          {SPANS.map((span) => (
            <Button
              key={span}
              look={days === span ? "main" : "quiet"}
              aria-pressed={days === span}
              onClick={() => setDays(span)}
            >
              {span} {say.days}
            </Button>
          ))}
        </span>
      </div>
      <Pictures />
      <Loaded query={query} what={say.holdingMealsAgainst}>
        {(missing) =>
          missing.aisles.length === 0 ? (
            <Empty title={say.nothingToBuy}>
              {say.everythingPlannedMeals}{" "}
              <Link className="underline text-rim font-semibold" to="/meals">
                {say.planAnotherMeal}
              </Link>
              {say.orPutSomething}
            </Empty>
          ) : (
            <>
              <p className="mb-3">
                <b className="font-head text-head">{money(missing.cost_minor)}</b>{" "}
                <span className="text-soft">
                  {say.inAllWhole}
                  {missing.estimated ? say.inPartEstimated : ""}
                </span>
              </p>
              <div className="grid gap-3 wide:grid-cols-2 items-start">
                {missing.aisles.map((aisle) => (
                  <Board key={aisle.aisle} title={aisle.aisle}>
                    <ul className="mt-1">
                      {aisle.items.map((item) => (
                        <Item key={item.food_id} item={item} />
                      ))}
                    </ul>
                  </Board>
                ))}
              </div>
            </>
          )
        }
      </Loaded>
    </>
  );
}

/** What stands at home, to look at in the aisle. */
function Pictures() {
  const shown = (useQuery(placesQuery).data ?? []).filter((place) => place.photo);
  const [open, setOpen] = useState<number | null>(null);
  if (shown.length === 0) return null;
  return (
    <div className="mb-3">
      <div role="group" aria-label={say.picturesShelvesAt} className="flex gap-2 overflow-x-auto pb-1">
        {shown.map((place) => (
          <button
            key={place.id}
            type="button"
            aria-expanded={open === place.id}
            className="shrink-0 text-left"
            onClick={() => setOpen(open === place.id ? null : place.id)}
          >
            <img
              src={`/api/places/${place.id}/photo`}
              alt=""
              className="w-[112px] h-[72px] object-cover rounded-lg"
              loading="lazy"
            />
            <span className="text-small text-soft">{place.name}</span>
          </button>
        ))}
      </div>
      {open !== null && (
        <img
          src={`/api/places/${open}/photo`}
          alt={say.whatLooksLike(shown.find((place) => place.id === open)?.name ?? "it")}
          className="mt-2 rounded-xl max-h-[70dvh] w-full object-contain bg-board"
        />
      )}
    </div>
  );
}

/** A tick turns the line into a put-away line, ready in the label line. */
function Item({ item }: { item: MissingItem }) {
  const money = useMoney();
  const tick = () => lineBack({ text: item.put_away, food_id: item.food_id });
  return (
    <li className="grid grid-cols-[44px_minmax(0,1fr)_auto] gap-x-2 items-start border-t border-zinc2 py-2">
      <label className="grid place-items-center size-11">
        <input
          type="checkbox"
          checked={false}
          onChange={tick}
          aria-label={say.bought(item.put_away)}
          className="size-6"
        />
      </label>
      <div className="leading-snug">
        <b>
          {item.pack ? `${item.count} x ${item.pack}` : item.amount} {item.food}
        </b>
        <div className="text-small text-soft">
          {item.level ? say.keptByLevel(item.level) : say.needs(item.amount)}
          {item.reasons.map((reason) => `${reason.name}, ${shortDay(reason.on)}`).join("; ")}
        </div>
        {item.at_home && (
          <div className="text-small text-pea font-semibold">
            {item.at_home} {say.atHomeAlready}
          </div>
        )}
      </div>
      <span>
        {money(item.cost_minor)}
        {item.estimated ? <span className="text-soft text-small"> {say.est}</span> : null}
      </span>
    </li>
  );
}
