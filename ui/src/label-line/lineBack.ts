/** Words that go back into the label line, wherever they come from: a shopping list, a scan, a line that was refused. */
export interface BackInLine {
  text: string;
  /** A food that is known already is passed on, not read again from words. */
  food_id?: number;
}

const NAME = "line-back";

export function lineBack(line: BackInLine): void {
  window.dispatchEvent(new CustomEvent<BackInLine>(NAME, { detail: line }));
}

/** @returns what ends the listening */
export function onLineBack(heard: (line: BackInLine) => void): () => void {
  const listener = (event: Event) => heard((event as CustomEvent<BackInLine>).detail);
  window.addEventListener(NAME, listener);
  return () => window.removeEventListener(NAME, listener);
}
