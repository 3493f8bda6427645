import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { kitsQuery, lastingQuery } from "../../api/queries";
import type { LastingPage } from "../../api/types";
import { Back } from "../../kit/Back";
import { Toggles } from "../../kit/choices";
import { Board } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/kits";

type Column = LastingPage["columns"][number];

/** For how many days the household would last, with and without power and running water, and what would help most. */
export default function LastingView() {
  const [freezer, setFreezer] = useState("100");
  const query = useQuery({ ...lastingQuery(Number(freezer)), placeholderData: keepPreviousData });
  const kits = useQuery(kitsQuery);
  const kit = kits.data?.kits.find((one) => one.id === query.data?.kit_id);
  return (
    <>
      <Back to="/kits">{say.back}</Back>
      <h1 className="mt-1">{say.lastTitle}</h1>
      <p className="text-soft mb-2">{say.lastAbout}</p>
      <div className="flex flex-wrap items-center gap-2 mb-3">
        <span>{say.freezer}</span>
        <Toggles
          label={say.freezer}
          options={say.FREEZER}
          value={freezer}
          onPick={(value) => value && setFreezer(value)}
        />
      </div>
      <Loaded query={query} what={say.counting}>
        {(told) => (
          <div className="grid gap-4">
            <div className="grid gap-4 grid-cols-4 phone:grid-cols-1 items-start">
              {told.columns.map((column) => (
                <Lasts key={column.name} column={column} />
              ))}
            </div>
            <More told={told} kit={kit?.name} />
          </div>
        )}
      </Loaded>
    </>
  );
}

function Lasts({ column }: { column: Column }) {
  const out = column.runs_out_first;
  const alone: [string, number | null][] = [
    [say.waterDays, column.water_days],
    [say.foodDays, column.food_days],
    [say.proteinDays, column.protein_days],
    ...column.pets.map((one): [string, number] => [say.petDays(one.species), one.days]),
    ...(column.formula_days === null ? [] : [[say.formulaDays, column.formula_days] as [string, number]]),
  ];
  return (
    <Board title={say.COLUMNS[column.name]} tone={column.days < 3 ? "beet" : "rim"}>
      <p className="text-[28px] leading-tight font-semibold">{say.days(column.days)}</p>
      <p>{out ? say.first(say.OUT[out] ?? out) : say.longer}</p>
      {column.day_after.length > 0 && <p className="text-soft text-small">{say.dayMore(column.day_after)}</p>}
      <h3 className="text-small text-soft mt-2">{say.alone}</h3>
      <dl>
        {alone.map(([label, days]) => (
          <div key={label} className="flex border-t border-zinc2 py-0.5">
            <dt className="grow text-small">{label}</dt>
            <dd>{days === null ? say.endless : say.days(days)}</dd>
          </div>
        ))}
      </dl>
    </Board>
  );
}

function More({ told, kit }: { told: LastingPage; kit: string | undefined }) {
  return (
    <Board
      title={say.oneMore}
      note={[kit ? say.withKit(kit) : "", say.heatThere(told.heat_l)].filter(Boolean).join(" ")}
    >
      <dl className="mt-1">
        {told.one_more.map((one) => (
          <div key={one.name} className="flex border-t border-zinc2 py-1">
            <dt className="grow">{say.MORE[one.name]}</dt>
            <dd>{say.more(one.days, one.person_days)}</dd>
          </div>
        ))}
      </dl>
    </Board>
  );
}
