import { useState } from "react";
import type { BatchesPage, FinishBatch, Foresight, Place } from "../../api/types";
import { useActs } from "../../app/acts";
import { amountIn, Form, Pick, Submit, Text, Tick, Whole } from "../../kit/form";
import { Button } from "../../kit/kit";
import * as say from "../../words/preserve";
import { Foreseen, Stacks } from "./Foreseen";
import { Weight } from "./Takes";

type Batch = BatchesPage["going"][number];

/** What came out of a batch, where it goes, and until when it is good, before it is put away. */
export function FinishBatchForm({ batch, places }: { batch: Batch; places: Place[] }) {
  const { act } = useActs();
  const [asked, setAsked] = useState<FinishBatch | null>(null);
  const path = `/api/bench/batches/${batch.id}`;
  const here = batch.process === "freezing" ? places.filter((place) => place.kind === "freezer") : places;
  return (
    <Form
      label={say.finishOf(batch.name)}
      onSave={async (form) => {
        const body = askedOf(form, batch);
        return body && act(`${path}/finish`, { version: batch.version, ...body }, say.finish);
      }}
      onInput={(form) => setAsked(askedOf(new FormData(form), batch))}
    >
      {batch.process === "bottling" ? <Jars /> : <Weight label={say.weighedOut} name="out_g" jar="" required />}
      {batch.process === "freezing" && (
        <Whole label={say.pieces} note={say.piecesNote} name="pieces" min={1} max={1000} />
      )}
      {batch.test && <Tick label={say.passed(batch.test)} name="passed" />}
      <Pick
        label={say.where}
        name="place_id"
        options={here.map((place): [string, string] => [String(place.id), place.name])}
      />
      <Text label={say.label} name="label" maxLength={120} />
      <Foreseen<Foresight>
        path={`${path}/foresee`}
        asked={asked}
        bare
        ask={batch.process === "bottling" ? say.countFirst : say.tellFirst}
        told={(seen) => <Stacks stacks={seen.stacks} />}
      >
        <div className="mt-3">
          <Submit disabled={asked === null}>{say.finishIt}</Submit>
        </div>
      </Foreseen>
    </Form>
  );
}

/** Jars by size, sealed and not. */
function Jars() {
  const [rows, setRows] = useState(1);
  return (
    <div className="grid gap-2">
      {Array.from({ length: rows }, (_, at) => (
        <div key={at} className="grid grid-cols-3 gap-2 items-end">
          <Whole label={say.jarSize} name={`ml.${at}`} min={20} max={20000} defaultValue={at === 0 ? 500 : ""} />
          <Whole label={say.sealed} name={`sealed.${at}`} min={0} max={1000} />
          <Whole label={say.unsealed} name={`unsealed.${at}`} min={0} max={1000} />
        </div>
      ))}
      <div>
        <Button onClick={() => setRows((count) => count + 1)}>{say.anotherSize}</Button>
      </div>
    </div>
  );
}

function jarsOf(form: FormData): FinishBatch["jars"] {
  const number = (name: string) => Number(form.get(name) ?? 0);
  return [...form.keys()]
    .filter((name) => name.startsWith("ml."))
    .map((name) => name.slice(3))
    .map((at) => ({ ml: number(`ml.${at}`), sealed: number(`sealed.${at}`), unsealed: number(`unsealed.${at}`) }))
    .filter((jar) => jar.ml > 0 && jar.sealed + jar.unsealed > 0);
}

function askedOf(form: FormData, batch: Batch): FinishBatch | null {
  const place = Number(form.get("place_id"));
  const out = amountIn(form, "out_g");
  const jars = jarsOf(form);
  if (!place || (batch.process === "bottling" ? jars?.length === 0 : out === "")) return null;
  const label = String(form.get("label") ?? "").trim();
  const pieces = String(form.get("pieces") ?? "");
  return {
    place_id: place,
    ...(batch.process === "bottling" ? { jars } : { out_g: out }),
    ...(form.has("passed") ? { passed: true } : {}),
    ...(pieces === "" ? {} : { pieces: Number(pieces) }),
    ...(label === "" ? {} : { label }),
  };
}
