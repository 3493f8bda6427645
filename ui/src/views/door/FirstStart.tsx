import { useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { post, Problem } from "../../api/client";
import { Button } from "../../kit/kit";
import { Door, Labelled } from "./Door";

const CURRENCIES = ["EUR", "GBP", "USD", "CHF", "SEK", "NOK", "DKK", "PLN", "CZK", "CAD", "AUD", "NZD"];

/** The first visit to an empty house: it makes the household and its keeper. */
export function FirstStart() {
  const client = useQueryClient();
  const [problem, setProblem] = useState<Problem | null>(null);
  const fault = (name: string) => problem?.document.errors.find((error) => error.pointer === `/${name}`)?.detail;
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = Object.fromEntries(new FormData(event.currentTarget));
    setProblem(null);
    try {
      await post("/api/first-start", { ...form, people: Number(form.people) });
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
        <Labelled text="Password, at least 10 letters" fault={fault("password")}><input className="field" name="password" type="password" required minLength={10} autoComplete="new-password" /></Labelled>
        <div className="grid grid-cols-2 gap-3">
          <Labelled text="People who eat here" fault={fault("people")}><input className="field" name="people" type="number" min={1} max={30} defaultValue={2} required /></Labelled>
          <Labelled text="Currency" fault={fault("currency")}><select className="field" name="currency">{CURRENCIES.map((code) => <option key={code}>{code}</option>)}</select></Labelled>
          <Labelled text="3/4 is" fault={fault("day_order")}><select className="field" name="day_order"><option value="dmy">3 April</option><option value="mdy">March 4</option></select></Labelled>
          <Labelled text="Time zone" fault={fault("time_zone")}><input className="field" name="time_zone" required defaultValue={Intl.DateTimeFormat().resolvedOptions().timeZone} /></Labelled>
        </div>
        {problem && <p role="alert" className="text-beet font-semibold">{problem.message} {problem.document.remedy}</p>}
        <Button type="submit" look="main">Make the household</Button>
      </form>
    </Door>
  );
}
