import type { KeepingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Sheet } from "../../kit/Sheet";
import { Form, Pick, Submit, Text, Whole } from "../../kit/form";
import * as say from "../../words/keeping";

const PLACES: [string, string][] = [
  ["cupboard", "cupboard"],
  ["cool_dark", say.coolDark],
  ["fridge", "fridge"],
  ["freezer", "freezer"],
];
const STATES: [string, string][] = [
  ["unopened", "unopened"],
  ["whole", "whole"],
  ["opened", "opened"],
  ["cut", "cut"],
  ["ripe", "ripe"],
  ["cooked", "cooked"],
  ["portioned", say.portionedFrozen],
  ["ground", "ground"],
];
const STORAGE: [string, string][] = [
  ["", say.whicheverWay],
  ["bag", say.inABag],
  ["jar", say.inClosedJar],
  ["water", say.standingInWater],
  ["paper", say.inPaperOr],
  ["vacuum", say.withoutAir],
];

/** The household's own time for this food, with its reason. */
export function OwnTime({ page, onClose }: { page: KeepingPage; onClose: () => void }) {
  const { act } = useActs();
  const submit = async (form: FormData) => {
    const storage = String(form.get("storage"));
    const body = {
      place: form.get("place"),
      state: form.get("state"),
      ...(storage ? { storage } : {}),
      low: Number(form.get("low")),
      high: Number(form.get("high")),
      reason: String(form.get("reason")).trim(),
    };
    const done = await act(`/api/keeping/${page.food_id}/own`, body, say.ownTimeFor(page.food));
    if (done) onClose();
    return done;
  };
  return (
    <Sheet open onClose={onClose} title={say.anOwnTime(page.food)}>
      <Form className="grid gap-3 mt-3" keep={`own-time.${page.food_id}`} onSave={submit}>
        <Pick name="place" label={say.where} options={PLACES} />
        <Pick name="state" label={say.how} options={STATES} />
        <Pick name="storage" label={say.stored} options={STORAGE} />
        <div className="grid grid-cols-2 gap-3">
          <Whole label={say.daysAtLeast} name="low" min={0} max={20000} required />
          <Whole label={say.daysAtMost} name="high" min={0} max={20000} required />
        </div>
        <Text label={say.why} name="reason" required minLength={3} maxLength={300} placeholder={say.ourFridgeColder} />
        <Submit>{say.useThisTime}</Submit>
        <p className="text-soft text-small">{say.everyStackConcerns}</p>
      </Form>
    </Sheet>
  );
}
