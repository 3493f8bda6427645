import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { post, Problem } from "../../api/client";
import { Habits, habitsOf, type HouseHabits } from "../people/Habits";
import { Door } from "./Door";
import { Form, Submit, Text, Whole } from "../../kit/form";
import { faultWords } from "../../words/faults";
import * as say from "../../words/door";

function zone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

const LANGUAGES = ["de", "fr", "es"];

/** What people who use this browser most likely are used to. */
function usual(): HouseHabits {
  const american = navigator.language === "en-US";
  const language = navigator.language.slice(0, 2);
  return {
    measures: american ? "us" : "metric",
    degrees: american ? "f" : "c",
    languages: LANGUAGES.includes(language) ? [language] : [],
    day_order: american ? "mdy" : "dmy",
    currency: american ? "USD" : zone() === "Europe/London" ? "GBP" : "EUR",
  };
}

/** The first visit to an empty house: it makes the household and its keeper. */
export function FirstStart() {
  const client = useQueryClient();
  const [problem, setProblem] = useState<Problem | null>(null);
  const fault = (name: string) => {
    const found = problem?.document.errors.find((error) => error.pointer === `/${name}`);
    return found && faultWords(found);
  };
  const submit = async (data: FormData) => {
    const form = Object.fromEntries(data);
    setProblem(null);
    try {
      await post("/api/first-start", { ...form, ...habitsOf(data), people: Number(form.people) });
      await client.invalidateQueries();
    } catch (error) {
      if (error instanceof Problem) setProblem(error);
      else throw error;
    }
  };
  return (
    <Door title={say.aNewHousehold} note={say.youBecomeIts}>
      <Form keep="first-start" onSave={submit}>
        <Text label={say.nameHousehold} fault={fault("household")} name="household" required maxLength={120} />
        <Text label={say.yourName} fault={fault("name")} name="name" required maxLength={80} autoComplete="name" />
        <Text
          label={say.eMailAddress}
          fault={fault("email")}
          name="email"
          type="email"
          required
          autoComplete="username"
        />
        <Text
          label={say.passwordAtLeast}
          fault={fault("password")}
          name="password"
          type="password"
          required
          minLength={10}
          autoComplete="new-password"
        />
        <div className="grid grid-cols-2 gap-3">
          <Whole
            label={say.peopleWhoEat}
            fault={fault("people")}
            name="people"
            min={1}
            max={30}
            defaultValue={2}
            required
          />
          <Text
            label={say.timeZone}
            fault={fault("time_zone")}
            name="time_zone"
            required
            list="zones"
            autoComplete="off"
            defaultValue={zone()}
          />
        </div>
        <datalist id="zones">
          {Intl.supportedValuesOf("timeZone").map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        <Habits habits={usual()} />
        {problem && (
          <p role="alert" className="text-beet font-semibold">
            {problem.words}
          </p>
        )}
        <Submit>{say.makeTheHousehold}</Submit>
      </Form>
    </Door>
  );
}
