import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import * as outbox from "../../api/outbox";
import { listQuery } from "../../api/queries";
import type { List } from "../../api/types";
import { useInAddress } from "../../app/inAddress";
import { useKept } from "../../app/useKept";
import { forgetFields } from "../../kit/drafts";
import { Form, Submit, Text } from "../../kit/form";
import { Board, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as packs from "../../words/packs";
import * as say from "../../words/shop";
import { Beside } from "./Beside";
import { Line } from "./Line";
import { LineSheet } from "./LineSheet";
import { basket, nextOf, shown, struck, type Shown } from "./overlay";
import { Pictures } from "./Pictures";
import { Sums, Trip } from "./Trip";
import { useListActs } from "./useListActs";

const NUMBER = /^[1-9][0-9]{0,17}$/;

/** What to buy, why, and for when; ticked off in the shop, with signal or without. */
export default function ShopView() {
  const [days, setDays] = useInAddress("days", "", (text) => NUMBER.test(text) && Number(text) <= 60);
  const [shop, setShop] = useInAddress("shop", "", (text) => NUMBER.test(text));
  const number = (text: string) => (text === "" ? null : Number(text));
  const query = useQuery({ ...listQuery(number(days), number(shop)), placeholderData: keepPreviousData });
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-2 mb-3">
        <h1>{say.shop}</h1>
        <Link className="underline text-rim" to="/shop/packs">
          {packs.check}
        </Link>
      </div>
      <Pictures />
      <Loaded query={query} what={say.holding}>
        {(list) => (
          <>
            <Trip
              list={list}
              days={number(days)}
              onDays={(next) => setDays(next === null ? "" : String(next))}
              onShop={(next) => setShop(next === null ? "" : String(next))}
            />
            <Lines list={list} days={number(days)} />
            <Papers days={days} />
          </>
        )}
      </Loaded>
    </>
  );
}

function Lines({ list, days }: { list: List; days: number | null }) {
  const letters = useKept(outbox.letters);
  const acts = useListActs(days, list.shopping?.id ?? null, list.trips.this);
  const [open, setOpen] = useState<Shown | null>(null);
  const aisles = shown(list, letters);
  const removed = struck(list, letters);
  const taken = new Set(aisles.flatMap((aisle) => aisle.items.map((item) => item.food_id)));
  const additions = list.additions.filter((item) => !taken.has(item.food_id));
  const line = (item: Shown) => (
    <Line
      key={item.ref ?? `food-${item.food_id}`}
      item={item}
      onTick={() => void acts.tick(item)}
      onMore={() => setOpen(item)}
    />
  );
  return (
    <>
      {list.waiting > 0 && (
        <p className="mb-3">
          <Link className="underline text-rim font-semibold" to="/shop/bought">
            {say.putAwayCount(list.waiting)}
          </Link>
        </p>
      )}
      {aisles.length > 0 && <Sums list={list} basket={basket(aisles)} />}
      {list.shopping && <Next item={nextOf(aisles)} />}
      <OwnLine onWrite={acts.write} />
      {aisles.length === 0 && (
        <Empty title={say.nothing}>
          {say.nothingWhy}{" "}
          <Link className="underline text-rim font-semibold" to="/meals">
            {say.planAnother}
          </Link>
        </Empty>
      )}
      <div className="wide:columns-2 gap-3 mt-3 [&>*]:break-inside-avoid [&>*]:mb-3">
        {additions.length > 0 && (
          <Board title={say.additions} tone="mustard">
            <ul className="mt-1">{additions.map((item) => line({ ...item, waits: false, refused: null }))}</ul>
          </Board>
        )}
        {aisles.map((aisle) => (
          <Board key={aisle.aisle} title={aisle.aisle}>
            <ul className="mt-1">{aisle.items.map(line)}</ul>
          </Board>
        ))}
        <Beside list={list} removed={removed} acts={acts} />
      </div>
      {open && <LineSheet item={open} acts={acts} onClose={() => setOpen(null)} />}
    </>
  );
}

/** The list on paper and as a file. */
function Papers({ days }: { days: string }) {
  return (
    <div className="flex flex-wrap gap-x-6 gap-y-2 mt-3">
      <Link className="underline text-rim" to={`/print/list${days === "" ? "" : `?days=${days}`}`}>
        {say.print}
      </Link>
      <Link className="underline text-rim" to="/print/standing">
        {say.standing}
      </Link>
      <a className="underline text-rim" href={`/api/list/file?as=txt${days === "" ? "" : `&days=${days}`}`}>
        {say.asText}
      </a>
      <a className="underline text-rim" href={`/api/list/file?as=csv${days === "" ? "" : `&days=${days}`}`}>
        {say.asCsv}
      </a>
    </div>
  );
}

/** The next thing to find stays in sight; a touch goes to it. */
function Next({ item }: { item: Shown | null }) {
  const go = () => {
    const at = document.querySelector(`[data-line="${item?.ref ?? `food-${item?.food_id}`}"]`);
    at?.scrollIntoView({ block: "center" });
    at?.querySelector<HTMLInputElement>("input")?.focus({ preventScroll: true });
  };
  return (
    <p className="sticky top-[50px] phone:top-[46px] z-10 bg-zinc py-1.5 mb-2" aria-live="polite">
      {item ? (
        <button type="button" className="btn w-full !justify-start text-left font-semibold" onClick={go}>
          {say.next(item)}
        </button>
      ) : (
        <b>{say.allTicked}</b>
      )}
    </p>
  );
}

const DRAFT = "shop.own";

function OwnLine({ onWrite }: { onWrite: (text: string) => Promise<unknown> }) {
  const [times, setTimes] = useState(0);
  const save = (form: FormData) => {
    const text = String(form.get("text") ?? "").trim();
    if (text === "") return false;
    void onWrite(text);
    // The next form begins empty: what was written is a letter now.
    forgetFields(DRAFT);
    setTimes(times + 1);
    return true;
  };
  return (
    <Form key={times} className="flex gap-2 items-end max-w-[640px]" onSave={save} keep={DRAFT}>
      <Text name="text" label={say.own} placeholder={say.ownHint} maxLength={300} autoFocus={times > 0} wide="grow" />
      <Submit>{say.add}</Submit>
    </Form>
  );
}
