import { csrfToken, Problem } from "./client";

type Said = ConstructorParameters<typeof Problem>[0];

function read<T extends object>(line: string): T {
  const said = JSON.parse(line) as T | Said;
  if ("code" in said) throw new Problem(said);
  return said;
}

/**
 * Asks for answers that get better: they come a line each, until the house says it is the last.
 * @param told hears every one
 */
export async function lines<T extends object>(
  path: string,
  asked: object,
  signal: AbortSignal,
  told: (answer: T) => void,
): Promise<void> {
  const response = await fetch(path, {
    method: "POST",
    credentials: "same-origin",
    headers: { "content-type": "application/json", "x-csrf-token": csrfToken() },
    body: JSON.stringify(asked),
    signal,
  });
  if (!response.ok) throw new Problem((await response.json()) as Said);
  if (!response.body) return;
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = "";
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    const whole = (rest + value).split("\n");
    rest = whole.pop() ?? "";
    whole.filter((line) => line !== "").forEach((line) => told(read<T>(line)));
  }
}
