import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState, type FormEvent } from "react";
import { jarsQuery, shelfQuery } from "../../api/queries";
import type { Place, StackDetail } from "../../api/types";
import { Button } from "../../kit/kit";
import type { Doing, Input } from "./doings";
import { Effect } from "./Effect";

interface Props {
  doing: Doing;
  detail: StackDetail;
  places: Place[];
  onDo: (act: string, input: Input) => void;
}

/** Nothing has to be said, so the hand waits on the button: Enter does it. */
const AT_ONCE = ["open", "freeze", "thaw", "look"];

/** One thing to do to a stack: what it needs to know, what it does to the date, and the button that does it. */
export function ActPanel({ doing, detail, places, onDo }: Props) {
  const form = useRef<HTMLFormElement>(null);
  const read = () => (form.current ? doing.input(new FormData(form.current), detail, places) : null);
  const [input, setInput] = useState<Input | null>(null);
  const [danger, setDanger] = useState(false);
  useEffect(() => {
    const first = AT_ONCE.includes(doing.key) ? null : form.current?.querySelector<HTMLElement>("select, input:not([type=checkbox])");
    (first ?? form.current?.querySelector<HTMLElement>("[data-confirm]"))?.focus();
  }, [doing.key]);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const now = read();
    if (now) onDo(doing.act, now);
  };
  const attach = (element: HTMLFormElement | null) => {
    form.current = element;
    if (element && input === null) setInput(doing.input(new FormData(element), detail, places));
  };
  return (
    <form ref={attach} className="board p-3 grid gap-2" aria-label={doing.name} onSubmit={submit} onChange={() => setInput(read())}>
      <Fields doing={doing} detail={detail} places={places} onReady={() => setInput(read())} />
      {doing.note && <p className="text-soft text-[13.5px]">{doing.note}</p>}
      {input && <Effect id={detail.stack.id} act={doing.act} input={input} onDanger={setDanger} />}
      <Button type="submit" look={danger && doing.key !== "throw" ? "grave" : doing.look} data-confirm>{danger && !["throw", "look"].includes(doing.key) ? `${doing.confirm}, though it is not to eat` : doing.confirm}</Button>
    </form>
  );
}

function Fields({ doing, detail, places, onReady }: Omit<Props, "onDo"> & { onReady: () => void }) {
  switch (doing.key) {
    case "take": return <Amount detail={detail} label="How much" value={detail.stack.open ? undefined : (detail.stack.pack ?? "1")} />;
    case "open": return null;
    case "freeze": case "thaw": return <Amount detail={detail} label="How much, empty for all of it" />;
    case "move": return <><Where places={places.filter((place) => place.id !== detail.stack.place_id)} /><Amount detail={detail} label="How much, empty for all of it" /></>;
    case "look": return <Signs detail={detail} />;
    case "ripened": case "cut": case "cooked": return <><Where places={places} stays detail={detail} cold={doing.key !== "ripened"} /><Amount detail={detail} label="How much, empty for all of it" /></>;
    case "portion": return <Portions detail={detail} places={places} />;
    case "decant": return <><Jars onReady={onReady} /><Amount detail={detail} label="How much, empty for one pack" /></>;
    case "top-up": return <><Sources detail={detail} onReady={onReady} /><Amount detail={detail} label="How much, empty for one pack" /></>;
    case "store": return <Pick name="method" label="Stored" options={detail.storage.ways.filter((way) => way !== detail.storage.now).map((way): [string, string] => [way, WAYS[way] ?? way])} />;
    case "amend": return <Known detail={detail} />;
    case "correct": return <><Amount detail={detail} label="What is really there" required /><label className="grid gap-1"><span className="font-semibold">What happened</span><input className="field" name="why" maxLength={200} placeholder="typed 10, was 1" /></label></>;
    case "throw": return <><Pick name="outcome" label="Where it goes" options={OUTCOMES} /><Pick name="why" label="Why" options={WHYS} /><Amount detail={detail} label="How much, empty for all of it" /></>;
    default: return null;
  }
}

