import { useState } from "react";
import { useNavigate } from "react-router";
import type { Food, KeepingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Amount, amountOf, Form, Submit, Text, Tick } from "../../kit/form";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { packWords, sizeOf } from "../../label-line/packs";
import { ALLERGENS } from "../people/allergens";
import { FindFood } from "./FindFood";

const UNITS: Record<string, "g" | "ml" | "piece"> = { mass: "g", volume: "ml", count: "piece" };

/** Only what was changed is sent. */
function changes(page: KeepingPage, form: FormData, like: Food | null): Record<string, unknown> {
  const { known } = page;
  const words = (name: string) => String(form.get(name) ?? "").trim();
  const nicknames = words("nicknames").split(",").map((word) => word.trim()).filter((word) => word.length > 1);
  const allergens = form.getAll("allergens").map(String);
  const pack = amountOf(form.get("pack"));
  return {
    ...(known.own && words("name") !== known.name ? { name: words("name") } : {}),
    ...(nicknames.join() === known.nicknames.join() ? {} : { nicknames }),
    ...([...allergens].sort().join() === [...known.allergens].sort().join() ? {} : { allergens }),
    ...(like ? { like_food_id: like.id } : {}),
    ...(pack ? { packs: [{ amount: pack, unit: UNITS[page.figures.dimension] ?? "g" }] } : {}),
  };
}

/** Puts a food right: names, what it is like, what it holds, its packs; or lets it go into another, or out of sight. */
export function FoodSheet({ page, onClose }: { page: KeepingPage; onClose: () => void }) {
  const { act, say } = useActs();
  const { known } = page;
  const [like, setLike] = useState<Food | null>(null);
  const save = async (form: FormData) => {
    const body = changes(page, form, like);
    if (Object.keys(body).length === 0) {
      say({ text: "That is what it says already." });
      return true;
    }
    const done = await act(`/api/keeping/${page.food_id}/food`, { version: Number(form.get("version")), ...body }, `Change ${known.name}`);
    if (done) onClose();
    return done;
  };
  const unit = UNITS[page.figures.dimension] ?? "g";
  return (
    <Sheet open onClose={onClose} title={known.name}>
      <Form keep={`food.${page.food_id}`} version={known.version} className="grid gap-3 mt-3" onSave={save}>
        {known.own ? <Text label="Its name" name="name" required maxLength={120} defaultValue={known.name} /> : <p className="text-soft text-small">This food came with the tables: its name and how it keeps stay. Your own words for it can be added.</p>}
        <Text label="What else you call it, with commas" name="nicknames" maxLength={600} defaultValue={known.nicknames.join(", ")} />
        {known.own && (like ? <p>Kept like <b>{like.name}</b> <Button look="plain" onClick={() => setLike(null)}>As before</Button></p> : <FindFood label="It keeps like another food than before" onPick={setLike} />)}
        <fieldset><legend className="font-semibold">What it holds</legend>
          <div className="grid grid-cols-2 gap-x-3">{ALLERGENS.map((one) => <Tick key={one} name="allergens" value={one} label={one.replace("-", " ")} defaultChecked={known.allergens.includes(one)} />)}</div>
        </fieldset>
        <div>
          <p className="text-soft text-small">Packs known: {known.packs.filter((pack) => sizeOf(pack)).map(packWords).join(", ") || "none yet"}</p>
          <Amount label="Another pack" unit={unit === "piece" ? "pieces" : unit} name="pack" />
        </div>
        <Submit>Keep it so</Submit>
      </Form>
      <Ending page={page} onClose={onClose} />
    </Sheet>
  );
}

/** A food that was two, or that nobody has any more. */
function Ending({ page, onClose }: { page: KeepingPage; onClose: () => void }) {
  const { act } = useActs();
  const go = useNavigate();
  const [into, setInto] = useState<Food | null>(null);
  const merge = async (food: Food) => {
    if (!(await act(`/api/keeping/${page.food_id}/merge`, { into_food_id: food.id }, `${page.food} is ${food.name}`))) return;
    onClose();
    void go(`/keeping?food=${food.id}`);
  };
  const archive = async () => {
    if (!(await act(`/api/keeping/${page.food_id}/archive`, {}, `Out of sight: ${page.food}`))) return;
    onClose();
    void go("/keeping");
  };
  return (
    <section className="mt-5 border-t border-zinc2 pt-3 grid gap-2" aria-label="Not needed any more">
      {page.known.own && (into ? (
        <p>All stacks of {page.food} become <b>{into.name}</b> and are dated as that. <Button look="grave" onClick={() => merge(into)}>Let it go into {into.name}</Button> <Button look="plain" onClick={() => setInto(null)}>Not that</Button></p>
      ) : <FindFood label="It is the same as another food" onPick={setInto} />)}
      <Button className="justify-self-start" onClick={archive}>Put it out of sight</Button>
    </section>
  );
}
