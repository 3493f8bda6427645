import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { foodsQuery, usualFoodsQuery } from "../api/queries";
import type { Food, Place, PutAway } from "../api/types";
import { useActs } from "../app/acts";
import { useSession } from "../app/session";
import { Amount, Pick } from "../kit/form";
import { Toggles } from "../kit/choices";
import { Button } from "../kit/kit";
import { Mark } from "../kit/Mark";
import { Sheet } from "../kit/Sheet";
import { DayPad } from "./DayPad";
import { bodyOf, EMPTY, handWords, likelyYear, packName, sizesOf, takenUp, type Hand } from "./hand";
import { MonthPad } from "./MonthPad";
import * as say from "../words/oneHand";

interface Props {
  open: boolean;
  onClose: () => void;
  places: Place[];
  place: number | undefined;
  onPlace: (place: number) => void;
  /** Where the entry goes instead of being put away: into a count of one place. */
  send?: (body: PutAway) => Promise<void>;
}

interface Stored {
  body: PutAway;
  words: string;
  where: string;
}

/** What one usually puts away, the most often first; what is typed finds any food. */
function useLikely(find: string): Food[] {
  const usual = useQuery(usualFoodsQuery).data ?? [];
  const found = useQuery({ ...foodsQuery(find), enabled: find.trim() !== "" }).data ?? [];
  const known = new Map(usual.map((food) => [food.id, food]));
  return (find.trim() === "" ? usual : found.map((food) => known.get(food.id) ?? food)).slice(0, 18);
}

/** With a phone in one hand and a tin in the other: every step is a touch. */
export function OneHand({ open, onClose, places, place: fixed, onPlace, send: instead }: Props) {
  const { act } = useActs();
  const [hand, setHand] = useState<Hand>(EMPTY);
  const [stored, setStored] = useState<Stored[]>([]);
  // Said in this sheet it holds for all that follows; else each food goes where it went last.
  const [chosen, setChosen] = useState<number | null>(instead ? (fixed ?? null) : null);
  const set = (more: Partial<Hand>) => setHand((now) => ({ ...now, ...more }));
  const usual = places.find((one) => one.id === hand.food?.usual?.place_id)?.id;
  const place = chosen ?? usual;
  const choose = (id: number) => {
    setChosen(id);
    onPlace(id);
  };
  const send = async (body: PutAway, words: string) => {
    setHand(EMPTY);
    if (instead) await instead(body);
    else if (!(await act("/api/stacks", body, words, { typed: words }))) return;
    setStored((now) =>
      [{ body, words, where: places.find((one) => one.id === body.place_id)?.name ?? "" }, ...now].slice(0, 3),
    );
  };
  return (
    <Sheet open={open} onClose={onClose} title={say.title}>
      <div className="grid gap-3 mt-2">
        {stored.length > 0 && <Lately stored={stored} onAgain={send} />}
        {hand.food ? (
          <InHand hand={hand} food={hand.food} set={set} onAnother={() => setHand(EMPTY)} />
        ) : (
          <Chooser hand={hand} set={set} onPick={(food) => setHand(takenUp(food))} />
        )}
        {!instead && (hand.food || chosen !== null) && (
          <Pick
            label={chosen !== null ? say.place.said : usual ? say.place.last : say.place.open}
            value={place ?? ""}
            none={say.place.choose}
            onChange={(event) => choose(Number(event.target.value))}
            options={places.map((one) => [String(one.id), one.name] as const)}
          />
        )}
        {hand.food && (
          <div className="sticky bottom-0 bg-enamel py-2">
            <Button
              look="main"
              className="w-full tall"
              disabled={!place}
              onClick={() => place && send(bodyOf(hand, place), handWords(hand))}
            >
              {say.putAway(handWords(hand))}
            </Button>
          </div>
        )}
      </div>
    </Sheet>
  );
}

