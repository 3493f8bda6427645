import { Link } from "wouter";
import { Button } from "../../kit/kit";
import { monthYear } from "../../words/common";
import * as say from "../../words/lookBack";

/** @returns the first day of the month so many months on */
export function monthFrom(month: string, ahead: number): string {
  const [year = 0, number = 1] = month.split("-").map(Number);
  const at = new Date(Date.UTC(year, number - 1 + ahead, 1));
  return at.toISOString().slice(0, 7);
}

/** The days looked back over: the last eight weeks, or a month. */
export function Span({
  month,
  today,
  first,
  onMonth,
}: {
  month: string;
  today: string;
  first: string | null;
  onMonth: (month: string) => void;
}) {
  const now = today.slice(0, 7);
  const shown = month === "" ? now : month;
  return (
    <div className="flex flex-wrap gap-2 items-center">
      <Button look={month === "" ? "main" : "quiet"} aria-pressed={month === ""} onClick={() => onMonth("")}>
        {say.lastEight}
      </Button>
      <span className="flex items-center">
        <Button
          look="plain"
          aria-label={say.before}
          disabled={first === null || shown <= first.slice(0, 7)}
          onClick={() => onMonth(monthFrom(shown, -1))}
        >
          ‹
        </Button>
        <Button look={month === "" ? "quiet" : "main"} aria-pressed={month !== ""} onClick={() => onMonth(shown)}>
          {monthYear(shown)}
        </Button>
        <Button
          look="plain"
          aria-label={say.after}
          disabled={shown >= now}
          onClick={() => onMonth(monthFrom(shown, 1))}
        >
          ›
        </Button>
      </span>
      {month !== "" && (
        <Link className="underline text-rim" to={`/print/month?from=${month}-01`}>
          {say.printMonth}
        </Link>
      )}
    </div>
  );
}
