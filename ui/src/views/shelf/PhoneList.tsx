import { useMemo, useState } from "react";
import { WindowVirtualizer } from "virtua";
import type { Place, Stack, Tie } from "../../api/types";
import { column, COLUMNS, names } from "./bins";
import { ShelfChip } from "./ShelfChip";
import * as say from "../../words/shelf";

type Row = { heading: string } | { stack: Stack } | { fold: string };

/** What is past, in one line: "7 not to eat, 2 to look at first". */
export function pastWords(stacks: Pick<Stack, "state">[]): string {
  const stop = stacks.filter((stack) => stack.state === "stop").length;
  const rest = stacks.length - stop;
  return [stop > 0 ? say.notToEat(stop) : "", rest > 0 ? say.lookAtFirst(rest) : ""].filter(Boolean).join(", ");
}

/** Front first; what is past is one line that opens. */
export function rowsOf(stacks: Stack[], open: boolean): Row[] {
  const past = stacks.filter((stack) => column(stack) === 0);
  const rest = stacks.filter((stack) => column(stack) > 0).sort((one, other) => column(one) - column(other));
  let last = 0;
  const fold: Row[] = past.length > 0 ? [{ fold: pastWords(past) }] : [];
  const shown: Row[] = open ? past.map((stack) => ({ stack })) : [];
  return [
    ...fold,
    ...shown,
    ...rest.flatMap((stack): Row[] => {
      const now = column(stack);
      const heading: Row[] = now === last ? [] : [{ heading: COLUMNS[now]?.name ?? "" }];
      last = now;
      return [...heading, { stack }];
    }),
  ];
}

function keyOf(row: Row): string | number {
  return "stack" in row ? row.stack.id : "fold" in row ? "past" : row.heading;
}

/** On a phone: one list, front first, under the same headings, with the place as a tag. */
export function PhoneList({
  stacks,
  places,
  tied,
  onPick,
}: {
  stacks: Stack[];
  places: Place[];
  tied: Map<number, Tie>;
  onPick: (id: number) => void;
}) {
  const [open, setOpen] = useState(false);
  const rows = useMemo(() => rowsOf(stacks, open), [stacks, open]);
  const nameOf = useMemo(() => names(stacks), [stacks]);
  const name = (id: number) => places.find((place) => place.id === id)?.name ?? "";
  return (
    <WindowVirtualizer data={rows} itemSize={58} bufferSize={700}>
      {(row) => (
        <div key={keyOf(row)} className="pb-[6px]">
          {"heading" in row ? (
            <h2 className="text-soft text-small pt-2">{row.heading}</h2>
          ) : "fold" in row ? (
            <button
              type="button"
              aria-expanded={open}
              className="board w-full text-left px-3 min-h-[44px] font-semibold text-soft"
              onClick={() => setOpen(!open)}
            >
              {open ? "▾" : "▸"} {say.past} {row.fold}
            </button>
          ) : (
            <div className="grid grid-cols-[1fr_auto] items-center gap-2">
              <ShelfChip
                stack={row.stack}
                name={nameOf(row.stack)}
                place={name(row.stack.place_id)}
                tied={tied.has(row.stack.id)}
                onPick={() => onPick(row.stack.id)}
              />
              <span className="text-small text-soft w-[92px] leading-tight">{name(row.stack.place_id)}</span>
            </div>
          )}
        </div>
      )}
    </WindowVirtualizer>
  );
}
