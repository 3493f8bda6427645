import { Day, type Option } from "../kit/form";
import { Toggles } from "../kit/choices";
import { addDays, shortDay } from "../words/common";
import * as say from "../words/oneHand";

const NEAR = 12;

/** A use-by is a day, most often a near one: a touch each; another day by the calendar. */
export function DayPad({ today, value, onPick }: { today: string; value: string; onPick: (date: string) => void }) {
  const days = Array.from({ length: NEAR }, (_, index): Option => {
    const day = addDays(today, index + 1);
    return [day, shortDay(day)];
  });
  return (
    <div className="grid gap-2">
      <Toggles label={say.day} className="grid grid-cols-3 gap-1" options={days} value={value} onPick={onPick} />
      <Day label={say.anotherDay} min={today} value={value} onChange={(event) => onPick(event.target.value)} />
    </div>
  );
}
