import type { KeepingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Board } from "../../kit/kit";
import { Amount, Form, Submit, amountOf } from "../../kit/form";

const UNITS: Record<string, string> = { mass: "g", volume: "ml", count: "pieces" };
type Name = "weekly_said" | "working_amount" | "g_per_ml" | "g_per_piece";

/** What this household knows of the food: how fast it goes, how much stands at hand, what it weighs. */
export function Figures({ page }: { page: KeepingPage }) {
  const { act } = useActs();
  const keeper = useSession().person?.role === "keeper";
  const unit = UNITS[page.figures.dimension] ?? "";
  const fields: [Name, string][] = [["weekly_said", `Used a week, as you would say, in ${unit}`], ["working_amount", "How much stands at hand, in g"], ["g_per_ml", "What a millilitre weighs, in g"], ["g_per_piece", "What a piece weighs, in g"]];
  const submit = (form: FormData) => {
    const read = (name: Name) => amountOf(form.get(name));
    const changed = fields.filter(([name]) => read(name) !== (page.figures[name] ?? "")).map(([name]) => [name, read(name) === "" ? null : read(name)]);
    return changed.length === 0 || act(`/api/keeping/${page.food_id}/figures`, Object.fromEntries(changed), `figures of ${page.food}`);
  };
  return (
    <Board title="Your own figures">
      {page.figures.weekly && <p className="mt-2">Measured: <b>{page.figures.weekly} {unit} a week</b></p>}
      <ul className="text-soft text-small">{page.figures.steps.map((step) => <li key={step}>{step}</li>)}</ul>
      <Form className="grid gap-2 mt-2" keep={`figures.${page.food_id}`} onSave={submit}>
        {fields.map(([name, label]) => (
          <Amount key={name} beside label={label} name={name} disabled={!keeper} defaultValue={page.figures[name] ?? ""} />
        ))}
        {keeper ? <Submit className="justify-self-start">Keep these figures</Submit> : <p className="text-soft text-small">A keeper can change them.</p>}
      </Form>
    </Board>
  );
}
