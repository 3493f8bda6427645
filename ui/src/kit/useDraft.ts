import { useCallback, useState } from "react";
import { mine } from "../api/kept";

/** What was put together beside the fields of a form, kept over a reload until it is sent. */
export function useDraft<T>(name: string, initial: T): [T, (next: T) => void] {
  const at = mine(`nut-shelf.draft.${name}`);
  const [value, setValue] = useState<T>(() => {
    const kept = sessionStorage.getItem(at);
    return kept === null ? initial : (JSON.parse(kept) as T);
  });
  const set = useCallback(
    (next: T) => {
      sessionStorage.setItem(at, JSON.stringify(next));
      setValue(next);
    },
    [at],
  );
  return [value, set];
}
