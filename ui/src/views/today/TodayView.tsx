import { useQuery } from "@tanstack/react-query";
import { Link } from "wouter";
import { placesQuery, todayQuery } from "../../api/queries";
import type { Meal, Today } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Board, Button, Empty } from "../../kit/kit";
import { FirstOf, Fold } from "../../kit/Fold";
import { Loaded } from "../../kit/state";
import { dayWords, shortDay } from "../../words/common";
import { ShelfChip } from "../shelf/ShelfChip";
import { Ahead } from "./Ahead";
import { Chores } from "./Chores";
import { StillThere } from "./StillThere";
import { useStackSheet } from "./useStackSheet";
import * as say from "../../words/today";
import { css } from "../../kit/css";

export function TodayView() {
  const query = useQuery(todayQuery);
  return (
    <Loaded query={query} what={say.lookingAtDay}>
      {(today) => <TodayPage today={today} />}
    </Loaded>
  );
}

function TodayPage({ today }: { today: Today }) {
  const { household } = useSession();
  const { open, sheet } = useStackSheet();
  const bare = useQuery(placesQuery).data?.every((place) => place.stacks === 0) ?? false;
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6 mb-2">
        <h1>{dayWords(today.today, today.today).replace(say.today, "")}</h1>
        <span className="text-soft">{household?.name}</span>
      </div>
      {bare ? (
        <Welcome />
      ) : (
        <div className="grid gap-3 wide:grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)] items-start">
          {/* What hands have to do, what turns and what needs somebody stand on the first screen. */}
          <div className="grid gap-3 phone:contents">
            <div className="phone:order-1">
              <Chores today={today} />
            </div>
            <div className="phone:order-4">
              <Needs today={today} onPick={open} />
            </div>
            <div className="phone:order-2 empty:hidden">
              <StillThere questions={today.questions} onPick={open} />
            </div>
            <div className="phone:order-6 empty:hidden">
              <Ahead today={today} onPick={open} />
            </div>
            <div className="phone:order-5">
              <Coming meals={today.meals} today={today.today} />
            </div>
          </div>
          <div className="phone:order-3">
            <Front today={today} onPick={open} />
          </div>
        </div>
      )}
      {sheet}
    </>
  );
}

function Welcome() {
  return (
    <Empty title={say.startWithOne}>
      <p>
        {say.clearShelfThrow} <b>{say.threeTinsChickpeas}</b>
        {say.labelLineAt} <kbd>n</kbd> {say.leadsThere}
      </p>
      <p className="mt-3">
        {say.orGo}{" "}
        <Link className="underline text-rim font-semibold" to="/count">
          {say.placePlaceWith}
        </Link>
        {say.datesCanWait}
      </p>
      <p className="mt-3">
        {say.haveYouList}{" "}
        <Link className="underline text-rim font-semibold" to="/bring-in">
          {say.bringInCsv}
        </Link>
        .
      </p>
    </Empty>
  );
}

function Front({ today, onPick }: { today: Today; onPick: (id: number) => void }) {
  return (
    <Board tone="beet" title={say.frontShelf} note={say.turnsWithinWeek}>
      {today.front.length === 0 && <p className="mt-3">{say.nothingTurnsThis}</p>}
      <ul className="mt-1">
        <FirstOf list={today.front} most={8} what={say.eatThisWeek}>
          {(row) => (
            <li
              key={row.stack.id}
              className={css(
                "grid grid-cols-[190px_minmax(0,1fr)] phone:grid-cols-[minmax(0,1fr)]",
                "gap-x-4 gap-y-1 py-[3px] border-t border-zinc2 items-center",
              )}
            >
              <ShelfChip
                stack={row.stack}
                place={row.place}
                tied={row.ties.length > 0}
                onPick={() => onPick(row.stack.id)}
              />
              <div className="text-small min-w-0">
                <span className="text-soft">{row.place}</span>
                {row.ties.map((tie) => (
                  <div key={tie.meal_id} className="text-pea font-semibold">
                    {tie.amount} {say.forWhom}{" "}
                    <Link className="underline" to={`/meals/${tie.meal_id}`}>
                      {tie.name}
                    </Link>
                    , {shortDay(tie.on)}
                  </div>
                ))}
                <Ideas row={row} today={today.today} />
              </div>
            </li>
          )}
        </FirstOf>
      </ul>
    </Board>
  );
}

