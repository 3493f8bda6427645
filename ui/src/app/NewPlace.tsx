import { Sheet } from "../kit/Sheet";
import { useActs } from "./acts";
import { useSession } from "./session";
import { Temperature, temperatures } from "./Temperature";
import { Form, Pick, Submit, Text } from "../kit/form";
import * as say from "../words/app";

export const KINDS: [string, string][] = [
  ["cupboard", say.cupboardOrShelf],
  ["cool_dark", say.coolDarkCellar],
  ["fridge", "fridge"],
  ["freezer", "freezer"],
];
export const TIERS: [string, string][] = [
  ["working", say.atHandFor],
  ["backstock", say.backstockFurtherOff],
  ["set_apart", say.setApartMeals],
];

/** A new place: what kind, for what, and how cold and warm it gets. */
export function NewPlace({ onClose }: { onClose: () => void }) {
  const { act } = useActs();
  const unit = useSession().household?.degrees ?? "c";
  const submit = async (form: FormData) => {
    const body = {
      name: String(form.get("name")).trim(),
      kind: form.get("kind"),
      tier: form.get("tier"),
      ...temperatures(form, {}, unit),
    };
    const done = await act("/api/places", body, body.name);
    if (done) onClose();
    return done;
  };
  return (
    <Sheet open onClose={onClose} title={say.newPlace}>
      <Form keep="new-place" onSave={submit} className="grid gap-3 mt-3">
        <Text label={say.name} name="name" required maxLength={80} autoFocus />
        <Pick label={say.kind} name="kind" options={KINDS} />
        <Pick label={say.forIt} name="tier" options={TIERS} />
        <div className="grid grid-cols-2 gap-3">
          <Temperature name="low_c" />
          <Temperature name="high_c" />
        </div>
        <p className="text-soft text-small">{say.placeCanFall}</p>
        <Submit>{say.makeThePlace}</Submit>
      </Form>
    </Sheet>
  );
}
