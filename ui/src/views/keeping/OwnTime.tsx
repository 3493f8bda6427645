import type { FormEvent } from "react";
import type { KeepingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";

const PLACES: [string, string][] = [["cupboard", "cupboard"], ["cool_dark", "cool and dark"], ["fridge", "fridge"], ["freezer", "freezer"]];
const STATES: [string, string][] = [["unopened", "unopened"], ["whole", "whole"], ["opened", "opened"], ["cut", "cut"], ["ripe", "ripe"], ["cooked", "cooked"], ["portioned", "portioned, frozen"], ["ground", "ground"]];
const STORAGE: [string, string][] = [["", "whichever way"], ["bag", "in a bag"], ["jar", "in a closed jar or box"], ["water", "standing in water"], ["paper", "in paper or cloth"], ["vacuum", "without air"]];

function Pick({ name, label, options }: { name: string; label: string; options: [string, string][] }) {
  return <label className="grid gap-1"><span className="font-semibold">{label}</span><select className="field" name={name}>{options.map(([value, words]) => <option key={value} value={value}>{words}</option>)}</select></label>;
}

/** The household's own time for this food, with its reason. */
export function OwnTime({ page, onClose }: { page: KeepingPage; onClose: () => void }) {
  const { act } = useActs();
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const storage = String(form.get("storage"));
    const body = { place: form.get("place"), state: form.get("state"), ...(storage ? { storage } : {}), low: Number(form.get("low")), high: Number(form.get("high")), reason: String(form.get("reason")).trim() };
    if (await act(`/api/keeping/${page.food_id}/own`, body, `own time for ${page.food}`)) onClose();
  };
  return (
    <Sheet open onClose={onClose} title={`An own time: ${page.food}`}>
      <form className="grid gap-3 mt-3" onSubmit={(event) => void submit(event)}>
        <Pick name="place" label="Where" options={PLACES} />
        <Pick name="state" label="How" options={STATES} />
        <Pick name="storage" label="Stored" options={STORAGE} />
        <div className="grid grid-cols-2 gap-3">
          <label className="grid gap-1"><span className="font-semibold">Days at least</span><input className="field" name="low" type="number" min={0} max={20000} required /></label>
          <label className="grid gap-1"><span className="font-semibold">Days at most</span><input className="field" name="high" type="number" min={0} max={20000} required /></label>
        </div>
        <label className="grid gap-1"><span className="font-semibold">Why</span><input className="field" name="reason" required minLength={3} maxLength={300} placeholder="Our fridge is colder than most" /></label>
        <Button type="submit" look="main">Use this time</Button>
        <p className="text-soft text-[13.5px]">Every stack it concerns is dated anew. What is a matter of safety can be made shorter, never longer.</p>
      </form>
    </Sheet>
  );
}
