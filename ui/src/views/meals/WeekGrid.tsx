import { useState } from "react";
import type { Proposed } from "../../api/propose";
import type { MealSlot, PlannedMeal, Week } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { css } from "../../kit/css";
import { Button } from "../../kit/kit";
import { shortDay } from "../../words/common";
import * as say from "../../words/meals";
import { MealCard } from "./MealCard";
import { SlotSheet } from "./SlotSheet";

export interface Chosen {
  on: string;
  meal: string;
  /** The meal another dish is chosen for. */
  instead?: PlannedMeal;
}

interface Props {
  week: Week;
  proposed: Proposed[];
  /** Meals that give way once the proposed ones are taken. */
  replaced: readonly number[];
  chosen: Chosen | null;
  onChoose: (chosen: Chosen) => void;
  onFill: (slot: { on: string; meal: string }) => void;
}

/** What this meal is like, where it is not as always. */
export function slotWords(slot: MealSlot): string {
  const words = [];
  if (slot.evening !== "home") words.push(say.evenings[slot.evening] ?? slot.evening);
  if (slot.timed && slot.minutes !== null) words.push(say.minutesThere(slot.minutes));
  if (slot.note !== "") words.push(slot.note);
  return words.join(", ");
}

function Open({
  slot,
  on,
  chosen,
  onChoose,
  onFill,
}: { slot: MealSlot; on: string } & Pick<Props, "chosen" | "onChoose" | "onFill">) {
  const { act } = useActs();
  const choosing = chosen?.on === on && chosen.meal === slot.meal && !chosen.instead;
  return (
    <div className="flex flex-wrap gap-1">
      <button
        type="button"
        aria-pressed={choosing}
        className={css(
          "grow rounded-md border-[1.5px] border-dashed px-2 py-1.5 text-small text-left phone:min-h-[44px]",
          choosing ? "border-rim text-rim font-semibold bg-rim2" : "border-edge text-soft",
        )}
        onClick={() => onChoose({ on, meal: slot.meal })}
      >
        {choosing ? say.choosingForThis : say.chooseADish}
        <span className="sr-only"> {say.chooseFor(slot.meal, shortDay(on))}</span>
      </button>
      <Button
        look="plain"
        className="small-btn"
        aria-label={say.fillThis(slot.meal, shortDay(on))}
        onClick={() => onFill({ on, meal: slot.meal })}
      >
        {say.fillIt}
      </Button>
      <Button
        look="plain"
        className="small-btn"
        aria-label={say.eatOutOn(slot.meal, shortDay(on))}
        onClick={() => act("/api/meals", { kind: "out", on, meal: slot.meal }, say.eatOut)}
      >
        {say.eatOut}
      </Button>
    </div>
  );
}

function Looking({ meals }: { meals: Proposed[] }) {
  return meals.map((one) => (
    <div
      key={one.on + one.meal + one.name}
      className="rounded-md border-[1.5px] border-dashed border-pea p-2 text-small"
    >
      <h3 className="text-small leading-snug">{one.name}</h3>
    </div>
  ));
}

function Slot({
  slot,
  on,
  row,
  onSlot,
  ...rest
}: { slot: MealSlot; on: string; row: number; onSlot: () => void } & Props) {
  const { act } = useActs();
  const [over, setOver] = useState(false);
  const proposed = rest.proposed.filter((one) => one.on === on && one.meal === slot.meal);
  const standing = slot.meals.filter((meal) => rest.proposed.length === 0 || !rest.replaced.includes(meal.id));
  const empty = standing.length === 0 && proposed.length === 0;
  return (
    <div
      className={css("week-slot min-w-0 rounded-lg p-1", over && "bg-rim2")}
      style={{ "--row": row } as React.CSSProperties}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes("text/x-meal")) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        setOver(false);
        const id = event.dataTransfer.getData("text/x-meal");
        if (id) void act(`/api/meals/${id}/slide`, { on, meal: slot.meal }, say.slideTo(shortDay(on)));
      }}
    >
      <button
        type="button"
        className="text-small text-soft text-left w-full rounded hover:underline min-h-[24px] phone:min-h-[44px]"
        onClick={onSlot}
      >
        <span className="capitalize">{slot.meal}</span>
        {slotWords(slot) !== "" && <span className="block text-mustardedge font-semibold">{slotWords(slot)}</span>}
        <span className="sr-only">{say.onDay(shortDay(on))}</span>
      </button>
      <div className="grid gap-1.5">
        {standing.map((meal) => (
          <MealCard
            key={meal.id}
            meal={meal}
            onSwap={() => rest.onChoose({ on, meal: slot.meal, instead: meal })}
            onBeside={() => rest.onChoose({ on, meal: slot.meal })}
          />
        ))}
        <Looking meals={proposed} />
        {empty && slot.wanted && (
          <Open slot={slot} on={on} chosen={rest.chosen} onChoose={rest.onChoose} onFill={rest.onFill} />
        )}
      </div>
    </div>
  );
}

/** Days as columns, meals as rows that stand level; on a phone one day a screen, swiped or by its button. */
export function WeekGrid(props: Props) {
  const { today } = useSession();
  const [opened, setOpened] = useState<{ on: string; meal: string } | null>(null);
  const { week } = props;
  const there = new Set(week.days.flatMap((day) => day.slots.map((slot) => slot.meal)));
  const meals = (["breakfast", "lunch", "dinner", "snack"] as const).filter((meal) => there.has(meal));
  const slot = opened && week.days.find((day) => day.on === opened.on)?.slots.find((one) => one.meal === opened.meal);
  return (
    <div className="min-w-0">
      <div role="group" aria-label={say.dayButtons} className="hidden phone:flex gap-1 overflow-x-auto tight">
        {week.days.map((day) => (
          <Button
            key={day.on}
            className="grow"
            onClick={() => document.getElementById(`day-${day.on}`)?.scrollIntoView({ block: "nearest" })}
          >
            {shortDay(day.on).split(" ")[0]}
          </Button>
        ))}
      </div>
      <ol className="week-grid" style={{ "--meals": meals.length } as React.CSSProperties}>
        {week.days.map((day) => {
          const home = Math.max(0, ...day.slots.map((one) => one.eaters.length));
          const busy = day.slots.some((one) => one.evening !== "home" || one.said_by !== null);
          return (
            <li key={day.on} id={`day-${day.on}`} className={css("board p-1.5 week-day", busy && "!border-t-mustard")}>
              <div className="px-1">
                <h2>{shortDay(day.on).split(" ").slice(0, 2).join(" ")}</h2>
                <div className="text-small text-soft">{day.on === today ? say.todayWord : say.homeCount(home)}</div>
              </div>
              {day.slots.map((one) => (
                <Slot
                  key={one.meal}
                  slot={one}
                  on={day.on}
                  row={meals.indexOf(one.meal) + 2}
                  onSlot={() => setOpened({ on: day.on, meal: one.meal })}
                  {...props}
                />
              ))}
            </li>
          );
        })}
      </ol>
      {opened && slot && (
        <SlotSheet on={opened.on} slot={slot} patterns={week.patterns} onClose={() => setOpened(null)} />
      )}
    </div>
  );
}
