import { useQuery } from "@tanstack/react-query";
import { jarsQuery } from "../../api/queries";
import type { Place, PortionBench, Stack } from "../../api/types";
import { useSession } from "../../app/session";
import { ByScale } from "../../kit/ByScale";
import { Amount, amountOf, Pick } from "../../kit/form";
import { dayWords } from "../../words/common";
import * as say from "../../words/bench";
import * as scale from "../../words/scale";

/** What can be weighed out, may be eaten, and is kept for nothing else. */
export const weighed = (stack: Stack, places: Place[]) => stack.unit === "g" && fit(stack, places);

/** The same for what is told in millilitres, as broth is. */
export const measured = (stack: Stack, places: Place[]) =>
  ["g", "ml"].includes(stack.unit) && fit(stack, places);

/** What nobody eats is no matter of the bench. */
const eaten = (stack: Stack) => stack.group !== "supplies";

/** Nor is an animal's food what people take along. */
export const forPeople = (stack: Stack) => eaten(stack) && stack.group !== "pet";

const fit = (stack: Stack, places: Place[]) =>
  eaten(stack) &&
  stack.noun === null &&
  stack.level === null &&
  stack.reserved === null &&
  !["stop", "look"].includes(stack.state) &&
  places.find((place) => place.id === stack.place_id)?.tier !== "set_apart";

/** What stands on the scale with the food: its weight is taken off. */
export function Jar({ value, onPick }: { value: string; onPick: (id: string) => void }) {
  const jars = (useQuery(jarsQuery).data ?? []).filter((one) => one.tare_g !== null);
  if (jars.length === 0) return null;
  return (
    <Pick
      label={scale.liesIn}
      value={value}
      onChange={(event) => onPick(event.target.value)}
      options={[["", scale.nothing], ...jars.map((one): [string, string] => [String(one.id), one.name])]}
    />
  );
}

const jarId = (jar: string) => (jar === "" ? undefined : Number(jar));

interface WeightProps {
  label: string;
  name: string;
  /** What it lies in on the scale. */
  jar: string;
  placeholder?: string;
  required?: boolean;
  /** In which it is told; no scale for millilitres. */
  unit?: "g" | "ml";
}

/** A weight, typed or by the scale. */
export function Weight({ jar, unit = "g", ...rest }: WeightProps) {
  return (
    <div className="grid grid-cols-[1fr_auto] gap-2 items-end">
      <Amount unit={unit} {...rest} />
      {unit === "g" && <ByScale name={rest.name} what={rest.label} container={jarId(jar)} />}
    </div>
  );
}

/** Stacks of one food, to be ticked, all of them or so much. */
export function Takes({ stacks, places, jar }: { stacks: Stack[]; places: Place[]; jar: string }) {
  const { today } = useSession();
  const name = (id: number) => places.find((place) => place.id === id)?.name ?? "";
  return (
    <ul>
      {stacks.map((stack) => (
        <li key={stack.id} className="flex flex-wrap items-center gap-x-3 border-t border-zinc2 py-1">
          <label className="flex items-center gap-2 grow basis-0 min-w-[180px] min-h-[32px] phone:min-h-[44px]">
            <input type="checkbox" name="take" value={stack.id} className="size-5 shrink-0" />
            <span>
              {say.take(stack.name, stack.amount, name(stack.place_id))}
              {stack.usable_until && (
                <span className="block text-soft text-small">{dayWords(stack.usable_until, today)}</span>
              )}
            </span>
          </label>
          <input
            className="field !w-[90px]"
            inputMode="decimal"
            pattern="[0-9]{0,9}([.,][0-9]{1,6})?"
            name={`amount.${stack.id}`}
            aria-label={say.howMuch(stack.name, stack.unit)}
            placeholder={`${stack.on_hand} ${stack.unit}`}
          />
          {stack.unit === "g" && (
            <ByScale name={`amount.${stack.id}`} what={stack.name} container={jarId(jar)} />
          )}
        </li>
      ))}
    </ul>
  );
}

/** What a form says is taken; empty while nothing is ticked. */
export function takesOf(form: FormData, stacks: Stack[]): PortionBench["takes"] {
  const ticked = form.getAll("take").map(Number);
  return stacks
    .filter((stack) => ticked.includes(stack.id))
    .map((stack) => {
      const amount = amountOf(form.get(`amount.${stack.id}`));
      return { lot_id: stack.id, ...(amount === "" ? {} : { amount }) };
    });
}
