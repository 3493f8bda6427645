import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { kitsQuery, lastingQuery } from "../../api/queries";
import type { LastingPage } from "../../api/types";
import { Back } from "../../kit/Back";
import { Toggles } from "../../kit/choices";
import { Board } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as kitWords from "../../words/kits";
import * as say from "../../words/lasting";

/** Fewer days than that are told in red. */
const FEW = 3;

type Column = LastingPage["columns"][number];

/** For how many days the household would last, with and without power and running water, and what would help most. */
export default function LastingView() {
  const [freezer, setFreezer] = useState("100");
  const query = useQuery({ ...lastingQuery(Number(freezer)), placeholderData: keepPreviousData });
  const kits = useQuery(kitsQuery);
  const kit = kits.data?.kits.find((one) => one.id === query.data?.kit_id);
  return (
    <>
      <Back to="/kits">{kitWords.back}</Back>
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
            <Cover columns={told.columns} />
            <More told={told} kit={kit?.name} />
          </div>
        )}
      </Loaded>
    </>
  );
}

function Lasts({ column }: { column: Column }) {
  const out = column.runs_out_first;
  return (
    <Board title={say.COLUMNS[column.name]} tone={column.days < FEW ? "beet" : "rim"}>
      <p className="text-[28px] leading-tight font-semibold">{kitWords.days(column.days)}</p>
      <p>{out ? say.first(say.OUT[out] ?? out) : say.longer}</p>
      {column.day_after.length > 0 && <p className="text-soft text-small">{say.dayMore(column.day_after)}</p>}
    </Board>
  );
}

/** Each line by itself: its name, and the days in a column (null: it never ends there). */
function coverOf(columns: Column[]): [string, (column: Column) => number | null][] {
  const species = [...new Set(columns.flatMap((column) => column.pets.map((one) => one.species)))];
  return [
    [say.waterDays, (column) => column.water_days],
    [say.foodDays, (column) => column.food_days],
    [say.proteinDays, (column) => column.protein_days],
    ...species.map((one): [string, (column: Column) => number | null] => [
      say.petDays(one),
      (column) => column.pets.find((pet) => pet.species === one)?.days ?? null,
    ]),
    ...(columns.some((column) => column.formula_days !== null)
      ? [[say.formulaDays, (column: Column) => column.formula_days] as [string, (column: Column) => number | null]]
      : []),
  ];
}

/** Days that each thing lasts by itself: a table whose cells are bars of one scale. */
function Cover({ columns }: { columns: Column[] }) {
  const rows = coverOf(columns);
  const most = Math.max(1, ...rows.flatMap(([, days]) => columns.map((column) => days(column) ?? 0)));
  return (
    <Board title={say.alone} note={say.aloneNote}>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={say.alone}>
        <table className="w-full mt-1 border-collapse table-fixed min-w-[520px]">
          <thead>
            <tr className="text-left align-bottom text-small">
              <td />
              {columns.map((column) => (
                <th key={column.name} scope="col" className="pl-3 font-semibold">
                  {say.COLUMNS[column.name]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([label, days]) => (
              <tr key={label} className="border-t border-zinc2">
                <th scope="row" className="text-left font-normal py-1.5">
                  {label}
                </th>
                {columns.map((column) => (
                  <td key={column.name} className="pl-3 py-1.5">
                    <Bar days={days(column)} most={most} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Board>
  );
}

function Bar({ days, most }: { days: number | null; most: number }) {
  return (
    <>
      <span>{days === null ? say.endless : kitWords.days(days)}</span>
      <span aria-hidden className="block h-2 rounded bg-zinc2 mt-0.5">
        <span
          className={`block h-2 rounded ${days !== null && days < FEW ? "bg-beet" : "bg-pea"}`}
          style={{ width: `${days === null ? 100 : (days / most) * 100}%` }}
        />
      </span>
    </>
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
