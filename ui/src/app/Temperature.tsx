import { Whole } from "../kit/form";
import { degrees, type Degrees } from "../words/common";
import { useSession } from "./session";
import * as say from "../words/app";

type Name = "low_c" | "high_c";
const WORDS: Record<Name, string> = { low_c: say.coldest, high_c: say.warmest };

/** How cold or warm a place gets, in the degrees this household says. */
export function Temperature({ name, celsius = null }: { name: Name; celsius?: number | null }) {
  const unit = useSession().household?.degrees ?? "c";
  return (
    <Whole
      name={name}
      label={`${WORDS[name]}, ${unit === "f" ? "°F" : "°C"}`}
      defaultValue={celsius === null ? "" : degrees(celsius, unit)}
      min={degrees(-60, unit)}
      max={degrees(80, unit)}
    />
  );
}

/** What was changed of a place's temperatures, as it is sent: what stands as it stood is left alone. */
export function temperatures(
  form: FormData,
  before: Partial<Record<Name, number | null>>,
  unit: Degrees,
): Record<string, unknown> {
  const changed = (["low_c", "high_c"] as const).flatMap((name) => {
    const text = String(form.get(name) ?? "").trim();
    const now = text === "" ? null : Number(text);
    const stood = before[name] ?? null;
    return now === (stood === null ? null : degrees(stood, unit)) ? [] : [[name, now] as const];
  });
  return changed.length === 0 ? {} : { ...Object.fromEntries(changed), degrees: unit };
}
