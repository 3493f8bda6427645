import { Sheet } from "../kit/Sheet";
import { useActs } from "./acts";
import { useSession } from "./session";
import { Temperature, temperatures } from "./Temperature";
import { Form, Pick, Submit, Text } from "../kit/form";

export const KINDS: [string, string][] = [["cupboard", "cupboard or shelf, room temperature"], ["cool_dark", "cool and dark: cellar, larder"], ["fridge", "fridge"], ["freezer", "freezer"]];
export const TIERS: [string, string][] = [["working", "at hand, for every day"], ["backstock", "backstock, further off"], ["set_apart", "set apart, meals leave it alone"]];

/** A new place: what kind, for what, and how cold and warm it gets. */
export function NewPlace({ onClose }: { onClose: () => void }) {
  const { act } = useActs();
  const unit = useSession().household?.degrees ?? "c";
  const submit = async (form: FormData) => {
    const body = { name: String(form.get("name")).trim(), kind: form.get("kind"), tier: form.get("tier"), ...temperatures(form, {}, unit) };
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
          <Temperature name="low_c" />
          <Temperature name="high_c" />
        </div>
        <p className="text-soft text-small">A place that can fall below zero warns you of what would freeze there.</p>
        <Submit>Make the place</Submit>
      </Form>
    </Sheet>
  );
}
