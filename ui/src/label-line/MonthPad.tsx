import { useState } from "react";
import { Button } from "../kit/kit";

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];
const YEARS = 6;

/** A date in two touches: the year, then the month. A printed month means its last day. */
export function MonthPad({ today, value, onPick }: { today: string; value: string; onPick: (date: string) => void }) {
  const now = Number(today.slice(0, 4));
  const [year, setYear] = useState(now + 1);
  const pick = (month: number) => {
    const last = new Date(Date.UTC(year, month + 1, 0)).toISOString().slice(0, 10);
    onPick(last === value ? "" : last);
  };
  return (
    <div className="grid gap-2">
      <div className="grid grid-cols-6 gap-1" role="group" aria-label="Year">
        {Array.from({ length: YEARS }, (_, index) => now + index).map((one) => <Button key={one} className="!px-1" look={one === year ? "main" : "quiet"} aria-pressed={one === year} onClick={() => setYear(one)}>{one}</Button>)}
      </div>
      <div className="grid grid-cols-4 gap-1" role="group" aria-label="Month">
        {MONTHS.map((name, index) => {
          const on = value.startsWith(`${year}-${String(index + 1).padStart(2, "0")}`);
          return <Button key={name} className="!px-1" look={on ? "main" : "quiet"} aria-pressed={on} onClick={() => pick(index)}>{name}</Button>;
        })}
      </div>
    </div>
  );
}
