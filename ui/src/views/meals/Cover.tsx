import * as say from "../../words/meals";
/** How much of a dish is on the shelf, as a bar that also says it in words for those who do not see it. */
export function Cover({ percent }: { percent: number }) {
  return (
    <div
      role="img"
      aria-label={say.onTheShelf(percent)}
      className="h-[8px] rounded-full border border-edge overflow-hidden my-1.5 bg-board"
    >
      <div className="h-full bg-pea" style={{ width: `${percent}%` }} />
    </div>
  );
}
