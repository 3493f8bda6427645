import type { ReactNode } from "react";
import type { Week } from "../../api/types";
import { useMoney } from "../../app/session";
import * as say from "../../words/meals";

function Sum({ value, words, tone = "" }: { value: ReactNode; words: string; tone?: string }) {
  return (
    <div className="flex flex-col-reverse justify-end px-3.5 py-1.5 border-l border-zinc2 first:border-l-0 phone:px-2">
      <dt className="text-small text-soft">{words}</dt>
      <dd className={`font-head text-lead font-semibold ${tone}`}>{value}</dd>
    </div>
  );
}

/** What the days come to: one line on top, read before anything else. */
export function Balance({ balance }: { balance: Week["balance"] }) {
  const money = useMoney();
  const share = balance.from_shelf_percent;
  return (
    <dl className="board flex flex-wrap phone:grid phone:grid-cols-2">
      <Sum
        value={money(balance.to_buy_minor)}
        words={
          balance.budget_minor === null
            ? say.toBuy(money(balance.all_bought_minor))
            : say.toBuyOf(money(balance.budget_minor), money(balance.all_bought_minor))
        }
        tone={balance.budget_minor !== null && balance.to_buy_minor > balance.budget_minor ? "text-beet" : ""}
      />
      <Sum value={money(balance.rescued_minor)} words={say.rescuedSum} tone="text-pea" />
      <Sum value={money(balance.past_minor)} words={say.stillPast} tone={balance.past_minor > 0 ? "text-beet" : ""} />
      <Sum value={share === null ? "–" : `${share} %`} words={say.fromTheShelf} />
    </dl>
  );
}
