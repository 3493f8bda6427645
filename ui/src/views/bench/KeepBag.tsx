import type { BagsPage, KeepBag as Kept } from "../../api/types";
import { useActs } from "../../app/acts";
import { amountIn, amountOf, Amount, Form, Pick, Submit, Text, Tick } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import * as say from "../../words/bags";
import { meal as meals } from "../../words/trips";
import type { Line } from "./BagLines";

/** What was put together is kept among the bags that are filled again and taken along. */
export function KeepBag({ lines, onKept }: { lines: Line[]; onKept: () => void }) {
  const { act } = useActs();
  const send = async (form: FormData) => {
    const body = kept(form, lines);
    const done = await act("/api/bench/bags/own", body, say.keepIt);
    if (done) onKept();
    return done;
  };
  return (
    <Board title={say.keepIt}>
      <p className="text-soft mt-1">{say.keepNote}</p>
      <Form label={say.keepIt} onSave={send} className="grid grid-cols-3 phone:grid-cols-1 gap-3 items-end mt-2">
        <Text label={say.keepName} name="name" maxLength={120} required />
        <Pick label={say.forMeal} name="meal" defaultValue="dinner" options={Object.entries(meals)} />
        <Pick label={say.eatenFrom} name="eat_from" options={say.vessels} />
        <Amount label={say.waterToAdd} name="water_ml" unit="ml" whole={4} />
        <Pick label={say.waterHeat} name="water_heat" options={say.heats} />
        <Amount label={say.stands} name="stand_minutes" unit="min" whole={4} places={0} />
        <Tick label={say.lowAir} name="low_air" />
        <div className="col-span-full">
          <Submit disabled={lines.length === 0}>{say.keepIt}</Submit>
        </div>
      </Form>
    </Board>
  );
}

/** Takes a bag of one's own off the list. */
export function DropBag({ bag }: { bag: BagsPage["bags"][number] }) {
  const { act } = useActs();
  if (!bag.own) return null;
  const { id, version } = bag.own;
  return (
    <Button onClick={() => void act(`/api/bench/bags/own/${id}/change`, { version, gone: true }, say.dropIt)}>
      {say.dropIt}
    </Button>
  );
}

function kept(form: FormData, lines: Line[]): Kept {
  const whole = (name: "water_ml" | "stand_minutes") => Math.round(Number(amountIn(form, name) || 0));
  return {
    name: String(form.get("name") ?? "").trim(),
    lines: lines.map((line) => ({
      food_id: line.food_id,
      amount: amountOf(line.amount),
      ...(line.unit ? { unit: line.unit } : {}),
    })),
    meal: String(form.get("meal")) as Kept["meal"],
    eat_from: String(form.get("eat_from")) as Kept["eat_from"],
    water_heat: String(form.get("water_heat")) as Kept["water_heat"],
    water_ml: whole("water_ml"),
    stand_minutes: whole("stand_minutes"),
    low_air: form.has("low_air"),
  };
}
