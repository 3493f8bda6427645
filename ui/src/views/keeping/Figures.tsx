import type { FormEvent } from "react";
import type { KeepingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Board, Button } from "../../kit/kit";

const UNITS: Record<string, string> = { mass: "g", volume: "ml", count: "pieces" };
type Name = "weekly_said" | "working_amount" | "g_per_ml" | "g_per_piece";

/** What this household knows of the food: how fast it goes, how much stands at hand, what it weighs. */
export function Figures({ page }: { page: KeepingPage }) {
  const { act } = useActs();
  const keeper = useSession().person?.role === "keeper";
  const unit = UNITS[page.figures.dimension] ?? "";
  const fields: [Name, string][] = [["weekly_said", `Used a week, as you would say, in ${unit}`], ["working_amount", "How much stands at hand, in g"], ["g_per_ml", "What a millilitre weighs, in g"], ["g_per_piece", "What a piece weighs, in g"]];
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const read = (name: Name) => String(form.get(name) ?? "").trim().replace(",", ".");
    const changed = fields.filter(([name]) => read(name) !== (page.figures[name] ?? "")).map(([name]) => [name, read(name) === "" ? null : read(name)]);
    if (changed.length > 0) void act(`/api/keeping/${page.food_id}/figures`, Object.fromEntries(changed), `figures of ${page.food}`);
  };
  return (
    <Board title="Your own figures">
      {page.figures.weekly && <p className="mt-2">Measured: <b>{page.figures.weekly} {unit} a week</b></p>}
      <ul className="text-soft text-[13.5px]">{page.figures.steps.map((step) => <li key={step}>{step}</li>)}</ul>
      <form className="grid gap-2 mt-2" onSubmit={submit}>
        {fields.map(([name, label]) => (
          <label key={name} className="grid grid-cols-[1fr_110px] gap-2 items-center"><span className="text-[14px]">{label}</span>
            <input className="field" name={name} disabled={!keeper} inputMode="decimal" pattern="[0-9]{1,9}([.,][0-9]{1,6})?" title="A number such as 250 or 0.8" defaultValue={page.figures[name] ?? ""} />
          </label>
        ))}
        {keeper ? <Button type="submit" className="justify-self-start">Keep these figures</Button> : <p className="text-soft text-[13.5px]">A keeper can change them.</p>}
      </form>
    </Board>
  );
}
