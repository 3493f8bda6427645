import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { keepingQuery } from "../../api/queries";
import type { Done, Food } from "../../api/types";
import { useActs } from "../../app/acts";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { ALLERGENS } from "../people/allergens";
import { FindFood } from "./FindFood";
import { Tick, Amount, amountIn, Form, Submit, Text } from "../../kit/form";
import { Home, Weights, weights } from "./foodFields";
import * as food from "../../words/food";
import * as say from "../../words/keeping";

interface Props {
  /** The words that no food was found for. */
  name: string;
  onMade: (id: number, name: string) => void;
  onClose: () => void;
}

/**
 * A food the tables do not know: it is kept like one they know, and what it takes over from that one is shown first.
 */
export default function NewFood({ name, onMade, onClose }: Props) {
  const { act } = useActs();
  const [like, setLike] = useState<Food | null>(null);
  const submit = async (form: FormData) => {
    if (!like) return;
    const called = String(form.get("name")).trim();
    const nicknames = String(form.get("nicknames"))
      .split(",")
      .map((word) => word.trim())
      .filter((word) => word.length > 1);
    const body = {
      name: called,
      like_food_id: like.id,
      nicknames,
      allergens: form.getAll("allergens").map(String),
      ...further(form, like),
    };
    const made = await act<Done & { food_id: number }>("/api/foods", body, say.newFood(called));
    if (made) onMade(made.food_id, called);
    return made;
  };
  return (
    <Sheet open onClose={onClose} title={say.aNewFood}>
      <Form className="grid gap-3 mt-3" keep="new-food" onSave={submit}>
        <Text
          label={say.itsName}
          name="name"
          required
          maxLength={120}
          defaultValue={name.charAt(0).toUpperCase() + name.slice(1)}
        />
        <Text label={say.whatElseYou} name="nicknames" maxLength={300} defaultValue={name} />
        <Like like={like} onPick={setLike} />
        {like && <Inherited key={like.id} like={like} />}
        {like && <Further unit={UNITS[like.dimension] ?? "g"} />}
        <Submit disabled={!like}>{say.keepFoodOurs}</Submit>
        {!like && <p className="text-soft text-small">{say.sayFirstWhich}</p>}
      </Form>
    </Sheet>
  );
}

const UNITS: Record<string, "g" | "ml" | "piece"> = { mass: "g", volume: "ml", count: "piece" };

/** Only what was said is sent. */
function further(form: FormData, like: Food): Record<string, unknown> {
  const [pack, home] = [amountIn(form, "pack"), String(form.get("home_place_id") ?? "")];
  return {
    ...weights(form),
    ...(pack ? { packs: [{ amount: pack, unit: UNITS[like.dimension] ?? "g" }] } : {}),
    ...(home ? { home_place_id: Number(home) } : {}),
  };
}

function Further({ unit }: { unit: string }) {
  return (
    <details className="board p-3">
      <summary className="text-rim font-semibold cursor-pointer min-h-[30px] phone:py-[10px]">{food.more}</summary>
      <div className="grid gap-3 mt-2">
        <Amount label={food.onePack} unit={unit === "piece" ? "pieces" : unit} name="pack" />
        <Weights />
        <Home />
      </div>
    </details>
  );
}

function Like({ like, onPick }: { like: Food | null; onPick: (food: Food | null) => void }) {
  if (like)
    return (
      <p>
        {say.keptLike} <b>{like.name}</b>{" "}
        <Button look="plain" onClick={() => onPick(null)}>
          {say.another}
        </Button>
      </p>
    );
  return <FindFood label={say.itKeepsLike} onPick={onPick} focus />;
}

const SITUATIONS: Record<string, string> = {
  bought_sealed: say.asBought,
  opened: "opened",
  cut: "cut",
  cooked: "cooked",
  frozen_at_home: say.frozenAtHome,
};
const PLACES: Record<string, string> = {
  cupboard: say.inACupboard,
  cool_dark: say.coolDark,
  fridge: say.inTheFridge,
  freezer: say.inTheFreezer,
};

/** What it takes over, to be confirmed: how it keeps, and what it holds that somebody may not have. */
function Inherited({ like }: { like: Food }) {
  const page = useQuery(keepingQuery(like.id)).data;
  const lines =
    page?.table
      .filter((row) => SITUATIONS[row.situation])
      .flatMap((row) =>
        row.places
          .filter((cell) => cell.words)
          .map((cell) => `${SITUATIONS[row.situation] ?? ""} ${PLACES[cell.place] ?? ""}: ${cell.words ?? ""}`),
      ) ?? [];
  return (
    <>
      <div className="board p-3">
        <b>{say.howWillKeep}</b>
        {page ? (
          <ul className="text-small mt-1">
            {lines.slice(0, 6).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        ) : (
          <p role="status" className="text-soft">
            {say.lookingUp}
          </p>
        )}
        <p className="text-soft text-small mt-1">{say.whereYourFood}</p>
      </div>
      <fieldset className="board p-3">
        <legend className="sr-only">{say.whatItHolds}</legend>
        <b>{say.whatItHolds}</b>{" "}
        <span className="text-soft text-small">
          {say.asIt} {like.name} {say.doesPutRight}
        </span>
        <div className="grid grid-cols-2 gap-x-3 mt-1">
          {ALLERGENS.map((one) => (
            <Tick
              key={one}
              name="allergens"
              value={one}
              defaultChecked={like.allergens.includes(one)}
              label={one.replace("-", " ")}
            />
          ))}
        </div>
      </fieldset>
    </>
  );
}
