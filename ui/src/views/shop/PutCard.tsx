import { useState } from "react";
import type { BoughtLine, Place } from "../../api/types";
import { useSession } from "../../app/session";
import { Toggles } from "../../kit/choices";
import { Day, Pick, Text } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { DayPad } from "../../label-line/DayPad";
import { MonthPad } from "../../label-line/MonthPad";
import * as say from "../../words/shop";
import { parted, type Putting } from "./putting";

const UNITS: [string, string][] = [
  ["g", "g"],
  ["ml", "ml"],
  ["piece", "pieces"],
];

/** One thing that was bought: how much, until when, where to. */
export function PutCard({
  line,
  list,
  places,
  onChange,
  onPut,
  onWithout,
  onNotBought,
}: {
  line: BoughtLine;
  list: Putting[];
  places: Place[];
  onChange: (list: Putting[]) => void;
  onPut: () => unknown;
  onWithout: () => unknown;
  onNotBought: () => unknown;
}) {
  const set = (at: number, more: Partial<Putting>) =>
    onChange(list.map((one, index) => (index === at ? { ...one, ...more } : one)));
  const times = (factor: number) =>
    onChange(list.map((one) => ({ ...one, count: String(Number((Number(one.count) * factor).toFixed(6))) })));
  const part = (at: number) => onChange(list.flatMap((one, index) => (index === at ? parted(one) : [one])));
  return (
    <Board title={line.text} note={line.note || undefined}>
      {line.ticked_by.length > 1 && <Twice names={line.ticked_by} times={times} />}
      {line.food_id !== null &&
        list.map((one, at) => (
          <Part
            key={at}
            one={one}
            near={line.near}
            places={places}
            set={(more) => set(at, more)}
            onPart={() => part(at)}
          />
        ))}
      <div className="flex flex-wrap gap-2 mt-3">
        {line.food_id !== null && (
          <Button look="main" onClick={onPut}>
            {say.putOne}
          </Button>
        )}
        <Button onClick={onWithout}>{say.notForShelf}</Button>
        <Button onClick={onNotBought}>{say.notBought}</Button>
      </div>
    </Board>
  );
}

/** Two who ticked the same line may have bought it twice: only they know. */
function Twice({ names, times }: { names: string[]; times: (factor: number) => void }) {
  const [often, setOften] = useState(1);
  const choose = (next: number) => {
    times(next / often);
    setOften(next);
  };
  return (
    <div className="border-l-4 border-mustard pl-3 my-2 grid gap-1">
      <p>{say.both(names)}</p>
      <Toggles
        label={say.both(names)}
        options={[
          ["1", say.once],
          [String(names.length), say.each],
        ]}
        value={String(often)}
        onPick={(value) => choose(Number(value) || 1)}
      />
    </div>
  );
}

/** A number of a few digits. */
function Figure({ label, value, onType }: { label: string; value: string; onType: (value: string) => void }) {
  return (
    <Text
      label={label}
      value={value}
      inputMode="decimal"
      className="!w-[96px]"
      onChange={(event) => onType(event.target.value)}
    />
  );
}

function Part({
  one,
  near,
  places,
  set,
  onPart,
}: {
  one: Putting;
  near: boolean;
  places: Place[];
  set: (more: Partial<Putting>) => void;
  onPart: () => void;
}) {
  const today = useSession().today;
  const year = Number(today.slice(0, 4)) + 1;
  const freezer = places.find((place) => place.kind === "freezer");
  return (
    <div className="grid gap-3 border-t border-zinc2 mt-2 pt-2">
      <div className="flex flex-wrap gap-3 items-end">
        <Figure label={say.count} value={one.count} onType={(count) => set({ count })} />
        {one.unit !== "piece" && <Figure label={say.size} value={one.amount} onType={(amount) => set({ amount })} />}
        <Pick
          label={say.unit}
          value={one.unit}
          options={UNITS}
          onChange={(event) => set({ unit: event.target.value as Putting["unit"] })}
        />
        <Figure label={say.paidInAll} value={one.price} onType={(price) => set({ price })} />
        <Pick
          label={say.place}
          value={one.place ?? ""}
          none={say.choosePlace}
          options={places.map((place) => [String(place.id), place.name] as const)}
          onChange={(event) => set({ place: event.target.value === "" ? null : Number(event.target.value) })}
        />
        <Button onClick={onPart}>{say.part}</Button>
        {freezer && one.place !== freezer.id && (
          <Button onClick={() => set({ place: freezer.id })}>{say.freezeNow}</Button>
        )}
      </div>
      <div className="grid gap-1">
        <span className="font-semibold">{say.dateKind}</span>
        <Toggles
          label={say.dateKind}
          options={[["", say.noDate], ...say.kinds]}
          value={one.kind}
          onPick={(kind) => set({ kind: kind as Putting["kind"], date: "" })}
        />
      </div>
      {one.kind === "best_before" && !near && (
        <>
          <MonthPad today={today} likely={year} value={one.date} onPick={(date) => set({ date })} />
          <Day label={say.printedDay} value={one.date} onChange={(event) => set({ date: event.target.value })} />
        </>
      )}
      {(one.kind === "use_by" || (one.kind === "best_before" && near)) && (
        <DayPad today={today} value={one.date} onPick={(date) => set({ date })} />
      )}
    </div>
  );
}
