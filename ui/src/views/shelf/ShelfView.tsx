import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { Link, useSearchParams } from "wouter";
import { useGo } from "../../app/address";
import { mealsQuery, placesQuery, shelfQuery, todayQuery, type Shelf } from "../../api/queries";
import type { Place, Tie } from "../../api/types";
import { useActs } from "../../app/acts";
import { useKeys } from "../../app/keys";
import { useMoney } from "../../app/session";
import { Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { Ahead } from "../today/Ahead";
import { Boards } from "./Boards";
import { filtered, fromUrl } from "./filter";
import { PhoneList } from "./PhoneList";
import { StackSheet } from "./StackSheet";
import { ShelfTable } from "./ShelfTable";
import { useWide } from "./useWide";
import { Filters } from "./Filters";
import * as say from "../../words/shelf";

export default function ShelfView() {
  const shelf = useQuery(shelfQuery);
  const places = useQuery(placesQuery);
  return (
    <Loaded query={shelf} what={say.lookingAlongShelf}>
      {(data) => (
        <Loaded query={places} what={say.lookingAlongShelf}>
          {(rows) => <ShelfPage shelf={data} places={rows} />}
        </Loaded>
      )}
    </Loaded>
  );
}

function useTied(): Map<number, Tie> {
  const ties = useQuery(mealsQuery).data?.ties;
  return useMemo(() => new Map((ties ?? []).map((tie) => [tie.stack_id, tie])), [ties]);
}

function ShelfPage({ shelf, places }: { shelf: Shelf; places: Place[] }) {
  const [params, setParams] = useSearchParams();
  const wide = useWide();
  const tied = useTied();
  const go = useGo();
  const filter = fromUrl(params);
  const stacks = useMemo(() => filtered(shelf.stacks, places, fromUrl(params)), [shelf.stacks, places, params]);
  const set = (name: string, value: string) =>
    setParams(
      (now) => {
        const next = new URLSearchParams(now);
        if (value === "") next.delete(name);
        else next.set(name, value);
        return next;
      },
      { replace: name === "q" },
    );
  const open = (id: number) => set("stack", String(id));
  const table = params.get("as") === "table";
  const nameOf = (id: number) => shelf.stacks.find((stack) => stack.id === id)?.name ?? "";
  useChipKeys(
    nameOf,
    (id) => void go(`/keeping?food=${shelf.stacks.find((stack) => stack.id === id)?.food_id ?? ""}`),
    params.get("stack") === null,
    (id, panel) => setParams((now) => new URLSearchParams([...now, ["stack", String(id)], ["do", panel]])),
  );
  return (
    <>
      <Summary shelf={shelf} table={table} onTable={() => set("as", table ? "" : "table")} />
      <AheadHere onPick={open} />
      <Filters filter={filter} places={places} shelf={shelf} set={set} focus={params.get("find") === "1"} />
      {shelf.stacks.length === 0 ? (
        <FirstSteps />
      ) : stacks.length === 0 ? (
        <Empty title={say.nothingOnShelf}>
          {say.takeFilterOff}{" "}
          <Button className="mt-3" onClick={() => setParams({})}>
            {say.showEverything}
          </Button>
        </Empty>
      ) : table ? (
        <ShelfTable stacks={stacks} places={places} onPick={open} />
      ) : wide ? (
        <Boards stacks={stacks} places={places} tied={tied} onPick={open} />
      ) : (
        <PhoneList stacks={stacks} places={places} tied={tied} onPick={open} />
      )}
      <StackSheet
        id={params.get("stack") ? Number(params.get("stack")) : null}
        places={places}
        tied={tied}
        panel={params.get("do")}
        onClose={() =>
          setParams((now) => new URLSearchParams([...now].filter(([name]) => name !== "stack" && name !== "do")), {
            replace: true,
          })
        }
        onPick={open}
      />
    </>
  );
}

/** What goes past and what runs out, folded: the shelf itself does not wait for it. */
function AheadHere({ onPick }: { onPick: (id: number) => void }) {
  const today = useQuery(todayQuery).data;
  if (!today || today.goes_past.length + today.runs_out.length === 0) return null;
  return (
    <div className="grid gap-2 wide:grid-cols-2 mb-2">
      <Ahead today={today} onPick={onPick} />
    </div>
  );
}

/** The stack whose chip has the focus. */
function focused(): number | null {
  const chip = document.activeElement instanceof HTMLElement ? document.activeElement.dataset.chip : undefined;
  return chip === undefined ? null : Number(chip);
}

/**
 * Keys that act on the chip in hand. Taking is at once; what changes a date opens its sheet, which shows the date
 * first.
 */
function useChipKeys(
  nameOf: (id: number) => string,
  keep: (id: number) => void,
  active: boolean,
  ask: (id: number, panel: string) => void,
): void {
  const { act } = useActs();
  const on = (what: (id: number) => void) => () => {
    const id = focused();
    if (id !== null) what(id);
  };
  useKeys(
    {
      t: on((id) => void act(`/api/stacks/${id}/take`, {}, say.take(nameOf(id)))),
      o: on((id) => ask(id, "open")),
      l: on((id) => ask(id, "look")),
      f: on((id) => ask(id, "freeze")),
      m: on((id) => ask(id, "move")),
      x: on((id) => ask(id, "throw")),
      k: on(keep),
    },
    { active },
  );
}

function Summary({ shelf, table, onTable }: { shelf: Shelf; table: boolean; onTable: () => void }) {
  const money = useMoney();
  const { totals } = shelf;
  const guessed = shelf.stacks.some((stack) => stack.value_estimated);
  return (
    <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1 mb-2">
      <h1>{say.shelf}</h1>
      <span className="text-soft">
        <b className="text-ink">{totals.stacks}</b> {totals.stacks === 1 ? "stack" : "stacks"},{" "}
        <b className="text-ink" title={guessed ? say.someStacksHave : undefined}>
          {money(totals.value_minor)}
        </b>{" "}
        {say.atCostNote}
        {guessed ? say.inPartEstimated : ""}
      </span>
      <span className="text-soft">
        <b className="text-beet">{totals.front}</b> {say.eatThisWeek}
      </span>
      <span className="text-soft">
        <b className="text-ink">{totals.look}</b> {say.toLookAtFirst}
      </span>
      <span className="text-soft">
        <b className="text-ink">{totals.stop}</b> {say.notToEatWord}
      </span>
      <span className="ml-auto flex items-baseline gap-3 text-soft phone:hidden">
        {say.leftFrontUse}{" "}
        <Button onClick={onTable} aria-pressed={table}>
          {table ? say.asBoards : say.asATable}
        </Button>{" "}
        <Link className="btn" to="/print/shelf">
          {say.print}
        </Link>
      </span>
    </div>
  );
}

function FirstSteps() {
  return (
    <Empty title={say.shelfEmpty}>
      <p>
        {say.clearOnePlace} <b>{say.threeTinsChickpeas}</b>.
      </p>
      <p className="mt-3">
        {say.orGo}{" "}
        <Link className="underline text-rim font-semibold" to="/count">
          {say.placePlaceWith}
        </Link>
        {say.datesCanWait}
      </p>
      <p className="mt-3">
        {say.thereListAlready}{" "}
        <Link className="underline text-rim font-semibold" to="/bring-in">
          {say.bringInCsv}
        </Link>
        .
      </p>
    </Empty>
  );
}
