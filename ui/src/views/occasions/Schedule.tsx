import type { Occasion } from "../../api/types";
import * as say from "../../words/occasions";
import { clock, dayBefore } from "./model";

type Task = Occasion["schedule"]["tasks"][number];

const LINE = { work: say.work, oven: say.oven, alone: say.alone };
const BAR = { work: "bg-rim", oven: "bg-mustard", alone: "bg-zinc2 border border-edge" };

function Line({ task, cooks }: { task: Task; cooks: number }) {
  return (
    <>
      {LINE[task.kind](task.name, task.begins - task.ends)}
      {cooks > 1 && task.cook !== null && <span className="text-soft"> ({say.cookNumber(task.cook + 1)})</span>}
    </>
  );
}

/** Minutes counted back from the table: what to begin when, as a list and as bars beside it. */
export function Schedule({ one }: { one: Occasion }) {
  const { tasks, begins, ahead, waiting } = one.schedule;
  if (tasks.length === 0 && ahead.length === 0) return <p className="text-soft mt-1">{say.nothingToDo}</p>;
  const share = (minutes: number) => `${(minutes / Math.max(begins, 1)) * 100}%`;
  const names = new Map(one.menu.map((dish) => [dish.dish, dish.name]));
  return (
    <>
      {ahead.length > 0 && (
        <>
          <h3 className="mt-2">{say.theDayBefore}</h3>
          <ul className="mb-2">
            {ahead.map((dish) => (
              <li key={dish.dish}>{say.before(dish.name, dish.work, dish.alone)}</li>
            ))}
          </ul>
        </>
      )}
      <ol className="mt-2 border-t border-zinc2">
        {tasks.map((task) => (
          <li
            key={task.dish + task.kind + task.begins}
            className="grid grid-cols-[52px_1fr] gap-x-2 border-b border-zinc2 py-1"
          >
            <b className="tabular-nums">{clock(one.serve_at, task.begins)}</b>
            <span>
              <Line task={task} cooks={one.cooks} />
              {dayBefore(one.serve_at, task.begins) && <b> {say.eveningBefore}</b>}
            </span>
            <span className="col-start-2 relative h-1.5 mt-1 bg-zinc rounded-chip" aria-hidden="true">
              <span
                className={`absolute inset-y-0 rounded-chip ${BAR[task.kind]}`}
                style={{ left: share(begins - task.begins), width: share(task.begins - task.ends) }}
              />
            </span>
          </li>
        ))}
        <li className="grid grid-cols-[52px_1fr] gap-x-2 py-1">
          <b className="tabular-nums">{one.serve_at}</b>
          <span>{say.serve}</span>
        </li>
      </ol>
      {waiting.map(({ dish, minutes }) => (
        <p key={dish} className="text-soft text-small">
          {say.stands(names.get(dish) ?? dish, minutes)}
        </p>
      ))}
    </>
  );
}
