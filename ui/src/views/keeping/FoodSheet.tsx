import { useState } from "react";
import { useGo } from "../../app/address";
import type { Food, KeepingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Amount, amountIn, Form, Submit, Text, Tick } from "../../kit/form";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { ALLERGENS } from "../people/allergens";
import { FindFood } from "./FindFood";
import { Home, Weights, weights } from "./foodFields";
import * as say from "../../words/food";

const UNITS: Record<string, "g" | "ml" | "piece"> = { mass: "g", volume: "ml", count: "piece" };

/** Only what was changed is sent. */
function changes(page: KeepingPage, form: FormData, like: Food | null): Record<string, unknown> {
  const { known } = page;
  const words = (name: string) => String(form.get(name) ?? "").trim();
  const nicknames = words("nicknames")
    .split(",")
    .map((word) => word.trim())
    .filter((word) => word.length > 1);
  const allergens = form.getAll("allergens").map(String);
  const pack = amountIn(form, "pack");
  const home = words("home_place_id") === "" ? null : Number(words("home_place_id"));
  return {
    ...weights(form, page.figures),
    ...(home === known.home_place_id ? {} : { home_place_id: home }),
    ...(known.own && words("name") !== known.name ? { name: words("name") } : {}),
    ...(nicknames.join() === known.nicknames.join() ? {} : { nicknames }),
    ...([...allergens].sort().join() === [...known.allergens].sort().join() ? {} : { allergens }),
    ...(like ? { like_food_id: like.id } : {}),
    ...(pack ? { packs: [{ amount: pack, unit: UNITS[page.figures.dimension] ?? "g" }] } : {}),
  };
}

/** Puts a food right: names, what it is like, what it holds, its packs; or lets it go into another, or out of sight. */
export function FoodSheet({ page, onClose }: { page: KeepingPage; onClose: () => void }) {
  const { act, tell } = useActs();
  const { known } = page;
  const [like, setLike] = useState<Food | null>(null);
  const save = async (form: FormData) => {
    const body = changes(page, form, like);
    if (Object.keys(body).length === 0) {
      tell({ text: say.nothing });
      return true;
    }
    const done = await act(
      `/api/keeping/${page.food_id}/food`,
      { version: Number(form.get("version")), ...body },
      say.change(known.name),
    );
    if (done) onClose();
    return done;
  };
  const unit = UNITS[page.figures.dimension] ?? "g";
  return (
    <Sheet open onClose={onClose} title={known.name}>
      <Form keep={`food.${page.food_id}`} version={known.version} className="grid gap-3 mt-3" onSave={save}>
        {known.own ? (
          <Text label={say.name} name="name" required maxLength={120} defaultValue={known.name} />
        ) : (
          <p className="text-soft text-small">{say.shipped}</p>
        )}
        <Text label={say.nicknames} name="nicknames" maxLength={600} defaultValue={known.nicknames.join(", ")} />
        {known.own &&
          (like ? (
            <p>
              {say.keptLike} <b>{like.name}</b>{" "}
              <Button look="plain" onClick={() => setLike(null)}>
                {say.asBefore}
              </Button>
            </p>
          ) : (
            <FindFood label={say.likeAnother} onPick={setLike} />
          ))}
        <fieldset>
          <legend className="font-semibold">{say.holds}</legend>
          <div className="grid grid-cols-2 gap-x-3">
            {ALLERGENS.map((one) => (
              <Tick
                key={one}
                name="allergens"
                value={one}
                label={one.replace("-", " ")}
                defaultChecked={known.allergens.includes(one)}
              />
            ))}
          </div>
        </fieldset>
        <Home value={known.home_place_id} />
        <Weights figures={page.figures} />
        <div>
          <p className="text-soft text-small">{say.packs(known.packs.map((pack) => pack.words).join(", "))}</p>
          <Amount label={say.anotherPack} unit={unit === "piece" ? "pieces" : unit} name="pack" />
        </div>
        <Submit>{say.keep}</Submit>
      </Form>
      <Ending page={page} onClose={onClose} />
    </Sheet>
  );
}

/** A food that was two, or that nobody has any more. */
function Ending({ page, onClose }: { page: KeepingPage; onClose: () => void }) {
  const { act } = useActs();
  const go = useGo();
  const [into, setInto] = useState<Food | null>(null);
  const merge = async (food: Food) => {
    if (!(await act(`/api/keeping/${page.food_id}/merge`, { into_food_id: food.id }, say.isIt(page.food, food.name))))
      return;
    onClose();
    void go(`/keeping?food=${food.id}`);
  };
  const archive = async () => {
    if (!(await act(`/api/keeping/${page.food_id}/archive`, {}, say.outOfSight(page.food)))) return;
    onClose();
    void go("/keeping");
  };
  return (
    <section className="mt-5 border-t border-zinc2 pt-3 grid gap-2" aria-label={say.over}>
      {page.known.own &&
        (into ? (
          <p>
            {say.becomes(page.food)} <b>{into.name}</b> {say.dated}{" "}
            <Button look="grave" onClick={() => merge(into)}>
              {say.merge(into.name)}
            </Button>{" "}
            <Button look="plain" onClick={() => setInto(null)}>
              {say.notThat}
            </Button>
          </p>
        ) : (
          <FindFood label={say.same} onPick={setInto} />
        ))}
      <Button className="justify-self-start" onClick={archive}>
        {say.away}
      </Button>
    </section>
  );
}
