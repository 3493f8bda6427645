import { csrfToken, Problem } from "./client";
import type { FillMeals } from "./types";

/** A meal a search would put onto a day, with the name of its dish. */
export type Proposed = FillMeals["meals"][number] & { name: string };

export interface Proposal {
  open: number;
  meals: Proposed[];
  cost?: number;
  done: boolean;
}

export interface Asked {
  from: string;
  to: string;
  again?: number[];
  only?: { on: string; meal: string }[];
  /** Dinners without a day to look for instead. */
  in_hand?: number;
}

function read(line: string): Proposal {
  const said = JSON.parse(line) as Proposal | ConstructorParameters<typeof Problem>[0];
  if ("code" in said) throw new Problem(said);
  return said;
}

/**
 * Asks for plans: better and better ones come, a line each, until the house says it is the last.
 * @param told hears every plan
 */
export async function propose(asked: Asked, signal: AbortSignal, told: (plan: Proposal) => void): Promise<void> {
  const response = await fetch("/api/plan/proposals", {
    method: "POST",
    credentials: "same-origin",
    headers: { "content-type": "application/json", "x-csrf-token": csrfToken() },
    body: JSON.stringify(asked),
    signal,
  });
  if (!response.ok) throw new Problem((await response.json()) as ConstructorParameters<typeof Problem>[0]);
  if (!response.body) return;
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = "";
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    const lines = (rest + value).split("\n");
    rest = lines.pop() ?? "";
    lines.filter((line) => line !== "").forEach((line) => told(read(line)));
  }
}
