import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "wouter";
import { placesQuery, shelfQuery } from "../../api/queries";
import type { Place, Stack } from "../../api/types";
import { useActs } from "../../app/acts";
import { Toggles } from "../../kit/choices";
import { amountIn, Form, Pick, Submit, Text, Whole } from "../../kit/form";
import { Board, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/bench";
import { BenchTabs } from "./BenchTabs";
import { Outcome, type Asked } from "./Outcome";
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
  const takes = takesOf(form, stacks);
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
