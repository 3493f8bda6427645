import { useQuery } from "@tanstack/react-query";
import { peopleQuery } from "../../api/queries";
import type { Week } from "../../api/types";
import { useActs } from "../../app/acts";
import { Amount, amountIn, Form, Pick, Submit, Text, Tick } from "../../kit/form";
import { Sheet } from "../../kit/Sheet";
import { weekdayName } from "../../words/common";
import * as say from "../../words/meals";

// Monday first.
const WEEK = [1, 2, 3, 4, 5, 6, 0];

const MEALS = ["breakfast", "lunch", "dinner", "snack"];

/** "1, 15" or "1 15": numbers as people write them in a row. */
function numbersIn(form: FormData, name: string): number[] {
  const found = String(form.get(name) ?? "").match(/\d+/g) ?? [];
  return [...new Set(found.map(Number))];
}

function datesIn(form: FormData, name: string): string[] {
  return [...new Set(String(form.get(name) ?? "").match(/\d{4}-\d{2}-\d{2}/g) ?? [])];
}

/** What a household wants of its plans: each rule by a plain name, with what is usual. */
export function RulesSheet({ week, onClose }: { week: Week; onClose: () => void }) {
  const { act } = useActs();
  const ways = useQuery(peopleQuery).data?.ways;
  const save = async (form: FormData) => {
    const settings = {
      planned_meals: form.getAll("planned"),
      shopping_days: form.getAll("shopping").map(Number),
      shopping_month_days: numbersIn(form, "month_days").filter((day) => day >= 1 && day <= 31),
      shopping_dates: datesIn(form, "dates"),
      shopping_may_fall_out: form.get("fall_out") === "yes",
      week_budget_minor: Math.round(Number(amountIn(form, "budget") || "0") * 100),
      season_region: String(form.get("season_region")),
      plan_rules: Object.fromEntries(week.rules.map((rule) => [rule.key, String(form.get(rule.key))])),
    };
    const done = await act("/api/ways", { version: ways?.version, settings }, say.rules);
    if (done) onClose();
    return done;
  };
  return (
    <Sheet open onClose={onClose} title={say.rules}>
      <p className="text-soft mt-2">{say.rulesHint}</p>
      <Form className="grid gap-3 mt-3" keep="plan.rules" version={ways?.version} onSave={save}>
        <fieldset>
          <legend className="font-semibold mb-1">{say.plannedMeals}</legend>
          <div className="grid grid-cols-2">
            {MEALS.map((meal) => (
              <Tick
                key={meal}
                name="planned"
                value={meal}
                defaultChecked={week.planned_meals.some((one) => one === meal)}
                label={meal}
              />
            ))}
          </div>
        </fieldset>
        {ways && (
          <fieldset>
            <legend className="font-semibold mb-1">{say.daysWeShop}</legend>
            <div className="grid grid-cols-2">
              {WEEK.map((day) => (
                <Tick
                  key={day}
                  name="shopping"
                  value={day}
                  defaultChecked={ways.shopping_days.includes(day)}
                  label={weekdayName(day)}
                />
              ))}
            </div>
            <Text
              name="month_days"
              label={say.monthDays}
              note={say.monthDaysHint}
              maxLength={80}
              defaultValue={ways.shopping_month_days.join(", ")}
            />
            <Text
              name="dates"
              label={say.singleDays}
              note={say.singleDaysHint}
              maxLength={400}
              defaultValue={ways.shopping_dates.join(", ")}
            />
            <Tick name="fall_out" value="yes" defaultChecked={ways.shopping_may_fall_out} label={say.tripMayFallOut} />
          </fieldset>
        )}
        {ways && (
          <Amount
            name="budget"
            label={say.spendAtMost}
            places={2}
            whole={5}
            defaultValue={ways.week_budget_minor > 0 ? (ways.week_budget_minor / 100).toFixed(2) : ""}
          />
        )}
        {week.rules.map((rule) => (
          <Pick
            key={rule.key}
            name={rule.key}
            label={say.ruleNames[rule.key] ?? rule.key}
            defaultValue={rule.strength}
            options={rule.strengths.map(
              (strength) => [strength, say.strength(rule.key, strength, rule.usual)] as const,
            )}
          />
        ))}
        {ways && (
          <Pick name="season_region" label={say.seasonsOf} defaultValue={ways.season_region} options={say.regions} />
        )}
        <Submit>{say.saveIt}</Submit>
      </Form>
    </Sheet>
  );
}
