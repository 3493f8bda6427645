import type { FormEvent } from "react";
import { Button } from "../kit/kit";
import { Sheet } from "../kit/Sheet";
import { useActs } from "./acts";

export const KINDS: [string, string][] = [["cupboard", "cupboard or shelf, room temperature"], ["cool_dark", "cool and dark: cellar, larder"], ["fridge", "fridge"], ["freezer", "freezer"]];
export const TIERS: [string, string][] = [["working", "at hand, for every day"], ["backstock", "backstock, further off"], ["set_apart", "set apart, meals leave it alone"]];

function whole(value: FormDataEntryValue | null): number | undefined {
  const text = String(value ?? "").trim();
  return text === "" ? undefined : Number(text);
}

/** A new place: what kind, for what, and how cold and warm it gets. */
export function NewPlace({ onClose }: { onClose: () => void }) {
  const { act } = useActs();
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const body = { name: String(form.get("name")).trim(), kind: form.get("kind"), tier: form.get("tier"), low_c: whole(form.get("low_c")), high_c: whole(form.get("high_c")) };
    if (await act("/api/places", body, body.name)) onClose();
  };
  return (
    <Sheet open onClose={onClose} title="New place">
      <form onSubmit={(event) => void submit(event)} className="grid gap-3 mt-3">
        <label className="grid gap-1"><span className="font-semibold">Name</span><input className="field" name="name" required maxLength={80} autoFocus /></label>
        <label className="grid gap-1"><span className="font-semibold">Kind</span><select className="field" name="kind">{KINDS.map(([value, words]) => <option key={value} value={value}>{words}</option>)}</select></label>
        <label className="grid gap-1"><span className="font-semibold">For</span><select className="field" name="tier">{TIERS.map(([value, words]) => <option key={value} value={value}>{words}</option>)}</select></label>
        <div className="grid grid-cols-2 gap-3">
          <label className="grid gap-1"><span className="font-semibold">Coldest, °C</span><input className="field" name="low_c" type="number" min={-60} max={80} /></label>
          <label className="grid gap-1"><span className="font-semibold">Warmest, °C</span><input className="field" name="high_c" type="number" min={-60} max={80} /></label>
        </div>
        <p className="text-soft text-[13.5px]">A place that can fall below zero warns you of what would freeze there.</p>
        <Button type="submit" look="main">Make the place</Button>
      </form>
    </Sheet>
  );
}
