import { useCallback, useEffect, useRef } from "react";

/** A function that stays the same one while what it does follows the latest drawing. */
export function useStable<A extends unknown[], R>(work: (...given: A) => R): (...given: A) => R {
  const latest = useRef(work);
  useEffect(() => {
    latest.current = work;
  });
  return useCallback((...given: A) => latest.current(...given), []);
}
