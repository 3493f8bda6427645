import type { Week } from "../../api/types";
import { css } from "../../kit/css";
import { shortDay, weekdayName } from "../../words/common";
import * as say from "../../words/meals";

const WEEK = 7;

/** Weeks as rows, days as cells: what stands where; a day leads to its week. */
export function MonthGrid({ week, today, onDay }: { week: Week; today: string; onDay: (day: string) => void }) {
  const first = new Date(`${week.from}T00:00:00Z`).getUTCDay();
  return (
    <div className="overflow-x-auto">
      <ol className="grid gap-1 grid-cols-[repeat(7,minmax(96px,1fr))]" aria-label={say.month}>
        {Array.from({ length: WEEK }, (_, at) => (
          <li key={at} className="text-soft text-small font-semibold" aria-hidden="true">
            {weekdayName((first + at) % WEEK)}
          </li>
        ))}
        {week.days.map((day) => (
          <li key={day.on} className={css("board p-1 min-h-[84px]", day.on === today && "!border-t-mustard")}>
            <button
              type="button"
              className="text-left w-full h-full flex flex-col items-start justify-start hover:underline"
              onClick={() => onDay(day.on)}
            >
              <span className="text-small text-soft block">{shortDay(day.on).split(" ").slice(1).join(" ")}</span>
              {week.occasions
                .filter((one) => one.on === day.on)
                .map((one) => (
                  <span key={one.id} className="block text-small font-semibold text-rim">
                    {one.name}
                  </span>
                ))}
              {day.slots.flatMap((slot) =>
                slot.meals.map((meal) => (
                  <span key={meal.id} className="block text-small leading-snug mb-0.5">
                    {meal.pinned ? "● " : ""}
                    {meal.name}
                  </span>
                )),
              )}
              {day.slots.every((slot) => slot.meals.length === 0) && (
                <span className="text-soft text-small">{say.openDay}</span>
              )}
            </button>
          </li>
        ))}
      </ol>
    </div>
  );
}
