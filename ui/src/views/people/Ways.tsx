import type { PeoplePage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Board } from "../../kit/kit";
import { Habits, habitsOf } from "./Habits";
import { Form, Submit, Tick, Whole } from "../../kit/form";
import * as say from "../../words/people";

type HouseWays = PeoplePage["ways"];
const SCHOOLS: [HouseWays["school"], string, string][] = [
  ["look_then_decide", say.lookThenDecide, say.pastBestBefore],
  ["by_the_date", say.byTheDate, say.pastItsBest],
];
const NUMBERS: [keyof HouseWays & string, string, number, number][] = [
  ["front_days", say.eatThisWeek, 1, 60],
  ["soon_days", say.soonMeansWithin, 2, 365],
  ["count_every_days", say.countEachPlace, 1, 1000],
  ["ask_from_minor", say.askWhySomething, 0, 1000000],
];

const TICKS: ["plan_looks" | "composts" | "animals", string][] = [
  ["plan_looks", say.planTinsJars],
  ["composts", say.thereIsAHeap],
  ["animals", say.thereAreAnimals],
];

/** The household's ways: its school past a best-before date, its windows, its rhythm of counting. */
export function Ways({ ways, keeper }: { ways: HouseWays; keeper: boolean }) {
  const { act, tell } = useActs();
  const submit = async (form: FormData) => {
    const before = ways as unknown as Record<string, unknown>;
    const settings: Record<string, unknown> = Object.fromEntries(
      NUMBERS.map(([name]) => [name, Number(form.get(name))]).filter(([name, value]) => before[String(name)] !== value),
    );
    for (const [name] of TICKS) if ((form.get(name) === "on") !== ways[name]) settings[name] = form.get(name) === "on";
    const habits = habitsOf(form);
    if (habits.measures !== ways.measures) settings.measures = habits.measures;
    if (habits.degrees !== ways.degrees) settings.degrees = habits.degrees;
    if (habits.languages.join() !== ways.languages.join()) settings.languages = habits.languages;
    const changed = (["day_order", "currency"] as const)
      .filter((name) => habits[name] !== undefined && habits[name] !== ways[name])
      .map((name) => [name, habits[name]]);
    const body = {
      ...Object.fromEntries(changed),
      ...(form.get("school") === ways.school ? {} : { school: form.get("school") }),
      ...(Object.keys(settings).length > 0 ? { settings } : {}),
    };
    if (Object.keys(body).length === 0) return tell({ text: say.whatSaysAlready });
    return act("/api/ways", { version: Number(form.get("version")), ...body }, say.theHouseholdsWays);
  };
  return (
    <Board title={say.ways}>
      <Form key={ways.version} className="grid gap-3 mt-2" keep="ways" version={ways.version} onSave={submit}>
        <fieldset disabled={!keeper} className="grid gap-2">
          <legend className="font-semibold mb-1">{say.pastBestBeforeDate}</legend>
          {SCHOOLS.map(([value, name, words]) => (
            <label key={value} className="flex gap-2 phone:min-h-[44px]">
              <input
                type="radio"
                name="school"
                value={value}
                defaultChecked={ways.school === value}
                className="size-5 mt-0.5 shrink-0"
              />
              <span>
                <b>{name}.</b> {words}
              </span>
            </label>
          ))}
          <p className="text-soft text-small">{say.noSchoolEats}</p>
          {NUMBERS.map(([name, label, min, max]) => (
            <Whole
              key={name}
              label={label}
              beside
              name={name}
              min={min}
              max={max}
              required
              defaultValue={Number(ways[name])}
            />
          ))}
          {TICKS.map(([name, words]) => (
            <Tick key={name} name={name} defaultChecked={ways[name]} label={words} />
          ))}
        </fieldset>
        <fieldset disabled={!keeper} className="grid gap-2">
          <legend className="font-semibold mb-1 text-lead">{say.howWeWrite}</legend>
          <Habits habits={ways} />
        </fieldset>
        {keeper && <Submit className="justify-self-start">{say.keepItSo}</Submit>}
      </Form>
    </Board>
  );
}
