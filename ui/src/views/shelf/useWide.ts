import { useSyncExternalStore } from "react";

const QUERY = "(min-width: 900px)";

function subscribe(changed: () => void): () => void {
  const list = matchMedia(QUERY);
  list.addEventListener("change", changed);
  return () => list.removeEventListener("change", changed);
}

export function useWide(): boolean {
  return useSyncExternalStore(subscribe, () => matchMedia(QUERY).matches);
}
