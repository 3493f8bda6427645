import { useQuery } from "@tanstack/react-query";
import { useRef } from "react";
import { lookBackAdviceQuery } from "../../api/queries";
import type { LookBackAdvice } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney, useSession } from "../../app/session";
import { Board, Button } from "../../kit/kit";
import { Why } from "../../kit/Why";
import { dayMonth } from "../../words/common";
import * as say from "../../words/advice";
import { KeptHere } from "./KeptHere";

type Suggestion = LookBackAdvice["advice"][number];

function Change({ one, from, to, keeper }: { one: Suggestion; from: string; to: string; keeper: boolean }) {
  const { act } = useActs();
  const money = useMoney();
  const under = useRef(false);
  // A second press of a hurried thumb is the same press.
  const answer = async (take: boolean) => {
    if (under.current) return;
    under.current = true;
    const body = { food_id: one.food_id, kind: one.kind, take, from, to };
    await act("/api/look-back/advice", body, say.about(one.food)).finally(() => (under.current = false));
  };
  return (
    <li className="border-t border-zinc2 py-2">
      <b>{one.food}</b>: {say.change(one.kind, one.to)}
      <span className="block text-pea font-semibold">{say.saves(money(one.saving_minor))}</span>
      <Why steps={one.steps} />
      {keeper && (
        <div className="flex flex-wrap gap-2 mt-1">
          <Button look="main" onClick={() => answer(true)} aria-label={say.doOf(say.doIt(one.kind), one.food)}>
            {say.doIt(one.kind)}
          </Button>
          <Button look="plain" onClick={() => answer(false)} aria-label={say.doOf(say.notNow, one.food)}>
            {say.notNow}
          </Button>
        </div>
      )}
    </li>
  );
}

function Followed({ list }: { list: LookBackAdvice["followed"] }) {
  const money = useMoney();
  if (list.length === 0) return null;
  return (
    <>
      <h3 className="mt-2">{say.didItHelp}</h3>
      <ul>
        {list.map((one) => (
          <li key={`${one.food_id} ${one.on}`} className="border-t border-zinc2 py-1">
            <b>{one.food}</b> <span className="text-soft">{say.since(say.changed(one.kind), dayMonth(one.on))}</span>
            <span className="block">
              {say.verdict(one.verdict, one.weeks, money(one.before_minor), money(one.after_minor))}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** What is worth changing, each with what it would have saved and a touch that changes it. */
function ToChange({ told, from, to }: { told: LookBackAdvice; from: string; to: string }) {
  const keeper = useSession().person?.role === "keeper";
  return (
    <Board title={say.toChange} note={say.toChangeNote} tone="mustard" className="phone:order-[-1]">
      {told.advice.length === 0 && <p className="mt-1">{say.nothingToChange}</p>}
      <ul>
        {told.advice.map((one) => (
          <Change key={`${one.food_id} ${one.kind}`} one={one} from={from} to={to} keeper={keeper} />
        ))}
      </ul>
      <Followed list={told.followed} />
    </Board>
  );
}

function EatDowns({ list }: { list: LookBackAdvice["eat_downs"] }) {
  const money = useMoney();
  if (list.length === 0) return null;
  return (
    <Board title={say.eatDowns}>
      {list.map((one) => (
        <div key={one.from} className="border-t border-zinc2 py-1.5 first:border-t-0">
          <b>{one.name}</b>{" "}
          <span className="text-soft">
            {dayMonth(one.from)} – {dayMonth(one.to)}
          </span>
          <p>
            {say.mealsMade(one.meals)}{" "}
            {one.not_spent_minor === null || one.usual_minor === null
              ? ""
              : say.notSpent(money(one.not_spent_minor), money(one.usual_minor))}
          </p>
          {one.untouched.length > 0 && <p>{say.buyLess(one.untouched.join(", "))}</p>}
        </div>
      ))}
    </Board>
  );
}

/** What is worth changing, first of all that follows. */
export function Advice({ from, to }: { from: string; to: string }) {
  const { data } = useQuery(lookBackAdviceQuery(from, to));
  return data ? <ToChange told={data} from={from} to={to} /> : null;
}

/** What days without shopping came to, and how long things keep here. */
export function Learnt({ from, to }: { from: string; to: string }) {
  const { data } = useQuery(lookBackAdviceQuery(from, to));
  if (!data) return null;
  return (
    <>
      <EatDowns list={data.eat_downs} />
      {data.keeping.length > 0 && (
        <Board title={say.keptHere} note={say.keptHereNote}>
          <KeptHere list={data.keeping} />
        </Board>
      )}
    </>
  );
}
