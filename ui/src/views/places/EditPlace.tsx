import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { kitsQuery } from "../../api/queries";
import type { Place } from "../../api/types";
import { KINDS, TIERS } from "../../app/NewPlace";
import { Temperature, temperatures } from "../../app/Temperature";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Form, Pick, Submit, Text, Tick, Whole } from "../../kit/form";
import * as say from "../../words/places";

const REACH: [string, string][] = [
  ["hand", say.withinReachCook],
  ["steps", say.fewStepsAway],
  ["away", say.anotherFloorShed],
];

function number(form: FormData, name: string): number | null {
  const text = String(form.get(name) ?? "").trim();
  return text === "" ? null : Number(text);
}

/** Only what changed is sent, with the version the person saw. */
function changes(place: Place, form: FormData): Record<string, unknown> {
  const inner = ["w", "d", "h"].map((name) => number(form, name));
  const parent = number(form, "parent_id");
  const after: Record<string, unknown> = {
    name: String(form.get("name")).trim(),
    kind: form.get("kind"),
    tier: form.get("tier"),
    reach: form.get("reach"),
    dark: form.get("dark") === "on",
    fill_percent: number(form, "fill_percent"),
    count_every_days: number(form, "count_every_days"),
    note: String(form.get("note")).trim(),
    parent_id: parent,
    kit_id: number(form, "kit_id"),
  };
  if (inner.every((size) => size !== null)) after.inner_mm = inner;
  const before = place as unknown as Record<string, unknown>;
  return Object.fromEntries(
    Object.entries({ ...after }).filter(([name, value]) => JSON.stringify(before[name]) !== JSON.stringify(value)),
  );
}

export function EditPlace({ place: now, places, onDone }: { place: Place; places: Place[]; onDone: () => void }) {
  const { act, tell } = useActs();
  const unit = useSession().household?.degrees ?? "c";
  // As the person saw it when they opened the form: what others change meanwhile neither closes it nor is overwritten.
  const [place] = useState(now);
  const kits = useQuery(kitsQuery).data?.kits ?? [];
  const submit = async (form: FormData) => {
    const changed = { ...changes(place, form), ...temperatures(form, place, unit) };
    if (Object.keys(changed).length === 0) {
      tell({ text: say.whatSaysAlready });
      return true;
    }
    const done = await act(
      `/api/places/${place.id}/change`,
      { version: Number(form.get("version")), ...changed },
      say.change(place.name),
    );
    if (done) onDone();
    return done;
  };
  return (
    <Form className="board p-3 grid gap-3" keep={`place.${place.id}`} version={place.version} onSave={submit}>
      <Text name="name" label={say.name} defaultValue={place.name} required maxLength={80} />
      <Pick name="kind" label={say.kind} defaultValue={place.kind} options={KINDS} />
      <Pick name="tier" label={say.forIt} defaultValue={place.tier} options={TIERS} />
      <Pick name="reach" label={say.howFar} defaultValue={place.reach} options={REACH} />
      <Pick
        name="parent_id"
        label={say.standsIn}
        defaultValue={String(place.parent_id ?? "")}
        options={[
          ["", say.nothingElse],
          ...places.filter((one) => one.id !== place.id).map((one): [string, string] => [String(one.id), one.name]),
        ]}
      />
      {kits.length > 0 && (
        <Pick
          name="kit_id"
          label={say.boxOfKit}
          defaultValue={String(place.kit_id ?? "")}
          options={[["", say.ofNoKit], ...kits.map((one): [string, string] => [String(one.id), one.name])]}
        />
      )}
      <div className="grid grid-cols-2 gap-3">
        <Temperature name="low_c" celsius={place.low_c} />
        <Temperature name="high_c" celsius={place.high_c} />
      </div>
      <Tick name="dark" defaultChecked={place.dark} label={say.darkThere} />
      <fieldset className="grid grid-cols-3 gap-3">
        <legend className="font-semibold mb-1">{say.insideInMm}</legend>
        {["w", "d", "h"].map((name, index) => (
          <Whole
            key={name}
            name={name}
            label={["wide", "deep", "high"][index] ?? ""}
            defaultValue={place.inner_mm?.[index] ?? ""}
            min={1}
            max={20000}
          />
        ))}
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        <Whole name="fill_percent" label={say.howFull} defaultValue={place.fill_percent ?? ""} min={0} max={100} />
        <Whole
          name="count_every_days"
          label={say.countEveryDays}
          defaultValue={place.count_every_days ?? ""}
          min={1}
          max={1000}
        />
      </div>
      <Text name="note" label={say.note} defaultValue={place.note} maxLength={300} />
      <Submit>{say.keepItSo}</Submit>
    </Form>
  );
}
