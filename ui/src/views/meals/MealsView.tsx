import { useQuery } from "@tanstack/react-query";
import { useEffect, useEffectEvent, useState } from "react";
import { weekQuery } from "../../api/queries";
import type { Week } from "../../api/types";
import { useGo } from "../../app/address";
import { useInAddress } from "../../app/inAddress";
import { useActs } from "../../app/acts";
import { useMoney, useSession } from "../../app/session";
import { Link } from "wouter";
import { Form, Submit, Text } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { Fold } from "../../kit/Fold";
import { Loaded } from "../../kit/state";
import { addDays, shortDay } from "../../words/common";
import * as eat from "../../words/eatDown";
import * as say from "../../words/meals";
import * as occasion from "../../words/occasions";
import { Balance } from "./Balance";
import { Choosing } from "./Choosing";
import { MealCard } from "./MealCard";
import { RulesSheet } from "./RulesSheet";
import { ShoppingDays } from "./ShoppingDays";
import { TurningList, UseUp } from "./UseUp";
import { MonthGrid } from "./MonthGrid";
import { useFilling, type Filling } from "./useFilling";
import { WeekGrid, type Chosen } from "./WeekGrid";

const DAYS = 7;
const MONTH = 28;
const IN_HAND = 3;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** The day and the month alone: "24 Nov". */
const bare = (day: string) => shortDay(day).split(" ").slice(1).join(" ");

const sameMonth = (week: Week) => week.from.slice(0, 7) === week.to.slice(0, 7);

/** Meals that a filling may change: planned, not kept, still to come. */
function changeable(week: Week, today: string): number[] {
  return week.days
    .filter((day) => day.on >= today)
    .flatMap((day) => day.slots.flatMap((slot) => slot.meals))
    .filter((meal) => meal.status === "planned" && !meal.pinned && ["cook", "leftovers", "kept"].includes(meal.kind))
    .map((meal) => meal.id);
}

function Head({
  week,
  filling,
  from,
  onFrom,
  month,
}: {
  week: Week;
  filling: Filling;
  from: string;
  onFrom: (day: string) => void;
  month: boolean;
}) {
  const step = month ? MONTH : DAYS;
  const { today } = useSession();
  const again = changeable(week, today);
  const go = useGo();
  const [rules, setRules] = useState(false);
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2 mb-3">
      <h1>{say.weekOf(sameMonth(week) ? bare(week.from).split(" ")[0]! : bare(week.from), bare(week.to))}</h1>
      <span className="flex gap-1" role="group" aria-label={say.meals}>
        <Button aria-label={say.earlier} onClick={() => onFrom(addDays(from, -step))}>
          ‹
        </Button>
        {from !== today && <Button onClick={() => onFrom(today)}>{say.thisWeek}</Button>}
        <Button aria-label={say.later} onClick={() => onFrom(addDays(from, step))}>
          ›
        </Button>
      </span>
      <Balance balance={week.balance} />
      <span className="flex flex-wrap gap-2 ml-auto phone:ml-0">
        {filling.running ? (
          <>
            <span role="status" className="self-center text-soft">
              {say.lookingFor(filling.plan?.open ?? 0)}
            </span>
            <Button onClick={filling.stop}>{say.neverMind}</Button>
            <Button look="main" disabled={!filling.plan} onClick={filling.take}>
              {say.takeThese}
            </Button>
          </>
        ) : (
          <>
            <Button look="plain" onClick={() => go(`/meals/audit?from=${from}`)}>
              {say.lookFirstAlong}
            </Button>
            <Button look="plain" onClick={() => setRules(true)}>
              {say.changeRules}
            </Button>
            {again.length > 0 && (
              <Button title={say.fillAgainHint} onClick={() => filling.start(again)}>
                {say.fillAgain}
              </Button>
            )}
            <Button look="main" onClick={() => filling.start()}>
              {say.fillOpen}
            </Button>
          </>
        )}
      </span>
      {rules && <RulesSheet week={week} onClose={() => setRules(false)} />}
    </div>
  );
}

/** What was planned for days that have passed and not cooked: carried over, cooked after all, or dropped. */
function Undone({ week }: { week: Week }) {
  const { act } = useActs();
  if (week.undone.length === 0) return null;
  return (
    <Board tone="mustard" className="p-3 mb-3" title={say.notCooked}>
      <ul className="flex flex-wrap gap-x-5 gap-y-1 mt-1">
        {week.undone.map((meal) => (
          <li key={meal.id} className="flex gap-1 items-center">
            <span>
              {meal.name}
              {meal.on === null ? "" : `, ${shortDay(meal.on)}`}
            </span>
            {meal.kind === "cook" && (
              <Link className="text-rim underline px-1" to={`/meals/${meal.id}`}>
                {say.cookedAfterAll}
              </Link>
            )}
            <Button look="plain" onClick={() => act(`/api/meals/${meal.id}/drop`, {}, say.drop(meal.name))}>
              {say.dropIt}
              <span className="sr-only"> {meal.name}</span>
            </Button>
          </li>
        ))}
      </ul>
      <Button look="main" className="mt-1" onClick={() => act("/api/plan/carry-over", {}, say.carryOver)}>
        {say.carryOver}
      </Button>
    </Board>
  );
}

