import type { Place, Stack } from "../api/types";
import { plural } from "./region";

export { moneyWords, plural } from "./region";

const DAY = 86_400_000;

function utc(day: string): Date {
  return new Date(`${day}T00:00:00Z`);
}

export function addDays(day: string, count: number): string {
  return new Date(utc(day).getTime() + count * DAY).toISOString().slice(0, 10);
}

export function daysBetween(from: string, to: string): number {
  return Math.round((utc(to).getTime() - utc(from).getTime()) / DAY);
}

// The house writes "30 Sep"; some regions' own short form, "Sept", would stand beside it on one sheet.
const MONTH = new Intl.DateTimeFormat("en-US", { month: "short", timeZone: "UTC" });
const WEEKDAY = new Intl.DateTimeFormat("en-US", { weekday: "short", timeZone: "UTC" });

/** @param index 0 for January */
export function monthName(index: number): string {
  return MONTH.format(new Date(Date.UTC(2000, index, 1)));
}

function dayAndMonth(date: Date): string {
  return `${date.getUTCDate()} ${MONTH.format(date)}`;
}

/** "31 May 2028", and where close "Thu 26 Nov, in 2 days". */
export function dayWords(day: string, today: string): string {
  const ahead = daysBetween(today, day);
  if (Math.abs(ahead) > 14) return `${dayAndMonth(utc(day))} ${utc(day).getUTCFullYear()}`;
  const near = shortDay(day);
  if (ahead === 0) return `${near}, today`;
  return ahead > 0 ? `${near}, in ${plural(ahead, "day")}` : `${near}, ${plural(-ahead, "day")} ago`;
}

const WEEKDAY_LONG = new Intl.DateTimeFormat("en-US", { weekday: "long", timeZone: "UTC" });

/** @param index 0 for Sunday */
export function weekdayName(index: number): string {
  return WEEKDAY_LONG.format(new Date(Date.UTC(2000, 0, 2 + index)));
}

export function shortDay(day: string): string {
  return `${WEEKDAY.format(utc(day))} ${dayAndMonth(utc(day))}`;
}

/** "30 Sep" */
export function dayMonth(day: string): string {
  return dayAndMonth(utc(day));
}

/** "Nov 2026" @param month "2026-11" */
export function monthYear(month: string): string {
  return `${MONTH.format(utc(`${month}-01`))} ${month.slice(0, 4)}`;
}

export type Degrees = "c" | "f";

/** Degrees as this household says them; places are kept in Celsius. */
export function degrees(celsius: number, unit: Degrees): number {
  return unit === "f" ? Math.round(celsius * 1.8 + 32) || 0 : celsius;
}

/** "1 jar", "3 boxes", "2 loaves": packs as hands count them. */
export function packsOf(count: number, noun: string): string {
  return plural(
    count,
    noun,
    /f$/.test(noun) ? `${noun.slice(0, -1)}ves` : /(s|x|ch|sh)$/.test(noun) ? `${noun}es` : `${noun}s`,
  );
}

/** "every day", "every 3 months" */
export function every(count: number, noun: string): string {
  return `every ${count === 1 ? noun : plural(count, noun)}`;
}

/** "1 day", "5 to 7 days": no "1 to 1 days". */
export function span(low: number, high: number): string {
  return low === high ? plural(low, "day") : `${low} to ${plural(high, "day")}`;
}

/** The day tab: "5 d", "6 wk", "14 mo", "2.7 y", "look", a cross. */
export function dayTab(stack: Pick<Stack, "state" | "days_left" | "level">): string {
  if (stack.state === "stop") return "✕";
  if (stack.state === "look") return "look";
  if (stack.state === "not_ready") return "not yet";
  if (stack.days_left === null) return "no date";
  return inDays(stack.days_left);
}

/** How long something still has, as short as it goes: "today", "5 d", "6 wk". */
export function inDays(days: number): string {
  if (days < 0) return "past";
  if (days === 0) return "today";
  if (days < 21) return `${days} d`;
  if (days < 70) return `${Math.round(days / 7)} wk`;
  return days < 700 ? `${Math.round(days / 30.4)} mo` : `${(days / 365).toFixed(1)} y`;
}

/** A name without its small print, for a narrow chip: "Chickpeas, canned" stands as "Chickpeas". */
export function shortName(name: string): string {
  return name.replace(/ \([^)]*\)$/, "").split(",")[0] ?? name;
}

/** The folded corner says "open" already. */
export function shortAmount(amount: string): string {
  return amount.replace(/, open$/, "");
}

const STATE_WORDS: Record<string, string> = {
  stop: "not to eat",
  look: "look first",
  front: "eat this week",
  soon: "soon",
  resting: "keeps",
  undated: "no date",
  not_ready: "not ripe yet",
};

export function stateWords(state: string): string {
  return STATE_WORDS[state] ?? state;
}

const TIERS: Record<string, string> = { working: "at hand", backstock: "backstock", set_apart: "set apart" };

export function placeWords(place: Place, unit: Degrees = "c"): string {
  const [low, high] = [place.low_c, place.high_c].map((one) => (one === null ? null : degrees(one, unit)));
  const sign = unit === "f" ? "°F" : "°C";
  const range = low === null || high === null ? "" : low === high ? `, ${low} ${sign}` : `, ${low} to ${high} ${sign}`;
  return `${plural(place.stacks, "stack")}, ${TIERS[place.tier] ?? place.tier}${range}`.replaceAll("-", "−");
}

/** What a chip tells the eye by edge, hatch and corner, for those who hear it. */
export function stackWords(stack: Stack, place: string, tied: boolean): string {
  const parts = [stack.level ? `level ${stack.level}` : "", stateWords(stack.state)];
  if (stack.days_left !== null && stack.state !== "stop")
    parts.push(
      stack.days_left < 0 ? `${plural(-stack.days_left, "day")} past` : `${plural(stack.days_left, "day")} left`,
    );
  if (stack.frozen) parts.push("frozen");
  if (stack.open) parts.push("open");
  if (tied) parts.push("set aside for a meal");
  return ["", ...parts.filter(Boolean), place].join(", ");
}
