import { useEffect, useRef } from "react";
import type { Count, ExpectedStack } from "../../api/types";
import { Button } from "../../kit/kit";
import { dayTab } from "../../words/common";
import { useActs } from "../../app/acts";
import { Mark } from "../../kit/Mark";
import { css } from "../../kit/css";
import * as say from "../../words/count";

interface Props {
  count: Count;
  at: number | null;
  said: ReadonlySet<number>;
  onPick: (id: number) => void;
  onClear: (row: ExpectedStack) => void;
}

/** The whole list, place by place, group by group: expected beside found. */
export function Sheetful({ count, at, said, onPick, onClear }: Props) {
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const box = list.current;
    const now = box?.querySelector<HTMLElement>("[data-now]");
    // Only the list itself is scrolled; on a phone it is part of the page, and the page stays where the thumb is.
    if (!box || !now || box.scrollHeight <= box.clientHeight) return;
    const off = now.getBoundingClientRect().top - box.getBoundingClientRect().top;
    if (off < 40 || off > box.clientHeight - 60) box.scrollTop += off - box.clientHeight / 2;
  }, [at]);
  return (
    <div
      ref={list}
      className="board p-3 wide:max-h-[calc(100dvh-90px)] wide:overflow-y-auto"
      tabIndex={0}
      role="region"
      aria-label={say.expectedAndFound}
    >
      {count.places.map((place) => {
        const rows = count.expected.filter((row) => row.stack.place_id === place.id);
        if (rows.length === 0 && count.places.length > 1) return null;
        return (
          <section key={place.id} className="mb-3">
            <h2>{place.name}</h2>
            {rows.length === 0 && <p className="text-soft mt-1">{say.nothingExpected}</p>}
            <ul className="mt-1">
              {rows.map((row, index) => (
                <Row
                  key={row.stack.id}
                  row={row}
                  group={rows[index - 1]?.stack.group !== row.stack.group}
                  now={row.stack.id === at}
                  pending={said.has(row.stack.id) && row.line === null}
                  onPick={onPick}
                  onClear={onClear}
                />
              ))}
            </ul>
          </section>
        );
      })}
      <More count={count} />
    </div>
  );
}

function Row({
  row,
  group,
  now,
  pending,
  onPick,
  onClear,
}: {
  row: ExpectedStack;
  group: boolean;
  now: boolean;
  pending: boolean;
  onPick: (id: number) => void;
  onClear: (row: ExpectedStack) => void;
}) {
  const differs = row.line !== null && row.line.found !== "as_expected" && row.line.delta !== "0";
  return (
    <>
      {group && (
        <li className="text-soft text-tiny uppercase tracking-wide pt-2" aria-hidden="true">
          {row.stack.group}
        </li>
      )}
      <li
        data-now={now ? "" : undefined}
        className={`flex items-center gap-2 border-t border-zinc2 ${now ? "bg-rim2" : ""}`}
      >
        <button
          type="button"
          aria-current={now}
          className={css(
            "grow min-w-0 grid grid-cols-[minmax(0,1fr)_auto_92px] gap-2 items-center text-left py-1.5 px-1",
            "phone:min-h-[44px]",
          )}
          onClick={() => onPick(row.stack.id)}
        >
          <span className="truncate">
            <Mark kind={row.stack.mark} className="mr-1.5 text-soft" />
            <b className="font-semibold">{row.stack.name}</b>{" "}
            <span className="text-soft text-tiny">{dayTab(row.stack)}</span>
          </span>
          <span className="text-soft text-small whitespace-nowrap">{row.stack.level ?? row.stack.amount}</span>
          <span className={`text-right whitespace-nowrap font-semibold ${differs ? "text-beet" : "text-pea"}`}>
            {row.line ? (row.line.found === "as_expected" ? say.asNoted : row.line.words) : pending ? "…" : ""}
          </span>
        </button>
        {row.line ? (
          <Button
            look="plain"
            className="!px-0 w-[36px] shrink-0"
            aria-label={say.takeBackWhat(row.stack.name)}
            onClick={() => onClear(row)}
          >
            ✕
          </Button>
        ) : (
          <span className="w-[36px] shrink-0" />
        )}
      </li>
    </>
  );
}

function More({ count }: { count: Count }) {
  const { note } = useActs();
  if (count.unexpected.length === 0) return null;
  return (
    <section>
      <h2>{say.foundBesides}</h2>
      <ul className="mt-1">
        {count.unexpected.map((line) => (
          <li key={line.id} className="flex items-center gap-2 border-t border-zinc2 py-1.5">
            <span className="grow min-w-0">
              <b className="font-semibold">{line.words}</b>{" "}
              <span className="text-soft text-small">
                {line.place}
                {line.printed_on ? "" : say.noDateYet}
              </span>
            </span>
            <Button
              look="plain"
              aria-label={say.takeBack(line.words)}
              onClick={() => note(`/api/counts/${count.id}/clear`, { line_id: line.id }, say.lineTakenBack)}
            >
              ✕
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
