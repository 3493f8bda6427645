import { useState } from "react";
import { type Option } from "../kit/form";
import { Toggles } from "../kit/choices";
import { monthName } from "../words/common";
import * as say from "../words/oneHand";

const MONTHS = Array.from({ length: 12 }, (_, index) => monthName(index));
const YEARS = 6;

/**
 * A date in one or two touches: the month, after the year where it is another one. A printed month means its last
 * day.
 */
export function MonthPad({
  today,
  likely,
  value,
  onPick,
}: {
  today: string;
  likely: number;
  value: string;
  onPick: (date: string) => void;
}) {
  const now = Number(today.slice(0, 4));
  const [year, setYear] = useState(likely);
  const years = Array.from({ length: YEARS }, (_, index): Option => [String(now + index), String(now + index)]);
  const months = MONTHS.map((name, index): Option => [
    new Date(Date.UTC(year, index + 1, 0)).toISOString().slice(0, 10),
    name,
  ]);
  return (
    <div className="grid gap-2">
      <Toggles
        label={say.year}
        className="grid grid-cols-6 gap-1 tight"
        options={years}
        value={String(year)}
        onPick={(next) => next && setYear(Number(next))}
      />
      <Toggles label={say.month} className="grid grid-cols-4 gap-1" options={months} value={value} onPick={onPick} />
    </div>
  );
}
