import { useState } from "react";
import type { BatchesPage, ChangeBatch, Place } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { amountOf, Form, Submit, Text, Tick, Whole } from "../../kit/form";
import { Button } from "../../kit/kit";
import { dayWords } from "../../words/common";
import * as say from "../../words/preserve";
import { FinishBatchForm } from "./FinishBatch";

type Batch = BatchesPage["going"][number];

/** A batch that is under way: its steps to tick, hours more, and what came out. */
export function BatchGoing({ batch, places }: { batch: Batch; places: Place[] }) {
  const { act } = useActs();
  const { today } = useSession();
  const [open, setOpen] = useState(false);
  const change = (body: ChangeBatch) =>
    act(`/api/bench/batches/${batch.id}/change`, { version: batch.version, ...body }, say.noteIt);
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-3">
        <span className="font-semibold">{batch.name}</span>
        <span className="text-soft">{say.sinceWhen(batch.process, dayWords(batch.begun_on, today))}</span>
      </div>
      <p>
        {[
          say.wentIn(batch.in),
          say.soFar(batch.hours),
          batch.expects && batch.expects_hours ? say.expects(batch.expects, batch.expects_hours) : "",
        ]
          .filter(Boolean)
          .join("; ")}
      </p>
      {(batch.source || batch.note) && (
        <p className="text-soft text-small">{[batch.source, batch.note].filter(Boolean).join(". ")}</p>
      )}
      <Steps batch={batch} onTick={(ticked) => void change({ ticked })} />
      <Hours batch={batch} onNote={change} />
      <div className="flex flex-wrap gap-2 my-2">
        <Button
          look={open ? "quiet" : "main"}
          aria-label={say.finishOf(batch.name)}
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          {say.finish}
        </Button>
        <Button
          aria-label={say.giveUpOf(batch.name)}
          onClick={() => void act(`/api/bench/batches/${batch.id}/give-up`, {}, say.giveUp)}
        >
          {say.giveUp}
        </Button>
      </div>
      {open && <FinishBatchForm batch={batch} places={places} />}
    </>
  );
}

function Steps({ batch, onTick }: { batch: Batch; onTick: (ticked: number[]) => void }) {
  const done = batch.steps.filter((step) => step.done).map((step) => step.number);
  return (
    <fieldset aria-label={say.stepsOf(batch.name)} className="my-2">
      {batch.steps.map((step) => (
        <Tick
          key={step.number}
          label={<span className={step.done ? "text-soft" : ""}>{step.words}</span>}
          checked={step.done}
          onChange={() =>
            onTick(step.done ? done.filter((number) => number !== step.number) : [...done, step.number])
          }
        />
      ))}
    </fieldset>
  );
}

function Hours({ batch, onNote }: { batch: Batch; onNote: (body: ChangeBatch) => Promise<unknown> }) {
  const [round, setRound] = useState(0);
  const save = async (form: FormData) => {
    const hours = amountOf(form.get("more_hours"));
    const heated = String(form.get("heated_c") ?? "");
    const source = String(form.get("source") ?? "").trim();
    const body = {
      ...(hours === "" ? {} : { more_hours: hours }),
      ...(heated === "" ? {} : { heated_c: Number(heated) }),
      ...(source === "" || source === batch.source ? {} : { source }),
    };
    if (Object.keys(body).length === 0) return;
    const noted = await onNote(body);
    if (noted) setRound((count) => count + 1);
    return noted;
  };
  return (
    <Form key={round} label={say.noteIt} onSave={save} className="flex flex-wrap gap-2 items-end">
      <Text label={say.moreHours} name="more_hours" inputMode="decimal" pattern="[0-9]{1,3}([.,][0-9]{1,2})?" />
      {batch.heat_c !== null && (
        <Whole label={say.heated} name="heated_c" min={0} max={150} defaultValue={batch.heated_c ?? ""} />
      )}
      {batch.process === "bottling" && (
        <Text label={say.source} name="source" maxLength={200} defaultValue={batch.source} />
      )}
      <Submit>{say.noteIt}</Submit>
    </Form>
  );
}
