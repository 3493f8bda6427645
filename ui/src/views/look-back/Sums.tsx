import type { ReactNode } from "react";
import type { LookBack } from "../../api/types";
import { useMoney } from "../../app/session";
import { Board } from "../../kit/kit";
import { FirstOf } from "../../kit/Fold";
import { css } from "../../kit/css";
import { dayMonth } from "../../words/common";
import * as say from "../../words/lookBack";

function Figure({ value, words, tone = "" }: { value: ReactNode; words: string; tone?: string }) {
  return (
    <div
      className={css(
        "flex flex-col-reverse justify-end px-3.5 py-1.5",
        "border-l border-zinc2 first:border-l-0 phone:px-2 phone:border-l-0",
      )}
    >
      <dt className="text-small text-soft">{words}</dt>
      <dd className={`font-head text-head font-semibold ${tone}`}>{value}</dd>
    </div>
  );
}

/** What it comes to, read before anything else. */
export function Total({ total }: { total: LookBack["total"] }) {
  const money = useMoney();
  const share = total.waste_permille;
  return (
    <>
      <dl className="board flex flex-wrap phone:grid phone:grid-cols-2">
        <Figure value={money(total.leaving_minor)} words={say.leaving} />
        <Figure
          value={money(total.wasted_minor)}
          words={say.wasted(total.wasted)}
          tone={total.wasted_minor > 0 ? "text-beet" : ""}
        />
        <Figure value={share === null ? "–" : say.percent(share)} words={say.wasteShare} />
        <Figure value={money(total.rescued_minor)} words={say.rescued} tone="text-pea" />
      </dl>
      {(total.estimated_minor > 0 || total.unweighed > 0) && (
        <p className="text-small text-soft">
          {total.estimated_minor > 0 && say.estimated(money(total.estimated_minor))}{" "}
          {total.unweighed > 0 && say.unweighed(total.unweighed)}
        </p>
      )}
    </>
  );
}

function Line({ words, sum, strong = false }: { words: string; sum: string; strong?: boolean }) {
  return (
    <tr className={`border-t border-zinc2 ${strong ? "font-semibold" : ""}`}>
      <th scope="row" className={`text-left py-0.5 ${strong ? "" : "font-normal"}`}>
        {words}
      </th>
      <td className="text-right">{sum}</td>
    </tr>
  );
}

/** Nothing is lost between what was there, what came and what left. */
export function AddsUp({ balance }: { balance: LookBack["balance"] }) {
  const money = useMoney();
  return (
    <Board title={say.adds} note={say.addsNote}>
      <table className="w-full mt-1">
        <tbody>
          <Line words={say.opening} sum={money(balance.opening_minor)} strong />
          {balance.came
            .filter((one) => one.value_minor !== 0)
            .map((one) => (
              <Line key={one.way} words={say.CAME[one.way] ?? one.way} sum={`+ ${money(one.value_minor)}`} />
            ))}
          {balance.left
            .filter((one) => one.value_minor !== 0)
            .map((one) => (
              <Line key={one.kind} words={say.KINDS[one.kind] ?? one.kind} sum={`− ${money(one.value_minor)}`} />
            ))}
          <Line words={say.closing} sum={money(balance.closing_minor)} strong />
        </tbody>
      </table>
    </Board>
  );
}

/** What there was none of for a while. */
export function RanOut({ list }: { list: LookBack["ran_out"] }) {
  return (
    <Board title={say.ranOut} note={say.ranOutNote}>
      {list.length === 0 && <p className="mt-1">{say.nothingRanOut}</p>}
      <ul>
        <FirstOf list={list} most={6} what={say.times}>
          {(one) => (
            <li key={`${one.food_id} ${one.on}`} className="border-t border-zinc2 py-1">
              <b>{one.food}</b>{" "}
              <span className="text-soft">
                {say.outFor(dayMonth(one.on), say.days(one.days), one.until && dayMonth(one.until))}
              </span>
            </li>
          )}
        </FirstOf>
      </ul>
    </Board>
  );
}