const OUTCOMES: [string, string][] = [["binned", "Bin"], ["composted", "Compost"], ["given_away", "Give away"], ["animals", "To the animals"]];
const WHYS: [string, string][] = [["turned", "it turned"], ["forgotten", "forgotten at the back"], ["bought_too_much", "bought too much"], ["disliked", "nobody likes it"], ["pest", "pests"], ["damaged", "damaged"], ["recalled", "recalled"], ["other", "another reason"]];
const WAYS: Record<string, string> = { bag: "in a bag", jar: "in a closed jar or box", water: "standing in water", paper: "wrapped in paper or cloth", vacuum: "without air" };
const WRAPS: [string, string][] = [["tin", "tin"], ["glass", "glass"], ["card", "card"], ["paper", "paper"], ["thin_plastic", "thin plastic"], ["plastic", "hard plastic"], ["carton", "drink carton"], ["loose", "nothing"]];
const RESULTS: [string, string][] = [["", "as the signs say"], ["good", "good"], ["turning", "turning: eat it next"], ["bad", "bad: not to eat"]];

function Amount({ detail, label, value, required = false }: { detail: StackDetail; label: string; value?: string; required?: boolean }) {
  const unit = detail.stack.noun ?? detail.stack.unit;
  return (
    <label className="grid gap-1"><span className="font-semibold">{label}, in {unit === "piece" ? "pieces" : unit}</span>
      <input className="field" name="amount" inputMode="decimal" pattern="[0-9]{1,9}([.,][0-9]{1,6})?" title="A number such as 250 or 1.5" defaultValue={value} placeholder={detail.stack.on_hand} required={required} />
    </label>
  );
}

function Pick({ name, label, options, value }: { name: string; label: string; options: [string, string][]; value?: string }) {
  return <label className="grid gap-1"><span className="font-semibold">{label}</span><select className="field" name={name} defaultValue={value}>{options.map(([key, words]) => <option key={key} value={key}>{words}</option>)}</select></label>;
}

function Where({ places, stays = false, detail, cold = false }: { places: Place[]; stays?: boolean; detail?: StackDetail; cold?: boolean }) {
  const fridge = places.find((place) => place.kind === "fridge");
  const here = places.find((place) => place.id === detail?.stack.place_id);
  const value = cold && fridge && here && here.kind !== "fridge" ? String(fridge.id) : "";
  const options = places.filter((place) => place.id !== here?.id).map((place): [string, string] => [String(place.id), place.name]);
  return <Pick name="place_id" label={stays ? "Where it goes then" : "Where to"} value={stays ? value : undefined} options={stays ? [["", `stays in ${here?.name ?? "its place"}`], ...options] : options} />;
}

/** A short list for its kind of pack: tick what is seen. */
function Signs({ detail }: { detail: StackDetail }) {
  const missed = detail.care.filter((row) => row.late_days > 0);
  return (
    <>
      {missed.map((row) => <p key={row.id} className="text-beet font-semibold text-[14px]">Missed for {row.late_days} days: {row.title}. Look the closer.</p>)}
      <fieldset><legend className="font-semibold mb-1">Tick what you see; nothing ticked means it is good</legend>
        {detail.look.signs.map((one) => <label key={one.sign} className="flex items-start gap-2 min-h-[32px] phone:min-h-[44px] py-1"><input type="checkbox" name="sign" value={one.sign} className="size-5 shrink-0" /> <span>{one.sign} <span className={`text-[12.5px] font-semibold ${one.means === "bad" ? "text-beet" : "text-soft"}`}>{one.means}</span></span></label>)}
      </fieldset>
      <Pick name="result" label="It is" options={RESULTS} />
    </>
  );
}

