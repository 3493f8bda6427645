import { useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent } from "react";
import type { Place, Stack, Tie } from "../../api/types";
import { useSession } from "../../app/session";
import { placeWords } from "../../words/common";
import { bins, COLUMNS, names, piles } from "./bins";
import { useStable } from "../../kit/useStable";
import { PileChip } from "./PileChip";
import { stops, walk } from "./walk";
import * as say from "../../words/shelf";

const CAP = 7;

interface Props {
  stacks: Stack[];
  places: Place[];
  tied: Map<number, Tie>;
  onPick: (id: number) => void;
}

/** One board for each place, columns by time left. */
export function Boards({ stacks, places, tied, onPick }: Props) {
  const unit = useSession().household?.degrees ?? "c";
  const [spread, setSpread] = useState<ReadonlySet<string>>(new Set());
  const byPlace = places
    .map((place) => ({ place, cells: bins(stacks.filter((stack) => stack.place_id === place.id)) }))
    .filter(({ cells }) => cells.some((cell) => cell.length > 0));
  const nameOf = useMemo(() => names(stacks), [stacks]);
  const open = useStable((key: string) => setSpread((now) => new Set([...now, key])));
  const pick = useStable(onPick);
  const press = (event: KeyboardEvent<HTMLDivElement>) => {
    if (walk(event.key, event.currentTarget)) event.preventDefault();
  };
  const root = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    if (root.current) stops(root.current);
  });
  return (
    <div ref={root} className="grid gap-[9px]" onKeyDown={press} onFocus={(event) => stops(event.currentTarget)}>
      <div className={`${GRID} px-3 sticky top-[50px] z-10 bg-zinc`} aria-hidden="true">
        {COLUMNS.map((entry, index) => (
          <div key={entry.name} className={`text-small font-semibold py-1 ${index === 1 ? "text-beet" : "text-soft"}`}>
            {entry.name}
          </div>
        ))}
      </div>
      {byPlace.map(({ place, cells }) => (
        <section key={place.id} aria-label={place.name} className="board py-2 px-3">
          <h2 className="text-lead leading-[1.1] mb-[6px]">
            {place.name} <span className="text-soft text-small font-body font-normal">{placeWords(place, unit)}</span>
          </h2>
          <div className={GRID}>
            {cells.map((cell, index) => (
              <Cell
                key={COLUMNS[index]?.name}
                cell={cell}
                index={index}
                place={place}
                tied={tied}
                spread={spread}
                nameOf={nameOf}
                onSpread={open}
                onPick={pick}
              />
            ))}
          </div>
        </section>
      ))}
    </div>
  );
}

const GRID = "grid grid-cols-7 gap-x-2";
const EDGE = ["", "border-l-[3px] border-beet pl-[7px]"];

interface CellProps extends Pick<Props, "tied" | "onPick"> {
  cell: Stack[];
  index: number;
  place: Place;
  spread: ReadonlySet<string>;
  nameOf: (stack: Stack) => string;
  onSpread: (key: string) => void;
}

function Cell({ cell, index, place, tied, spread, nameOf, onSpread, onPick }: CellProps) {
  const whole = `${place.id}:${index}:all`;
  const all = piles(cell, spread, `${place.id}:${index}`);
  const shown = all.length > CAP + 1 && !spread.has(whole) ? all.slice(0, CAP) : all;
  const more = all.length - shown.length;
  return (
    <div
      data-column={index}
      role="group"
      aria-label={COLUMNS[index]?.name}
      className={`flex flex-col gap-[5px] min-w-0 ${EDGE[index] ?? "border-l border-zinc2 pl-[7px]"}`}
    >
      {shown.map((pile) => {
        const first = pile.stacks[0];
        if (!first) return null;
        return (
          <PileChip
            key={first.id}
            stack={first}
            name={nameOf(first)}
            place={place.name}
            tied={pile.stacks.some((stack) => tied.has(stack.id))}
            pile={pile.stacks.length}
            pileKey={pile.key}
            onPick={onPick}
            onSpread={onSpread}
          />
        );
      })}
      {more > 0 && (
        <button
          type="button"
          className="text-small text-rim font-semibold min-h-[28px] rounded-md hover:bg-rim2"
          aria-label={say.moreIn(more, place.name, COLUMNS[index]?.name ?? "")}
          onClick={() => onSpread(whole)}
        >
          +{more} {say.more}
        </button>
      )}
    </div>
  );
}
