import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "wouter";
import { jarsQuery, placesQuery, shelfQuery } from "../../api/queries";
import type { Place, Stack } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { ByScale } from "../../kit/ByScale";
import { Toggles } from "../../kit/choices";
import { Amount, amountIn, Form, Pick, Submit, Text, Whole } from "../../kit/form";
import { Board, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/bench";
import * as scale from "../../words/scale";
import { BenchTabs } from "./BenchTabs";
import { Outcome, type Asked } from "./Outcome";

/** The bench: several packs of one food become portions. */
export default function BenchView() {
  const shelf = useQuery(shelfQuery);
  const places = useQuery(placesQuery).data ?? [];
  return (
    <>
      <BenchTabs title={say.portion} about={say.about} />
      <Loaded query={shelf} what={say.fetching}>
        {(data) => <Foods stacks={data.stacks.filter((stack) => weighed(stack, places))} places={places} />}
      </Loaded>
    </>
  );
}

/** What can be shared out by weight, may be eaten, and is kept for nothing else. */
const weighed = (stack: Stack, places: Place[]) =>
  stack.unit === "g" &&
  stack.noun === null &&
  stack.level === null &&
  stack.reserved === null &&
  !["stop", "look"].includes(stack.state) &&
  places.find((place) => place.id === stack.place_id)?.tier !== "set_apart";

function Foods({ stacks, places }: { stacks: Stack[]; places: Place[] }) {
  const [params, setParams] = useSearchParams();
  const [food, setFood] = useState(params.get("food") ?? "");
  const foods = [...new Map(stacks.map((stack) => [String(stack.food_id), stack.food]))].sort((one, other) =>
    one[1].localeCompare(other[1]),
  );
  if (foods.length === 0) return <Empty title={say.nothing}>{say.nothingNote}</Empty>;
  const here = stacks.filter((stack) => String(stack.food_id) === food);
  return (
    <div className="grid gap-4">
      <div className="max-w-[420px]">
        <Pick
          label={say.whichFood}
          name="food"
          none={say.chooseFood}
          value={food}
          options={foods}
          onChange={(event) => {
            setFood(event.target.value);
            setParams({ food: event.target.value }, { replace: true });
          }}
        />
      </div>
      {here.length > 0 && <Bench key={food} stacks={here} places={places} />}
    </div>
  );
}

function Bench({ stacks, places }: { stacks: Stack[]; places: Place[] }) {
  const { act } = useActs();
  const [by, setBy] = useState("count");
  const [asked, setAsked] = useState<Asked | null>(null);
  const [jar, setJar] = useState("");
  const [made, setMade] = useState<number[]>([]);
  const read = (form: FormData) => askedOf(form, stacks);
  const send = async (form: FormData) => {
    const body = read(form);
    if (!body) return;
    const done = await act<{ lot_ids?: number[] }>("/api/bench/portions", body, say.portion);
    if (done?.lot_ids) setMade(done.lot_ids);
    return done;
  };
  return (
    <Form
      className="grid grid-cols-2 phone:grid-cols-1 gap-4 items-start"
      label={say.portion}
      onSave={send}
      onInput={(form) => setAsked(read(new FormData(form)))}
    >
      <Board title={say.whatGoesIn}>
        <div className="grid gap-3 mt-2">
          <Jar value={jar} onPick={setJar} />
          <Takes stacks={stacks} places={places} jar={jar} />
          <Weight label={say.trim} name="trim_g" jar={jar} placeholder={say.trimNote} />
          <Weight label={say.spoiled} name="spoiled_g" jar={jar} />
          <div className="flex flex-wrap items-center gap-2">
            <span className="font-semibold">{say.howMany}</span>
            <Toggles
              label={say.howMany}
              options={[
                ["count", say.soMany],
                ["size", say.ofOneSize],
              ]}
              value={by}
              onPick={(next) => next && setBy(next)}
            />
          </div>
          {by === "count" ? (
            <Whole label={say.portionsField} name="count" min={1} max={500} required defaultValue={4} />
          ) : (
            <Weight label={say.sizeField} name="size_g" jar={jar} required />
          )}
          <Cold places={places} />
          <Text label={say.label} name="label" maxLength={120} placeholder={stacks[0]?.food} />
        </div>
      </Board>
      <Outcome asked={asked}>
        <div className="flex flex-wrap items-center gap-4 mt-3">
          <Submit disabled={asked === null}>{say.portionIt}</Submit>
          {made.length > 0 && (
            <Link className="text-rim underline" to={`/labels?stacks=${made.join(",")}`}>
              {say.printLabels}
            </Link>
          )}
        </div>
      </Outcome>
    </Form>
  );
}

/** What stands on the scale with the food: its weight is taken off. */
function Jar({ value, onPick }: { value: string; onPick: (id: string) => void }) {
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
}

/** A weight, typed or by the scale. */
function Weight({ jar, ...rest }: WeightProps) {
  return (
    <div className="grid grid-cols-[1fr_auto] gap-2 items-end">
      <Amount unit="g" {...rest} />
      <ByScale name={rest.name} what={rest.label} container={jarId(jar)} />
    </div>
  );
}

function Takes({ stacks, places, jar }: { stacks: Stack[]; places: Place[]; jar: string }) {
  const { today } = useSession();
  const name = (id: number) => places.find((place) => place.id === id)?.name ?? "";
  return (
    <ul>
      {stacks.map((stack) => (
        <li key={stack.id} className="flex flex-wrap items-center gap-x-3 border-t border-zinc2 py-1">
          <label className="flex items-center gap-2 grow min-h-[32px] phone:min-h-[44px]">
            <input type="checkbox" name="take" value={stack.id} className="size-5 shrink-0" />
            <span>
              {say.take(stack.name, stack.amount, name(stack.place_id))}
              {stack.usable_until && (
                <span className="block text-soft text-small">{dayWords(stack.usable_until, today)}</span>
              )}
            </span>
          </label>
          <input
            className="field !w-[110px]"
            inputMode="decimal"
            pattern="[0-9]{0,9}([.,][0-9]{1,6})?"
            name={`amount.${stack.id}`}
            aria-label={say.howMuch(stack.name)}
            placeholder={`${stack.on_hand} g`}
          />
          <ByScale name={`amount.${stack.id}`} what={stack.name} container={jarId(jar)} />
        </li>
      ))}
    </ul>
  );
}

function Cold({ places }: { places: Place[] }) {
  const [frozen, setFrozen] = useState("");
  const option = (place: Place): [string, string] => [String(place.id), place.name];
  return (
    <>
      <Pick
        label={say.frozenPlace}
        name="frozen_place_id"
        value={frozen}
        onChange={(event) => setFrozen(event.target.value)}
        options={[["", say.noFreezer], ...places.filter((place) => place.kind === "freezer").map(option)]}
      />
      {frozen !== "" && <Whole label={say.fresh} name="fresh" min={0} max={500} defaultValue={0} />}
      <Pick
        label={frozen === "" ? say.allPlace : say.freshPlace}
        name="place_id"
        options={[["", say.staysThere], ...places.map(option)]}
      />
    </>
  );
}

const number = (form: FormData, name: string) =>
  form.get(name) === null || form.get(name) === "" ? {} : { [name]: Number(form.get(name)) };

const grams = (form: FormData, name: string) => {
  const typed = amountIn(form, name);
  return typed === "" ? {} : { [name]: typed };
};

/** What a form asks for, as it is sent; nothing while nothing is ticked. */
function askedOf(form: FormData, stacks: Stack[]): Asked | null {
  const ticked = form.getAll("take").map(Number);
  const takes = stacks
    .filter((stack) => ticked.includes(stack.id))
    .map((stack) => {
      const amount = String(form.get(`amount.${stack.id}`) ?? "")
        .trim()
        .replace(",", ".");
      return { lot_id: stack.id, ...(amount === "" ? {} : { amount }) };
    });
  if (takes.length === 0) return null;
  const label = String(form.get("label") ?? "").trim();
  return {
    takes,
    ...grams(form, "trim_g"),
    ...grams(form, "spoiled_g"),
    ...(form.has("size_g") ? grams(form, "size_g") : number(form, "count")),
    ...number(form, "frozen_place_id"),
    ...(form.get("frozen_place_id") ? number(form, "fresh") : {}),
    ...number(form, "place_id"),
    ...(label === "" ? {} : { label }),
  };
}