function Portions({ detail, places }: { detail: StackDetail; places: Place[] }) {
  const unit = detail.stack.noun ?? detail.stack.unit;
  const [by, setBy] = useState<"size" | "count">("count");
  return (
    <>
      <div role="group" aria-label="Split by" className="flex gap-2">{(["count", "size"] as const).map((one) => <Button key={one} look={by === one ? "main" : "quiet"} aria-pressed={by === one} onClick={() => setBy(one)}>{one === "count" ? "so many" : "of one size"}</Button>)}</div>
      {by === "count" ? <label className="grid gap-1"><span className="font-semibold">How many portions</span><input className="field" name="count" type="number" min={1} max={500} required defaultValue={2} /></label>
        : <label className="grid gap-1"><span className="font-semibold">One portion, in {unit === "piece" ? "pieces" : unit}</span><input className="field" name="size" inputMode="decimal" required pattern="[0-9]{1,9}([.,][0-9]{1,6})?" /></label>}
      <Amount detail={detail} label="Out of how much, empty for all of it" />
      <Where places={places} stays detail={detail} />
      <label className="grid gap-1"><span className="font-semibold">Name on the label</span><input className="field" name="label" maxLength={120} placeholder={detail.stack.name} /></label>
    </>
  );
}

/** What can be chosen came in after the form was drawn: it says something now. */
function useReady(count: number, onReady: () => void): void {
  const latest = useRef(onReady);
  useEffect(() => {
    latest.current = onReady;
  });
  useEffect(() => {
    if (count > 0) latest.current();
  }, [count]);
}

function Jars({ onReady }: { onReady: () => void }) {
  const jars = useQuery(jarsQuery).data ?? [];
  const free = jars.filter((jar) => jar.empty > 0);
  useReady(free.length, onReady);
  if (free.length === 0) return <p className="text-soft">No jar or box stands empty. Note sizes under Places, Jars and boxes.</p>;
  return <Pick name="container_id" label="Into" options={free.map((jar) => [String(jar.id), `${jar.name}, ${jar.empty} empty`])} />;
}

function Sources({ detail, onReady }: { detail: StackDetail; onReady: () => void }) {
  const others = (useQuery(shelfQuery).data?.stacks ?? []).filter((stack) => stack.food_id === detail.stack.food_id && stack.id !== detail.stack.id && stack.unit === detail.stack.unit);
  useReady(others.length, onReady);
  if (others.length === 0) return <p className="text-soft">There is no other stack of it.</p>;
  return <Pick name="from_lot_id" label="From" options={others.map((stack) => [String(stack.id), `${stack.name}, ${stack.amount}`])} />;
}

function Known({ detail }: { detail: StackDetail }) {
  const facts = detail.facts;
  const field = (name: "label" | "directions" | "bought_for" | "lot_text", label: string, most: number) => <label className="grid gap-1"><span className="font-semibold">{label}</span><input className="field" name={name} maxLength={most} defaultValue={facts[name]} /></label>;
  return (
    <>
      <div className="grid grid-cols-[1fr_1fr] gap-3">
        <label className="grid gap-1"><span className="font-semibold">Date on the pack</span><input className="field" type="date" name="printed_on" defaultValue={facts.printed_on ?? ""} /></label>
        <Pick name="printed_kind" label="It is a" value={facts.printed_kind ?? "best_before"} options={[["best_before", "best before"], ["use_by", "use by"]]} />
      </div>
      <label className="grid gap-1"><span className="font-semibold">Made on</span><input className="field" type="date" name="made_on" defaultValue={facts.made_on ?? ""} /></label>
      {field("label", "Name", 120)}
      {field("directions", "Directions, kept when the box is thrown away", 600)}
      {field("bought_for", "Bought for", 120)}
      {field("lot_text", "Lot printed on it", 60)}
      <Pick name="wrapping" label="Wrapped in" value={facts.wrapping} options={WRAPS} />
    </>
  );
}