function Ideas({ row, today }: { row: Today["front"][number]; today: string }) {
  const { act } = useActs();
  if (row.dishes.length === 0) return row.ties.length > 0 ? null : <div className="text-soft">{say.noDishHere}</div>;
  return (
    <div className="flex flex-wrap gap-x-3">
      {row.dishes.slice(0, row.ties.length > 0 ? 1 : 2).map((dish) => (
        <button
          key={dish.recipe_id}
          type="button"
          className="text-rim underline decoration-dotted underline-offset-2 text-left min-h-[24px] phone:min-h-[44px]"
          title={say.putOnToday(dish.name)}
          onClick={() => void act("/api/meals", { recipe_id: dish.recipe_id, on: today }, dish.name)}
        >
          {dish.name}{" "}
          <span className="text-soft no-underline">
            ({dish.covered_percent} {say.here}
          </span>
        </button>
      ))}
    </div>
  );
}

function Coming({ meals, today }: { meals: Meal[]; today: string }) {
  const first = meals.find((meal) => meal.status === "planned");
  return (
    <Fold
      title={say.onComingDays}
      note={first ? `${first.on === today ? "today" : shortDay(first.on ?? today)}: ${first.name}` : say.nothingPlanned}
    >
      {meals.length === 0 && (
        <p className="mt-2 text-soft">
          {say.nothingIsPlanned}{" "}
          <Link className="underline text-rim font-semibold" to="/meals">
            {say.seeWhatCould}
          </Link>
          .
        </p>
      )}
      <ul className="mt-2 grid gap-2">
        {meals.map((meal) => (
          <li key={meal.id} className="flex gap-3 items-center border-t border-zinc2 pt-2">
            <span className="w-[96px] shrink-0 text-soft text-small leading-tight">
              {meal.on === today ? "today" : shortDay(meal.on ?? today)}
              <br />
              {meal.meal}
            </span>
            <span className="grow min-w-0 leading-tight">
              <b>{meal.name}</b>
              <span className="block text-small text-soft">
                {meal.status === "cooked"
                  ? "cooked"
                  : meal.covered_percent === 100
                    ? say.allOnShelf
                    : say.onTheShelf(meal.covered_percent ?? 0)}
              </span>
            </span>
            {meal.status === "planned" && (
              <Link className="btn" to={`/meals/${meal.id}`} aria-label={say.cook(meal.name)}>
                {say.cookIt}
              </Link>
            )}
          </li>
        ))}
      </ul>
    </Fold>
  );
}

function Needs({ today, onPick }: { today: Today; onPick: (id: number, panel?: string) => void }) {
  const { act } = useActs();
  return (
    <Board
      tone="mustard"
      title={say.needsYou}
      note={today.needs_count > today.needs.length ? say.theFirstOf(today.needs.length, today.needs_count) : undefined}
    >
      {today.needs.length === 0 && <p className="mt-2 text-soft">{say.nothingNeedsYou}</p>}
      <ul className="mt-1">
        <FirstOf list={today.needs} most={4} what={say.thatNeedYou}>
          {(need) => (
            <li
              key={`${need.kind}-${need.stack.id}`}
              className={css(
                "grid grid-cols-[170px_minmax(0,1fr)_auto] phone:grid-cols-[minmax(0,1fr)_auto]",
                "gap-x-2 gap-y-1 items-center border-t border-zinc2 py-[3px] text-small",
              )}
            >
              <ShelfChip stack={need.stack} place={need.place} onPick={() => onPick(need.stack.id)} />
              <span className="leading-snug phone:col-span-2 phone:row-start-2">
                {need.text} <span className="text-soft">{need.place}</span>
              </span>
              {need.kind === "undated" && (
                <Button onClick={() => onPick(need.stack.id, "amend")} aria-label={say.putDateOn(need.stack.name)}>
                  {say.putADate}
                </Button>
              )}
              {need.kind === "look" && (
                <Button onClick={() => onPick(need.stack.id, "look")} aria-label={say.lookAt(need.stack.name)}>
                  {say.look}
                </Button>
              )}
              {need.kind === "stop" && (
                <Button
                  look="grave"
                  onClick={() =>
                    act(
                      `/api/stacks/${need.stack.id}/throw`,
                      { outcome: "binned", why: "turned" },
                      say.throwAway(need.stack.name),
                    )
                  }
                  aria-label={say.throwOut(need.stack.name)}
                >
                  {say.throwIt}
                </Button>
              )}
            </li>
          )}
        </FirstOf>
      </ul>
    </Board>
  );
}
