import { useState } from "react";

export interface HouseHabits {
  measures: string;
  languages: string[];
  day_order: string;
  currency: string;
  /** A price is stored in it, so it stays. */
  currency_fixed?: boolean;
}

const CURRENCIES = ["EUR", "GBP", "USD", "CHF", "SEK", "NOK", "DKK", "PLN", "CZK", "CAD", "AUD", "NZD"];
const MEASURES: [string, string][] = [
  ["metric", "Metric: a cup is 250 ml, a pint 568 ml"],
  ["imperial", "Imperial: a cup is 284 ml, a pint 568 ml, a gallon 4.55 l"],
  ["us", "United States: a cup is 237 ml, a pint 473 ml, a gallon 3.79 l"],
];
const ORDERS: [string, string][] = [["dmy", "Day first: 3/4 is 3 April"], ["mdy", "Month first: 3/4 is March 4"]];
const LANGUAGES: [string, string][] = [["de", "German: 2 Dosen Mais MHD 5/28"], ["fr", "French: 2 boîtes de maïs ddm 5/28"], ["es", "Spanish: 2 latas de maíz cad 5/28"]];

/** How this household writes: whose cups and pints, which way round a date, in which languages, in what money. */
export function Habits({ habits }: { habits: HouseHabits }) {
  const [currency, setCurrency] = useState(habits.currency);
  return (
    <div className="grid gap-3">
      <Picked name="measures" label="Cups, pints and gallons" options={MEASURES} value={habits.measures} />
      <Picked name="day_order" label="Dates in figures" options={ORDERS} value={habits.day_order} />
      <fieldset className="grid gap-1">
        <legend className="font-semibold mb-1">Besides English, lines are written in</legend>
        {LANGUAGES.map(([value, words]) => <label key={value} className="flex items-center gap-2 min-h-[30px] phone:min-h-[44px]"><input type="checkbox" name="languages" value={value} defaultChecked={habits.languages.includes(value)} className="size-5 shrink-0" /><span lang={value}>{words}</span></label>)}
      </fieldset>
      <label className="grid gap-1">
        <span className="font-semibold">Money</span>
        <select className="field" name="currency" value={currency} disabled={habits.currency_fixed} onChange={(event) => setCurrency(event.target.value)}>
          {[...new Set([habits.currency, ...CURRENCIES])].map((code) => <option key={code} value={code}>{code}: {new Intl.NumberFormat(undefined, { style: "currency", currency: code }).format(1.5)}</option>)}
        </select>
        {habits.currency_fixed && <span className="text-soft text-[13.5px]">Prices are stored in it already, so it stays.</span>}
      </label>
    </div>
  );
}

function Picked({ name, label, options, value }: { name: string; label: string; options: [string, string][]; value: string }) {
  return (
    <label className="grid gap-1">
      <span className="font-semibold">{label}</span>
      <select className="field" name={name} defaultValue={value}>{options.map(([key, words]) => <option key={key} value={key}>{words}</option>)}</select>
    </label>
  );
}

/** What a form of habits says, as it is sent. */
export function habitsOf(form: FormData): { measures: string; languages: string[]; day_order: string; currency: string | undefined } {
  const currency = form.get("currency");
  return { measures: String(form.get("measures")), languages: form.getAll("languages").map(String), day_order: String(form.get("day_order")), currency: currency === null ? undefined : String(currency) };
}
