import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { kitClosingQuery } from "../../api/queries";
import type { KitClosing } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney, useSession } from "../../app/session";
import { Tick } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/kits";

/** How the gap of a kit is closed: the own shelf first, then packs, at once or in steps of a small budget. */
export function Closing({ kit }: { kit: number }) {
  const [leave, setLeave] = useState(false);
  const query = useQuery(kitClosingQuery(kit, leave));
  const { today } = useSession();
  return (
    <Board
      title={say.closeIt}
      note={query.data && say.mustReach(dayWords(query.data.must_reach, today))}
      tone="mustard"
    >
      <Tick label={say.leaveShelf} checked={leave} onChange={(event) => setLeave(event.target.checked)} />
      <Loaded query={query} what={say.reckoning}>
        {(told) => <Ways kit={kit} told={told} leave={leave} />}
      </Loaded>
    </Board>
  );
}

function Ways({ kit, told, leave }: { kit: number; told: KitClosing; leave: boolean }) {
  const { act } = useActs();
  const close = (fetch: boolean, buy: "none" | "step" | "all") =>
    act(`/api/kits/${kit}/close`, { fetch, buy, leave_shelf: leave }, say.saved);
  const nothing = told.fetch.length === 0 && told.buy.length === 0;
  return (
    <>
      {nothing && <p className="mt-1">{say.closed}</p>}
      {told.fetch.length > 0 && <Fetch told={told} onSet={() => close(true, "none")} />}
      {told.buy.length > 0 && <Buy told={told} onBuy={(way) => close(false, way)} />}
      <ul className="text-small mt-1">
        {told.left.map((one) => (
          <li key={one.label} className="text-beet">
            {say.stillOpen(one.label, one.amount, one.unit)}
          </li>
        ))}
        {told.listed.length > 0 && <li className="text-soft">{say.listed(told.listed)}</li>}
      </ul>
    </>
  );
}

function Fetch({ told, onSet }: { told: KitClosing; onSet: () => Promise<unknown> }) {
  const { today } = useSession();
  return (
    <>
      <h3 className="font-semibold mt-2">{say.fromShelf}</h3>
      <ul>
        {told.fetch.map((one) => (
          <li key={one.lot_id} className="border-t border-zinc2 py-1">
            {one.name} {one.amount}{" "}
            <span className="text-soft text-small">
              {[one.place, one.until ? say.until(dayWords(one.until, today)) : ""].filter(Boolean).join(" · ")}
            </span>
          </li>
        ))}
      </ul>
      <Button look="main" className="mt-1" onClick={onSet}>
        {say.setApart(told.fetch.reduce((sum, one) => sum + one.packs, 0))}
      </Button>
    </>
  );
}

function Buy({ told, onBuy }: { told: KitClosing; onBuy: (way: "step" | "all") => Promise<unknown> }) {
  const money = useMoney();
  return (
    <>
      <h3 className="font-semibold mt-3">{say.toBuy}</h3>
      <ul>
        {told.buy.map((one) => (
          <li key={`${one.for} ${one.food} ${one.pack}`} className="flex gap-2 border-t border-zinc2 py-1">
            <span className="grow">
              {`${one.count} x ${one.food}, ${one.pack}`} <span className="text-soft text-small">{one.for}</span>
            </span>
            <span className="whitespace-nowrap">{say.cost(money(one.price_minor * one.count), one.estimated)}</span>
          </li>
        ))}
      </ul>
      {told.steps.length > 1 && (
        <ol className="text-small text-soft mt-1">
          {told.steps.map((step, at) => (
            <li key={at}>
              <b>{say.step(at + 1)}</b> {say.bought(step.buy)} {money(step.cost_minor)},{" "}
              {say.carried(money(step.left_minor))}
            </li>
          ))}
        </ol>
      )}
      <div className="flex flex-wrap gap-2 mt-2">
        {told.steps.length > 1 && (
          <Button look="main" onClick={() => onBuy("step")}>
            {say.buyStep}
          </Button>
        )}
        <Button onClick={() => onBuy("all")}>{say.buyAll(money(told.cost_minor))}</Button>
      </div>
    </>
  );
}
