import { useVirtualizer, useWindowVirtualizer } from "@tanstack/react-virtual";
import { useRef } from "react";
import type { Place, Stack, Tie } from "../../api/types";
import { column, COLUMNS } from "./bins";
import { ShelfChip } from "./ShelfChip";

type Row = { heading: string } | { stack: Stack };

function rowsOf(stacks: Stack[]): Row[] {
  const sorted = [...stacks].sort((one, other) => column(one) - column(other));
  let last = -1;
  return sorted.flatMap((stack): Row[] => {
    const now = column(stack);
    const heading: Row[] = now === last ? [] : [{ heading: COLUMNS[now]?.name ?? "" }];
    last = now;
    return [...heading, { stack }];
  });
}

export type Virtual = ReturnType<typeof useVirtualizer>;

/** On a phone: one list, front first, under the same headings, with the place as a tag. */
export function PhoneList({ stacks, places, tied, onPick }: { stacks: Stack[]; places: Place[]; tied: Map<number, Tie>; onPick: (id: number) => void }) {
  const rows = rowsOf(stacks);
  const list = useRef<HTMLDivElement>(null);
  const virtual = useWindowVirtualizer({ count: rows.length, estimateSize: (index) => ("heading" in (rows[index] as Row) ? 34 : 58), overscan: 12, scrollMargin: 150 });
  const name = (id: number) => places.find((place) => place.id === id)?.name ?? "";
  return (
    <div ref={list} className="relative" style={{ height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().map((entry) => {
        const row = rows[entry.index] as Row;
        return (
          <div key={entry.key} data-index={entry.index} ref={virtual.measureElement} className="absolute inset-x-0 pb-[6px]" style={{ transform: `translateY(${entry.start - virtual.options.scrollMargin}px)` }}>
            {"heading" in row ? <h2 className="text-soft text-[14px] pt-2">{row.heading}</h2> : (
              <div className="grid grid-cols-[1fr_auto] items-center gap-2">
                <ShelfChip stack={row.stack} place={name(row.stack.place_id)} tied={tied.has(row.stack.id)} onPick={() => onPick(row.stack.id)} />
                <span className="text-[13px] text-soft w-[92px] leading-tight">{name(row.stack.place_id)}</span>
              </div>
            )}
          </div>
        );
      })}
    </div>
  );
}
