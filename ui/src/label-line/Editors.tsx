import { useQuery } from "@tanstack/react-query";
import { Suspense, useState } from "react";
import { foodsQuery } from "../api/queries";
import type { Draft } from "../api/types";
import { useMoney, useSession } from "../app/session";
import { Button } from "../kit/kit";
import { dayWords } from "../words/common";
import { EditLabel } from "./EditLabel";
import type { Corrections } from "./model";
import { Amount, Day, Text } from "../kit/form";
import { lazily } from "../kit/lazily";
import * as say from "../words/labelLine";

const NewFood = lazily(
  () => import("../app/aside"),
  (module) => module.NewFood,
);

interface Props {
  draft: Draft;
  corrections: Corrections;
  correct: (more: Corrections) => void;
}

const KIND: Record<string, string> = { best_before: say.bestBefore, use_by: say.useBy, made: "made", packed: "packed" };

function done(corrections: Corrections, ...fields: string[]): string[] {
  return [...(corrections.answered ?? []), ...fields];
}

/** How many packs; the size of one stays as it was read. */
export function CountLabel({ draft, corrections, correct }: Props) {
  const size = corrections.amount ? `${corrections.amount} g` : draft.amount_text;
  const text = corrections.count ? `${corrections.count} x (${size})` : size;
  return (
    <EditLabel
      title={say.howMany}
      label={<b>{text}</b>}
      onSave={(form) => correct({ count: String(form.get("count")).replace(",", ".") })}
    >
      <Amount
        label={say.howMany}
        places={3}
        whole={6}
        name="count"
        required
        defaultValue={corrections.count ?? draft.count}
      />
    </EditLabel>
  );
}

export function FoodLabel({ draft, corrections, correct }: Props) {
  const [find, setFind] = useState("");
  const found = useQuery({ ...foodsQuery(find), enabled: find.trim().length > 1 }).data ?? [];
  const answered = draft.questions
    .find((question) => question.field === "food")
    ?.answers.find((option) => Number(option.value) === corrections.food_id)?.text;
  const [chosen, setChosen] = useState<string | null>(null);
  const name = corrections.food_id ? (answered ?? chosen ?? draft.food?.name) : draft.food?.name;
  const save = (form: FormData) => {
    const food = found.find((one) => String(one.id) === form.get("food"));
    if (!food) return;
    setChosen(food.name);
    correct({ food_id: food.id, answered: done(corrections, "food") });
  };
  const [making, setMaking] = useState(false);
  const made = (id: number, called: string) => {
    setMaking(false);
    setChosen(called);
    correct({ food_id: id, answered: done(corrections, "food") });
  };
  const fresh = find.trim() || draft.label || draft.unread.join(" ");
  return (
    <>
      <EditLabel title={say.whichFood} sure={Boolean(name)} label={name ?? say.whichFoodAsked} onSave={save}>
        <Text label={say.findTheFood} value={find} onChange={(event) => setFind(event.target.value)} />
        <div role="radiogroup" aria-label={say.foodsFound} className="max-h-[180px] overflow-y-auto grid">
          {found.slice(0, 8).map((food, index) => (
            <label key={food.id} className="flex gap-2 items-center min-h-[30px] phone:min-h-[44px]">
              <input type="radio" name="food" value={food.id} defaultChecked={index === 0} className="size-5" />
              {food.name}
            </label>
          ))}
        </div>
        <Button onClick={() => setMaking(true)}>{say.noneTheseNew}</Button>
      </EditLabel>
      <Suspense fallback={null}>
        {making && <NewFood name={fresh} onMade={made} onClose={() => setMaking(false)} />}
      </Suspense>
    </>
  );
}

export function DateLabel({ draft, corrections, correct }: Props) {
  const { today } = useSession();
  const date = corrections.date ?? draft.date;
  const kind = corrections.date_kind ?? draft.date_kind;
  const words = date ? `${kind ? (KIND[kind] ?? kind) : "date"} ${dayWords(date, today)}` : say.date;
  const save = (form: FormData) =>
    correct({
      date: String(form.get("date")),
      date_kind: String(form.get("kind")),
      answered: done(corrections, "date", "date_kind"),
    });
  return (
    <EditLabel title={say.theDate} label={words} onSave={save}>
      <Day label={say.theDate} name="date" required defaultValue={date ?? ""} />
      <label className="grid gap-1">
        <span className="font-semibold">{say.whatItSays}</span>
        <select className="field" name="kind" defaultValue={kind ?? "best_before"}>
          {Object.entries(KIND).map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
      </label>
    </EditLabel>
  );
}

export function PriceLabel({ draft, corrections, correct }: Props) {
  const money = useMoney();
  const price = corrections.price_minor ?? draft.price_minor;
  const save = (form: FormData) =>
    correct({
      price_minor: Math.round(Number(String(form.get("price")).replace(",", ".")) * 100),
      answered: done(corrections, "price", "price_or_date"),
    });
  return (
    <EditLabel
      title={say.priceLine}
      label={price === null || price === undefined ? say.price : money(price)}
      onSave={save}
    >
      <Amount
        label={say.priceWholeLine}
        places={2}
        whole={6}
        name="price"
        required
        defaultValue={price === null || price === undefined ? "" : (price / 100).toFixed(2)}
      />
    </EditLabel>
  );
}
