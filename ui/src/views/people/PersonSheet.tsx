import type { Person } from "../../api/types";
import { useActs } from "../../app/acts";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { ALLERGENS } from "./allergens";
import { Form, Submit, Text, Tick } from "../../kit/form";

const APPETITES: [string, string][] = [["0.5", "a small child"], ["0.8", "a small eater"], ["1", "one portion"], ["1.2", "a good eater"], ["1.5", "a hungry one"]];

/** How much somebody eats, and what never. */
export function PersonSheet({ person, onClose }: { person: Person | null; onClose: () => void }) {
  const { act } = useActs();
  const path = person ? `/api/people/${person.id}/change` : "/api/people";
  const submit = async (form: FormData) => {
    const body = { name: String(form.get("name")).trim(), portion_factor: String(form.get("portion_factor")).replace(",", "."), strict: form.get("strict") === "on", eats: form.get("eats") === "on", excludes: form.getAll("excludes"), note: String(form.get("note")).trim() };
    const done = await act(path, person ? { version: Number(form.get("version")), ...body } : body, body.name);
    if (done) onClose();
    return done;
  };
  return (
    <Sheet open onClose={onClose} title={person?.name ?? "Somebody who eats here"}>
      <Form className="grid gap-3 mt-3" keep={`person.${person?.id ?? "new"}`} version={person?.version} onSave={submit}>
        <Text label="Name" name="name" required maxLength={80} defaultValue={person?.name} />
        <Text label="Appetite, 1 is one portion" name="portion_factor" list="appetites" inputMode="decimal" required pattern="[0-4]([.,][0-9]{1,3})?" title="From 0 to 4.999" defaultValue={person?.portion_factor ?? "1"} />
        <datalist id="appetites">{APPETITES.map(([value, words]) => <option key={value} value={value}>{words}</option>)}</datalist>
        <Tick name="eats" defaultChecked={person?.eats ?? true} label="eats at the table" />
        <Tick name="strict" defaultChecked={person?.strict ?? false} label="by the date only: small child, pregnancy, old age, weak immunity, guest" />
        <fieldset><legend className="font-semibold mb-1">Never eats</legend>
          <div className="grid grid-cols-2 gap-x-3">{ALLERGENS.map((name) => <label key={name} className="flex items-center gap-2 min-h-[32px] phone:min-h-[44px]"><input type="checkbox" name="excludes" value={name} defaultChecked={person?.excludes.includes(name) ?? false} className="size-5" /> {name.replace("-", " ")}</label>)}</div>
        </fieldset>
        <Text label="Note" name="note" maxLength={300} defaultValue={person?.note} />
        <Submit>Keep it so</Submit>
        {person && <Button look="grave" onClick={() => act(path, { gone: true }, person.name).then((done) => done && onClose())}>Does not eat here any more</Button>}
      </Form>
    </Sheet>
  );
}
