import type { KeepingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Board } from "../../kit/kit";
import { Amount, Form, Submit, amountOf } from "../../kit/form";
import * as say from "../../words/keeping";

const UNITS: Record<string, string> = { mass: "g", volume: "ml", count: "pieces" };
type Name = "weekly_said" | "working_amount" | "g_per_ml" | "g_per_piece";

/** What this household knows of the food: how fast it goes, how much stands at hand, what it weighs. */
export function Figures({ page }: { page: KeepingPage }) {
  const { act } = useActs();
  const keeper = useSession().person?.role === "keeper";
  const unit = UNITS[page.figures.dimension] ?? "";
  const fields: [Name, string][] = [
    ["weekly_said", say.usedWeekYou(unit)],
    ["working_amount", say.howMuchStands],
    ["g_per_ml", say.whatMillilitreWeighs],
    ["g_per_piece", say.whatPieceWeighs],
  ];
  const submit = (form: FormData) => {
    const read = (name: Name) => amountOf(form.get(name));
    const changed = fields
      .filter(([name]) => read(name) !== (page.figures[name] ?? ""))
      .map(([name]) => [name, read(name) === "" ? null : read(name)]);
    return (
      changed.length === 0 ||
      act(`/api/keeping/${page.food_id}/figures`, Object.fromEntries(changed), say.figuresOf(page.food))
    );
  };
  return (
    <Board title={say.yourOwnFigures}>
      {page.figures.weekly && (
        <p className="mt-2">
          {say.measured}{" "}
          <b>
            {page.figures.weekly} {unit} {say.aWeek}
          </b>
        </p>
      )}
      {page.figures.runs_out && <p>{say.runsOut(page.figures.runs_out)}</p>}
      <ul className="text-soft text-small">
        {page.figures.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ul>
      <Form className="grid gap-2 mt-2" keep={`figures.${page.food_id}`} onSave={submit}>
        {fields.map(([name, label]) => (
          <Amount
            key={name}
            beside
            label={label}
            name={name}
            disabled={!keeper}
            defaultValue={page.figures[name] ?? ""}
          />
        ))}
        {keeper ? (
          <Submit className="justify-self-start">{say.keepTheseFigures}</Submit>
        ) : (
          <p className="text-soft text-small">{say.keeperCanChange}</p>
        )}
      </Form>
    </Board>
  );
}
