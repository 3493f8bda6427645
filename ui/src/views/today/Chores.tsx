import { useState } from "react";
import { Link } from "wouter";
import { useGo } from "../../app/address";
import type { Today } from "../../api/types";
import { useActs } from "../../app/acts";
import { Board, Button } from "../../kit/kit";
import { NewCare } from "../shelf/StackCare";
import { dayWords } from "../../words/common";
import * as say from "../../words/today";
import { Feasts, Lids } from "./Nearby";

/** What is begun, soaked or taken out today so that a coming meal can be cooked. */
function Early({ today }: { today: Today }) {
  return (
    <>
      {today.prepare.map((task) => (
        <li key={`${task.kind}-${task.meal_id}`} className="flex items-center gap-3 border-t border-zinc2 py-1">
          <span className="grow min-w-0">
            <b className={task.late ? "text-beet" : ""}>{task.late ? say.tooLateFor(task.text) : task.text}</b>
            <span className="block text-soft text-small">
              <Link className="underline" to={`/meals/${task.meal_id}`}>
                {task.meal}
              </Link>
              , {dayWords(task.for_on, today.today)}
            </span>
          </span>
          {task.late && (
            <Link className="btn" to={`/meals?from=${task.for_on}&instead=${task.meal_id}`}>
              {say.swapDish}
            </Link>
          )}
        </li>
      ))}
      {today.thaw.map((task) => (
        <li key={`${task.meal_id}-${task.lot_id}`} className="flex items-center gap-3 border-t border-zinc2 py-1">
          <span className="grow min-w-0">
            {say.takeOutThaw}{" "}
            <b>
              {task.amount} {task.name}
            </b>
            <span className="block text-soft text-small">
              {say.fromIt} {task.place}
              {say.forIt}{" "}
              <Link className="underline" to={`/meals/${task.meal_id}`}>
                {task.meal}
              </Link>
              {say.about} {task.hours} {say.hoursInFridge}
              {task.late && (
                <>
                  .{" "}
                  <Link className="underline text-beet" to={`/meals?from=${task.for_on}&instead=${task.meal_id}`}>
                    {say.tooLateToThaw}
                  </Link>
                </>
              )}
            </span>
          </span>
          <Link className="btn" to={`/shelf?stack=${task.lot_id}&do=thaw`}>
            {say.thaw}
          </Link>
        </li>
      ))}
    </>
  );
}

const READY: Record<string, (id: number | null) => string> = {
  power_cut: () => "/kits/power-cut",
  after_power_cut: () => "/kits/power-cut",
  event: () => "/kits/before",
  refresh: (id) => `/kits/${id ?? ""}`,
  check: (id) => `/places/${id ?? ""}/check`,
};

/** A power cut, a gale that comes, a kit to be refreshed. */
function Ready({ ready, today }: { ready: Today["ready"]; today: string }) {
  return (
    <>
      {ready.map((one) => (
        <li
          key={`${one.kind} ${one.id ?? ""}`}
          className="flex items-center gap-3 border-t border-zinc2 py-1 first:border-t-0"
        >
          <span className="grow min-w-0">
            <b>{say.READY[one.kind]?.(one.name)}</b>
            <span className="block text-soft text-small">
              {[dayWords(one.on, today), one.packs ? say.leave(one.packs) : ""].filter(Boolean).join(", ")}
            </span>
          </span>
          <Link
            className="btn"
            to={READY[one.kind]?.(one.id) ?? "/kits"}
            aria-label={`${say.goThere}: ${say.READY[one.kind]?.(one.name) ?? ""}`}
          >
            {say.goThere}
          </Link>
        </li>
      ))}
    </>
  );
}

/** What hands have to do today besides cooking: thaw, care, count. */
export function Chores({ today }: { today: Today }) {
  const { act } = useActs();
  const go = useGo();
  const [adding, setAdding] = useState(false);
  const begin = async (place: Today["counts_due"][number]) => {
    const made = await act<{ count_id: number }>("/api/counts", { place_id: place.place_id }, say.count(place.place));
    if (made) void go(`/count/${made.count_id}`);
  };
  const { care, prepare, thaw, lids, comes_up, counts_due, ready } = today;
  const none = [care, prepare, thaw, lids, comes_up, counts_due, ready].every((list) => list.length === 0);
  return (
    <Board title={say.toDoToday}>
      {none && <p className="mt-2 text-soft">{say.nothingIsDue}</p>}
      <ul className="mt-1">
        <Ready ready={ready} today={today.today} />
        <Early today={today} />
        <Lids lids={today.lids} />
        <Feasts today={today} />
        {today.care.map((row) => (
          <li key={row.id} className="flex items-center gap-3 border-t border-zinc2 py-1">
            <span className="grow min-w-0">
              <b>{row.title}</b>
              <span className="block text-soft text-small">
                {[row.place, row.late_days > 0 ? say.late(row.late_days) : "today"].filter(Boolean).join(", ")}
                {row.lot_id !== null ? (
                  <>
                    ,{" "}
                    <Link className="underline" to={`/shelf?stack=${row.lot_id}`}>
                      {say.theStack}
                    </Link>
                  </>
                ) : row.place_id !== null ? (
                  <>
                    ,{" "}
                    <Link className="underline" to={`/places?place=${row.place_id}`}>
                      {say.thePlace}
                    </Link>
                  </>
                ) : null}
              </span>
            </span>
            <Button aria-label={say.done(row.title)} onClick={() => act(`/api/care/${row.id}/done`, {}, row.title)}>
              {say.doneNow}
            </Button>
          </li>
        ))}
        {today.counts_due.map((place) => (
          <li key={place.place_id} className="flex items-center gap-3 border-t border-zinc2 py-1">
            <span className="grow min-w-0">
              {say.countIt} <b>{place.place}</b>
              <span className="block text-soft text-small">{place.reason}</span>
            </span>
            <Button aria-label={say.countPlace(place.place)} onClick={() => void begin(place)}>
              {say.countIt}
            </Button>
          </li>
        ))}
      </ul>
      <Button look="plain" className="!px-0" aria-expanded={adding} onClick={() => setAdding(!adding)}>
        {say.rememberSomething}
      </Button>
      {adding && <NewCare target={{}} today={today.today} onDone={() => setAdding(false)} />}
    </Board>
  );
}
