import { useState, type FormEvent } from "react";
import type { Place, Stack } from "../../api/types";
import { Button } from "../../kit/kit";

const OUTCOMES: [string, string][] = [["binned", "Bin"], ["composted", "Compost"], ["given_away", "Give away"], ["animals", "To the animals"]];
const WHYS: [string, string][] = [["turned", "it turned"], ["forgotten", "forgotten at the back"], ["bought_too_much", "bought too much"], ["disliked", "nobody likes it"], ["pest", "pests"], ["damaged", "damaged"], ["recalled", "recalled"], ["other", "another reason"]];
const panel = "board p-3 grid gap-2";

function amountOf(form: FormData): { amount?: string } {
  const text = String(form.get("amount") ?? "").trim().replace(",", ".");
  return text === "" ? {} : { amount: text };
}

function AmountBox({ stack, label, value }: { stack: Stack; label: string; value?: string }) {
  const unit = stack.noun ?? stack.unit;
  return (
    <label className="grid gap-1">
      <span className="font-semibold">{label}, in {unit === "piece" ? "pieces" : unit}</span>
      <input className="field" name="amount" inputMode="decimal" pattern="[0-9]{1,9}([.,][0-9]{1,6})?" title="A number such as 250 or 1.5" defaultValue={value} placeholder={stack.on_hand} />
    </label>
  );
}

export function TakeAct({ stack, onDo }: { stack: Stack; onDo: (body: unknown) => void }) {
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    onDo(amountOf(new FormData(event.currentTarget)));
  };
  return (
    <form className={panel} onSubmit={submit}>
      <AmountBox stack={stack} label="How much" value={stack.open ? undefined : (stack.pack ?? "1")} />
      <Button type="submit" look="main">Take it</Button>
      {!stack.open && <p className="text-soft text-[13.5px]">A part of a sealed pack opens it; the rest becomes a stack of its own.</p>}
    </form>
  );
}

export function MoveAct({ stack, places, onDo }: { stack: Stack; places: Place[]; onDo: (body: unknown) => void }) {
  const others = places.filter((place) => place.id !== stack.place_id);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    onDo({ place_id: Number(form.get("place")), ...amountOf(form) });
  };
  return (
    <form className={panel} onSubmit={submit}>
      <label className="grid gap-1"><span className="font-semibold">Where to</span>
        <select className="field" name="place" autoFocus>{others.map((place) => <option key={place.id} value={place.id}>{place.name}</option>)}</select>
      </label>
      <AmountBox stack={stack} label="How much, empty for all of it" />
      <Button type="submit" look="main">Move it</Button>
      <p className="text-soft text-[13.5px]">Into a freezer is freezing, out of it thawing; the date follows.</p>
    </form>
  );
}

export function ThrowAct({ stack, onDo }: { stack: Stack; onDo: (body: unknown) => void }) {
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    onDo({ outcome: form.get("outcome"), why: form.get("why"), ...amountOf(form) });
  };
  return (
    <form className={panel} onSubmit={submit}>
      <label className="grid gap-1"><span className="font-semibold">Where it goes</span>
        <select className="field" name="outcome" autoFocus>{OUTCOMES.map(([value, words]) => <option key={value} value={value}>{words}</option>)}</select>
      </label>
      <label className="grid gap-1"><span className="font-semibold">Why</span>
        <select className="field" name="why">{WHYS.map(([value, words]) => <option key={value} value={value}>{words}</option>)}</select>
      </label>
      <AmountBox stack={stack} label="How much, empty for all of it" />
      <Button type="submit" look="grave">Let it go</Button>
    </form>
  );
}

export function LevelAct({ stack, onDo }: { stack: Stack; onDo: (body: unknown) => void }) {
  const [open, setOpen] = useState(stack.level !== null);
  if (!open) return <Button look="plain" className="justify-self-start !px-0" onClick={() => setOpen(true)}>Keep it by level instead of by amount</Button>;
  return (
    <div role="group" aria-label="Level" className="flex flex-wrap gap-2 items-center">
      <span className="text-soft">There is</span>
      {["plenty", "half", "low", "out"].map((level) => <Button key={level} look={stack.level === level ? "main" : "quiet"} aria-pressed={stack.level === level} onClick={() => onDo({ level })}>{level}</Button>)}
    </div>
  );
}
