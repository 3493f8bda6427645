import type { Event } from "../../api/types";
import { useActs } from "../../app/acts";
import { Board } from "../../kit/kit";
import * as say from "../../words/before";
import { clock } from "./moments";

/** The list by the clock, to tick, and what there is no time for. */
export function Tasks({ event }: { event: Event }) {
  const { act } = useActs();
  const tick = (key: string, name: string, done: boolean) =>
    void act(`/api/events/${event.id}/tick`, { key, done }, done ? say.tick(name) : say.untick(name));
  const notes = [say.hoursLeft(event.hours_left), event.begin_at ? say.beginAt(clock(event.begin_at)) : say.allDone];
  return (
    <Board title={say.comes(event.name, clock(event.hour))} note={notes.join(" · ")} tone="beet">
      <h3 className="font-semibold mt-1">{say.byClock}</h3>
      <ul>
        {event.tasks.map((task) => (
          <li key={task.key} className="border-t border-zinc2">
            <label className="flex gap-3 py-1.5 min-h-[36px] phone:min-h-[44px]">
              <input
                type="checkbox"
                checked={false}
                onChange={() => tick(task.key, task.name, true)}
                className="size-5 mt-0.5 shrink-0"
              />
              <span className="grow min-w-0">
                {task.name}
                {task.note && <span className="block text-soft text-small">{task.note}</span>}
                {event.too_late.includes(task.key) && <span className="block text-beet text-small">{say.tooLate}</span>}
              </span>
              <span className="whitespace-nowrap text-right">
                {clock(task.start)}
                <span className="block text-soft text-small">{say.until(clock(task.by))}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      {event.left_out.length > 0 && (
        <p className="text-beet text-small mt-1">{say.leftOut(event.left_out.map((one) => one.name))}</p>
      )}
      {event.done.length > 0 && (
        <>
          <h3 className="font-semibold mt-3">{say.doneSoFar}</h3>
          <ul>
            {event.done.map((task) => (
              <li key={task.key} className="border-t border-zinc2">
                <label className="flex gap-3 py-1.5 min-h-[36px] phone:min-h-[44px] text-soft">
                  <input
                    type="checkbox"
                    checked
                    onChange={() => tick(task.key, task.name, false)}
                    className="size-5 mt-0.5 shrink-0"
                  />
                  <span className="grow">{task.name}</span>
                  <span className="text-small">{say.doneBy(task.by)}</span>
                </label>
              </li>
            ))}
          </ul>
        </>
      )}
    </Board>
  );
}
