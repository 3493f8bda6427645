import { useMemo } from "react";
import { WindowVirtualizer, type CustomContainerComponentProps, type CustomItemComponentProps } from "virtua";
import type { Place, Stack } from "../../api/types";
import { useMoney, useSession } from "../../app/session";
import { dayTab, dayWords, stateWords } from "../../words/common";
import { LevelTouch } from "./LevelTouch";
import { Mark } from "../../kit/Mark";
import { useInAddress } from "../../app/inAddress";
import * as say from "../../words/shelf";

type Sort = "date" | "name" | "place" | "amount" | "value";
const HEADS: [Sort, string][] = [
  ["date", say.daysLeft],
  ["name", say.food],
  ["amount", say.amount],
  ["place", say.place],
  ["value", say.atCost],
];
const SORTS = new RegExp(`^(${HEADS.map(([sort]) => sort).join("|")})(-down)?$`);
const GRID =
  "grid grid-cols-[86px_minmax(0,2fr)_minmax(0,1fr)_minmax(0,1fr)_90px_minmax(0,1.3fr)] gap-3 px-3 items-center";

const ROW = 38;

function Rows({ ref, style, children }: CustomContainerComponentProps) {
  return (
    <div ref={ref} role="rowgroup" style={style}>
      {children}
    </div>
  );
}

/** The box that holds a row in its place means nothing by itself. */
function Unsaid({ ref, style, children }: CustomItemComponentProps) {
  return (
    <div ref={ref} role="presentation" style={style}>
      {children}
    </div>
  );
}

function sorted(stacks: Stack[], sort: Sort, down: boolean, place: (id: number) => string): Stack[] {
  const key: Record<Sort, (stack: Stack) => string | number> = {
    date: (stack) => stack.days_left ?? 1e9,
    name: (stack) => stack.name.toLowerCase(),
    place: (stack) => place(stack.place_id).toLowerCase(),
    amount: (stack) => Number(stack.on_hand),
    value: (stack) => stack.value_minor,
  };
  const of = key[sort];
  const rows = [...stacks].sort((one, other) =>
    of(one) < of(other) ? -1 : of(one) > of(other) ? 1 : one.id - other.id,
  );
  return down ? rows.reverse() : rows;
}

/** The dense form of the shelf, for long lists and for print. Only what is in sight is drawn. */
export function ShelfTable({
  stacks,
  places,
  onPick,
}: {
  stacks: Stack[];
  places: Place[];
  onPick: (id: number) => void;
}) {
  const money = useMoney();
  const { today } = useSession();
  const [said, setSaid] = useInAddress("sort", "date", (text) => SORTS.test(text));
  const order = useMemo(() => ({ sort: said.replace("-down", "") as Sort, down: said.endsWith("-down") }), [said]);
  const setOrder = (next: { sort: Sort; down: boolean }) => setSaid(`${next.sort}${next.down ? "-down" : ""}`);
  const names = useMemo(() => new Map(places.map((place) => [place.id, place.name])), [places]);
  const rows = useMemo(
    () => sorted(stacks, order.sort, order.down, (id) => names.get(id) ?? ""),
    [stacks, order, names],
  );
  return (
    <div role="table" aria-label={say.theShelf} aria-rowcount={rows.length + 1} className="board overflow-hidden">
      <div role="row" className={`${GRID} py-2 border-b border-zinc2 font-semibold`}>
        {HEADS.map(([sort, words]) => (
          <div
            role="columnheader"
            key={sort}
            aria-sort={order.sort === sort ? (order.down ? "descending" : "ascending") : "none"}
          >
            <button
              type="button"
              className="font-semibold"
              onClick={() => setOrder({ sort, down: order.sort === sort && !order.down })}
            >
              {words} {order.sort === sort ? (order.down ? "▾" : "▴") : ""}
            </button>
          </div>
        ))}
        <div role="columnheader">{say.goodUntilHead}</div>
      </div>
      <WindowVirtualizer data={rows} itemSize={ROW} bufferSize={20 * ROW} as={Rows} item={Unsaid}>
        {(stack, index) => (
          <div
            role="row"
            aria-rowindex={index + 2}
            key={stack.id}
            data-state={stack.state}
            className={`${GRID} h-[38px] border-b border-zinc2`}
          >
            <div role="cell" data-state={stack.state}>
              <span className="tab-day">{dayTab(stack)}</span>
            </div>
            <div role="cell" className="truncate">
              <button
                type="button"
                data-chip={stack.id}
                className="font-semibold truncate max-w-full text-left"
                onClick={() => onPick(stack.id)}
              >
                <Mark kind={stack.mark} className="mr-1.5 text-soft" />
                {stack.name}
              </button>
            </div>
            <div role="cell" className="truncate">
              {stack.level ? <LevelTouch stack={stack} /> : stack.amount}
              {stack.reserved && (
                <span className="text-soft text-small">, {say.ofItApart(stack.reserved, stack.amount)}</span>
              )}
            </div>
            <div role="cell" className="truncate">
              {names.get(stack.place_id)}
            </div>
            <div role="cell" className="text-right">
              {money(stack.value_minor)}
              {stack.value_estimated ? " est." : ""}
            </div>
            <div role="cell" className="truncate text-soft">
              {stack.usable_until ? dayWords(stack.usable_until, today) : say.noDate}, {stateWords(stack.state)}
            </div>
          </div>
        )}
      </WindowVirtualizer>
    </div>
  );
}
