import { useEffect, useState } from "react";
import * as outbox from "../api/outbox";
import { lines } from "../label-line/aside";
import { useKept } from "./useKept";
import * as say from "../words/letters";

/** A letter that arrives at once is nobody's concern. */
const SOON = 1500;

/** How many things wait, while any do. */
export function LettersButton({ onOpen }: { onOpen: () => void }) {
  const letters = useKept(outbox.letters);
  const asides = useKept(lines).length;
  const [now, setNow] = useState(() => Date.now());
  const young = letters.some((letter) => letter.state === "pending" && letter.sequence > now - SOON);
  useEffect(() => {
    if (!young) return;
    const timer = setTimeout(() => setNow(Date.now()), SOON);
    return () => clearTimeout(timer);
  }, [young, letters]);
  const count = asides + letters.filter((letter) => letter.state === "refused" || letter.sequence <= now - SOON).length;
  const refused = letters.some((letter) => letter.state === "refused");
  if (count === 0) return null;
  return (
    <button
      type="button"
      onClick={onOpen}
      className={`px-3 min-h-[34px] rounded-lg font-bold text-[#14212e] ${refused ? "bg-[#f6b8cf]" : "bg-[#e3ab1f]"}`}
      aria-label={say.badge(count)}
    >
      {say.waits(count)}
    </button>
  );
}
