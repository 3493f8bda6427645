import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { lookBackByQuery } from "../../api/queries";
import type { LookBackRows } from "../../api/types";
import { useMoney } from "../../app/session";
import { Toggles } from "../../kit/choices";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/lookBack";
import { TONES } from "./tones";

type Row = LookBackRows["rows"][number];

const FEW = 8;

/** The bar of a row: what was eaten of it and what was wasted, against the row that left most. */
function Share({ row, most }: { row: Row; most: number }) {
  const before = row.kinds.map((_, at) => row.kinds.slice(0, at).reduce((sum, kind) => sum + kind.value_minor, 0));
  const part = (value: number) => `${most > 0 ? (value / most) * 100 : 0}%`;
  return (
    <svg width="100%" height="10" aria-hidden="true" className="block min-w-[80px]">
      {row.kinds.map((kind, at) => (
        <rect
          key={kind.kind}
          x={part(before[at] ?? 0)}
          width={part(kind.value_minor)}
          height="10"
          style={{ fill: TONES[kind.kind] ?? "" }}
        />
      ))}
    </svg>
  );
}

function Rows({ rows, onPick }: { rows: Row[]; onPick: (row: Row) => void }) {
  const money = useMoney();
  const [all, setAll] = useState(false);
  const most = Math.max(...rows.map((row) => row.leaving_minor), 0);
  const shown = all || rows.length <= FEW + 1 ? rows : rows.slice(0, FEW);
  return (
    <>
      <table className="w-full">
        <thead>
          <tr className="text-left text-soft text-small">
            <th scope="col" className="font-normal">
              <span className="sr-only">{say.bySome}</span>
            </th>
            <th scope="col" className="font-normal w-[30%] phone:hidden">
              <span className="sr-only">{say.share}</span>
            </th>
            <th scope="col" className="font-normal text-right pl-2">
              {say.left}
            </th>
            <th scope="col" className="font-normal text-right pl-2">
              {say.wastedColumn}
            </th>
            <th scope="col" className="font-normal text-right pl-2 phone:hidden">
              {say.weighs}
            </th>
            <th scope="col" className="font-normal text-right pl-2">
              {say.wastedShare}
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <tr key={row.key} className="border-t border-zinc2">
              <th scope="row" className="text-left font-normal">
                <button
                  type="button"
                  className="text-left text-rim underline min-h-[34px] phone:min-h-[44px]"
                  onClick={() => onPick(row)}
                >
                  {row.name}
                </button>
              </th>
              <td className="phone:hidden pr-2">
                <Share row={row} most={most} />
              </td>
              <td className="text-right pl-2 whitespace-nowrap">{money(row.leaving_minor)}</td>
              <td
                className={`text-right pl-2 whitespace-nowrap ${row.wasted_minor > 0 ? "text-beet font-semibold" : ""}`}
              >
                {money(row.wasted_minor)}
              </td>
              <td className="text-right pl-2 whitespace-nowrap phone:hidden">
                {row.wasted_minor > 0 ? row.wasted : ""}
              </td>
              <td className="text-right pl-2 whitespace-nowrap">
                {row.waste_permille === null ? "" : say.percent(row.waste_permille)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length < rows.length && (
        <Button look="plain" onClick={() => setAll(true)}>
          {say.showAll(rows.length)}
        </Button>
      )}
    </>
  );
}

/** The same sums by food, reason, place, shop, pack size or person. */
export function Ways({
  from,
  to,
  onPick,
  file,
}: {
  from: string;
  to: string;
  onPick: (way: say.Way, key: string, name: string) => void;
  file: (way: string, name: string) => React.ReactNode;
}) {
  const [way, setWay] = useState<say.Way>("food");
  const query = useQuery({ ...lookBackByQuery(way, from, to), placeholderData: keepPreviousData });
  return (
    <Board title={say.bySome}>
      <Toggles
        label={say.bySome}
        options={say.WAYS}
        value={way}
        onPick={(one) => setWay(one as say.Way)}
        className="flex flex-wrap gap-1.5 my-1.5"
      />
      <Loaded query={query} what={say.adding}>
        {(found) => <Rows key={found.way} rows={found.rows} onPick={(row) => onPick(found.way, row.key, row.name)} />}
      </Loaded>
      {file(way, say.WAYS.find(([one]) => one === way)?.[1] ?? way)}
    </Board>
  );
}
