import type { MealDetail } from "../../api/types";
import { Board, Button } from "../../kit/kit";
import * as say from "../../words/meals";
import { leftOf, useTimers } from "./useTimers";

/** Steps in big type, what each needs beside it, and timers for those that say how long. */
export function CookSteps({ detail }: { detail: MealDetail }) {
  const timers = useTimers();
  const key = (step: number) => `${detail.meal.id}.${step}`;
  return (
    <Board title={say.steps}>
      {timers.list.length > 0 && (
        <ul aria-label={say.timers} className="flex flex-wrap gap-2 mt-2" role="timer">
          {timers.list.map((timer) => (
            <li key={timer.key}>
              <Button
                look={timer.ends <= timers.now ? "grave" : "quiet"}
                aria-label={say.stopTimer(timer.label)}
                onClick={() => timers.stop(timer.key)}
              >
                <b className="text-head tabular-nums">{leftOf(timer, timers.now)}</b>
                <span className="ml-2 text-small">{timer.ends <= timers.now ? say.rings : timer.label}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
      <ol className="mt-2 grid gap-3">
        {detail.steps.map((step, index) => (
          <li key={index} className="grid grid-cols-[34px_minmax(0,1fr)] gap-2 border-t border-zinc2 pt-2">
            <b className="text-head text-soft">{index + 1}</b>
            <div>
              <p className="text-head font-normal leading-snug">{step.text}</p>
              {step.lines.length > 0 && (
                <p className="text-soft">
                  {step.lines
                    .map((at) => detail.lines[at])
                    .map((line) => (line ? `${line.wanted} ${line.food.split(",")[0]}` : ""))
                    .join("; ")}
                </p>
              )}
              {step.minutes !== null && (
                <Button
                  className="mt-1"
                  onClick={() => timers.start(key(index), say.stepNumber(index + 1), step.minutes!)}
                >
                  {say.startTimer(step.minutes)}
                </Button>
              )}
            </div>
          </li>
        ))}
      </ol>
      <p className="mt-3 border-l-4 border-mustard pl-3 text-small">
        {detail.leftover_days > 0 ? say.leftoversKeep(detail.leftover_days) : say.eatAtOnce}
      </p>
    </Board>
  );
}
