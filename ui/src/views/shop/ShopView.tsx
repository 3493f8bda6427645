import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { missingQuery } from "../../api/queries";
import type { MissingItem } from "../../api/types";
import { useMoney } from "../../app/session";
import { Board, Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { shortDay } from "../../kit/words";

const SPANS = [3, 7, 14];

export default function ShopView() {
  const [days, setDays] = useState(7);
  const query = useQuery(missingQuery(days));
  const money = useMoney();
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-2 mb-3">
        <h1>Shop</h1>
        <span className="text-soft">what the coming meals ask for and the shelf does not have</span>
        <span className="flex gap-2 ml-auto phone:ml-0" role="group" aria-label="For how many days">{SPANS.map((span) => <Button key={span} look={days === span ? "main" : "quiet"} aria-pressed={days === span} onClick={() => setDays(span)}>{span} days</Button>)}</span>
      </div>
      <Loaded query={query} what="Holding the meals against the shelf">
        {(missing) => missing.aisles.length === 0 ? (
          <Empty title="Nothing to buy">Everything the planned meals need is on the shelf. <Link className="underline text-rim font-semibold" to="/meals">Plan another meal</Link>, or put something away below.</Empty>
        ) : (
          <>
            <p className="mb-3"><b className="font-head text-[20px]">{money(missing.cost_minor)}</b> <span className="text-soft">in all, whole packs{missing.estimated ? ", in part estimated" : ""}</span></p>
            <div className="grid gap-3 wide:grid-cols-2 items-start">
              {missing.aisles.map((aisle) => <Board key={aisle.aisle} title={aisle.aisle}><ul className="mt-1">{aisle.items.map((item) => <Item key={item.food_id} item={item} />)}</ul></Board>)}
            </div>
          </>
        )}
      </Loaded>
    </>
  );
}

/** A tick turns the line into a put-away line, ready in the label line. */
function Item({ item }: { item: MissingItem }) {
  const money = useMoney();
  const tick = () => window.dispatchEvent(new CustomEvent("line-back", { detail: item.put_away }));
  return (
    <li className="grid grid-cols-[44px_minmax(0,1fr)_auto] gap-x-2 items-start border-t border-zinc2 py-2">
      <input type="checkbox" checked={false} onChange={tick} aria-label={`Bought: ${item.put_away}`} className="size-6 m-2" />
      <div className="leading-snug">
        <b>{item.pack ? `${item.count} × ${item.pack}` : item.amount} {item.food}</b>
        <div className="text-[14px] text-soft">{item.level ? `kept by level: ${item.level}` : `needs ${item.amount}: `}{item.reasons.map((reason) => `${reason.name}, ${shortDay(reason.on)}`).join("; ")}</div>
        {item.at_home && <div className="text-[14px] text-pea font-semibold">{item.at_home} at home already, counted in</div>}
      </div>
      <span>{money(item.cost_minor)}{item.estimated ? <span className="text-soft text-[13px]"> est.</span> : null}</span>
    </li>
  );
}
