import type { Kit, KitsPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { FoodKeys } from "../../app/FoodKeys";
import { useGo } from "../../app/address";
import { amountOf, Form, Pick, Submit, Text, Tick, Whole } from "../../kit/form";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import * as say from "../../words/kits";
import { boxes as boxWords } from "../../words/kitLayout";

const DAYS = /[ ,;]+/;
const FLAGS = ["no_power", "no_water", "may_leave", "hot", "hot_drinks", "count_disliked"] as const;
const FLAG_WORDS: Record<(typeof FLAGS)[number], string> = {
  no_power: say.noPower,
  no_water: say.noWater,
  may_leave: say.mayLeave,
  hot: say.hot,
  hot_drinks: say.hotDrinks,
  count_disliked: say.disliked,
};

const LITRE = 1000;
const KILO = 1000;

function body(form: FormData, everybody: number[], animals: number[]) {
  const people = form.getAll("people").map(Number);
  const pets = form.getAll("pets").map(Number);
  return {
    name: String(form.get("name")).trim(),
    days: Number(form.get("days")),
    school: String(form.get("school")),
    gear: String(form.get("gear")),
    fuel_row: String(form.get("fuel_row")),
    fuel_amount: amountOf(form.get("fuel_amount")) || "0",
    canister: amountOf(form.get("canister")) || null,
    level: String(form.get("level")),
    activity: String(form.get("activity")),
    water_basis: String(form.get("water_basis")),
    refresh_days: String(form.get("refresh_days")).trim().split(DAYS).filter(Boolean),
    margin_days: Number(form.get("margin_days")),
    budget_minor: Number(form.get("budget_minor")),
    box_ml: Number(form.get("box_l")) * LITRE,
    box_tare_g: Number(form.get("box_tare_g")),
    carry_g: Number(form.get("carry_kg")) * KILO,
    carriers: Number(form.get("carriers")),
    given_up: form.getAll("given_up").map(String),
    people: people.length === everybody.length ? null : people,
    pets: pets.length === animals.length ? null : pets,
    ...Object.fromEntries(FLAGS.map((name) => [name, form.get(name) === "on"])),
  };
}

/** For whom, how long and under what conditions a kit is kept. */
export function EditKit({ kit, page, onClose }: { kit: Kit | null; page: KitsPage; onClose: () => void }) {
  const { act } = useActs();
  const go = useGo();
  const path = kit ? `/api/kits/${kit.id}/change` : "/api/kits";
  const people = page.people.filter((one) => one.eats);
  const save = async (form: FormData) => {
    const told = body(
      form,
      people.map((one) => one.id),
      page.pets.map((one) => one.id),
    );
    const done = await act<{ kit_id: number }>(
      path,
      kit ? { version: Number(form.get("version")), ...told } : told,
      told.name,
    );
    if (done) onClose();
    if (done && !kit) go(`/kits/${done.kit_id}`);
    return done;
  };
  const give = async () => {
    const done = await act(path, { gone: true }, kit?.name ?? "");
    if (done) go("/kits");
    return done;
  };
  return (
    <Sheet open onClose={onClose} title={kit?.name ?? say.newKit}>
      <Form className="grid gap-3 mt-3" keep={`kit.${kit?.id ?? "new"}`} version={kit?.version} onSave={save}>
        <Text
          label={say.kitName}
          name="name"
          required
          maxLength={80}
          placeholder={say.kitExample}
          defaultValue={kit?.name}
        />
        <Whole label={say.howMany} name="days" min={1} max={365} required defaultValue={kit?.days ?? 7} />
        <Whom kit={kit} people={people} pets={page.pets} />
        <Pick label={say.school} name="school" options={say.SCHOOLS} defaultValue={kit?.school ?? "set_apart"} />
        <fieldset>
          <legend className="font-semibold">{say.conditions}</legend>
          {FLAGS.map((name) => (
            <Tick
              key={name}
              name={name}
              label={FLAG_WORDS[name]}
              defaultChecked={kit?.[name] ?? name.startsWith("no_")}
            />
          ))}
        </fieldset>
        <Stove kit={kit} />
        <Pick label={say.level} name="level" options={say.LEVELS} defaultValue={kit?.level ?? "usual"} />
        <Pick label={say.effort} name="activity" options={say.EFFORTS} defaultValue={kit?.activity ?? "light"} />
        <Pick
          label={say.water}
          name="water_basis"
          options={say.WATER}
          defaultValue={kit?.water_basis ?? "drink-light-hygiene"}
        />
        <Text
          label={say.refreshDays}
          note={say.refreshNote}
          name="refresh_days"
          required
          defaultValue={kit?.refresh_days.join(", ") ?? "10-01"}
        />
        <Whole label={say.margin} name="margin_days" min={0} max={365} required defaultValue={kit?.margin_days ?? 30} />
        <Whole label={say.budget} name="budget_minor" min={0} required defaultValue={kit?.budget_minor ?? 0} />
        <Boxes kit={kit} />
        <FoodKeys label={say.givenUp} name="given_up" given={kit?.given_up ?? []} />
        <Submit>{say.setKit}</Submit>
        {kit && (
          <>
            <Button look="grave" onClick={give}>
              {say.giveUp}
            </Button>
            <p className="text-soft text-small">{say.giveUpWhy}</p>
          </>
        )}
      </Form>
    </Sheet>
  );
}

type Whoever = { kit: Kit | null; people: KitsPage["people"]; pets: KitsPage["pets"] };

function Whom({ kit, people, pets }: Whoever) {
  return (
    <fieldset>
      <legend className="font-semibold">{say.kitFor}</legend>
      {people.map((one) => (
        <Tick
          key={one.id}
          name="people"
          value={one.id}
          label={one.name}
          defaultChecked={kit?.people ? kit.people.includes(one.id) : true}
        />
      ))}
      {pets.map((one) => (
        <Tick
          key={one.id}
          name="pets"
          value={one.id}
          label={`${one.name}, ${one.species}`}
          defaultChecked={kit?.pets ? kit.pets.includes(one.id) : true}
        />
      ))}
    </fieldset>
  );
}

/** How much a box holds, and what one person carries. */
function Boxes({ kit }: { kit: Kit | null }) {
  return (
    <fieldset className="grid grid-cols-2 gap-3">
      <legend className="font-semibold">{boxWords}</legend>
      <Whole
        label={say.boxHolds}
        name="box_l"
        min={1}
        max={500}
        required
        defaultValue={Math.round((kit?.box_ml ?? 30000) / LITRE)}
      />
      <Whole
        label={say.boxWeighs}
        name="box_tare_g"
        min={0}
        max={20000}
        required
        defaultValue={kit?.box_tare_g ?? 1500}
      />
      <Whole
        label={say.carries}
        name="carry_kg"
        min={1}
        max={60}
        required
        defaultValue={Math.round((kit?.carry_g ?? 12000) / KILO)}
      />
      <Whole label={say.carriers} name="carriers" min={1} max={30} required defaultValue={kit?.carriers ?? 1} />
    </fieldset>
  );
}

function Stove({ kit }: { kit: Kit | null }) {
  return (
    <>
      <Pick label={say.stove} name="gear" options={say.GEAR} defaultValue={kit?.gear ?? "burner"} />
      <Pick
        label={say.fuelKind}
        name="fuel_row"
        options={say.FUELS}
        defaultValue={kit?.fuel_row ?? say.FUELS[0]?.[0]}
      />
      <Text
        label={say.fuelThere}
        name="fuel_amount"
        inputMode="decimal"
        pattern="[0-9]{0,6}([.,][0-9]{1,3})?"
        defaultValue={kit?.fuel_amount ?? "0"}
      />
      <Text
        label={say.canister}
        name="canister"
        inputMode="decimal"
        pattern="[0-9]{0,6}([.,][0-9]{1,3})?"
        defaultValue={kit ? (kit.canister ?? "") : "230"}
      />
    </>
  );
}
