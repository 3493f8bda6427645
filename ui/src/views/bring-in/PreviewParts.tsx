import { useQuery } from "@tanstack/react-query";
import { Suspense, useState, type ReactNode } from "react";
import { foodsQuery } from "../../api/queries";
import type { ImportPreview } from "../../api/types";
import { useMoney } from "../../app/session";
import { Board, Button } from "../../kit/kit";
import { lazily } from "../../kit/lazily";
import * as say from "../../words/list";

const NewFood = lazily(
  () => import("../../app/aside"),
  (module) => module.NewFood,
);

const WORDS: Record<string, string> = {
  food: "food",
  label: say.wordsYourOwn,
  count: say.howMany,
  amount: say.sizeOfOne,
  unit: "unit",
  place: "place",
  best_before: say.bestBefore,
  use_by: say.useBy,
  made_on: say.madeOn,
  opened_on: say.openedOn,
  frozen_on: say.frozenOn,
  bought_on: say.boughtOn,
  price: say.priceLine,
  price_each: say.priceOfOne,
  state: "state",
  lot_text: "lot",
  directions: "directions",
  method: say.keptIn,
  bought_for: say.boughtFor,
  set_apart: say.setApart,
};

export function Columns({
  preview,
  chosen,
  onColumns,
}: {
  preview: ImportPreview;
  chosen: Record<string, string>;
  onColumns: (columns: Record<string, string>) => void;
}) {
  return (
    <div className="flex flex-wrap gap-3 mt-3">
      {preview.columns.map((column) => (
        <label key={column.index} className="grid gap-1">
          <span className="text-small font-semibold">{column.heading || say.columnNumber(column.index + 1)}</span>
          <select
            className="field !w-auto"
            value={column.field ?? ""}
            onChange={(event) => onColumns({ ...chosen, [column.index]: event.target.value })}
          >
            <option value="">{say.leaveOutColumn}</option>
            {preview.fields.map((field) => (
              <option key={field} value={field}>
                {WORDS[field] ?? field}
              </option>
            ))}
          </select>
        </label>
      ))}
    </div>
  );
}

export function Unknown({ preview, onFood }: { preview: ImportPreview; onFood: (text: string, id: number) => void }) {
  if (preview.unknown_foods.length === 0) return null;
  return (
    <Board tone="mustard" title={say.whichFoodsAre} note={say.sayOnceCounts}>
      <ul className="mt-2">
        {preview.unknown_foods.slice(0, 60).map((food) => (
          <UnknownFood key={food.text} food={food} onFood={onFood} />
        ))}
      </ul>
    </Board>
  );
}

function UnknownFood({
  food,
  onFood,
}: {
  food: ImportPreview["unknown_foods"][number];
  onFood: (text: string, id: number) => void;
}) {
  const [find, setFind] = useState("");
  const found = useQuery({ ...foodsQuery(find), enabled: find.trim().length > 1 }).data ?? [];
  const options =
    find.trim().length > 1 ? found.slice(0, 6).map((one) => ({ id: one.id, name: one.name })) : food.likely;
  const [making, setMaking] = useState(false);
  const made = (id: number) => {
    setMaking(false);
    onFood(food.text, id);
  };
  return (
    <li className="flex flex-wrap items-center gap-2 border-t border-zinc2 py-2">
      <b className="min-w-[150px]">{food.text}</b>
      <span className="text-soft text-small">{say.countLines(food.lines)}</span>
      {options.map((option) => (
        <Button key={option.id} onClick={() => onFood(food.text, option.id)}>
          {option.name}
        </Button>
      ))}
      <input
        className="field !w-[180px]"
        aria-label={say.findFoodFor(food.text)}
        placeholder={say.findAnother}
        value={find}
        onChange={(event) => setFind(event.target.value)}
      />
      <Button look="plain" onClick={() => setMaking(true)}>
        {say.aNewFood}
      </Button>
      <Suspense fallback={null}>
        {making && <NewFood name={food.text} onMade={made} onClose={() => setMaking(false)} />}
      </Suspense>
    </li>
  );
}

const FIRST = 200;

/** The first of a long list, and a button for more of it. */
function useMore<T>(list: T[]): { shown: T[]; more: ReactNode } {
  const [count, setCount] = useState(FIRST);
  const more =
    list.length > count ? (
      <Button className="mt-2" onClick={() => setCount(count + 1000)}>
        {say.showMoreOf} {list.length}
      </Button>
    ) : null;
  return { shown: list.slice(0, count), more };
}

interface Lines {
  preview: ImportPreview;
  onSkip: (line: number) => void;
}

export function Problems({ preview, onSkip }: Lines) {
  const { shown, more } = useMore(preview.problems);
  if (preview.problem_count === 0) return null;
  return (
    <Board tone="beet" title={say.countProblems(preview.problem_count)} note={say.lineFileColumn}>
      <ul className="mt-2 max-h-[260px] overflow-y-auto" tabIndex={0} aria-label={say.problems}>
        {shown.map((problem, index) => (
          <li key={index} className="border-t border-zinc2 py-1">
            {say.lineNumber} <b>{problem.line}</b>, {problem.column || "line"}: {problem.reason}{" "}
            <button
              type="button"
              className="text-rim underline min-h-[24px] phone:min-h-[44px]"
              aria-label={say.leaveOutLine(problem.line)}
              onClick={() => onSkip(problem.line)}
            >
              {say.leaveOut}
            </button>
          </li>
        ))}
      </ul>
      {more}
    </Board>
  );
}

export function Rows({ preview, onSkip }: Lines) {
  const money = useMoney();
  const { shown, more } = useMore(preview.rows);
  return (
    <Board title={say.howLinesAre}>
      <div className="max-h-[380px] overflow-auto mt-2" tabIndex={0} role="group" aria-label={say.linesAsRead}>
        <table className="w-full text-left text-small">
          <thead>
            <tr className="text-soft">
              <th className="pr-3">{say.lineHeading}</th>
              <th className="pr-3">{say.food}</th>
              <th className="pr-3">{say.amount}</th>
              <th className="pr-3">{say.place}</th>
              <th className="pr-3">{say.date}</th>
              <th className="pr-3">{say.price}</th>
              <th>{say.notWanted}</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((row) => (
              <tr key={row.line} className="border-t border-zinc2">
                <td className="pr-3">{row.line}</td>
                <td className="pr-3">{row.food}</td>
                <td className="pr-3">{row.amount}</td>
                <td className="pr-3">{row.place}</td>
                <td className="pr-3">{row.date}</td>
                <td>{row.price_minor === null ? "" : money(row.price_minor)}</td>
                <td>
                  <button
                    type="button"
                    className="px-2 min-w-[28px] min-h-[26px] phone:min-w-[44px] phone:min-h-[44px] text-rim"
                    aria-label={say.leaveLineOut(row.line)}
                    onClick={() => onSkip(row.line)}
                  >
                    ✕
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {more}
    </Board>
  );
}
