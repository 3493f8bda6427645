import { useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { post, Problem } from "../../api/client";
import { Button } from "../../kit/kit";
import { Habits, habitsOf, type HouseHabits } from "../people/Habits";
import { Door, Labelled } from "./Door";

function zone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

const LANGUAGES = ["de", "fr", "es"];

/** What people who use this browser most likely are used to. */
function usual(): HouseHabits {
  const american = navigator.language === "en-US";
  const language = navigator.language.slice(0, 2);
  return { measures: american ? "us" : "metric", languages: LANGUAGES.includes(language) ? [language] : [], day_order: american ? "mdy" : "dmy", currency: american ? "USD" : zone() === "Europe/London" ? "GBP" : "EUR" };
}

/** The first visit to an empty house: it makes the household and its keeper. */
export function FirstStart() {
  const client = useQueryClient();
  const [problem, setProblem] = useState<Problem | null>(null);
  const fault = (name: string) => problem?.document.errors.find((error) => error.pointer === `/${name}`)?.detail;
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
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
    <Door title="A new household" note="You become its keeper. Everything stays on this machine.">
      <form onSubmit={(event) => void submit(event)} className="grid gap-3">
        <Labelled text="Name of the household" fault={fault("household")}><input className="field" name="household" required maxLength={120} /></Labelled>
        <Labelled text="Your name" fault={fault("name")}><input className="field" name="name" required maxLength={80} autoComplete="name" /></Labelled>
        <Labelled text="E-mail address, to sign in" fault={fault("email")}><input className="field" name="email" type="email" required autoComplete="username" /></Labelled>
        <Labelled text="Password, at least 10 characters" fault={fault("password")}><input className="field" name="password" type="password" required minLength={10} autoComplete="new-password" /></Labelled>
        <div className="grid grid-cols-2 gap-3">
          <Labelled text="People who eat here" fault={fault("people")}><input className="field" name="people" type="number" min={1} max={30} defaultValue={2} required /></Labelled>
          <Labelled text="Time zone" fault={fault("time_zone")}><input className="field" name="time_zone" required list="zones" autoComplete="off" defaultValue={zone()} /></Labelled>
        </div>
        <datalist id="zones">{Intl.supportedValuesOf("timeZone").map((name) => <option key={name} value={name} />)}</datalist>
        <Habits habits={usual()} />
        {problem && <p role="alert" className="text-beet font-semibold">{problem.message} {problem.document.remedy}</p>}
        <Button type="submit" look="main">Make the household</Button>
      </form>
    </Door>
  );
}
