import type { PeoplePage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Board } from "../../kit/kit";
import { Habits, habitsOf } from "./Habits";
import { Form, Submit, Tick, Whole } from "../../kit/form";

type HouseWays = PeoplePage["ways"];
const SCHOOLS: [HouseWays["school"], string, string][] = [
  ["look_then_decide", "Look, then decide", "Past a best-before date somebody looks and records what they found, within a tolerance for that food."],
  ["by_the_date", "By the date", "Past its best-before a thing counts as gone."],
];
const NUMBERS: [keyof HouseWays & string, string, number, number][] = [["front_days", "“Eat this week” means within … days", 1, 60], ["soon_days", "“Soon” means within … days", 2, 365], ["count_every_days", "Count each place every … days", 1, 1000], ["ask_from_minor", "Ask why something is missing from … cents on", 0, 1000000]];

/** The household's ways: its school past a best-before date, its windows, its rhythm of counting. */
export function Ways({ ways, keeper }: { ways: HouseWays; keeper: boolean }) {
  const { act, say } = useActs();
  const submit = async (form: FormData) => {
    const before = ways as unknown as Record<string, unknown>;
    const settings: Record<string, unknown> = Object.fromEntries(NUMBERS.map(([name]) => [name, Number(form.get(name))]).filter(([name, value]) => before[String(name)] !== value));
    if ((form.get("plan_looks") === "on") !== ways.plan_looks) settings.plan_looks = form.get("plan_looks") === "on";
    const habits = habitsOf(form);
    if (habits.measures !== ways.measures) settings.measures = habits.measures;
    if (habits.degrees !== ways.degrees) settings.degrees = habits.degrees;
    if (habits.languages.join() !== ways.languages.join()) settings.languages = habits.languages;
    const changed = (["day_order", "currency"] as const).filter((name) => habits[name] !== undefined && habits[name] !== ways[name]).map((name) => [name, habits[name]]);
    const body = { ...Object.fromEntries(changed), ...(form.get("school") === ways.school ? {} : { school: form.get("school") }), ...(Object.keys(settings).length > 0 ? { settings } : {}) };
    if (Object.keys(body).length === 0) return say({ text: "That is what it says already." });
    return act("/api/ways", { version: Number(form.get("version")), ...body }, "the household’s ways");
  };
  return (
    <Board title="Ways">
      <Form key={ways.version} className="grid gap-3 mt-2" keep="ways" version={ways.version} onSave={submit}>
        <fieldset disabled={!keeper} className="grid gap-2"><legend className="font-semibold mb-1">Past a best-before date</legend>
          {SCHOOLS.map(([value, name, words]) => <label key={value} className="flex gap-2"><input type="radio" name="school" value={value} defaultChecked={ways.school === value} className="size-5 mt-0.5 shrink-0" /><span><b>{name}.</b> {words}</span></label>)}
          <p className="text-soft text-small">No school eats past a use-by date. Changing it dates every stack anew.</p>
          {NUMBERS.map(([name, label, min, max]) => <Whole key={name} label={label} beside name={name} min={min} max={max} required defaultValue={Number(ways[name])} />)}
          <Tick name="plan_looks" defaultChecked={ways.plan_looks} label="plan tins and jars that must be looked at first" />
        </fieldset>
        <fieldset disabled={!keeper} className="grid gap-2"><legend className="font-semibold mb-1 text-lead">How we write</legend><Habits habits={ways} /></fieldset>
        {keeper && <Submit className="justify-self-start">Keep it so</Submit>}
      </Form>
    </Board>
  );
}
