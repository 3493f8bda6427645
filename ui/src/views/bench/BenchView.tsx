import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "wouter";
import { placesQuery, shelfQuery } from "../../api/queries";
import type { Place, Stack } from "../../api/types";
import { useActs } from "../../app/acts";
import { amountIn, Form, Pick, Submit, Text } from "../../kit/form";
import { Board, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/bench";
import { BenchTabs } from "./BenchTabs";
import { Cold, coldOf, countOf } from "./Cold";
import { HowMany } from "./HowMany";
import { Outcome, type Asked } from "./Outcome";
import { Scraps, scrapsOf } from "./Scraps";
import { Jar, Takes, takesOf, weighed, Weight } from "./Takes";

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
          <Scraps jar={jar} places={places} />
          <HowMany jar={jar} />
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

const grams = (form: FormData, name: string) => {
  const typed = amountIn(form, name);
  return typed === "" ? {} : { [name]: typed };
};

/** What a form asks for, as it is sent; nothing while nothing is ticked. */
function askedOf(form: FormData, stacks: Stack[]): Asked | null {
  const takes = takesOf(form, stacks);
  if (takes.length === 0) return null;
  const label = String(form.get("label") ?? "").trim();
  return {
    takes,
    ...grams(form, "trim_g"),
    ...grams(form, "spoiled_g"),
    ...scrapsOf(form),
    ...(form.has("size_g") ? grams(form, "size_g") : countOf(form)),
    ...coldOf(form),
    ...(label === "" ? {} : { label }),
  };
}
