import { useState } from "react";
import type { BatchesPage, BeginBatch, Place, Stack } from "../../api/types";
import { useActs } from "../../app/acts";
import { amountIn, Form, Pick, Submit, Text, Whole } from "../../kit/form";
import * as say from "../../words/preserve";
import { DryerLoads } from "./DryerLoads";
import { Jar, Takes, takesOf, weighed, Weight } from "./Takes";

interface Props {
  way: string;
  page: BatchesPage;
  shelf: Stack[];
  places: Place[];
}

/** A batch that is begun: what it becomes, of what, and what goes in. */
export function NewBatch({ way, page, shelf, places }: Props) {
  const [cut, setCut] = useState("");
  const stacks = shelf.filter((stack) => weighed(stack, places));
  const foods = [...new Map(stacks.map((stack) => [String(stack.food_id), stack.food]))].sort((one, other) =>
    one[1].localeCompare(other[1]),
  );
  const drying = page.cuts.find((one) => one.key === cut);
  const product = page.products.find((one) => one.name === cut);
  const usual = String(drying?.food_id ?? product?.food_id ?? "");
  const options =
    way === "drying"
      ? page.cuts.map((one): [string, string] => [one.key, one.name])
      : page.products.map((one): [string, string] => [one.name, one.name]);
  return (
    <>
      {way !== "freezing" && (
        <Pick
          label={way === "drying" ? say.whatDried : say.whatBottled}
          none={say.choose}
          value={cut}
          options={options}
          onChange={(event) => setCut(event.target.value)}
        />
      )}
      {drying && (
        <p className="text-soft text-small">
          {say.lastTime(drying.own, drying.yield_percent, drying.hours)} {drying.note}
        </p>
      )}
      {drying?.heat_c && <p className="text-beet text-small font-semibold">{say.heatFirst(drying.heat_c)}</p>}
      {product && (
        <p className="text-soft text-small">
          {say.perLitre(product.g_per_litre)} {product.note}
        </p>
      )}
      {(way === "freezing" || cut !== "") && (
        <WeighIn
          key={cut}
          way={way}
          cut={cut}
          first={foods.some(([id]) => id === usual) ? usual : ""}
          foods={foods}
          all={stacks}
          places={places}
        />
      )}
    </>
  );
}

interface WeighingProps {
  way: string;
  cut: string;
  first: string;
  foods: [string, string][];
  all: Stack[];
  places: Place[];
}

function WeighIn({ way, cut, first, foods, all, places }: WeighingProps) {
  const { act } = useActs();
  const [food, setFood] = useState(first);
  const [jar, setJar] = useState("");
  const [inG, setIn] = useState("");
  const stacks = all.filter((stack) => String(stack.food_id) === food);
  const read = (form: FormData): BeginBatch | null => {
    const takes = takesOf(form, stacks);
    if (takes.length === 0) return null;
    const weight = amountIn(form, "in_g");
    return {
      process: way as BeginBatch["process"],
      takes,
      ...(cut === "" ? {} : { cut }),
      ...(weight === "" ? {} : { in_g: weight }),
      ...said(form),
    };
  };
  const [asked, setAsked] = useState<BeginBatch | null>(null);
  const total = asked?.in_g ?? String(sum(asked, stacks));
  return (
    <Form
      label={say.begin}
      onSave={async (form) => {
        const body = read(form);
        return body && act("/api/bench/batches", body, say.preserve);
      }}
      onInput={(form) => {
        const next = read(new FormData(form));
        setAsked(next);
        setIn(next?.in_g ?? "");
      }}
    >
      <Pick
        label={say.whichFood}
        none={say.choose}
        value={food}
        options={foods}
        onChange={(event) => setFood(event.target.value)}
      />
      {food !== "" && stacks.length === 0 && <p className="text-soft">{say.nothingOfIt}</p>}
      {stacks.length > 0 && (
        <>
          <Jar value={jar} onPick={setJar} />
          <Takes stacks={stacks} places={places} jar={jar} />
          <Weight label={say.weighedIn} name="in_g" jar={jar} placeholder={say.allOfIt} />
          {way === "drying" && <DryerLoads cut={cut} inG={inG === "" ? total : inG} />}
          {way === "bottling" && <Text label={say.source} note={say.sourceNote} name="source" maxLength={200} />}
          {way === "drying" && <Whole label={say.temperature} name="temp_c" min={20} max={120} />}
          <Text label={say.note} name="note" maxLength={400} />
          <div>
            <Submit disabled={asked === null}>{say.beginIt}</Submit>
          </div>
        </>
      )}
    </Form>
  );
}

/** What is ticked weighs so much. */
function sum(asked: BeginBatch | null, stacks: Stack[]): number {
  return (asked?.takes ?? []).reduce((all, take) => {
    const stack = stacks.find((one) => one.id === take.lot_id);
    return all + Number(take.amount ?? stack?.on_hand ?? 0);
  }, 0);
}

function said(form: FormData): Partial<BeginBatch> {
  const text = (name: "source" | "note") => {
    const words = String(form.get(name) ?? "").trim();
    return words === "" ? {} : { [name]: words };
  };
  const whole = (name: "trays" | "temp_c") =>
    form.get(name) === null || form.get(name) === "" ? {} : { [name]: Number(form.get(name)) };
  return { ...text("source"), ...text("note"), ...whole("trays"), ...whole("temp_c") };
}
