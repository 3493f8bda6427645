import { putAside, type BackInLine } from "./aside";

export type { BackInLine } from "./aside";

type Taker = (line: BackInLine) => boolean;
const takers = new Set<Taker>();

/** Gives words back to the label line. Where none is to be seen, or another line stands in it, they wait beside it. */
export function lineBack(line: BackInLine): void {
  if (![...takers].some((take) => take(line))) putAside(line);
}

/** @param take answers whether it had room; @returns what ends the listening */
export function onLineBack(take: Taker): () => void {
  takers.add(take);
  return () => void takers.delete(take);
}
