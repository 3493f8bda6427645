import { useState } from "react";
import type { MealDetail, Place } from "../../api/types";
import { useSession } from "../../app/session";
import { Pick, Text } from "../../kit/form";
import { dayWords } from "../../words/common";
import * as say from "../../words/meals";

/** Portions that later meals wait for, whole ones: nobody freezes a half. */
function promised(detail: MealDetail, frozen: boolean) {
  const portions = detail.later
    .filter((one) => one.frozen === frozen)
    .reduce((sum, one) => sum + Number(one.servings), 0);
  return portions > 0 ? String(Math.ceil(portions)) : "";
}

/** Meals that wait for what is left of this one. */
function ForLater({ detail }: { detail: MealDetail }) {
  const { today } = useSession();
  if (detail.later.length === 0) return null;
  return (
    <ul className="mt-3 text-small">
      {detail.later.map((one) => (
        <li key={`${one.on}${one.meal}`}>
          {say.keptForLater(one.servings, one.meal, dayWords(one.on, today), one.frozen)}
        </li>
      ))}
    </ul>
  );
}

function Portions({ label, value, onSay }: { label: string; value: string; onSay: (portions: string) => void }) {
  return (
    <Text
      label={label}
      className="!w-[110px]"
      inputMode="numeric"
      pattern="[0-9]*"
      value={value}
      placeholder="0"
      onChange={(event) => onSay(event.target.value.replace(/[^\d]/g, ""))}
    />
  );
}

const NUMBER = /^\d{1,9}([.,]\d{1,6})?$/;
const plain = (amount: string) => amount.trim().replace(",", ".");

/** What is kept of a dish, as somebody says it before it is cooked. */
export function useKept(detail: MealDetail, places: Place[]) {
  const fridge = places.find((place) => place.kind === "fridge") ?? places[0];
  const freezer = places.find((place) => place.kind === "freezer");
  const [portions, setPortions] = useState(() => promised(detail, false));
  const [frozen, setFrozen] = useState(() => promised(detail, true));
  const [keepIn, setKeepIn] = useState(fridge?.id ?? 0);
  const [made, setMade] = useState(() => detail.makes.map((one) => one.amount));
  const body = {
    ...(Number(portions) > 0 ? { leftovers: { portions, place_id: keepIn } } : {}),
    ...(freezer && Number(frozen) > 0 ? { frozen: { portions: frozen, place_id: freezer.id } } : {}),
    made: detail.makes
      .map(({ food_id, unit }, at) => ({ food_id, unit, amount: plain(made[at] ?? "") || "0", place_id: keepIn }))
      .filter((one) => Number(one.amount) > 0),
  };
  const wrong = made.some((amount) => amount.trim() !== "" && !NUMBER.test(amount.trim()));
  return { freezer, portions, setPortions, frozen, setFrozen, keepIn, setKeepIn, made, setMade, body, wrong };
}

/** How much of a dish is kept, and where: what later meals wait for stands there already. */
export function KeepPart({
  detail,
  places,
  kept,
}: {
  detail: MealDetail;
  places: Place[];
  kept: ReturnType<typeof useKept>;
}) {
  const { made, setMade } = kept;
  if (detail.leftover_days === 0 && detail.makes.length === 0) return null;
  return (
    <>
      <ForLater detail={detail} />
      <fieldset className="flex flex-wrap items-end gap-3 mt-3">
        {detail.leftover_days > 0 && (
          <Portions label={say.portionsLeftOver} value={kept.portions} onSay={kept.setPortions} />
        )}
        {detail.makes.map((one, at) => (
          <Text
            key={one.food_id}
            label={say.comesOut(one.food, one.unit)}
            inputMode="decimal"
            value={made[at]}
            placeholder="0"
            onChange={(event) => setMade(made.map((amount, other) => (other === at ? event.target.value : amount)))}
          />
        ))}
        <Pick
          label={say.keptIn}
          value={kept.keepIn}
          onChange={(event) => kept.setKeepIn(Number(event.target.value))}
          options={places.map((one) => [String(one.id), one.name] as const)}
        />
        {kept.freezer && detail.leftover_days > 0 && (
          <Portions label={say.portionsFrozen} value={kept.frozen} onSay={kept.setFrozen} />
        )}
      </fieldset>
    </>
  );
}
