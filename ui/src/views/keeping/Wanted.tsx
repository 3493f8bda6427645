import type { KeepingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Amount, amountIn, Form, Submit, Tick } from "../../kit/form";
import { Board } from "../../kit/kit";
import * as say from "../../words/keeping";

const UNITS: Record<string, string> = { mass: "g", volume: "ml", count: "pieces" };
const NAMES = ["par", "par_weeks", "floor", "largest"] as const;
const TICKS = ["standing", "freeze"] as const;

/** What the household always wants in the house of this food; the list asks for what falls below. */
export function Wanted({ page }: { page: KeepingPage }) {
  const { act } = useActs();
  const keeper = useSession().person?.role === "keeper";
  const unit = UNITS[page.figures.dimension] ?? "";
  const labels = { par: say.wantPar, par_weeks: say.wantWeeks, floor: say.wantFloor, largest: say.wantLargest };
  const ticks = { standing: say.wantStanding, freeze: say.wantFreeze };
  const save = (form: FormData) => {
    const read = (name: string) => (amountIn(form, name) === "" ? null : amountIn(form, name));
    const amounts = NAMES.filter((name) => read(name) !== page.want[name]).map((name) => [name, read(name)]);
    const ticked = (name: (typeof TICKS)[number]) => form.get(name) === "yes";
    const said = TICKS.filter((name) => ticked(name) !== page.want[name]).map((name) => [name, ticked(name)]);
    const changed = Object.fromEntries([...amounts, ...said]);
    return Object.keys(changed).length === 0 || act(`/api/wants/${page.food_id}`, changed, say.wantOf(page.food));
  };
  return (
    <Board title={say.wantTitle} note={say.wantNote}>
      <Form className="grid gap-2 mt-2" keep={`want.${page.food_id}`} onSave={save}>
        {NAMES.map((name) => (
          <Amount
            key={name}
            beside
            label={labels[name]}
            name={name}
            unit={name === "largest" ? "g" : name === "par_weeks" ? undefined : unit}
            disabled={!keeper}
            defaultValue={page.want[name] ?? ""}
          />
        ))}
        {TICKS.map((name) => (
          <Tick
            key={name}
            name={name}
            value="yes"
            disabled={!keeper}
            defaultChecked={page.want[name]}
            label={ticks[name]}
          />
        ))}
        {keeper && <Submit className="justify-self-start">{say.wantKeep}</Submit>}
      </Form>
    </Board>
  );
}
