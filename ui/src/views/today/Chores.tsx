import { useState } from "react";
import { Link } from "wouter";
import { useGo } from "../../app/address";
import type { Today } from "../../api/types";
import { useActs } from "../../app/acts";
import { Board, Button } from "../../kit/kit";
import { plural } from "../../kit/words";
import { NewCare } from "../shelf/StackCare";

/** What hands have to do today besides cooking: thaw, care, count. */
export function Chores({ today }: { today: Today }) {
  const { act } = useActs();
  const go = useGo();
  const [adding, setAdding] = useState(false);
  const begin = async (place: Today["counts_due"][number]) => {
    const made = await act<{ count_id: number }>("/api/counts", { place_id: place.place_id }, `count ${place.place}`);
    if (made) void go(`/count/${made.count_id}`);
  };
  const none = today.care.length + today.thaw.length + today.counts_due.length === 0;
  return (
    <Board title="To do today">
      {none && <p className="mt-2 text-soft">Nothing is due.</p>}
      <ul className="mt-1">
        {today.thaw.map((task) => (
          <li key={`${task.meal_id}-${task.lot_id}`} className="flex items-center gap-3 border-t border-zinc2 py-1">
            <span className="grow min-w-0">Take out to thaw: <b>{task.amount} {task.name}</b><span className="block text-soft text-small">from {task.place}, for <Link className="underline" to={`/meals/${task.meal_id}`}>{task.meal}</Link>; about {task.hours} hours in the fridge</span></span>
            <Link className="btn" to={`/shelf?stack=${task.lot_id}&do=thaw`}>Thaw</Link>
          </li>
        ))}
        {today.care.map((row) => (
          <li key={row.id} className="flex items-center gap-3 border-t border-zinc2 py-1">
            <span className="grow min-w-0"><b>{row.title}</b><span className="block text-soft text-small">{[row.place, row.late_days > 0 ? `${plural(row.late_days, "day")} late` : "today"].filter(Boolean).join(", ")}{row.lot_id !== null ? <>, <Link className="underline" to={`/shelf?stack=${row.lot_id}`}>the stack</Link></> : row.place_id !== null ? <>, <Link className="underline" to={`/places?place=${row.place_id}`}>the place</Link></> : null}</span></span>
            <Button aria-label={`Done: ${row.title}`} onClick={() => act(`/api/care/${row.id}/done`, {}, row.title)}>Done</Button>
          </li>
        ))}
        {today.counts_due.map((place) => (
          <li key={place.place_id} className="flex items-center gap-3 border-t border-zinc2 py-1">
            <span className="grow min-w-0">Count <b>{place.place}</b><span className="block text-soft text-small">{place.reason}</span></span>
            <Button aria-label={`Count ${place.place}`} onClick={() => void begin(place)}>Count</Button>
          </li>
        ))}
      </ul>
      <Button look="plain" className="!px-0" aria-expanded={adding} onClick={() => setAdding(!adding)}>Remember something</Button>
      {adding && <NewCare target={{}} today={today.today} onDone={() => setAdding(false)} />}
    </Board>
  );
}
