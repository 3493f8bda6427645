import { Suspense, type ComponentProps } from "react";
import { Notches, StackChip } from "../../kit/kit";
import { lazily } from "../../kit/lazily";

const LevelTouch = lazily(
  () => import("./LevelTouch"),
  (module) => module.LevelTouch,
  true,
);

/** A chip whose level, where it is kept by level, can be set by a touch. */
export function ShelfChip(props: ComponentProps<typeof StackChip>) {
  const level = props.stack.level;
  if (level === null || (props.pile ?? 1) > 1) return <StackChip {...props} />;
  const corner = "absolute right-[3px] bottom-[2px]";
  return (
    <div className="relative min-w-0">
      <StackChip {...props} bare />
      <Suspense
        fallback={
          <span className={`${corner} inline-flex items-center justify-center min-w-[38px] min-h-[24px]`}>
            <Notches level={level} />
          </span>
        }
      >
        <LevelTouch stack={props.stack} className={corner} tabIndex={-1} />
      </Suspense>
    </div>
  );
}
