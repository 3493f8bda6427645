import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { foodsQuery, usualFoodsQuery } from "../api/queries";
import type { Food, Place, PutAway } from "../api/types";
import { useActs } from "../app/acts";
import { useSession } from "../app/session";
import { Button } from "../kit/kit";
import { Sheet } from "../kit/Sheet";
import { MonthPad } from "./MonthPad";
import { packWords, sizeOf } from "./packs";

interface Props {
  open: boolean;
  onClose: () => void;
  places: Place[];
  place: number | undefined;
  onPlace: (place: number) => void;
  /** Where the entry goes instead of being put away: into a count. */
  send?: (body: PutAway) => Promise<void>;
}

interface Hand {
  food: Food | null;
  count: number;
  pack: string;
  date: string;
  find: string;
}

const EMPTY: Hand = { food: null, count: 1, pack: "", date: "", find: "" };

/** What one usually puts away, the most often first; what is typed finds any food. */
function useLikely(find: string): Food[] {
  const usual = useQuery(usualFoodsQuery).data ?? [];
  const found = useQuery({ ...foodsQuery(find), enabled: find.trim() !== "" }).data ?? [];
  return (find.trim() === "" ? usual : found).slice(0, 12);
}

function body(hand: Hand, place: number): PutAway {
  const size = hand.pack ? sizeOf(hand.pack) : null;
  const date = hand.date ? { printed_on: hand.date, printed_kind: "best_before" as const } : {};
  if (!size) return { food_id: hand.food?.id ?? 0, place_id: place, count: String(hand.count), ...(hand.food?.dimension === "count" ? { amount: "1", unit: "piece" as const } : { noun: "pack" }), ...date };
  return { food_id: hand.food?.id ?? 0, place_id: place, count: String(hand.count), amount: size.amount, unit: size.unit, ...date };
}

/** With a phone in one hand and a tin in the other: every step is a touch. */
export function OneHand({ open, onClose, places, place, onPlace, send: instead }: Props) {
  const { act } = useActs();
  const { today } = useSession();
  const [hand, setHand] = useState<Hand>(EMPTY);
  const [last, setLast] = useState<{ body: PutAway; words: string } | null>(null);
  const set = (more: Partial<Hand>) => setHand((now) => ({ ...now, ...more }));
  const send = async (write: PutAway, words: string) => {
    setLast({ body: write, words });
    setHand(EMPTY);
    await (instead ? instead(write) : act("/api/stacks", write, words));
  };
  const words = `${hand.count} ${hand.pack ? `x ${packWords(hand.pack)} ` : ""}${hand.food?.name ?? ""}`;
  return (
    <Sheet open={open} onClose={onClose} title="With one hand">
      <div className="grid gap-4 mt-3">
        <label className="grid gap-1"><span className="font-semibold">Place, stays until changed</span>
          <select className="field" value={place ?? ""} onChange={(event) => onPlace(Number(event.target.value))}>
            <option value="" disabled>Choose a place</option>
            {places.map((one) => <option key={one.id} value={one.id}>{one.name}</option>)}
          </select>
        </label>
        {last && <Button onClick={() => send({ ...last.body, place_id: place ?? last.body.place_id }, last.words)}>Same again: {last.words}</Button>}
        <Chooser hand={hand} set={set} />
        {hand.food && (
          <>
            <Stepper count={hand.count} onCount={(count) => set({ count })} />
            <fieldset><legend className="font-semibold mb-1">Best before</legend><MonthPad today={today} value={hand.date} onPick={(date) => set({ date })} /></fieldset>
            <Button look="main" disabled={!place} onClick={() => place && void send(body(hand, place), words)}>Put away {words}</Button>
          </>
        )}
      </div>
    </Sheet>
  );
}

function Chooser({ hand, set }: { hand: Hand; set: (more: Partial<Hand>) => void }) {
  const likely = useLikely(hand.find);
  if (hand.food) {
    return (
      <div className="grid gap-2">
        <div className="flex items-center gap-2"><b className="grow">{hand.food.name}</b><Button onClick={() => set({ food: null })}>Another</Button></div>
        <div className="flex flex-wrap gap-2" role="group" aria-label="Size of one pack">
          {hand.food.packs.map((pack) => <Button key={pack} look={hand.pack === pack ? "main" : "quiet"} aria-pressed={hand.pack === pack} onClick={() => set({ pack: hand.pack === pack ? "" : pack })}>{packWords(pack)}</Button>)}
        </div>
      </div>
    );
  }
  return (
    <div className="grid gap-2">
      <input className="field" aria-label="Find a food" placeholder="Find a food" value={hand.find} onChange={(event) => set({ find: event.target.value })} />
      <div className="grid grid-cols-2 gap-2" role="group" aria-label="Foods">
        {likely.map((food) => <Button key={food.id} className="!whitespace-normal !justify-start !text-left" onClick={() => set({ food, pack: food.packs[0] ?? "" })}>{food.name}</Button>)}
      </div>
    </div>
  );
}

function Stepper({ count, onCount }: { count: number; onCount: (count: number) => void }) {
  return (
    <div className="flex items-center gap-3" role="group" aria-label="How many">
      <Button aria-label="One less" disabled={count <= 1} onClick={() => onCount(count - 1)}>−</Button>
      <output className="font-head text-big w-12 text-center">{count}</output>
      <Button aria-label="One more" onClick={() => onCount(count + 1)}>+</Button>
      {[2, 4, 6, 12].map((number) => <Button key={number} onClick={() => onCount(number)}>{number}</Button>)}
    </div>
  );
}
