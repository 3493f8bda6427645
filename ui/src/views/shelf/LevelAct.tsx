import { useState } from "react";
import type { Stack } from "../../api/types";
import { Button } from "../../kit/kit";
import * as say from "../../words/shelf";

export const LEVELS = ["plenty", "half", "low", "out"];

/** How much is there by eye, set by a touch. */
export function LevelAct({ stack, onDo }: { stack: Stack; onDo: (body: { level: string }) => void }) {
  const [open, setOpen] = useState(stack.level !== null);
  if (!open)
    return (
      <Button look="plain" className="justify-self-start !px-0" onClick={() => setOpen(true)}>
        {say.keepLevelInstead}
      </Button>
    );
  return (
    <div role="group" aria-label={say.level} className="flex flex-wrap gap-2 items-center">
      <span className="text-soft">{say.thereIs}</span>
      {LEVELS.map((level) => (
        <Button
          key={level}
          look={stack.level === level ? "main" : "quiet"}
          aria-pressed={stack.level === level}
          onClick={() => onDo({ level })}
        >
          {level}
        </Button>
      ))}
    </div>
  );
}
