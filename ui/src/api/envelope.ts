import { newKey } from "./client";

/** What stands on a letter: which device wrote it, its running number, and the day it was done in the household. */
export interface Envelope {
  device: string;
  /** Milliseconds of this device's clock, never the same twice. */
  sequence: number;
  on: string;
  /** It had to wait: the house takes it in for that day. */
  held?: boolean;
}

const DEVICE = "nut-shelf.device";
const SEQUENCE = "nut-shelf.sequence";
const DAY = 86_400_000;

let known = { today: "", zone: "UTC", at: 0 };

/** The household's day as the house said it; from then on this device counts by itself. */
export function dayIs(today: string, zone: string, at = Date.now()): void {
  known = { today, zone, at };
}

function localDay(at: number, zone: string): number {
  return Date.parse(new Intl.DateTimeFormat("sv-SE", { timeZone: zone }).format(at)) / DAY;
}

/** The household's day now, also over midnights on which nothing answered. */
export function dayNow(now = Date.now()): string {
  const passed = localDay(now, known.zone) - localDay(known.at, known.zone);
  return new Date(Date.parse(known.today) + passed * DAY).toISOString().slice(0, 10);
}

function device(): string {
  const kept = localStorage.getItem(DEVICE) ?? newKey();
  localStorage.setItem(DEVICE, kept);
  return kept;
}

export function envelope(now = Date.now()): Envelope {
  const sequence = Math.max(now, Number(localStorage.getItem(SEQUENCE) ?? 0) + 1);
  localStorage.setItem(SEQUENCE, String(sequence));
  return { device: device(), sequence, on: dayNow(now) };
}
