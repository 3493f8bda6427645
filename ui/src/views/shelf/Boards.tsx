import { useState, type KeyboardEvent } from "react";
import { Link } from "react-router";
import type { Place, Stack, Tie } from "../../api/types";
import { placeWords } from "../../kit/words";
import { bins, COLUMNS, piles, template } from "./bins";
import { ShelfChip } from "./ShelfChip";
import { walk } from "./walk";

const CAP = 5;

interface Props {
  stacks: Stack[];
  places: Place[];
  tied: Map<number, Tie>;
  onPick: (id: number) => void;
}

/** One board for each place, columns by time left. */
export function Boards({ stacks, places, tied, onPick }: Props) {
  const [spread, setSpread] = useState<ReadonlySet<string>>(new Set());
  const byPlace = places.map((place) => ({ place, cells: bins(stacks.filter((stack) => stack.place_id === place.id)) })).filter(({ cells }) => cells.some((cell) => cell.length > 0));
  const used = COLUMNS.map((_, index) => byPlace.some(({ cells }) => (cells[index]?.length ?? 0) > 0));
  const open = (key: string) => setSpread((now) => new Set([...now, key]));
  const press = (event: KeyboardEvent<HTMLDivElement>) => {
    if (walk(event.key, event.currentTarget)) event.preventDefault();
  };
  return (
    <div className="grid gap-x-2" style={{ gridTemplateColumns: template(used) }} onKeyDown={press}>
      <div />
      {COLUMNS.map((entry, index) => <div key={entry.name} className={`text-[13px] font-semibold px-0.5 pb-1 ${used[index] ? "" : "invisible"} ${index < 3 ? "text-beet" : "text-soft"}`}>{entry.name}</div>)}
      {byPlace.map(({ place, cells }) => (
        <section key={place.id} aria-label={place.name} className="board col-span-full grid grid-cols-subgrid mb-[9px] py-2 pr-2 pl-3">
          <div className="pr-1">
            <h2 className="text-[16.5px] leading-[1.1]">{place.name}</h2>
            <p className="text-soft text-[13px] mt-[3px]">{placeWords(place)}</p>
          </div>
          {cells.map((cell, index) => <Cell key={COLUMNS[index]?.name} cell={cell} index={index} place={place} tied={tied} spread={spread} onSpread={open} onPick={onPick} />)}
        </section>
      ))}
    </div>
  );
}

interface CellProps extends Pick<Props, "tied" | "onPick"> {
  cell: Stack[];
  index: number;
  place: Place;
  spread: ReadonlySet<string>;
  onSpread: (key: string) => void;
}

function Cell({ cell, index, place, tied, spread, onSpread, onPick }: CellProps) {
  const all = piles(cell, spread, `${place.id}:${index}`);
  const shown = all.length > CAP + 1 ? all.slice(0, CAP) : all;
  return (
    <div data-column={index} className={`flex flex-col gap-[5px] min-w-0 pl-[7px] ${index === 1 ? "border-l-[3px] border-beet" : "border-l border-zinc2"}`}>
      {shown.map((pile) => {
        const first = pile.stacks[0];
        if (!first) return null;
        const many = pile.stacks.length;
        return <ShelfChip key={first.id} stack={first} place={place.name} tied={pile.stacks.some((stack) => tied.has(stack.id))} pile={many} expanded={many > 1 ? false : undefined} onPick={() => (many > 1 ? onSpread(pile.key) : onPick(first.id))} />;
      })}
      {all.length > shown.length && <Link className="text-[13px] text-rim font-semibold px-1" to={`/shelf?place=${place.id}&as=table`}>+{all.length - shown.length} more</Link>}
    </div>
  );
}
