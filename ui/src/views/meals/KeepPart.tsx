import type { MealDetail, Place } from "../../api/types";
import { useSession } from "../../app/session";
import { Pick, Text } from "../../kit/form";
import { dayWords } from "../../words/common";
import * as say from "../../words/meals";

interface Kept {
  portions: string;
  setPortions: (portions: string) => void;
  keepIn: number;
  setKeepIn: (place: number) => void;
  frozen: string;
  setFrozen: (portions: string) => void;
}

/** Portions that later meals wait for, whole ones: nobody freezes a half. */
export function promised(detail: MealDetail, frozen: boolean) {
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

/** How much of a dish is kept, and where: what later meals wait for stands there already. */
export function KeepPart({ detail, places, kept }: { detail: MealDetail; places: Place[]; kept: Kept }) {
  const freezer = places.find((place) => place.kind === "freezer");
  return (
    <>
      <ForLater detail={detail} />
      {detail.leftover_days > 0 && (
        <fieldset className="flex flex-wrap items-end gap-3 mt-3">
          <Portions label={say.portionsLeftOver} value={kept.portions} onSay={kept.setPortions} />
          <Pick
            label={say.keptIn}
            value={kept.keepIn}
            onChange={(event) => kept.setKeepIn(Number(event.target.value))}
            options={places.map((one) => [String(one.id), one.name] as const)}
          />
          {freezer && <Portions label={say.portionsFrozen} value={kept.frozen} onSay={kept.setFrozen} />}
        </fieldset>
      )}
    </>
  );
}
