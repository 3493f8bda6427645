import type { ReactNode } from "react";
import type { LookBack } from "../../api/types";
import { useMoney } from "../../app/session";
import { Board } from "../../kit/kit";
import { dayMonth } from "../../words/common";
import * as say from "../../words/lookBack";
import { Bars, Curve, Legend, type Column, type Piece } from "./Bars";
import { toneAt, TONES } from "./tones";

type Week = LookBack["weeks"][number];

/** So many kinds of food are told apart in a bar; the rest is one piece. */
const GROUPS = 5;
const REST = "rest";

function weekName(week: Week): string {
  return dayMonth(week.from);
}

function Sheet({ head, rows, file }: { head: string[]; rows: string[][]; file: ReactNode }) {
  return (
    <details className="mt-1">
      <summary className="cursor-pointer text-rim font-semibold w-max min-h-[24px] phone:py-[10px]">
        {say.asTable}
      </summary>
      <div className="overflow-x-auto">
        <table className="w-full text-small">
          <thead>
            <tr className="text-left text-soft">
              {head.map((name) => (
                <th key={name} scope="col" className="pr-3 font-normal">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((cells) => (
              <tr key={cells[0]} className="border-t border-zinc2">
                {cells.map((cell, at) => (
                  <td key={at} className="pr-3 py-0.5 whitespace-nowrap">
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {file}
    </details>
  );
}

type Props = { weeks: Week[]; file: ReactNode; onPick: (at: string, name: string) => void };

/** What left in each week, by the way it went. */
export function Outcomes({ weeks, file, onPick }: Props) {
  const money = useMoney();
  const kinds = Object.keys(say.KINDS).filter((kind) => weeks.some((week) => valueOf(week.kinds, kind) > 0));
  const pieces = kinds.map((kind) => ({ key: kind, name: say.KINDS[kind] ?? kind, tone: TONES[kind] ?? "" }));
  const columns = weeks.map((week) => ({
    at: week.key,
    name: weekName(week),
    ...Object.fromEntries(week.kinds.map((one) => [one.kind, one.value_minor])),
  }));
  return (
    <Board title={say.eachWeek} note={say.eachWeekNote}>
      <Bars columns={columns} pieces={pieces} words={money} onPick={(at) => onPick(at, nameOf(columns, at))} />
      <Legend pieces={pieces} />
      <Sheet
        head={[say.week, ...pieces.map((piece) => piece.name)]}
        rows={weeks.map((week) => [weekName(week), ...kinds.map((kind) => money(valueOf(week.kinds, kind)))])}
        file={file}
      />
    </Board>
  );
}

/** What was spent in each week, by kind of food. */
export function Spending({ weeks, file, onPick }: Props) {
  const money = useMoney();
  const pieces = groups(weeks);
  const shown = new Set(pieces.map((piece) => piece.key));
  const names = [...new Set(weeks.flatMap((week) => week.spent.map((one) => one.group)))];
  const columns = weeks.map((week) => {
    const column: Column = { at: week.key, name: weekName(week), [REST]: 0 };
    for (const one of week.spent) {
      const key = shown.has(one.group) ? one.group : REST;
      column[key] = Number(column[key] ?? 0) + one.value_minor;
    }
    return column;
  });
  return (
    <Board title={say.spentWeeks} note={say.spentNote}>
      <Bars columns={columns} pieces={pieces} words={money} onPick={(at) => onPick(at, nameOf(columns, at))} />
      <Legend pieces={pieces} />
      <Sheet
        head={[say.week, ...names, say.spent, say.eaterDays, say.perEaterDay]}
        rows={weeks.map((week) => [
          weekName(week),
          ...names.map((name) => ofGroup(week, name, money)),
          money(week.spent_minor),
          String(week.eater_days),
          week.per_eater_day_minor === null ? "" : money(week.per_eater_day_minor),
        ])}
        file={file}
      />
    </Board>
  );
}

/** What was in the house at the end of each week. */
export function Stock({ weeks, file }: { weeks: Week[]; file: ReactNode }) {
  const money = useMoney();
  return (
    <Board title={say.stockWeeks} note={say.stockNote}>
      <Curve
        columns={weeks.map((week) => ({ at: week.key, name: weekName(week), value: week.stock_minor }))}
        words={money}
      />
      <Sheet
        head={[say.week, say.inHouse, say.lasts]}
        rows={weeks.map((week) => [weekName(week), money(week.stock_minor), week.cover_weeks ?? ""])}
        file={file}
      />
    </Board>
  );
}

/** What went for one kind of food in a week, and of it for a person and day. */
function ofGroup(week: Week, group: string, money: (minor: number) => string): string {
  const one = week.spent.find((spent) => spent.group === group);
  if (!one) return "";
  const sum = money(one.value_minor);
  return one.per_eater_day_minor === null ? sum : say.eachDay(sum, money(one.per_eater_day_minor));
}

function nameOf(columns: Column[], at: string): string {
  return columns.find((column) => column.at === at)?.name ?? at;
}

function valueOf(kinds: Week["kinds"], kind: string): number {
  return kinds.find((one) => one.kind === kind)?.value_minor ?? 0;
}

/** The kinds of food most was spent on, and the rest. Sums of shown money. */
function groups(weeks: Week[]): Piece[] {
  const sums = new Map<string, number>();
  for (const one of weeks.flatMap((week) => week.spent))
    sums.set(one.group, (sums.get(one.group) ?? 0) + one.value_minor);
  const most = [...sums].sort((one, other) => other[1] - one[1]).map(([group]) => group);
  const first = most.slice(0, GROUPS).map((group, at) => ({ key: group, name: group, tone: toneAt(at) }));
  return most.length > GROUPS ? [...first, { key: REST, name: say.other, tone: toneAt(GROUPS) }] : first;
}