/** What was stored last, in sight, and the same again at a touch. */
function Lately({ stored, onAgain }: { stored: Stored[]; onAgain: (body: PutAway, words: string) => Promise<void> }) {
  const [last] = stored;
  return (
    <div role="status" className="border-l-4 border-pea pl-3">
      {stored.map((one, index) => (
        <div key={`${index}-${one.words}`} className={index === 0 ? "font-semibold" : "text-soft text-small"}>
          {say.stored(one.words, one.where)}
        </div>
      ))}
      {last && (
        <Button className="mt-1" onClick={() => onAgain(last.body, last.words)}>
          {say.again}
        </Button>
      )}
    </div>
  );
}

function Chooser({
  hand,
  set,
  onPick,
}: {
  hand: Hand;
  set: (more: Partial<Hand>) => void;
  onPick: (food: Food) => void;
}) {
  const likely = useLikely(hand.find);
  return (
    <div className="grid gap-2">
      <div className="grid grid-cols-2 gap-2" role="group" aria-label={say.foods}>
        {likely.map((food) => (
          <Button key={food.id} className="card" onClick={() => onPick(food)}>
            <Mark kind={food.mark} />
            {food.name}
          </Button>
        ))}
      </div>
      <input
        className="field"
        aria-label={say.find}
        placeholder={say.findAnother}
        value={hand.find}
        onChange={(event) => set({ find: event.target.value })}
      />
    </div>
  );
}

const KINDS = [
  ["best_before", say.bestBefore],
  ["use_by", say.useBy],
] as const;

function InHand({
  hand,
  food,
  set,
  onAnother,
}: {
  hand: Hand;
  food: Food;
  set: (more: Partial<Hand>) => void;
  onAnother: () => void;
}) {
  const { today } = useSession();
  const unit = food.dimension === "mass" ? "g" : food.dimension === "volume" ? "ml" : "pieces";
  return (
    <>
      <div className="flex items-center gap-2">
        <Mark kind={food.mark} className="text-head" />
        <b className="grow">{food.name}</b>
        <Button onClick={onAnother}>{say.another}</Button>
      </div>
      <Toggles
        label={say.size}
        options={sizesOf(food).map((pack) => [pack, packName(food, pack)] as const)}
        value={hand.pack}
        onPick={(pack) => set({ pack })}
      />
      <details>
        <summary className="text-rim font-semibold cursor-pointer min-h-[30px] phone:py-[10px]">
          {say.otherSize}
        </summary>
        <Amount
          label={say.onePack}
          unit={unit}
          onAmount={(amount) => set({ pack: amount + (unit === "pieces" ? "" : unit) })}
        />
      </details>
      <Stepper count={hand.count} onCount={(count) => set({ count })} />
      <div className="grid gap-2">
        <Toggles
          label={say.which}
          options={KINDS}
          value={hand.kind}
          onPick={(kind) => (kind === "best_before" || kind === "use_by") && set({ kind, date: "" })}
        />
        {hand.kind === "use_by" || food.by_day ? (
          <DayPad today={today} value={hand.date} onPick={(date) => set({ date })} />
        ) : (
          <MonthPad
            key={food.id}
            today={today}
            likely={likelyYear(food, today)}
            value={hand.date}
            onPick={(date) => set({ date })}
          />
        )}
      </div>
    </>
  );
}

function Stepper({ count, onCount }: { count: number; onCount: (count: number) => void }) {
  return (
    <div className="flex flex-wrap items-center gap-2" role="group" aria-label={say.howMany}>
      <Button aria-label={say.less} disabled={count <= 1} onClick={() => onCount(count - 1)}>
        −
      </Button>
      <output className="font-head text-big w-10 text-center">{count}</output>
      <Button aria-label={say.more} onClick={() => onCount(count + 1)}>
        +
      </Button>
      {[1, 2, 3, 6, 12]
        .filter((number) => number !== count)
        .map((number) => (
          <Button key={number} aria-label={say.ofThem(number)} onClick={() => onCount(number)}>
            {number}
          </Button>
        ))}
    </div>
  );
}
