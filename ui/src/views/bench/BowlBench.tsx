import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { placesQuery, shelfQuery } from "../../api/queries";
import type { Place, ShareBowl, Stack } from "../../api/types";
import { useActs } from "../../app/acts";
import { amountIn, Form, Submit, Text, Tick } from "../../kit/form";
import { Board } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { useDraft } from "../../kit/useDraft";
import { printLabels } from "../../words/bench";
import * as say from "../../words/bowls";
import { BenchTabs } from "./BenchTabs";
import { Added, additionsOf, Cooked, type Adding, type Cooking } from "./BowlLines";
import { Cold, coldOf, howManyOf } from "./Cold";
import { HowMany } from "./HowMany";
import { Portions } from "./Outcome";
import { Jar, weighed, Weight } from "./Takes";

/** A bowl cooked of several foods: what went in, what each portion gets besides, and what it comes to. */
export default function BowlBench() {
  const shelf = useQuery(shelfQuery);
  const places = useQuery(placesQuery).data ?? [];
  return (
    <>
      <BenchTabs title={say.bowls} about={say.about} />
      <Loaded query={shelf} what={say.about}>
        {(data) => <Bowl stacks={data.stacks.filter((stack) => weighed(stack, places))} places={places} />}
      </Loaded>
    </>
  );
}

function Bowl({ stacks, places }: { stacks: Stack[]; places: Place[] }) {
  const { act } = useActs();
  const [cooked, setCooked] = useDraft<Cooking[]>("bowl.cooked", []);
  const [added, setAdded] = useDraft<Adding[]>("bowl.added", []);
  const [form, setForm] = useState<FormData | null>(null);
  const [jar, setJar] = useState("");
  const [made, setMade] = useState<number[]>([]);
  const asked = form && bowlOf(form, cooked, added);
  const send = async (fields: FormData) => {
    const body = bowlOf(fields, cooked, added);
    if (!body) return;
    const done = await act<{ lot_ids?: number[] }>("/api/bench/bowls", body, say.bowls);
    if (!done?.lot_ids) return done;
    setMade(done.lot_ids);
    setCooked([]);
    setAdded([]);
    return done;
  };
  return (
    <Form
      className="grid grid-cols-2 phone:grid-cols-1 gap-4 items-start"
      label={say.bowls}
      keep="bench.bowl"
      onSave={send}
      onInput={(element) => setForm(new FormData(element))}
    >
      <Board title={say.inBowl}>
        <div className="grid gap-3 mt-2">
          <Cooked stacks={stacks} lines={cooked} onLines={setCooked} />
          <Jar value={jar} onPick={setJar} />
          <Weight label={say.trim} name="trim_g" jar={jar} />
          <Weight label={say.weighs} name="bowl_g" jar={jar} required />
          <Added stacks={stacks} lines={added} onLines={setAdded} />
          <HowMany jar={jar} />
          <Cold places={places} none={say.fridge} />
          <Text label={say.name} name="label" maxLength={120} required />
          <Tick label={say.pet} name="pet" />
        </div>
      </Board>
      <Portions path="/api/bench/bowls/foresee" asked={asked} ask={say.first}>
        <div className="flex flex-wrap items-center gap-4 mt-3">
          <Submit disabled={asked === null}>{say.shareIt}</Submit>
          {made.length > 0 && (
            <Link className="text-rim underline" to={`/labels?stacks=${made.join(",")}`}>
              {printLabels}
            </Link>
          )}
        </div>
      </Portions>
    </Form>
  );
}

/** What a form asks for, as it is sent; nothing while something of it is missing. */
function bowlOf(form: FormData, cooked: Cooking[], added: Adding[]): ShareBowl | null {
  const bowl = amountIn(form, "bowl_g");
  const label = String(form.get("label") ?? "").trim();
  if (cooked.length === 0 || bowl === "" || label === "") return null;
  const trim = amountIn(form, "trim_g");
  return {
    takes: cooked.map((line) => ({ lot_id: line.id, ...(line.grams === "" ? {} : { amount: line.grams }) })),
    additions: additionsOf(added),
    bowl_g: bowl,
    label,
    ...(trim === "" ? {} : { trim_g: trim }),
    ...howManyOf(form),
    ...coldOf(form),
    ...(form.get("pet") ? { pet: true } : {}),
  };
}
