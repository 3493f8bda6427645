import type { FormEvent } from "react";
import type { Person } from "../../api/types";
import { useActs } from "../../app/acts";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { ALLERGENS } from "./allergens";

const APPETITES: [string, string][] = [["0.5", "a small child"], ["0.8", "a small eater"], ["1", "one portion"], ["1.2", "a good eater"], ["1.5", "a hungry one"]];

/** How much somebody eats, and what never. */
export function PersonSheet({ person, onClose }: { person: Person | null; onClose: () => void }) {
  const { act } = useActs();
  const path = person ? `/api/people/${person.id}/change` : "/api/people";
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const body = { name: String(form.get("name")).trim(), portion_factor: String(form.get("portion_factor")).replace(",", "."), strict: form.get("strict") === "on", eats: form.get("eats") === "on", excludes: form.getAll("excludes"), note: String(form.get("note")).trim() };
    if (await act(path, person ? { version: person.version, ...body } : body, body.name)) onClose();
  };
  return (
    <Sheet open onClose={onClose} title={person?.name ?? "Somebody who eats here"}>
      <form className="grid gap-3 mt-3" onSubmit={(event) => void submit(event)}>
        <label className="grid gap-1"><span className="font-semibold">Name</span><input className="field" name="name" required maxLength={80} defaultValue={person?.name} /></label>
        <label className="grid gap-1"><span className="font-semibold">Appetite, 1 is one portion</span><input className="field" name="portion_factor" list="appetites" inputMode="decimal" required pattern="[0-4]([.,][0-9]{1,3})?" title="From 0 to 4.999" defaultValue={person?.portion_factor ?? "1"} /></label>
        <datalist id="appetites">{APPETITES.map(([value, words]) => <option key={value} value={value}>{words}</option>)}</datalist>
        <label className="flex items-center gap-2 min-h-[36px]"><input type="checkbox" name="eats" defaultChecked={person?.eats ?? true} className="size-5" /> eats at the table</label>
        <label className="flex items-center gap-2 min-h-[36px]"><input type="checkbox" name="strict" defaultChecked={person?.strict ?? false} className="size-5" /> by the date only: small child, pregnancy, old age, weak immunity, guest</label>
        <fieldset><legend className="font-semibold mb-1">Never eats</legend>
          <div className="grid grid-cols-2 gap-x-3">{ALLERGENS.map((name) => <label key={name} className="flex items-center gap-2 min-h-[32px] phone:min-h-[44px]"><input type="checkbox" name="excludes" value={name} defaultChecked={person?.excludes.includes(name) ?? false} className="size-5" /> {name.replace("-", " ")}</label>)}</div>
        </fieldset>
        <label className="grid gap-1"><span className="font-semibold">Note</span><input className="field" name="note" maxLength={300} defaultValue={person?.note} /></label>
        <Button type="submit" look="main">Keep it so</Button>
        {person && <Button look="grave" onClick={() => void act(path, { gone: true }, person.name).then((done) => done && onClose())}>Does not eat here any more</Button>}
      </form>
    </Sheet>
  );
}
