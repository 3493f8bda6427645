import { useEffect, useRef } from "react";

const OFF = "nut-shelf.keys-off";

export function keysOff(): boolean {
  return localStorage.getItem(OFF) === "yes";
}

export function setKeysOff(off: boolean): void {
  localStorage.setItem(OFF, off ? "yes" : "no");
}

function typing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(target.tagName))
  );
}

/** Whether a sheet or a menu lies over the page. */
function covered(): boolean {
  return document.querySelector("[role=dialog][data-state=open], [role=menu]") !== null;
}

interface Layer {
  active?: boolean;
  /** The keys of a sheet work while it is open; those of the page beneath rest then. */
  within?: "page" | "sheet";
}

/**
 * Single keys of a view. They rest while somebody types, while a menu or sheet of another layer is open, or when
 * switched off.
 */
export function useKeys(
  keys: Record<string, (event: KeyboardEvent) => void>,
  { active = true, within = "page" }: Layer = {},
): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    if (!active) return;
    const press = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
      const single = event.key.length === 1;
      if ((single && keysOff()) || (within === "page" && covered())) return;
      const action = latest.current[event.key];
      if (!action) return;
      event.preventDefault();
      action(event);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [active, within]);
}
