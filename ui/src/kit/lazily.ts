import { answering } from "../api/bell";
import { lazy, type ComponentType, type LazyExoticComponent } from "react";

const PAUSE = 2500;
const ANEW = "nut-shelf.loaded-anew";
const ONCE = 30_000;

const pause = () => new Promise((done) => setTimeout(done, PAUSE));

/** A new build has other files: the page is loaded anew, once. What was typed is kept. */
function loadAnew(): boolean {
  const last = Number(sessionStorage.getItem(ANEW) ?? 0);
  if (Date.now() - last < ONCE) return false;
  sessionStorage.setItem(ANEW, String(Date.now()));
  window.location.reload();
  return true;
}

async function answers(): Promise<boolean> {
  return fetch("/api/session", { credentials: "same-origin" }).then(
    (response) => response.ok,
    () => false,
  );
}

/** A part that does not come over is waited for while the house is away; where it is gone, the page is out of date. */
async function coming<T>(load: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      return await load();
    } catch (error) {
      const there = await answers();
      if (!there) answering.ring(false);
      else if (!loadAnew()) throw error;
      await pause();
    }
  }
}

const parts: (() => Promise<unknown>)[] = [];

/**
 * A part of the interface that is fetched when it is first drawn.
 * @param pick the component within the file
 * @param soon fetched as well once the hand rests, so that it is there when nobody answers
 */
export function lazily<M, P>(
  load: () => Promise<M>,
  pick: (module: M) => ComponentType<P>,
  soon = false,
): LazyExoticComponent<ComponentType<P>> {
  if (soon) parts.push(load);
  return lazy(async () => ({ default: pick(await coming(load)) }));
}

/** Fetches what will be wanted next, one after the other, while nothing else is to be done. */
export function fetchSoon(): void {
  const next = parts.shift();
  if (!next) return;
  const go = () =>
    void next()
      .catch(() => undefined)
      .finally(fetchSoon);
  if ("requestIdleCallback" in window) window.requestIdleCallback(go, { timeout: 10_000 });
  else setTimeout(go, PAUSE);
}
