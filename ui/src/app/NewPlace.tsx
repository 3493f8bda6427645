import { Sheet } from "../kit/Sheet";
import { useActs } from "./acts";
import { Form, Pick, Submit, Text, Whole } from "../kit/form";

export const KINDS: [string, string][] = [["cupboard", "cupboard or shelf, room temperature"], ["cool_dark", "cool and dark: cellar, larder"], ["fridge", "fridge"], ["freezer", "freezer"]];
export const TIERS: [string, string][] = [["working", "at hand, for every day"], ["backstock", "backstock, further off"], ["set_apart", "set apart, meals leave it alone"]];

function whole(value: FormDataEntryValue | null): number | undefined {
  const text = String(value ?? "").trim();
  return text === "" ? undefined : Number(text);
}

/** A new place: what kind, for what, and how cold and warm it gets. */
export function NewPlace({ onClose }: { onClose: () => void }) {
  const { act } = useActs();
  const submit = async (form: FormData) => {
    const body = { name: String(form.get("name")).trim(), kind: form.get("kind"), tier: form.get("tier"), low_c: whole(form.get("low_c")), high_c: whole(form.get("high_c")) };
    const done = await act("/api/places", body, body.name);
    if (done) onClose();
    return done;
  };
  return (
    <Sheet open onClose={onClose} title="New place">
      <Form keep="new-place" onSave={submit} className="grid gap-3 mt-3">
        <Text label="Name" name="name" required maxLength={80} autoFocus />
        <Pick label="Kind" name="kind" options={KINDS} />
        <Pick label="For" name="tier" options={TIERS} />
        <div className="grid grid-cols-2 gap-3">
          <Whole label="Coldest, °C" name="low_c" min={-60} max={80} />
          <Whole label="Warmest, °C" name="high_c" min={-60} max={80} />
        </div>
        <p className="text-soft text-small">A place that can fall below zero warns you of what would freeze there.</p>
        <Submit>Make the place</Submit>
      </Form>
    </Sheet>
  );
}
