import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { usualFoodsQuery } from "../../api/queries";
import type { ChangeSeason, SeasonLine as Line, SeasonPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Amount, amountIn, Day, Form, Pick, Submit, Text, Whole } from "../../kit/form";
import { Button } from "../../kit/kit";
import { useDraft } from "../../kit/useDraft";
import * as say from "../../words/season";

interface Props {
  page: SeasonPage;
  /** The line that is changed; without one, another is planned. */
  line?: Line;
  onDone?: () => void;
}

/** What is to be bottled or dried, how much of it a week is eaten, and when it is ripe. */
export function SeasonForm({ page, line, onDone }: Props) {
  const { act } = useActs();
  const [chosen, setChosen] = useDraft("season.what", "");
  const what = line ? `${line.process}/${line.cut}` : chosen;
  const [round, setRound] = useState(0);
  const [process, cut] = split(what);
  const save = async (form: FormData) => {
    const facts = read(form, process);
    const done = line
      ? await act(`/api/season/${line.id}`, { version: line.version, ...facts }, say.keepIt)
      : await act("/api/season", { process, cut, ...facts }, say.planIt);
    if (!done) return done;
    onDone?.();
    if (!line) {
      setChosen("");
      setRound(round + 1);
    }
    return done;
  };
  const send = async (body: ChangeSeason, words: string) => {
    if (line && (await act(`/api/season/${line.id}`, { version: line.version, ...body }, words))) onDone?.();
  };
  return (
    <Form
      key={round}
      label={line ? say.change(line.name) : say.add}
      onSave={save}
      keep={line ? undefined : "season.new"}
      className="grid gap-3 mt-2"
    >
      {!line && (
        <Pick
          label={say.what}
          none={say.choose}
          required
          value={what}
          options={choices(page)}
          onChange={(event) => setChosen(event.target.value)}
        />
      )}
      {what !== "" && <Facts line={line} process={process} />}
      <div className="flex flex-wrap gap-2">
        <Submit disabled={what === ""}>{line ? say.keepIt : say.planIt}</Submit>
        {line && (
          <>
            <Button onClick={() => send({ anew: true }, say.anew)}>{say.anew}</Button>
            <Button look="grave" onClick={() => send({ gone: true }, say.takeOffWord)}>
              {say.takeOffWord}
            </Button>
          </>
        )}
      </div>
    </Form>
  );
}

function Facts({ line, process }: { line?: Line; process: string }) {
  const bottling = process === "bottling";
  return (
    <>
      <Amount
        label={say.weekly(bottling ? "ml" : "g")}
        note={say.weeklyNote}
        name="weekly"
        whole={6}
        places={3}
        defaultValue={line?.weekly_said ?? ""}
      />
      <div className="grid grid-cols-2 gap-2">
        <Day label={say.harvest} name="harvest_on" required defaultValue={line?.harvest_on} />
        <Day label={say.next} name="next_harvest_on" required defaultValue={line?.next_harvest_on} />
      </div>
      <div className="grid grid-cols-2 gap-2 items-end">
        <Whole label={say.margin} name="margin_percent" min={0} max={200} defaultValue={line?.margin_percent ?? 0} />
        {bottling ? (
          <Whole label={say.potJars} name="pot_jars" min={1} max={100} defaultValue={line?.pot_jars ?? ""} />
        ) : (
          <Whole label={say.trays} name="trays" min={1} max={100} defaultValue={line?.trays ?? ""} />
        )}
      </div>
      {!bottling && (
        <Whole label={say.dayHours} name="day_hours" min={1} max={24} defaultValue={line?.day_hours ?? ""} />
      )}
      <Counts line={line} />
      <Pick label={say.getBy} name="get_by" options={say.ways} defaultValue={line?.get_by ?? ""} />
      <Text label={say.note} name="note" maxLength={400} defaultValue={line?.note ?? ""} />
    </>
  );
}

/** Own foods that count as it, jars of years before this plan among them. */
function Counts({ line }: { line?: Line }) {
  const foods = useQuery(usualFoodsQuery).data ?? [];
  const [ids, setIds] = useState(line?.food_ids ?? []);
  const name = (id: number) => foods.find((food) => food.id === id)?.name ?? "";
  return (
    <div className="grid gap-1">
      {ids.map((id) => (
        <span key={id} className="flex items-center gap-2">
          <input type="hidden" name="food_ids" value={id} />
          <span className="grow">{name(id)}</span>
          <Button aria-label={say.leaveOut(name(id))} onClick={() => setIds(ids.filter((one) => one !== id))}>
            {say.leaveOutShort}
          </Button>
        </span>
      ))}
      <Pick
        label={say.countsToo}
        none={say.countsNone}
        value=""
        options={foods
          .filter((food) => !ids.includes(food.id))
          .map((food): [string, string] => [String(food.id), food.name])}
        onChange={(event) => event.target.value !== "" && setIds([...ids, Number(event.target.value)])}
      />
    </div>
  );
}

function choices(page: SeasonPage): [string, string][] {
  const planned = page.lines.map((one) => `${one.process}/${one.cut}`);
  const all: [string, string][] = [
    ...page.products.map((name): [string, string] => [`bottling/${name}`, say.bottled(name)]),
    ...page.cuts.map((one): [string, string] => [`drying/${one.key}`, say.dried(one.name)]),
  ];
  return all.filter(([key]) => !planned.includes(key));
}

/** "bottling/Plum jam": how it is kept, and as what. */
function split(what: string): ["bottling" | "drying", string] {
  const at = what.indexOf("/");
  return [what.startsWith("drying") ? "drying" : "bottling", what.slice(at + 1)];
}

function read(form: FormData, process: string) {
  const weekly = amountIn(form, "weekly");
  const whole = (name: string) => (form.get(name) ? Number(form.get(name)) : null);
  return {
    weekly: weekly === "" ? null : weekly,
    harvest_on: String(form.get("harvest_on")),
    next_harvest_on: String(form.get("next_harvest_on")),
    margin_percent: Number(form.get("margin_percent") ?? 0),
    get_by: String(form.get("get_by") ?? "") as "" | "grow" | "buy",
    note: String(form.get("note") ?? "").trim(),
    food_ids: form.getAll("food_ids").map(Number),
    ...(process === "bottling"
      ? { pot_jars: whole("pot_jars") }
      : { trays: whole("trays"), day_hours: whole("day_hours") }),
  };
}
