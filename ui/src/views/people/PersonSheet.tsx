import type { Person } from "../../api/types";
import { useActs } from "../../app/acts";
import { FoodKeys } from "../../app/FoodKeys";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { ALLERGENS } from "./allergens";
import { amountOf, Form, Pick, Submit, Text, Tick, Whole } from "../../kit/form";
import * as say from "../../words/people";

const APPETITES: [string, string][] = [
  ["0.5", say.aSmallChild],
  ["0.8", say.aSmallEater],
  ["1", say.onePortion],
  ["1.2", say.aGoodEater],
  ["1.5", say.aHungryOne],
];

const FLAGS = ["pregnant", "nursing", "formula_fed"] as const;
const FLAG_WORDS = { pregnant: say.pregnant, nursing: say.nursing, formula_fed: say.formulaFed };

/** What kits reckon with, as far as somebody says. */
function figures(form: FormData) {
  const told = (name: string) => String(form.get(name) ?? "").trim() || null;
  const age = told("age");
  return {
    age: age === null ? null : Number(age),
    sex: told("sex"),
    kg: amountOf(form.get("kg")) || null,
    activity: told("activity"),
    dislikes: form.getAll("dislikes").map(String),
    ...Object.fromEntries(FLAGS.map((name) => [name, form.get(name) === "on"])),
  };
}

function Figures({ person }: { person: Person | null }) {
  return (
    <fieldset className="grid gap-3">
      <legend className="font-semibold mb-1">{say.forKits}</legend>
      <p className="text-soft text-small">{say.forKitsNote}</p>
      <div className="grid grid-cols-2 gap-3">
        <Whole label={say.age} name="age" min={0} max={130} defaultValue={person?.age ?? ""} />
        <Text
          label={say.weight}
          name="kg"
          inputMode="decimal"
          pattern="[0-9]{1,3}([.,][0-9]{1,2})?"
          defaultValue={person?.kg ?? ""}
        />
        <Pick label={say.sex} name="sex" options={say.SEXES} none={say.notSaid} defaultValue={person?.sex ?? ""} />
        <Pick
          label={say.effort}
          name="activity"
          options={say.EFFORTS}
          none={say.asTheKit}
          defaultValue={person?.activity ?? ""}
        />
      </div>
      <div>
        {FLAGS.map((name) => (
          <Tick key={name} name={name} defaultChecked={person?.[name] ?? false} label={FLAG_WORDS[name]} />
        ))}
      </div>
    </fieldset>
  );
}

/** How much somebody eats, and what never. */
export function PersonSheet({ person, onClose }: { person: Person | null; onClose: () => void }) {
  const { act } = useActs();
  const path = person ? `/api/people/${person.id}/change` : "/api/people";
  const submit = async (form: FormData) => {
    const body = {
      name: String(form.get("name")).trim(),
      portion_factor: String(form.get("portion_factor")).replace(",", "."),
      strict: form.get("strict") === "on",
      eats: form.get("eats") === "on",
      excludes: form.getAll("excludes"),
      note: String(form.get("note")).trim(),
      ...figures(form),
    };
    const done = await act(path, person ? { version: Number(form.get("version")), ...body } : body, body.name);
    if (done) onClose();
    return done;
  };
  return (
    <Sheet open onClose={onClose} title={person?.name ?? say.somebodyWhoEats}>
      <Form
        className="grid gap-3 mt-3"
        keep={`person.${person?.id ?? "new"}`}
        version={person?.version}
        onSave={submit}
      >
        <Text label={say.name} name="name" required maxLength={80} defaultValue={person?.name} />
        <Text
          label={say.appetite1One}
          name="portion_factor"
          list="appetites"
          inputMode="decimal"
          required
          pattern="[0-4]([.,][0-9]{1,3})?"
          title={say.from04}
          defaultValue={person?.portion_factor ?? "1"}
        />
        <datalist id="appetites">
          {APPETITES.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </datalist>
        <Tick name="eats" defaultChecked={person?.eats ?? true} label={say.eatsAtTable} />
        <Tick name="strict" defaultChecked={person?.strict ?? false} label={say.dateOnlySmall} />
        <fieldset>
          <legend className="font-semibold mb-1">{say.neverEats}</legend>
          <div className="grid grid-cols-2 gap-x-3">
            {ALLERGENS.map((name) => (
              <Tick
                key={name}
                name="excludes"
                value={name}
                defaultChecked={person?.excludes.includes(name) ?? false}
                label={name.replace("-", " ")}
              />
            ))}
          </div>
        </fieldset>
        <FoodKeys label={say.dislikes} name="dislikes" given={person?.dislikes ?? []} />
        <Figures person={person} />
        <Text label={say.note} name="note" maxLength={300} defaultValue={person?.note} />
        <Submit>{say.keepItSo}</Submit>
        {person && (
          <Button look="grave" onClick={() => act(path, { gone: true }, person.name).then((done) => done && onClose())}>
            {say.doesNotEatHere}
          </Button>
        )}
      </Form>
    </Sheet>
  );
}
