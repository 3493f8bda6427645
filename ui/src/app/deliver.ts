import { post, Problem } from "../api/client";
import * as outbox from "../api/outbox";
import type { Done, Draft } from "../api/types";
import { lineBack } from "../label-line/lineBack";
import { putAwayFrom, usual } from "../label-line/model";

/** The line needs an answer: it stands at the label line again, with what was answered before. */
export class Asks extends Error {}

/** A typed line is read as on the day it was written; what is not clear goes back to the hand. */
async function read(entry: outbox.Letter, line: string): Promise<unknown> {
  const draft = await post<Draft>("/api/label-line", {
    text: line,
    on: entry.on,
    ...(entry.place ? { filling_place_id: entry.place } : {}),
  });
  const body = putAwayFrom(draft, { ...usual(draft), ...entry.corrections });
  if (body) return body;
  lineBack({ text: line, corrections: entry.corrections, asks: true });
  outbox.drop(entry.key);
  throw new Asks(line);
}

/** Sends one letter. What it asks of the house stays the same over every try, so that it is done once. */
export async function deliver(entry: outbox.Letter): Promise<Done> {
  if (entry.line === undefined) return post<Done>(entry.path, entry.body, entry.key, entry);
  const { line, ...rest } = entry;
  const written = { ...rest, path: "/api/stacks", body: await read(entry, line), typed: line };
  outbox.store(written);
  return post<Done>(written.path, written.body, written.key, written);
}

/** What becomes of a letter nobody took in. */
export type Fate = "waits" | "refused" | "told";

/**
 * A letter that only came at a bad time waits. One that is refused after it waited stands in the list of letters; one
 * that is refused in sight of whoever sent it is told at once, while its form or its line still holds what was typed.
 */
export function fate(entry: outbox.Letter, problem: Problem): Fate {
  if (problem.later) return "waits";
  return entry.held && entry.line === undefined && entry.typed === undefined ? "refused" : "told";
}

/** Does with it what its fate says, and says so. */
export function settle(entry: outbox.Letter, problem: Problem): Fate {
  const decided = fate(entry, problem);
  if (decided === "waits") outbox.store({ ...entry, held: true });
  if (decided === "refused") outbox.store({ ...entry, state: "refused", problem: problem.document });
  if (decided !== "told") return decided;
  outbox.drop(entry.key);
  const typed = entry.line ?? entry.typed;
  if (typed !== undefined) lineBack({ text: typed, corrections: entry.corrections });
  return decided;
}
