import { useEffect, useState } from "react";
import type { Shown } from "../api/kept";

/** A kept list as it stands, also when another window of this browser changes it. */
export function useKept<T>(list: Shown<T>): T[] {
  const [items, setItems] = useState(list.read);
  useEffect(() => {
    const read = () => setItems(list.read());
    const unheard = list.changed.heard(read);
    window.addEventListener("storage", read);
    return () => {
      unheard();
      window.removeEventListener("storage", read);
    };
  }, [list]);
  return items;
}
