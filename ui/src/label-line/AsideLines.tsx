import { useState } from "react";
import { useWide } from "../views/shelf/useWide";
import { putAside, takeAside, type BackInLine } from "./aside";
import * as say from "../words/labelLine";

/** More than these would fill a small screen. */
const SHOWN = 3;
const SHOWN_NARROW = 1;

/** Lines that wait for their turn or for an answer: a touch takes one up, a cross drops it. */
export function AsideLines({ lines, onTake }: { lines: BackInLine[]; onTake: (line: BackInLine) => void }) {
  const [dropped, setDropped] = useState<BackInLine | null>(null);
  const take = (index: number) => {
    const line = takeAside(index);
    if (line) onTake(line);
  };
  const drop = (index: number) => setDropped(takeAside(index) ?? null);
  const back = () => {
    if (dropped) putAside(dropped);
    setDropped(null);
  };
  const most = useWide() ? SHOWN : SHOWN_NARROW;
  if (lines.length === 0 && !dropped) return null;
  return (
    <div
      role="group"
      aria-label={say.linesThatWait}
      className="basis-full flex flex-wrap items-center gap-2 text-small max-h-[96px] overflow-y-auto"
    >
      {lines.length > 0 && (
        <span className="text-soft">{lines.length === 1 ? say.oneLineWaits : say.linesWait(lines.length)}</span>
      )}
      {lines.slice(0, most).map((line, index) => (
        <span key={`${index}-${line.text}`} className="pill !p-0 max-w-full" data-sure="no">
          <button
            type="button"
            className="px-2 min-h-[30px] phone:min-h-[44px] truncate max-w-[340px]"
            title={say.takeIntoLine}
            onClick={() => take(index)}
          >
            {line.text}
          </button>
          <button
            type="button"
            className="px-2 min-h-[30px] phone:min-h-[44px] phone:min-w-[44px]"
            aria-label={say.drop(line.text)}
            onClick={() => drop(index)}
          >
            ✕
          </button>
        </span>
      ))}
      {lines.length > most && (
        <span className="text-soft">
          {say.and} {lines.length - most} {say.more}
        </span>
      )}
      {dropped && (
        <button type="button" className="pill phone:min-h-[44px]" onClick={back}>
          {say.bringBack}
          {dropped.text.slice(0, 40)}”
        </button>
      )}
    </div>
  );
}
