import { DropdownMenu } from "radix-ui";
import type { Stack } from "../../api/types";
import { useActs } from "../../app/acts";
import { Notches } from "../../kit/kit";
import { LEVELS } from "./LevelAct";
import * as say from "../../words/shelf";

const item =
  "px-3 py-2 rounded-md cursor-pointer outline-none data-[highlighted]:bg-rim2 flex gap-2 items-center " +
  "phone:min-h-[44px]";

/** What is kept by level is set by a touch, from any list. */
export function LevelTouch({
  stack,
  className = "",
  tabIndex,
}: {
  stack: Stack;
  className?: string;
  tabIndex?: number;
}) {
  const { act } = useActs();
  if (!stack.level) return null;
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        tabIndex={tabIndex}
        aria-label={say.setTheLevel(stack.name, stack.level)}
        className={`inline-flex items-center justify-center min-w-[38px] min-h-[24px] rounded-md ${className}`}
      >
        <Notches level={stack.level} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          sideOffset={4}
          className="z-50 bg-board text-ink border border-edge rounded-xl p-1.5 min-w-[140px] shadow-lg"
        >
          {LEVELS.map((level) => (
            <DropdownMenu.Item
              key={level}
              className={item}
              onSelect={() => void act(`/api/stacks/${stack.id}/level`, { level }, `${stack.name}: ${level}`)}
            >
              <Notches level={level} />
              {level}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
