import { useQuery } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import { Link, useSearchParams } from "wouter";
import { placesQuery, shelfQuery } from "../../api/queries";
import type { Place, Stack } from "../../api/types";
import { useActs } from "../../app/acts";
import { amountIn, Form, Pick, Submit, Text, Tick } from "../../kit/form";
import { Board, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { useDraft } from "../../kit/useDraft";
import * as say from "../../words/bench";
import { added as addedTitle, pet } from "../../words/bowls";
import { BenchTabs } from "./BenchTabs";
import { Added, additionsOf, type Adding } from "./BowlLines";
import { Cold, coldOf, howManyOf } from "./Cold";
import { HowMany } from "./HowMany";
import { Outcome, type Asked } from "./Outcome";
import { Scraps, scrapsOf } from "./Scraps";
import { Jar, Takes, measured, takesOf, weighed, Weight } from "./Takes";

/** The bench: several packs of one food become portions. */
export default function BenchView() {
  const shelf = useQuery(shelfQuery);
  const places = useQuery(placesQuery).data ?? [];
  return (
    <>
      <BenchTabs title={say.portion} about={say.about} />
      <Loaded query={shelf} what={say.fetching}>
        {(data) => <Foods stacks={data.stacks.filter((stack) => measured(stack, places))} places={places} />}
      </Loaded>
    </>
  );
}

function Foods({ stacks, places }: { stacks: Stack[]; places: Place[] }) {
  const [params, setParams] = useSearchParams();
  const [food, setFood] = useState(params.get("food") ?? "");
  // All of a food may be gone with it: what was made is told beside the form.
  const [made, setMade] = useState<number[]>([]);
  const foods = [...new Map(stacks.map((stack) => [String(stack.food_id), stack.food]))].sort((one, other) =>
    one[1].localeCompare(other[1]),
  );
  const others = stacks.filter((stack) => weighed(stack, places) && String(stack.food_id) !== food);
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
            setMade([]);
            setParams({ food: event.target.value }, { replace: true });
          }}
        />
      </div>
      {made.length > 0 && (
        <p role="status">
          {say.made}.{" "}
          <Link className="text-rim underline" to={`/labels?stacks=${made.join(",")}`}>
            {say.printLabels}
          </Link>
        </p>
      )}
      {here.length > 0 && <Bench key={food} stacks={here} others={others} places={places} onMade={setMade} />}
    </div>
  );
}

interface Props {
  stacks: Stack[];
  /** What can be added to each portion. */
  others: Stack[];
  places: Place[];
  onMade: (ids: number[]) => void;
}

function Bench({ stacks, others, places, onMade }: Props) {
  const { act } = useActs();
  const food = stacks[0]?.food_id ?? 0;
  const [jar, setJar] = useState("");
  const [added, setAdded] = useDraft<Adding[]>(`portion.added.${food}`, []);
  const [form, setForm] = useState<FormData | null>(null);
  const unit = stacks[0]?.unit === "ml" ? "ml" : "g";
  const asked = form && askedOf(form, stacks, added);
  const send = async (fields: FormData) => {
    const body = askedOf(fields, stacks, added);
    if (!body) return;
    const done = await act<{ lot_ids?: number[] }>("/api/bench/portions", body, say.portion);
    if (!done?.lot_ids) return done;
    onMade(done.lot_ids);
    setAdded([]);
    return done;
  };
  return (
    <Form
      className="grid grid-cols-2 phone:grid-cols-1 gap-4 items-start"
      label={say.portion}
      keep={`bench.portion.${food}`}
      onSave={send}
      onInput={(element) => setForm(new FormData(element))}
    >
      <Board title={say.whatGoesIn}>
        <div className="grid gap-3 mt-2">
          {unit === "g" && <Jar value={jar} onPick={setJar} />}
          <Takes stacks={stacks} places={places} jar={jar} />
          {unit === "g" && <Weight label={say.trim} name="trim_g" jar={jar} placeholder={say.trimNote} />}
          <Weight label={say.spoiled} name="spoiled_g" jar={jar} unit={unit} />
          {unit === "g" && (
            <Besides title={say.scraps}>
              <Scraps jar={jar} places={places} />
            </Besides>
          )}
          {unit === "g" && others.length > 0 && (
            <Besides title={addedTitle} open={added.length > 0}>
              <Added stacks={others} lines={added} onLines={setAdded} titled={false} />
            </Besides>
          )}
          <HowMany jar={jar} unit={unit} />
          <Cold places={places} />
          <Text label={say.label} name="label" maxLength={120} placeholder={stacks[0]?.food} />
          <Tick label={pet} name="pet" />
        </div>
      </Board>
      <Outcome asked={asked}>
        <div className="mt-3">
          <Submit disabled={asked === null}>{say.portionIt}</Submit>
        </div>
      </Outcome>
    </Form>
  );
}

/** What most portions do without. */
function Besides({ title, open, children }: { title: string; open?: boolean; children: ReactNode }) {
  return (
    <details open={open || undefined} className="border-t border-zinc2 pt-1">
      <summary className="cursor-pointer text-rim font-semibold w-max min-h-[24px] phone:py-[10px]">{title}</summary>
      <div className="grid gap-3 mt-1">{children}</div>
    </details>
  );
}

const grams = (form: FormData, name: string) => {
  const typed = amountIn(form, name);
  return typed === "" ? {} : { [name]: typed };
};

/** What a form asks for, as it is sent; nothing while nothing is ticked. */
function askedOf(form: FormData, stacks: Stack[], added: Adding[]): Asked | null {
  const takes = takesOf(form, stacks);
  if (takes.length === 0) return null;
  const label = String(form.get("label") ?? "").trim();
  return {
    takes,
    ...grams(form, "trim_g"),
    ...grams(form, "spoiled_g"),
    ...scrapsOf(form),
    ...howManyOf(form),
    ...coldOf(form),
    ...(added.length === 0 ? {} : { additions: additionsOf(added) }),
    ...(form.get("pet") ? { pet: true } : {}),
    ...(label === "" ? {} : { label }),
  };
}
