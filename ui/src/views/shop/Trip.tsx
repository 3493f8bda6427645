import { useState } from "react";
import type { List } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney, useSession } from "../../app/session";
import { Form, Pick, Submit, Text } from "../../kit/form";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import * as say from "../../words/shop";
import { Aisles } from "./Aisles";

const SPANS = [3, 7, 14];
const NEW = "new";

/** Which trip the list is for, where to, and taking it along. */
export function Trip({
  list,
  days,
  onDays,
  onShop,
}: {
  list: List;
  days: number | null;
  onDays: (days: number | null) => void;
  onShop: (shop: number | null) => void;
}) {
  const today = useSession().today;
  const { act } = useActs();
  const [adding, setAdding] = useState(false);
  const [walking, setWalking] = useState(false);
  if (list.shopping) return <Out list={list} shopping={list.shopping} />;
  const chosen = (value: string) => {
    if (value === NEW) setAdding(true);
    else onShop(value === "" ? null : Number(value));
  };
  const along = () =>
    act("/api/shoppings", { shop_id: list.shop_id, ...(days === null ? {} : { days }) }, say.takeAlongWords);
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2 mb-3">
      <span className="flex flex-wrap gap-2" role="group" aria-label={say.bySpan}>
        <Button look={days === null ? "main" : "quiet"} aria-pressed={days === null} onClick={() => onDays(null)}>
          {say.tillNext}
        </Button>
        {SPANS.map((span) => (
          <Button
            key={span}
            look={days === span ? "main" : "quiet"}
            aria-pressed={days === span}
            onClick={() => onDays(span)}
          >
            {say.forDays(span)}
          </Button>
        ))}
      </span>
      <Pick
        label={say.where}
        value={list.shop_id ?? ""}
        onChange={(event) => chosen(event.target.value)}
        none={say.anyShop}
        options={[...list.shops.map((shop) => [String(shop.id), shop.name] as const), [NEW, say.newShop] as const]}
      />
      <Button onClick={along}>{say.takeAlong}</Button>
      {list.shop_id !== null && (
        <Button look="plain" onClick={() => setWalking(true)}>
          {say.aisles}
        </Button>
      )}
      {walking && <Aisles list={list} onClose={() => setWalking(false)} />}
      <p className="text-soft basis-full">
        {list.trips.by_days ? say.trip(today, list.trips.this, list.trips.next) : say.upTo(today, list.trips.to)}{" "}
        {list.trips.by_days && list.trips.may_fall_out ? say.mayFallOut : ""}
      </p>
      {adding && <NewShop onClose={() => setAdding(false)} onShop={onShop} />}
    </div>
  );
}

function Out({ list, shopping }: { list: List; shopping: NonNullable<List["shopping"]> }) {
  const { act } = useActs();
  const home = () => act(`/api/shoppings/${shopping.id}/end`, {}, say.homeWords);
  const shop = list.shops.find((one) => one.id === list.shop_id);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2 mb-3">
      <span>
        {shop && <b>{shop.name}. </b>}
        <span className="text-soft">{say.outSince(shopping.person, shopping.on)}</span>
      </span>
      <Button look="main" onClick={home}>
        {say.home}
      </Button>
    </div>
  );
}

function NewShop({ onClose, onShop }: { onClose: () => void; onShop: (shop: number) => void }) {
  const { act } = useActs();
  const save = async (form: FormData) => {
    const name = String(form.get("name"));
    const done = await act("/api/shops", { name }, say.shopWords(name));
    if (done?.shop_id) onShop(done.shop_id);
    if (done) onClose();
    return done;
  };
  return (
    <Sheet open onClose={onClose} title={say.newShopTitle}>
      <Form className="grid gap-3 mt-3" onSave={save}>
        <Text name="name" label={say.shopName} required maxLength={80} autoFocus />
        <Submit>{say.keepShop}</Submit>
      </Form>
    </Sheet>
  );
}

/** What is in the basket and what all of it comes to, against what the household wants to spend. */
export function Sums({ list, basket }: { list: List; basket: number }) {
  const money = useMoney();
  const over = list.budget_minor ? list.cost_minor - list.budget_minor : 0;
  return (
    <p className="mb-3">
      <b className="font-head text-head">{say.inAll(money(list.cost_minor))}</b>{" "}
      <span className="text-soft">
        {say.whole}
        {list.estimated ? say.partly : ""}
        {list.budget_minor ? `, ${say.ofBudget(money(list.budget_minor))}` : ""}
      </span>
      {basket > 0 && (
        <span className="font-semibold">
          ; {money(basket)} {say.inBasket}
        </span>
      )}
      {over > 0 && <span className="text-beet font-semibold">; {say.over(money(over))}</span>}
      {list.leave_out.length > 0 && (
        <span className="block text-soft">
          {say.leaveOut(list.leave_out.map((one) => say.leftOut(one.text, money(one.cost_minor), one.reason)))}
        </span>
      )}
    </p>
  );
}
