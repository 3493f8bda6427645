import { useState, type FormEvent } from "react";
import type { Place } from "../../api/types";
import { KINDS, TIERS } from "../../app/NewPlace";
import { useActs } from "../../app/acts";
import { Button } from "../../kit/kit";

const REACH: [string, string][] = [["hand", "within reach of the cook"], ["steps", "a few steps away"], ["away", "another floor, a shed, a garage"]];

function number(form: FormData, name: string): number | null {
  const text = String(form.get(name) ?? "").trim();
  return text === "" ? null : Number(text);
}

/** Only what changed is sent, with the version the person saw. */
function changes(place: Place, form: FormData): Record<string, unknown> {
  const inner = ["w", "d", "h"].map((name) => number(form, name));
  const parent = number(form, "parent_id");
  const after: Record<string, unknown> = {
    name: String(form.get("name")).trim(), kind: form.get("kind"), tier: form.get("tier"), reach: form.get("reach"), dark: form.get("dark") === "on", low_c: number(form, "low_c"), high_c: number(form, "high_c"),
    fill_percent: number(form, "fill_percent"), count_every_days: number(form, "count_every_days"), note: String(form.get("note")).trim(), parent_id: parent,
  };
  if (inner.every((size) => size !== null)) after.inner_mm = inner;
  const before = place as unknown as Record<string, unknown>;
  return Object.fromEntries(Object.entries(after).filter(([name, value]) => JSON.stringify(before[name]) !== JSON.stringify(value)));
}

export function EditPlace({ place: now, places, onDone }: { place: Place; places: Place[]; onDone: () => void }) {
  const { act, say } = useActs();
  // As the person saw it when they opened the form: what others change meanwhile neither closes it nor is overwritten.
  const [place] = useState(now);
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const changed = changes(place, new FormData(event.currentTarget));
    if (Object.keys(changed).length === 0) return say({ text: "That is what it says already." });
    if (await act(`/api/places/${place.id}/change`, { version: place.version, ...changed }, `change ${place.name}`)) onDone();
  };
  return (
    <form className="board p-3 grid gap-3" onSubmit={(event) => void submit(event)}>
      <Text name="name" label="Name" value={place.name} required />
      <Pick name="kind" label="Kind" value={place.kind} options={KINDS} />
      <Pick name="tier" label="For" value={place.tier} options={TIERS} />
      <Pick name="reach" label="How far it is" value={place.reach} options={REACH} />
      <Pick name="parent_id" label="Stands in" value={String(place.parent_id ?? "")} options={[["", "nothing else"], ...places.filter((one) => one.id !== place.id).map((one): [string, string] => [String(one.id), one.name])]} />
      <div className="grid grid-cols-2 gap-3">
        <Whole name="low_c" label="Coldest, °C" value={place.low_c} min={-60} max={80} />
        <Whole name="high_c" label="Warmest, °C" value={place.high_c} min={-60} max={80} />
      </div>
      <label className="flex items-center gap-2 min-h-[36px]"><input type="checkbox" name="dark" defaultChecked={place.dark} className="size-5" /> It is dark there</label>
      <fieldset className="grid grid-cols-3 gap-3"><legend className="font-semibold mb-1">Inside, in mm</legend>
        {["w", "d", "h"].map((name, index) => <Whole key={name} name={name} label={["wide", "deep", "high"][index] ?? ""} value={place.inner_mm?.[index] ?? null} min={1} max={20000} />)}
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        <Whole name="fill_percent" label="How full, %" value={place.fill_percent} min={0} max={100} />
        <Whole name="count_every_days" label="Count every … days" value={place.count_every_days} min={1} max={1000} />
      </div>
      <Text name="note" label="Note" value={place.note} />
      <Button type="submit" look="main">Keep it so</Button>
    </form>
  );
}

function Text({ name, label, value, required = false }: { name: string; label: string; value: string; required?: boolean }) {
  return <label className="grid gap-1"><span className="font-semibold">{label}</span><input className="field" name={name} defaultValue={value} required={required} maxLength={name === "name" ? 80 : 300} /></label>;
}

function Whole({ name, label, value, min, max }: { name: string; label: string; value: number | null; min: number; max: number }) {
  return <label className="grid gap-1"><span className="font-semibold">{label}</span><input className="field" name={name} type="number" min={min} max={max} defaultValue={value ?? ""} /></label>;
}

function Pick({ name, label, value, options }: { name: string; label: string; value: string; options: [string, string][] }) {
  return <label className="grid gap-1"><span className="font-semibold">{label}</span><select className="field" name={name} defaultValue={value}>{options.map(([key, words]) => <option key={key} value={key}>{words}</option>)}</select></label>;
}
