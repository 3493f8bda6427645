import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { outageQuery } from "../../api/queries";
import type { Outage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Back } from "../../kit/Back";
import { Toggles } from "../../kit/choices";
import { Form, Submit, Text } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as kits from "../../words/kits";
import * as say from "../../words/outage";
import { DarkView } from "./DarkView";
import { EatFirst } from "./EatFirst";
import { inBox } from "./moments";
import { Thermometers } from "./Thermometers";
import { Verdicts } from "./Verdicts";

/** A power cut: begun in one touch, read in one, settled afterwards with the rule for each stack. */
export default function OutageView() {
  const [found, setFound] = useState<Readonly<Record<number, string>>>({});
  const query = useQuery(outageQuery(found));
  const { away } = useActs();
  return (
    <>
      <Back to="/kits">{kits.back}</Back>
      <h1 className="mt-1 mb-2">{say.title}</h1>
      {away || query.isError ? (
        <DarkView begin={<Begin />} />
      ) : (
        <Loaded query={query} what={say.asking}>
          {({ outage }) =>
            outage ? (
              <Cut outage={outage} found={found} onFound={(id, state) => setFound({ ...found, [id]: state })} />
            ) : (
              <Begin />
            )
          }
        </Loaded>
      )}
    </>
  );
}

function Begin() {
  const { act } = useActs();
  const [full, setFull] = useState("100");
  const begin = (form: FormData) =>
    act(
      "/api/outages",
      { started_at: new Date(String(form.get("at"))).toISOString(), freezer_percent: Number(full) },
      say.began,
    );
  return (
    <Board note={say.about}>
      <Form onSave={begin} className="grid gap-3 mt-2 max-w-[420px]">
        <Text label={say.when} type="datetime-local" name="at" required defaultValue={inBox(new Date())} />
        <div className="flex flex-wrap items-center gap-2">
          <span>{say.howFull}</span>
          <Toggles label={say.howFull} options={say.FULL} value={full} onPick={(value) => value && setFull(value)} />
        </div>
        <Submit>{say.began}</Submit>
      </Form>
    </Board>
  );
}

interface CutProps {
  outage: Outage;
  found: Readonly<Record<number, string>>;
  onFound: (id: number, state: string) => void;
}

function Cut({ outage, found, onFound }: CutProps) {
  const over = outage.ended_at !== null;
  return (
    <div className="grid gap-4 wide:grid-cols-2 items-start mt-2">
      <div className="grid gap-4">
        <Facts outage={outage} />
        {!over && <Readings outage={outage} />}
      </div>
      {over ? <Verdicts outage={outage} found={found} onFound={onFound} /> : <EatFirst outage={outage} />}
    </div>
  );
}

function Facts({ outage }: { outage: Outage }) {
  const { act } = useActs();
  const above = [
    outage.fridge_above ? say.above(say.fridge, outage.fridge_above) : "",
    outage.freezer_above ? say.above(say.freezer, outage.freezer_above) : "",
    outage.readings.length > 0 ? say.readings(outage.readings.length) : "",
  ].filter(Boolean);
  return (
    <Board tone="beet">
      <p className="text-[28px] leading-tight font-semibold">{say.dark(outage.hours)}</p>
      <p>{say.lasts(outage.fridge_hours, outage.freezer_hours)}</p>
      {above.length > 0 && <p className="text-soft text-small">{above.join(" · ")}</p>}
      {!outage.ended_at && (
        <>
          <p className="mt-1">{say.shut}</p>
          <Button
            look="main"
            className="mt-2"
            onClick={() => act(`/api/outages/${outage.id}/change`, { ended_at: new Date().toISOString() }, say.back)}
          >
            {say.back}
          </Button>
        </>
      )}
      <Times outage={outage} />
      <p className="text-soft text-small mt-2">{say.authority}</p>
    </Board>
  );
}

/** When it went and when it came back, where somebody only noticed later. */
function Times({ outage }: { outage: Outage }) {
  const { act } = useActs();
  const fields = [
    { name: "started_at", label: say.went, value: outage.started_at },
    ...(outage.ended_at ? [{ name: "ended_at", label: say.cameBack, value: outage.ended_at }] : []),
  ];
  const save = (form: FormData) => {
    const told = fields.map(({ name }) => [name, new Date(String(form.get(name))).toISOString()] as const);
    return act(`/api/outages/${outage.id}/change`, Object.fromEntries(told), say.times);
  };
  return (
    <details className="mt-2">
      <summary className="cursor-pointer text-rim font-semibold w-max min-h-[24px] phone:py-[10px]">
        {say.times}
      </summary>
      <Form key={outage.version} onSave={save} className="flex flex-wrap gap-2 items-end mt-1">
        {fields.map(({ name, label, value }) => (
          <Text
            key={name}
            label={label}
            type="datetime-local"
            name={name}
            required
            defaultValue={inBox(new Date(value))}
          />
        ))}
        <Submit>{say.setTimes}</Submit>
      </Form>
    </details>
  );
}

function Readings({ outage }: { outage: Outage }) {
  const { act } = useActs();
  return (
    <Thermometers
      onRead={(where, name, c) =>
        act(
          `/api/outages/${outage.id}/change`,
          { reading: { where, c, at: new Date().toISOString() } },
          say.readAs(name, c),
        )
      }
    />
  );
}
