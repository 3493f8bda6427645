import { useEffect, useRef, useState } from "react";
import { mine } from "../../api/kept";

export interface Timer {
  /** Where it stands: the meal and its step. */
  key: string;
  label: string;
  /** When it rings, in milliseconds since 1970. */
  ends: number;
}

const SECOND = 1000;
const STORE = "nut-shelf.timers";

function stored(): Timer[] {
  try {
    return JSON.parse(localStorage.getItem(mine(STORE)) ?? "[]") as Timer[];
  } catch {
    return [];
  }
}

/** Three short tones; nothing where the device makes none. */
function ring(): void {
  const context = new AudioContext();
  for (const at of [0, 0.4, 0.8]) {
    const tone = context.createOscillator();
    const volume = context.createGain();
    tone.frequency.value = 880;
    volume.gain.setValueAtTime(0.2, context.currentTime + at);
    volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + at + 0.3);
    tone.connect(volume).connect(context.destination);
    tone.start(context.currentTime + at);
    tone.stop(context.currentTime + at + 0.3);
  }
}

/** "4:05" until it rings, "0:00" from then on. */
export function leftOf(timer: Timer, now: number): string {
  const seconds = Math.max(0, Math.ceil((timer.ends - now) / SECOND));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
}

interface Timers {
  list: Timer[];
  now: number;
  start: (key: string, label: string, minutes: number) => void;
  stop: (key: string) => void;
}

/** Timers of this device: they run on while the page is left, and ring when it is looked at. */
export function useTimers(): Timers {
  const [list, setList] = useState<Timer[]>(stored);
  const [now, setNow] = useState(() => Date.now());
  const rung = useRef(new Set<string>());
  const keep = (next: Timer[]) => {
    localStorage.setItem(mine(STORE), JSON.stringify(next));
    setList(next);
  };
  useEffect(() => {
    if (list.length === 0) return;
    const tick = setInterval(() => setNow(Date.now()), SECOND / 4);
    return () => clearInterval(tick);
  }, [list.length]);
  const due = list.filter((timer) => timer.ends <= now).map((timer) => `${timer.key}@${timer.ends}`);
  const dueKeys = due.join(" ");
  useEffect(() => {
    const fresh = dueKeys.split(" ").filter((key) => key !== "" && !rung.current.has(key));
    if (fresh.length === 0) return;
    for (const key of fresh) rung.current.add(key);
    ring();
  }, [dueKeys]);
  const start = (key: string, label: string, minutes: number) => {
    const begun = Date.now();
    setNow(begun);
    keep([...list.filter((timer) => timer.key !== key), { key, label, ends: begun + minutes * 60 * SECOND }]);
  };
  return { list, now, start, stop: (key) => keep(list.filter((timer) => timer.key !== key)) };
}