/** How the days without shopping go, while they run. */
function Running({ week }: { week: Week }) {
  const { act } = useActs();
  const money = useMoney();
  const { span } = week;
  if (!span) return null;
  return (
    <Board tone="mustard" className="p-3 mb-3" title={eat.runs(span.name, span.day, span.days)}>
      <p className="mt-1">
        {eat.soFar(span.meals, money(span.spent_minor))}.{" "}
        {span.busy.length > 0 && eat.busy(span.busy.map((day) => shortDay(day)).join(", "))}
      </p>
      {span.notes.length > 0 && (
        <ul className="mt-1 text-small" aria-label={eat.wentWell}>
          {span.notes.map((note) => (
            <li key={note.on + note.text}>
              {shortDay(note.on)}: {note.text}
            </li>
          ))}
        </ul>
      )}
      <Form
        className="flex flex-wrap gap-2 items-end my-2"
        label={eat.wentWell}
        key={span.notes.length}
        onSave={(form) => act(`/api/plan/spans/${span.id}/note`, { text: String(form.get("well")) }, eat.wentWell)}
      >
        <Text label={eat.wentWell} name="well" required maxLength={300} wide="grow max-w-[520px]" />
        <Submit>{eat.keepIt}</Submit>
      </Form>
      <Button look="plain" onClick={() => act(`/api/plan/spans/${span.id}/end`, {}, eat.end)}>
        {eat.end}
      </Button>
    </Board>
  );
}

/** Occasions of these days, and those that are near and not on the plan. */
function ComesUp({ week }: { week: Week }) {
  const open = week.occasions.filter((one) => !one.on_plan && one.in_days >= 0);
  if (open.length === 0) return null;
  return (
    <Board className="p-3 mb-3" title={occasion.comesUp}>
      <ul className="flex flex-wrap gap-x-6 gap-y-1 mt-1">
        {open.map((one) => (
          <li key={`${one.id}${one.on}`}>
            <Link className="text-rim underline" to={`/occasions/${one.id}`}>
              {one.name}
            </Link>
            , {occasion.soon(shortDay(one.on), one.in_days, one.heads)}
          </li>
        ))}
      </ul>
    </Board>
  );
}

/** Meals that wait without a day. */
function Pool({ week, filling, onSwap }: { week: Week; filling: Filling; onSwap: (chosen: Chosen) => void }) {
  const { today } = useSession();
  return (
    <Board className="p-3 mt-3" title={say.aside}>
      <p className="text-small text-soft mb-2">{say.asideHint}</p>
      <Button className="mb-2" disabled={filling.running} onClick={() => filling.inHand(IN_HAND)}>
        {say.findInHand(IN_HAND)}
      </Button>
      <div className="grid gap-2 grid-cols-[repeat(auto-fill,minmax(170px,1fr))]">
        {week.pool.map((meal) => (
          <MealCard key={meal.id} meal={meal} onSwap={() => onSwap({ on: today, meal: meal.meal, instead: meal })} />
        ))}
      </div>
    </Board>
  );
}

export default function MealsView() {
  const { today } = useSession();
  const go = useGo();
  const [from, setFrom] = useInAddress("from", today, (said) => DAY.test(said));
  const [day] = useInAddress("day", "", (said) => DAY.test(said) && said >= today);
  const [chosen, setChosen] = useState<Chosen | null>(day === "" ? null : { on: day, meal: "dinner" });
  const [span, setSpan] = useInAddress("span", "week", (said) => said === "month");
  const days = span === "month" ? MONTH : DAYS;
  const query = useQuery(weekQuery(from, days));
  // A dish that cannot be cooked any more leads here for another one.
  const [instead, setInstead] = useInAddress("instead", "", (said) => /^\d+$/.test(said));
  const other = query.data?.days
    .flatMap((one) => one.slots.flatMap((slot) => slot.meals))
    .find((meal) => String(meal.id) === instead && meal.status === "planned");
  const choosing = chosen ?? (other ? { on: other.on ?? today, meal: other.meal, instead: other } : null);
  const done = () => {
    setChosen(null);
    setInstead("");
  };
  const filling = useFilling(from, addDays(from, days - 1));
  const [asked, setAsked] = useInAddress("fill", "", (said) => said === "yes");
  const begin = useEffectEvent(() => {
    setAsked("");
    filling.start();
  });
  useEffect(() => {
    if (asked === "yes") begin();
  }, [asked]);
  return (
    <>
      <Loaded query={query} what={say.fetchingThePlan}>
        {(week) => (
          <>
            <Head week={week} filling={filling} from={from} onFrom={setFrom} month={span === "month"} />
            <Running week={week} />
            <ComesUp week={week} />
            <Undone week={week} />
            {span === "month" ? (
              <MonthGrid week={week} today={today} onDay={(on) => go(`/meals?from=${on}`)} />
            ) : (
              <div className="grid gap-3 items-start wide:grid-cols-[210px_1fr]">
                <UseUp stacks={week.use_up} className="phone:hidden" />
                <div className="hidden phone:block">
                  <Fold title={say.useUp} note={say.inTheOrder}>
                    <TurningList stacks={week.use_up} />
                  </Fold>
                </div>
                <WeekGrid
                  week={week}
                  proposed={filling.plan?.meals ?? []}
                  replaced={filling.again}
                  chosen={choosing}
                  onChoose={setChosen}
                  onFill={(slot) => filling.start([], [slot])}
                />
              </div>
            )}
            <div className="flex gap-2 mt-3">
              <Button onClick={() => setSpan(span === "month" ? "week" : "month")}>
                {span === "month" ? say.oneWeek : say.month}
              </Button>
              <Button onClick={() => go(`/print/week?from=${from}`)}>{say.printIt}</Button>
            </div>
            <ShoppingDays trips={week.trips} />
            <Pool week={week} filling={filling} onSwap={setChosen} />
          </>
        )}
      </Loaded>
      <Choosing chosen={choosing} onDone={done} />
    </>
  );
}
