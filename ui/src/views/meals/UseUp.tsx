import type { TurningStack, Week } from "../../api/types";
import { useActs } from "../../app/acts";
import { Board, Button } from "../../kit/kit";
import { css } from "../../kit/css";
import { shortDay, shortName } from "../../words/common";
import * as say from "../../words/meals";

function Turning({ one }: { one: TurningStack }) {
  const { act } = useActs();
  const days = [...new Set(one.meals.map((meal) => meal.on))];
  const freeze = one.freeze;
  return (
    <li className="grid grid-cols-[48px_1fr] gap-2 py-1.5 border-t border-zinc2 first:border-t-0 text-small">
      <span
        className={css(
          "rounded-md text-center font-semibold h-fit py-0.5",
          one.days_left <= 7 ? "bg-beet text-enamel" : "bg-mustard text-[#14212e]",
        )}
      >
        {one.days_left <= 0 ? say.todayWord : `${one.days_left} ${say.day}`}
      </span>
      <span className="min-w-0">
        {shortName(one.name)}, {one.amount}
        <span className={css("block", one.past ? "text-beet font-semibold" : "text-pea")}>
          {one.past
            ? say.notPlanned(one.past)
            : days.length > 0
              ? days.map((day) => shortDay(day)).join(", ")
              : say.inNoMeal}
        </span>
        {freeze && (
          <Button
            look="plain"
            title={freeze.note}
            onClick={() =>
              act(
                `/api/stacks/${one.stack_id}/move`,
                { place_id: freeze.place_id, amount: freeze.amount },
                say.freezeInTimeOf(one.name),
              )
            }
          >
            {say.freezeInTime} <span className="sr-only">{one.name}</span>
          </Button>
        )}
      </span>
    </li>
  );
}

/** What turns in these days, first day first, and which day takes it. */
export function TurningList({ stacks }: { stacks: Week["use_up"] }) {
  if (stacks.length === 0) return <p className="text-small">{say.nothingTurns}</p>;
  return (
    <ul>
      {stacks.slice(0, 12).map((one) => (
        <Turning key={one.stack_id} one={one} />
      ))}
    </ul>
  );
}

/** The same on a board of its own, beside the days. */
export function UseUp({ stacks, className = "" }: { stacks: Week["use_up"]; className?: string }) {
  return (
    <Board className={`!border-t-beet p-3 ${className}`} title={say.useUp}>
      <p className="text-small text-soft mb-1">{say.inTheOrder}</p>
      <TurningList stacks={stacks} />
    </Board>
  );
}
