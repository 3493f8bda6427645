import { Tooltip } from "radix-ui";
import { useState, type ReactNode } from "react";
import { css } from "./css";

/** Words that stand for more: hover, focus or a touch shows it. */
export function Hint({ words, className = "", children }: { words: string; className?: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  if (words === "") return <span className={className}>{children}</span>;
  return (
    <Tooltip.Provider delayDuration={250}>
      <Tooltip.Root open={open} onOpenChange={setOpen}>
        <Tooltip.Trigger
          type="button"
          className={`text-left underline decoration-dotted underline-offset-4 phone:py-3.5 phone:-my-3.5 ${className}`}
          onPointerDown={(event) => event.preventDefault()}
          onClick={(event) => {
            event.preventDefault();
            setOpen(true);
          }}
        >
          {children}
        </Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            sideOffset={4}
            collisionPadding={8}
            className={css(
              "z-50 max-w-[320px] rounded-lg bg-night text-[color:var(--on-night)]",
              "px-3 py-2 text-small leading-snug shadow-lg",
            )}
          >
            {words}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}
