import type { ComponentProps } from "react";
import { StackChip } from "../../kit/kit";
import { LevelTouch } from "./LevelTouch";

/** A chip whose level, where it is kept by level, can be set by a touch. */
export function ShelfChip(props: ComponentProps<typeof StackChip>) {
  const levelled = props.stack.level !== null && (props.pile ?? 1) === 1;
  if (!levelled) return <StackChip {...props} />;
  return (
    <div className="relative min-w-0">
      <StackChip {...props} bare />
      <LevelTouch stack={props.stack} className="absolute right-[3px] bottom-[2px]" />
    </div>
  );
}
