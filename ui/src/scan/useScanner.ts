import { useEffect, useLayoutEffect, useRef } from "react";

export const CHANNEL = "nut-shelf.scanner";
/** Hands are slower than this between two keys; scanners that type are not. */
const FAST = 35;
const SHORTEST = 8;

function typing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(target.tagName))
  );
}

/** Listens for scans that meet no field: from a scanner that types, or from the simulated one in another window. */
export function useScanner(onScan: (code: string) => void): void {
  const latest = useRef(onScan);
  useEffect(() => {
    latest.current = onScan;
  });
  // Before anything is painted: a page that can be seen already listens.
  useLayoutEffect(() => {
    let keys = "";
    let at = 0;
    const press = (event: KeyboardEvent) => {
      if (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      // When the key was struck, not when a busy page came round to it.
      if (event.timeStamp - at > FAST) keys = "";
      at = event.timeStamp;
      if (event.key.length === 1) keys += event.key;
      if (event.key !== "Enter" || keys.length < SHORTEST) return;
      event.preventDefault();
      event.stopPropagation();
      latest.current(keys);
      keys = "";
    };
    const channel = new BroadcastChannel(CHANNEL);
    channel.onmessage = (event: MessageEvent<string>) => latest.current(event.data);
    window.addEventListener("keydown", press, true);
    return () => {
      window.removeEventListener("keydown", press, true);
      channel.close();
    };
  }, []);
}

/** Puts a scan into the field that has the focus, as a scanner that types would, with Enter at the end. */
export function typeInto(field: HTMLInputElement, code: string): void {
  const setter = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")?.set;
  setter?.call(field, code);
  field.dispatchEvent(new Event("input", { bubbles: true }));
  requestAnimationFrame(() =>
    field.form
      ? field.form.requestSubmit()
      : field.dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", bubbles: true })),
  );
}
