import type { KeepingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Sheet } from "../../kit/Sheet";
import { Form, Pick, Submit, Text, Whole } from "../../kit/form";

const PLACES: [string, string][] = [["cupboard", "cupboard"], ["cool_dark", "cool and dark"], ["fridge", "fridge"], ["freezer", "freezer"]];
const STATES: [string, string][] = [["unopened", "unopened"], ["whole", "whole"], ["opened", "opened"], ["cut", "cut"], ["ripe", "ripe"], ["cooked", "cooked"], ["portioned", "portioned, frozen"], ["ground", "ground"]];
const STORAGE: [string, string][] = [["", "whichever way"], ["bag", "in a bag"], ["jar", "in a closed jar or box"], ["water", "standing in water"], ["paper", "in paper or cloth"], ["vacuum", "without air"]];


/** The household's own time for this food, with its reason. */
export function OwnTime({ page, onClose }: { page: KeepingPage; onClose: () => void }) {
  const { act } = useActs();
  const submit = async (form: FormData) => {
    const storage = String(form.get("storage"));
    const body = { place: form.get("place"), state: form.get("state"), ...(storage ? { storage } : {}), low: Number(form.get("low")), high: Number(form.get("high")), reason: String(form.get("reason")).trim() };
    const done = await act(`/api/keeping/${page.food_id}/own`, body, `own time for ${page.food}`);
    if (done) onClose();
    return done;
  };
  return (
    <Sheet open onClose={onClose} title={`An own time: ${page.food}`}>
      <Form className="grid gap-3 mt-3" keep={`own-time.${page.food_id}`} onSave={submit}>
        <Pick name="place" label="Where" options={PLACES} />
        <Pick name="state" label="How" options={STATES} />
        <Pick name="storage" label="Stored" options={STORAGE} />
        <div className="grid grid-cols-2 gap-3">
          <Whole label="Days at least" name="low" min={0} max={20000} required />
          <Whole label="Days at most" name="high" min={0} max={20000} required />
        </div>
        <Text label="Why" name="reason" required minLength={3} maxLength={300} placeholder="Our fridge is colder than most" />
        <Submit>Use this time</Submit>
        <p className="text-soft text-small">Every stack it concerns is dated anew. What is a matter of safety can be made shorter, never longer.</p>
      </Form>
    </Sheet>
  );
}
